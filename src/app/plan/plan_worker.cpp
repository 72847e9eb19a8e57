// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/plan/plan_worker.h"

#include <algorithm>

namespace dynamet::app {

PlanWorker::PlanWorker(QObject* parent) : QObject(parent) {}

PlanWorker::~PlanWorker() {
    cancel();
    beside_.finish();
}

void PlanWorker::cancel() {
    stop_.request_stop();
    ++id_;
    working_ = false;
}

void PlanWorker::forget() {
    cancel();
    kept_.clear();
}

PlanWorker::Key PlanWorker::keyOf(const plan::Menu& menu, const plan::MenuDish& dish) {
    return {dish.recipeId, menu.siteId,      dish.portions,  dish.place,
            dish.setting,  dish.driedBefore, dish.madeAhead, menu.limits};
}

void PlanWorker::start(const Question& question) {
    cancel();
    stop_ = std::stop_source();
    working_ = true;
    beside_.start([this, id = id_, question, kept = kept_, stop = stop_.get_token()] {
        work(id, question, kept, stop);
    });
}

void PlanWorker::hand(quint64 id, PlanAnswer answer) {
    auto made = std::make_shared<const PlanAnswer>(std::move(answer));
    beside_.hand([this, id, made] {
        if (id != id_)
            return;
        working_ = !made->last;
        emit answered(made);
    });
}

void PlanWorker::work(quint64 id, const Question& question, std::vector<Kept> kept,
                      std::stop_token stop) {
    const auto& dishes = question.menu.dishes;
    std::vector<plan::DishWays> ways;
    for (std::size_t d = 0; d < dishes.size(); ++d) {
        const Key key = keyOf(question.menu, dishes[d]);
        const auto known =
            std::find_if(kept.begin(), kept.end(), [&](const Kept& one) { return one.key == key; });
        if (known != kept.end()) {
            ways.push_back(known->ways);
            ways.back().dishId = dishes[d].id;
        } else {
            ways.push_back(plan::waysOf(dishes[d], question.menu, question.requests[d], stop));
            if (stop.stop_requested())
                return;
            kept.push_back({key, ways.back()});
        }
        beside_.hand([this, id, kept, done = static_cast<int>(d) + 1, total = dishes.size()] {
            if (id != id_)
                return;
            kept_ = kept;
            emit dishDone(done, static_cast<int>(total));
        });
    }
    PlanAnswer answer;
    if (!question.underway.empty()) {
        auto around = planAround(question.menu, question.kitchen, question.rated, ways,
                                 question.underway, stop);
        if (stop.stop_requested())
            return;
        answer.menu = std::move(around.menu);
        answer.made = std::move(around.made);
        answer.last = true;
        return hand(id, std::move(answer));
    }
    answer.menu = plan::problemOf(question.menu, question.kitchen, question.rated, std::move(ways));
    if (!answer.menu.dishes.empty()) {
        answer.made = plan::planMenu(answer.menu, {}, stop, [&](const plan::Plan& better) {
            PlanAnswer soon;
            soon.menu = answer.menu;
            soon.made.found.plan = better;
            soon.made.chance = plan::chanceOf(answer.menu, better);
            soon.made.clocks = plan::clocksOf(answer.menu, better);
            hand(id, std::move(soon));
        });
        if (stop.stop_requested())
            return;
        if (!answer.made.found.plan)
            giveUp(answer, question, stop);
    }
    answer.last = true;
    hand(id, std::move(answer));
}

void PlanWorker::giveUp(PlanAnswer& answer, const Question& question, const std::stop_token& stop) {
    answer.conflict = plan::conflictOf(answer.menu, {}, stop);
    const auto open = plan::openWaysOf(question.menu, answer.conflict, question.requests, stop);
    answer.concessions = plan::concessionsOf(answer.menu, answer.conflict, open, question.kitchen,
                                             question.rated, {}, stop);
}

} // namespace dynamet::app
