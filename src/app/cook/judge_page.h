// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/beside.h"
#include "app/document/document.h"
#include "app/widgets/quantity_field.h"

#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QTableWidget>

namespace dynamet::app {

/// After a cook: what was measured, what tasters say, what the kitchen learns. Filled in with what
/// is known.
class JudgePage : public QWidget {
    Q_OBJECT
  public:
    explicit JudgePage(Document& document, QWidget* parent = nullptr);
    ~JudgePage() override;
    /// All dishes of a run, the first one open; or one cook.
    void showRun(const std::string& runId);
    void showCook(const std::string& cookId);
    bool isIdle() const { return working_ == 0; }

  signals:
    void closeWanted();
    void compareWanted(const std::string& cookId);

  private:
    void build();
    void open(const std::string& cookId);
    void fill();
    void fillScores();
    Result<run::Judged> typed() const;
    void save();
    void accept(bool use);
    void workOutTold();
    void showTold();
    void addPhoto();
    void rimFromPhoto();
    Document& document_;
    std::vector<book::CookRecord> cooks_;
    book::CookRecord cook_;
    std::vector<run::Entry> entries_;
    std::vector<run::CoreReading> readings_;
    std::optional<run::Told> told_;
    std::optional<Error> silent_; ///< why it tells nothing
    QComboBox* dishes_;
    QLabel *heading_, *told_words_, *learned_, *photos_;
    QuantityField *core_, *peak_, *raw_, *served_, *rim_;
    QLineEdit *label_, *verdict_, *reason_, *next_, *qualities_;
    QPlainTextEdit* notes_;
    QTableWidget* scores_;
    QPushButton *use_, *aside_;
    Beside beside_;
    quint64 id_ = 0;
    int working_ = 0;
};

} // namespace dynamet::app
