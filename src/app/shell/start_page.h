// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/widgets/quantity_field.h"

#include <QLabel>
#include <QLineEdit>
#include <QWidget>

namespace dynamet::app {

/// First start: the demo kitchen, a new kitchen (name, altitude, units), or open a book.
class StartPage : public QWidget {
    Q_OBJECT
  public:
    StartPage(Document& document, const QString& demoBook, QWidget* parent = nullptr);
    void showProblem(const QString& words);
    void forgetProblem() { problem_->hide(); }

  private:
    QWidget* demoChoice();
    QWidget* newChoice();
    QWidget* openChoice();
    void tryDemo();
    void tryOpen(const QString& path);
    void begin();
    void showBoiling();
    void browse(QLineEdit* field, bool fresh);
    QLayout* withBrowse(QLineEdit* field, const QString& name, bool fresh);
    Document& document_;
    QString demoBook_;
    QLabel* problem_;
    QLineEdit* name_;
    QuantityField* altitude_;
    QLabel* boiling_;
    QLineEdit* file_;
    QLineEdit* openPath_;
};

} // namespace dynamet::app
