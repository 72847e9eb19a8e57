// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/widgets/text_table.h"
#include "book/safety/copies.h"

#include <QDialog>
#include <QLabel>

namespace dynamet::app {

/// The copies of the last days; one is opened as a book of its own, beside the one of today.
class CopiesDialog : public QDialog {
    Q_OBJECT
  public:
    CopiesDialog(Document& document, const QString& bookPath, QWidget* parent = nullptr);

  private:
    void restore();
    Document& document_;
    QString bookPath_;
    QLabel* says_;
    TextTable* table_;
    std::vector<book::BookCopy> copies_;
};

} // namespace dynamet::app
