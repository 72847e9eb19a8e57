// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "formats/csv_rows.h"

#include <QComboBox>
#include <QDialog>
#include <QLabel>
#include <QLineEdit>
#include <QPlainTextEdit>
#include <QPushButton>

namespace dynamet::app {

/// Shows how a log is written, lets the cook put it right, and hands over its channels. Cancel
/// leaves nothing behind.
class ImportDialog : public QDialog {
    Q_OBJECT
  public:
    /// `roles` that the test can have here; `made` is the test's day where the log names none.
    ImportDialog(const rating::Protocol& protocol, const std::vector<std::string>& roles,
                 const QString& path, const book::When& made, QWidget* parent = nullptr);
    /// The channels with their roles, and the file; only after the dialog was accepted.
    void fill(book::TestRecord& test) const;

  private:
    void readFile();
    void showColumns();
    void parse();
    void showProblem(const QString& words);
    void showDay();
    void buildQuestions(QVBoxLayout* box);
    void showQuestions();
    /// What the cook has answered so far.
    formats::CsvAnswers answers() const;
    /// What still has to be said before the log can be read, or imported; empty = nothing.
    QString missingTimes() const;
    QString missingRoles() const;
    void recognise();
    const rating::Protocol& protocol_;
    std::vector<std::string> roles_;
    book::When made_;
    QLabel* dayWords_;
    QLineEdit* day_;
    QLineEdit* path_;
    QWidget *intervalLine_, *timeLine_;
    QLineEdit* interval_;
    QComboBox* time_;
    bool asksTime_ = false, asksInterval_ = false, dayCleared_ = false;
    QLabel* description_;
    QLabel* problem_;
    QLabel* summary_;
    QPlainTextEdit* preview_;
    QWidget* columns_;
    QPushButton* import_;
    std::string text_, sha256_; ///< in UTF-8; of the bytes as they were
    std::optional<formats::CsvDialect> dialect_;
    std::optional<formats::ParsedLog> log_;
    struct ColumnRow {
        std::size_t column;
        QComboBox* role;
        QComboBox* unit;
    };
    std::vector<ColumnRow> rows_;
};

} // namespace dynamet::app
