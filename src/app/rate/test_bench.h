// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/rate/found_pane.h"
#include "app/rate/how_pane.h"
#include "app/rate/trace_pane.h"
#include "kitchen/rate_sheet.h"

#include <QButtonGroup>
#include <QHBoxLayout>

namespace dynamet::app {

/// Where a test is made: one cell of a rate sheet.
struct BenchPlace {
    std::string applianceId;
    kitchen::Setting setting;
    std::string zone, vesselId, insertId;
    bool operator==(const BenchPlace&) const = default;
};

/// How | Trace | Found and the course of one test between them. What is on the bench belongs to its
/// place: another place clears it, nothing is ever saved under another setting than it was made at.
class TestBench : public QWidget {
    Q_OBJECT
  public:
    explicit TestBench(Document& document, QWidget* parent = nullptr);
    /// Stands at a cell; `expected` is what it is thought to be. Typed readings stay.
    void stand(const BenchPlace& place, const kitchen::Representative& expected);
    void importLog(const QString& path = {});
    void save();
    /// Shows a saved or draft test, wherever it was made.
    void showTest(const book::TestRecord& test);
    /// What the book says may have changed.
    void refresh(const std::vector<book::TestLine>& lines);
    /// Clears what is on the bench.
    void clear();
    const std::optional<book::TestRecord>& test() const { return test_; }
    /// A rating is worked out and not yet kept.
    bool canSave() const { return test_ && reduction_ && !saved_; }
    /// The chosen kind of test takes a log.
    bool canImport() const { return protocol_ && protocol_->takesLog(); }
    /// The chooser of the test's kind stands in the page's row above.
    QWidget& methods() { return *methods_; }
    /// One pane at a time below this width.
    void resizeEvent(QResizeEvent* event) override;

    /// The test at hand, for a run: nothing measured yet. Says why there is none.
    std::optional<book::TestRecord> liveTest();
    const rating::Protocol* protocol() const { return protocol_; }
    std::vector<std::string> roles() const;

  signals:
    void testChanged();
    void liveWanted();

  private:
    enum class Attention { how, trace, found };
    void listProtocols();
    void chooseProtocol(const std::string& id);
    void showHow();
    void giveRoomTo(Attention attention);
    void arrange();
    void takeTyped();
    Result<book::TestRecord> newTest(const std::set<std::string>& later = {}) const;
    bool keepPhoto(book::TestRecord& test);
    void keepAndReduce(book::TestRecord test);
    void reduceAndShow(const book::TestRecord& test);
    std::vector<QString> doubts() const;
    void showFound();
    void addHeightSeries();
    void askForMissingConditions();
    const kitchen::Appliance* appliance() const;
    void say(const QString& words) { document_.say(words); }

    Document& document_;
    BenchPlace place_;
    kitchen::Representative expected_; ///< what the rate sheet shows there
    const rating::Protocol* protocol_ = nullptr;
    std::optional<book::TestRecord> test_;
    std::optional<rating::Reduction> reduction_;
    std::vector<book::TestLine> lines_;
    bool saved_ = false, doubted_ = false;
    bool asked_ = false; ///< for missing conditions, this session
    Attention attention_ = Attention::how;
    QWidget* methods_;
    QWidget* tabs_;
    QButtonGroup* tabGroup_;
    QHBoxLayout* line_;
    HowPane* how_;
    TracePane* trace_;
    FoundPane* found_;
};

} // namespace dynamet::app
