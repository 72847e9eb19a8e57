// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/temperature.h"
#include "recipe/recipe.h"

namespace dynamet::recipe {

/// A line such as "chicken thigh 30 mm, 200 °C 40 min, still oven" as a recipe of one stage, and
/// what was filled in because the line does not say it, in words.
struct QuickLine {
    Recipe recipe;
    std::vector<std::string> filledIn;
};

/// Food, thickness ("1 1/4 in"), heat, time or core ("core 130 °F"), start ("from 60 °F", frozen)
/// and appliance, in any order; dimensions without a unit are not guessed. An appliance is one of
/// the kitchen by its name, or the first of the kind that is named. A number of degrees without a
/// scale is the reader's. Error::parse names what is missing or not understood: a food and an
/// appliance are needed, and a time or a core.
Result<QuickLine> readQuickLine(const std::string& line, const kitchen::Kitchen& kitchen,
                                TemperatureUnit reader);

} // namespace dynamet::recipe
