// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/moves.h"

#include <algorithm>
#include <cmath>

namespace dynamet::run {
namespace {

constexpr double kSoonS = 60;
/// A chance of passing the band above which the cook is warned.
constexpr double kWarnShare = 0.35;

} // namespace

const char* enumName(Due due) {
    static constexpr const char* kNames[] = {"start",       "turn",       "look",
                                             "leave_stage", "next_stage", "pull",
                                             "overshoot",   "serve",      "probe"};
    return kNames[static_cast<std::size_t>(due)];
}

bool isWarned(const Forecast& forecast) {
    return forecast.readings > 0 && forecast.overShare > kWarnShare;
}

std::vector<Move> movesOf(const PlannedCook& asPlanned, const std::vector<Entry>& entries,
                          const std::optional<Forecast>& forecast, double startsS, double nowS,
                          std::size_t dish) {
    std::vector<Move> out;
    const auto add = [&](Due due, double at, double low, double high, std::size_t stage = 0,
                         double coreK = 0) {
        out.push_back({due, dish, at, low, high, stage, coreK});
    };
    const Standing stands = standingOf(entries);
    const PlannedCook planned = asChanged(asPlanned, entries);
    const recipe::Recipe& recipe = planned.recipe;
    if (stands.served)
        return out;
    if (!stands.begun) {
        add(Due::start, startsS, startsS, startsS);
        return out;
    }
    const double in = stands.foodInS;
    if (stands.pulled) {
        const double at = stands.pulledS + recipe.rest.shortestS;
        add(Due::serve, at, at, stands.pulledS + recipe.rest.longestS);
        return out;
    }
    if (forecast &&
        (forecast->probe == ProbeState::lost || forecast->probe == ProbeState::misplaced))
        add(Due::probe, nowS, nowS, nowS);
    const std::size_t last = recipe.stages.size() - 1;
    const std::size_t stage = std::min(stands.stage, last);
    if (stands.waiting) {
        const double at = std::max(nowS, stands.stageBeganS);
        add(Due::nextStage, at, at, at, stage);
        return out;
    }
    const auto& turning = recipe.stages[stage].handling.turning;
    if (turning.when == recipe::TurnWhen::after && turning.seconds > 0 && stands.turns == 0) {
        const double at = stands.stageBeganS + turning.seconds;
        constexpr double kAboutShare = 0.1;
        add(Due::turn, at, at - kAboutShare * turning.seconds, at + kAboutShare * turning.seconds,
            stage);
    }
    const recipe::StageEnd& end = recipe.stages[stage].end;
    const TimeRange when =
        forecast ? forecast->stage
                 : TimeRange{planned.expectS, planned.lookS, planned.latestS.value_or(INFINITY)};
    const double coreK = stage == last ? planned.pullK : end.coreK.value_or(0);
    const bool byClock = end.afterS > 0 && !end.coreK;
    const Due leave = stage == last ? Due::pull : Due::leaveStage;
    if (byClock) {
        const double at = stands.stageBeganS + end.afterS;
        add(leave, at, at, at, stage);
    } else {
        if (!planned.byProbe || !forecast || forecast->readings == 0)
            if (in + when.lowS > nowS)
                add(Due::look, in + when.lowS, in + when.lowS, in + when.s, stage);
        add(leave, in + when.s, in + when.lowS, in + when.highS, stage, coreK);
    }
    const bool couldPass = forecast && forecast->readings > 0 &&
                           recipe.goal.readAt == food::GoalMoment::peak && coreK > 0;
    if (couldPass && isWarned(*forecast) && std::isfinite(when.s)) {
        // Sooner by as much as the core has to be cooler.
        const double left = std::max(0.0, when.s - (nowS - in));
        const double span = std::max(1.0, coreK - forecast->core.kelvin);
        const double share = std::clamp((coreK - forecast->pullK) / span, 0.0, 1.0);
        const double at = nowS + left * (1 - share);
        add(Due::overshoot, at, at, at, stage, forecast->pullK);
    }
    return out;
}

std::optional<What> madeBy(const Move& move) {
    switch (move.due) {
    case Due::start:
        return What::foodIn;
    case Due::turn:
        return What::turned;
    case Due::leaveStage:
        return What::stageLeft;
    case Due::nextStage:
        return What::stageOn;
    case Due::pull:
    case Due::overshoot:
        return What::pulled;
    case Due::serve:
        return What::served;
    default:
        return std::nullopt;
    }
}

double coldToHotS(const Forecast& forecast, const recipe::FoodPiece& piece, double fromInS,
                  double coldK, double hotK) {
    double out = piece.startK > coldK ? piece.temperedS : 0;
    const auto between = [&](double k) { return k > coldK && k < hotK; };
    for (std::size_t i = 1; i < forecast.band.size(); ++i) {
        const BandPoint &a = forecast.band[i - 1], &b = forecast.band[i];
        if (a.timeS >= fromInS)
            return out;
        if (between((a.core.kelvin + b.core.kelvin) / 2))
            out += std::min(b.timeS, fromInS) - a.timeS;
    }
    if (!forecast.band.empty() && between(forecast.band.back().core.kelvin))
        out += std::max(0.0, fromInS - forecast.band.back().timeS);
    return out;
}

bool isUrgent(const Move& move, double nowS) {
    return move.atS <= nowS + kSoonS;
}

void sortMoves(std::vector<Move>& moves) {
    std::stable_sort(moves.begin(), moves.end(),
                     [](const Move& a, const Move& b) { return a.atS < b.atS; });
}

} // namespace dynamet::run
