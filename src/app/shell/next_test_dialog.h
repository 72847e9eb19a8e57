// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/beside.h"
#include "app/document/document.h"
#include "app/widgets/text_table.h"

#include <stop_token>

#include <QDialog>
#include <QLabel>

namespace dynamet::app {

/// What to rate next: the tests that would narrow the windows of the book's recipes, worked out
/// while it is open.
class NextTestDialog : public QDialog {
    Q_OBJECT
  public:
    explicit NextTestDialog(Document& document, QWidget* parent = nullptr);
    ~NextTestDialog() override;

  private:
    void work();
    Document& document_;
    QLabel* says_;
    TextTable* table_;
    std::stop_source stop_;
    Beside beside_;
};

} // namespace dynamet::app
