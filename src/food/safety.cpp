// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "food/safety.h"

#include <cmath>
#include <limits>

namespace dynamet::food {
SafetyVerdict judgeSafety(const Food& food, Form form, double peakK,
                          const std::vector<Kill>& kills) {
    SafetyVerdict out;
    out.minimum = officialMinimum(food.foodClass, form);
    out.foodClass = food.foodClass;
    out.form = form;
    out.peakK = peakK;
    out.below = out.minimum && peakK < out.minimum->kelvin - 0.05;
    for (const Kill& kill : kills) {
        const Organism& organism = shippedOrganisms().at(kill.organism);
        const double hold = holdTimeS(organism, peakK, organism.targetLogs);
        const bool reached = kill.logs >= organism.targetLogs;
        if (reached || (std::isfinite(hold) && hold < kLongestHoldS))
            out.byTime.push_back({organism.name, kill.logs, reached ? 0 : hold});
    }
    return out;
}

} // namespace dynamet::food
