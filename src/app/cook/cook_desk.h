// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/cook/forecast_worker.h"
#include "app/live/line_desk.h"
#include "app/plan/plan_worker.h"
#include "book/cook_store.h"
#include "run/from_plan.h"
#include "words/cook_words.h"

#include <QTimer>

namespace dynamet::app {

/// A dish of the run in hand: what the book has of it, and what is expected.
struct DishNow {
    book::CookRecord cook;
    std::vector<run::Entry> all, entries; ///< every entry; those that stand
    std::vector<run::CoreReading> readings;
    std::optional<run::Forecast> forecast;
    std::optional<Error> trouble; ///< why there is no forecast
    std::vector<run::Action> actions;
    std::optional<run::Seen> seen;
    std::optional<device::ChannelId> probe; ///< whose readings are its core
    double probeS = 0;                      ///< of its newest reading, from the run's beginning
    double askedS = -1e9;                   ///< when a forecast was asked for last
    run::Standing standing() const { return standingOf(entries); }
};

/// The run in hand: dishes, their logs, what is due. All of it is on disk before it is shown; a run
/// that was cut off is taken up where it was. Time is the book's clock, so that it goes on while
/// the program does not.
class CookDesk : public QObject {
    Q_OBJECT
  public:
    CookDesk(Document& document, LineDesk& desk, QObject* parent = nullptr);
    /// Takes up what the book holds unfinished; does nothing where there is none.
    void takeUp();
    /// Begins a run with dishes that are planned. Errors: the book's; one is under way already.
    Result<void> begin(const std::string& name, std::vector<book::CookRecord> cooks,
                       const std::string& menuId = {}, const std::string& trialId = {});
    bool isOn() const { return run_.has_value(); }
    const std::optional<book::CookRun>& run() const { return run_; }
    const std::vector<DishNow>& dishes() const { return dishes_; }
    double nowS() const;
    words::RunClock clock() const;
    /// Everything that is due or comes, of all dishes, the most urgent first.
    std::vector<run::Move> moves() const;

    /// Adds to a dish's log, now or so long ago.
    Result<void> log(std::size_t dish, run::What what, double value = 0,
                     const std::string& words = {}, double agoS = 0);
    /// Takes back the newest entry of a dish that stands.
    Result<void> takeBack(std::size_t dish);
    /// What is seen: actions are worked out.
    void look(std::size_t dish, std::optional<run::Seen> seen);
    /// Does one of them.
    Result<void> take(std::size_t dish, std::size_t action);
    void setProbe(std::size_t dish, const std::optional<device::ChannelId>& probe);
    /// Asks for a new forecast now.
    void refresh(std::size_t dish);
    /// Ends the run; its cooks are in the logbook.
    Result<void> end();
    /// What a plan has worked out of the dishes that are cooked now.
    void learnFrom(const PlanWorker& planner) { planner_.learnFrom(planner); }
    bool isIdle() const { return worker_.isIdle(); }
    bool isPlanning() const { return !planner_.isIdle(); }
    run::Question questionOf(const DishNow& dish) const;

  signals:
    void changed();
    void forecastMade(std::size_t dish);
    void actionsMade(std::size_t dish);
    void begun();
    void ended(const std::string& runId);

  private:
    void readDish(DishNow& dish);
    void readingCame(const std::string& path, const device::Reading& reading);
    void flush();
    void tick();
    double slipS() const;
    void reflow();
    void solveAgain();
    void takePlan(const PlanAnswer& answer);
    Document& document_;
    LineDesk& desk_;
    ForecastWorker worker_;
    PlanWorker planner_;
    run::MenuNow asked_; ///< of the planner
    double askedPlanS_ = 0;
    std::optional<book::CookRun> run_;
    std::vector<DishNow> dishes_;
    std::map<std::size_t, std::vector<run::CoreReading>> waiting_;
    QTimer flush_, tick_;
};

} // namespace dynamet::app
