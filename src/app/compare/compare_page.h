// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/compare/score_dots_view.h"
#include "app/document/beside.h"
#include "app/document/document.h"
#include "app/widgets/cut_view.h"
#include "app/widgets/plot.h"
#include "app/widgets/text_table.h"
#include "words/cook_picture.h"

#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QListWidget>

namespace dynamet::app {

/// Two to four cooks of one food as columns: cuts, curves, what differs (what was not meant to
/// first), scores by taster, verdict and what to do next time.
class ComparePage : public QWidget {
    Q_OBJECT
  public:
    explicit ComparePage(Document& document, QWidget* parent = nullptr);
    ~ComparePage() override;
    void activate();
    /// Puts a cook beside the newest others of its recipe.
    void beside(const std::string& cookId);
    void showTrial(const std::string& trialId);
    bool isIdle() const { return working_ == 0; }
    const std::vector<words::ComparedCook>& compared() const { return compared_; }
    /// Writes the report; empty, or why not.
    QString writeReport(const QString& path);

  signals:
    void judgeWanted(const std::string& cookId);
    void logbookWanted();
    void trialWanted();

  private:
    QWidget* buildLeft();
    QWidget* buildRight();
    void fillRecipes();
    void fillCooks();
    void choose();
    void compute();
    void show();
    void showCuts();
    void showCurves();
    void newTrial();
    void keepVerdict();
    QString title() const;
    Document& document_;
    std::vector<book::CookRecord> cooks_;
    std::vector<book::Trial> trials_;
    std::vector<words::ComparedCook> compared_;
    struct Worked {
        std::optional<run::Forecast> before, after; ///< without and with its readings
        std::optional<cook::Outcome> outcome;
    };
    std::vector<Worked> worked_;
    QComboBox *recipe_, *trial_;
    QListWidget* list_;
    QCheckBox* blind_;
    QLabel *says_, *confounders_, *empty_;
    CutView* cuts_;
    Plot* plot_;
    TextTable* table_;
    ScoreDotsView* dots_;
    QLineEdit* verdict_;
    QWidget* right_ = nullptr;
    Beside beside_{2};
    quint64 id_ = 0;
    int working_ = 0;
    std::vector<std::string> chosen_;
};

} // namespace dynamet::app
