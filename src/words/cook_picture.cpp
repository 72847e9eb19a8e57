// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/cook_picture.h"

#include "quantity/print.h"

#include <algorithm>
#include <cmath>

namespace dynamet::words {

CookPicture pictureOf(const run::PlannedCook& planned, const std::vector<run::Entry>& entries,
                      const std::vector<run::CoreReading>& readings,
                      const std::optional<run::Forecast>& forecast, double nowS, Units units) {
    constexpr double kMinute = 60;
    constexpr std::size_t kMostDrawn = 1200;
    const auto degrees = [&](double kelvin) {
        return numberIn(Temperature::kelvin(kelvin), units.temperature());
    };
    CookPicture out;
    const run::Standing stands = run::standingOf(entries);
    out.nowMin = stands.begun ? (nowS - stands.foodInS) / kMinute : 0;
    double low = planned.recipe.piece.startK, high = planned.recipe.goal.bandHighK;
    if (forecast)
        for (const run::BandPoint& point : forecast->band) {
            out.bandMin.push_back(point.timeS / kMinute);
            out.low.push_back(degrees(point.core.lowK));
            out.middle.push_back(degrees(point.core.kelvin));
            out.high.push_back(degrees(point.core.highK));
            high = std::max(high, point.core.highK);
        }
    const std::size_t step = std::max<std::size_t>(1, readings.size() / kMostDrawn);
    for (std::size_t i = 0; i < readings.size(); i += step) {
        out.readMin.push_back(readings[i].atS / kMinute);
        out.read.push_back(degrees(readings[i].kelvin));
        low = std::min(low, readings[i].kelvin);
    }
    for (const run::Entry& entry : entries)
        if (entry.what == run::What::reading && stands.begun) {
            out.typedMin.push_back((entry.atS - stands.foodInS) / kMinute);
            out.typed.push_back(degrees(entry.value));
        }
    if (planned.pullK > 0)
        out.pull = degrees(planned.pullK);
    if (forecast && !stands.pulled && std::isfinite(forecast->pull.s)) {
        out.pullFromMin = forecast->pull.lowS / kMinute;
        if (std::isfinite(forecast->pull.highS))
            out.pullUntilMin = forecast->pull.highS / kMinute;
    }
    constexpr double kMarginK = 4;
    out.lowest = degrees(low - kMarginK);
    out.highest = degrees(high + kMarginK);
    return out;
}

} // namespace dynamet::words
