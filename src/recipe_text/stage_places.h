// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "recipe/recipe.h"
#include "recipe_text/binding.h"

namespace dynamet::recipe_text {

struct PlaceSaid {
    recipe::Place place;
    bool guessed = false; ///< no appliance is named: one that fits the words
};

/// Where the words around a place in a text say that it cooks, at its usual setting. `before` is
/// where the stage before it does, `given` an appliance that is told. notFound: an empty kitchen.
Result<PlaceSaid> placeSaid(std::string_view text, std::size_t at, const Binding* heat,
                            const recipe::Place* before, const kitchen::Kitchen& kitchen,
                            const std::string& given);

/// Turns what can be turned to a temperature or a level in words; false where nothing on it can.
bool setHeatSaid(const kitchen::Appliance& on, kitchen::Setting& setting, const Binding& heat);

/// Do two heats stand beside each other as one in several scales?
bool sameHeat(std::string_view text, const Binding& first, const Binding& second);

/// Is a time one of heating up, or a sign's, and not of the cook?
bool preheats(std::string_view text, const Binding& time);

/// Is a core read after the rest, by the words behind it?
bool isAfterRest(std::string_view text, const Binding& core);

/// Is something said of the rest, by the words before it in its sentence?
bool isOfRest(std::string_view text, const Binding& binding);

/// The zone of an appliance that words mean: "the top shelf", "indirectly"; `usual` else.
std::string zoneOf(const kitchen::Appliance& on, const std::string& smallWords,
                   const std::string& usual);

} // namespace dynamet::recipe_text
