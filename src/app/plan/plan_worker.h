// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/beside.h"
#include "app/document/document.h"
#include "plan/giving_up.h"
#include "plan/underway.h"

#include <map>
#include <memory>
#include <stop_token>

namespace dynamet::app {

/// What a planning came to; whole values, so that a window can draw them.
struct PlanAnswer {
    plan::MenuProblem menu;
    plan::MenuPlan made;
    plan::Conflict conflict;                   ///< without a plan
    std::vector<plan::Concession> concessions; ///< without a plan
    bool last = false;                         ///< nothing better comes
};

/// Plans menus off the interface's thread: what each dish can be made of is worked out once and
/// kept while its recipe, place and portions stay; then schedules come, each better than the last.
/// The newest question wins.
class PlanWorker : public QObject {
    Q_OBJECT
  public:
    explicit PlanWorker(QObject* parent = nullptr);
    ~PlanWorker() override;
    struct Question {
        plan::Menu menu;
        kitchen::Kitchen kitchen;
        plan::RatedTimes rated;
        std::vector<Result<translate::Request>> requests;
        std::vector<plan::Underway> underway = {}; ///< by the menu's dishes; a plan that is cooked
    };
    /// What another one has worked out of the same book.
    void learnFrom(const PlanWorker& other) { kept_ = other.kept_; }
    void start(const Question& question);
    void cancel();
    /// The book changed: what was worked out may no longer hold.
    void forget();
    bool isIdle() const { return !working_; }

  signals:
    void dishDone(int done, int total);
    void answered(const std::shared_ptr<const dynamet::app::PlanAnswer>& answer);

  private:
    /// What the ways of a dish depend on beside the book.
    struct Key {
        std::string recipeId, siteId;
        int portions = 0;
        std::optional<translate::Target> place;
        std::optional<kitchen::Setting> setting;
        bool driedBefore = false, madeAhead = false;
        plan::SafetyLimits limits;
        bool operator==(const Key&) const = default;
    };
    struct Kept {
        Key key;
        plan::DishWays ways;
    };
    static Key keyOf(const plan::Menu& menu, const plan::MenuDish& dish);
    void work(quint64 id, const Question& question, std::vector<Kept> kept, std::stop_token stop);
    static void giveUp(PlanAnswer& answer, const Question& question, const std::stop_token& stop);
    void hand(quint64 id, PlanAnswer answer);
    Beside beside_;
    std::vector<Kept> kept_;
    quint64 id_ = 0;
    bool working_ = false;
    std::stop_source stop_;
};

} // namespace dynamet::app
