// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/beside.h"
#include "app/document/document.h"
#include "run/moves.h"
#include "run/steering.h"

#include <stop_token>

namespace dynamet::app {

/// Forecasts and steering off the interface's thread. Of each dish the newest question wins; an
/// answer carries its dish and number, stale ones are dropped.
class ForecastWorker : public QObject {
    Q_OBJECT
  public:
    explicit ForecastWorker(QObject* parent = nullptr);
    ~ForecastWorker() override;
    void ask(std::size_t dish, const run::Question& question);
    /// What to do about what is seen (or without that), by a forecast that was made.
    void askActions(std::size_t dish, const run::Question& question, const run::Forecast& forecast,
                    std::optional<run::Seen> seen);
    void cancel();
    bool isIdle() const { return waiting_ == 0; }

  signals:
    void forecast(std::size_t dish, const dynamet::Result<dynamet::run::Forecast>& made);
    void actions(std::size_t dish, const dynamet::Result<std::vector<dynamet::run::Action>>& made);

  private:
    template <class Work, class Hand>
    void start(std::size_t dish, Work work, Hand hand);
    Beside beside_;
    std::map<std::size_t, quint64> newest_;
    quint64 id_ = 0;
    int waiting_ = 0;
    std::stop_source stop_;
};

} // namespace dynamet::app
