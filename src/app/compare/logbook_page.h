// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/widgets/text_table.h"
#include "book/log_store.h"

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>

namespace dynamet::app {

/// All tests and cooks, newest first: searched by words, narrowed by kind, appliance, food, person.
class LogbookPage : public QWidget {
    Q_OBJECT
  public:
    explicit LogbookPage(Document& document, QWidget* parent = nullptr);
    void activate();
    void focusSearch() { search_->setFocus(); }
    const std::vector<book::LogLine>& lines() const { return lines_; }
    /// Writes what is listed, as CSV or JSON by the file's ending; empty, or why not.
    QString write(const QString& path);

  signals:
    void cookWanted(const std::string& cookId);
    void testWanted(const std::string& applianceId);

  private:
    void fillFilters();
    void refresh();
    void openLine();
    Document& document_;
    std::vector<book::LogLine> lines_;
    QLineEdit* search_;
    QComboBox *kind_, *appliance_, *food_, *person_;
    QLabel* count_;
    TextTable* table_;
};

} // namespace dynamet::app
