// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/widgets/quantity_field.h"

#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QWidget>

namespace dynamet::app {

/// First start: the demo kitchen, a new kitchen (name, altitude, units), or open a book.
class StartPage : public QWidget {
    Q_OBJECT
  public:
    StartPage(Document& document, const QString& demoBook, QWidget* parent = nullptr);
    /// Opens a book, or says why not and what can be done.
    void tryOpen(const QString& path);
    void forgetProblem() { problem_->hide(); }

  private:
    void showProblem(const QString& words);
    QWidget* demoChoice();
    QWidget* newChoice();
    QWidget* openChoice();
    void tryDemo();
    QWidget* rescue();
    void begin();
    void showBoiling();
    void browse(QLineEdit* field, bool fresh);
    QLayout* withBrowse(QLineEdit* field, const QString& name, bool fresh);
    Document& document_;
    QString demoBook_;
    QLabel* problem_;
    QString damaged_; ///< the book that could not be opened
    QPushButton *saveRest_ = nullptr, *copies_ = nullptr;
    QLineEdit* name_;
    QuantityField* altitude_;
    QLabel* boiling_;
    QLineEdit* file_;
    QLineEdit* openPath_;
};

} // namespace dynamet::app
