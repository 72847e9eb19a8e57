// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/live/line_desk.h"

#include <QComboBox>
#include <QDialog>
#include <QLabel>
#include <QLineEdit>

namespace dynamet::app {

/// The instruments on their lines: what is connected and how it is doing, and a form for another
/// one.
class InstrumentsDialog : public QDialog {
    Q_OBJECT
  public:
    InstrumentsDialog(Document& document, LineDesk& desk, QWidget* parent = nullptr);

  private:
    void build();
    void connectLine();
    void forgetLine();
    void refresh();
    Document& document_;
    LineDesk& desk_;
    QLabel* list_;
    QComboBox* path_;
    QComboBox* dialect_;
    QComboBox* baud_;
    QComboBox* book_;
    QLineEdit* query_;
    QLineEdit* channels_;
    QLabel* problem_;
    QComboBox* forget_;
    QWidget* forgetLine_ = nullptr;
};

} // namespace dynamet::app
