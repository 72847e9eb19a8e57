// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/cook/forecast_worker.h"

namespace dynamet::app {

ForecastWorker::ForecastWorker(QObject* parent) : QObject(parent) {}

ForecastWorker::~ForecastWorker() {
    cancel();
    beside_.finish();
}

void ForecastWorker::cancel() {
    stop_.request_stop();
    stop_ = std::stop_source();
    newest_.clear();
}

template <class Work, class Hand>
void ForecastWorker::start(std::size_t dish, Work work, Hand hand) {
    const quint64 id = ++id_;
    newest_[dish] = id;
    ++waiting_;
    beside_.start([this, id, dish, work, hand, stop = stop_.get_token()] {
        auto made = work(stop);
        beside_.hand([this, id, dish, hand, made = std::move(made)] {
            --waiting_;
            const auto newest = newest_.find(dish);
            if (newest != newest_.end() && newest->second == id)
                hand(made);
        });
    });
}

void ForecastWorker::ask(std::size_t dish, const run::Question& question) {
    start(
        dish, [question](const std::stop_token& stop) { return forecastOf(question, stop); },
        [this, dish](const auto& made) { emit forecast(dish, made); });
}

void ForecastWorker::askActions(std::size_t dish, const run::Question& question,
                                const run::Forecast& forecast, std::optional<run::Seen> seen) {
    constexpr std::size_t kApart = 1000; // they do not displace the dish's forecasts
    start(
        kApart + dish,
        [question, forecast, seen](const std::stop_token& stop) {
            return actionsFor(question, forecast, seen, stop);
        },
        [this, dish](const auto& made) { emit actions(dish, made); });
}

} // namespace dynamet::app
