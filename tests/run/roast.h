// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "run/forecast.h"
#include "translate/small_kitchen.h"

namespace dynamet::run::testing {

using translate::testing::C;

/// A roast in an oven that nobody rated, planned to a core.
struct Roast {
    translate::Request request = translate::testing::roastRequest();
    translate::Prepared prepared = translate::prepare(request).value();
    translate::Row row = [this] {
        auto out = translate::solveRow(prepared, prepared.targets.front());
        translate::addWindow(prepared, out);
        return out;
    }();
    Question question() const {
        Question out;
        out.request = request;
        out.planned = plannedOf(prepared, row);
        out.entries = {{1, 0, What::foodIn, 0, ""}};
        return out;
    }
    /// A core as the most likely cook has it, a piece of another thickness.
    std::vector<CoreReading> readings(double thickerBy, double untilS, double everyS) const {
        Question asked = question();
        asked.planned.recipe.piece.thicknessM *= thickerBy;
        asked.nowS = 4 * 3600;
        asked.planned.recipe.last().end.afterS = 4 * 3600;
        const auto course = courseOf(asked.request, asked.planned, asked.entries, asked.nowS);
        const auto passage = pass(asked.planned.recipe.piece, *course, kForecastEffort,
                                  cook::tablesFor(asked.planned.recipe.piece.food, 101325));
        std::vector<CoreReading> out;
        for (double t = everyS; t <= untilS; t += everyS)
            out.push_back({t, passage->coreAt(t), false});
        return out;
    }
};

} // namespace dynamet::run::testing
