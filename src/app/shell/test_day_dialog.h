// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/beside.h"
#include "app/document/document.h"
#include "app/widgets/text_table.h"
#include "rating/report/test_day.h"
#include "translate/next_test.h"

#include <QCheckBox>
#include <QDialog>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QTimer>
#include <functional>
#include <set>
#include <stop_token>

namespace dynamet::app {

/// A day of tests: what to begin and to end in which order, most valuable first, ticked off as it
/// goes; what slips moves the rest. It stays open beside the window.
class TestDayDialog : public QDialog {
    Q_OBJECT
  public:
    explicit TestDayDialog(Document& document, QWidget* parent = nullptr);
    ~TestDayDialog() override;
    const rating::TestDay& day() const { return day_; }
    bool isIdle() const { return !working_; }

  signals:
    /// The step at hand is a test of that appliance.
    void testWanted(const std::string& applianceId);

  private:
    void build();
    void work();
    void takeWorth(const std::vector<translate::NextTest>& tests);
    void plan();
    void showDay(const rating::TestDay& day);
    void tick();
    void print();
    /// The day that was under way when the program ended is taken up again.
    void takeUp();
    void keep();
    double nowS() const;
    double clockAtBeginS() const;
    Document& document_;
    QWidget* list_;
    QLineEdit* hours_;
    QLineEdit* probes_;
    QLabel* says_;
    TextTable* table_;
    QPushButton* tick_;
    QPushButton* print_;
    QTimer beat_;
    std::vector<std::pair<QCheckBox*, std::string>> chosen_;
    std::vector<translate::NextTest> worth_;
    std::vector<rating::Wanted> wanted_;
    rating::DayMeans means_;
    rating::TestDay day_;
    std::vector<rating::DayTest> done_;
    std::set<std::pair<std::string, bool>> ticked_; ///< by test and whether its end
    std::int64_t beganMs_ = 0;
    bool working_ = false, known_ = false;
    std::stop_source stop_;
    Beside beside_;
};

} // namespace dynamet::app
