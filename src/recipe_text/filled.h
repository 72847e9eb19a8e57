// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "food/doneness.h"
#include "recipe/recipe.h"
#include "recipe_text/binding.h"

namespace dynamet::recipe_text {

/// What a text leaves open: the question in one line, and the usual that was taken for it.
struct Asked {
    enum class What { food, thickness, start, appliance, heat, until, zone } what = What::food;
    std::string question, taken;
};

/// What a binding says of a stage.
enum class Part { heat, time, endCore, goalCore, writtenTime, rest, turn, other };
struct Bound {
    std::size_t binding = 0; ///< in `Filled::bindings`
    std::size_t stage = 0;
    Part part = Part::other;
    double share = 1; ///< of the stage's time, where several times say it
};

/// A recipe as its text says it, what each binding became, and what was taken as usual.
struct Filled {
    recipe::Recipe recipe;
    std::vector<Binding> bindings;
    std::vector<Bound> bound;
    std::vector<Asked> asked;
};

/// What a text is read with. An appliance that the text does not name is the first of the kind that
/// its words fit, or the one that is given.
struct ReadWith {
    const kitchen::Kitchen* kitchen = nullptr;
    std::vector<food::DonenessScale> scales = food::shippedScales();
    std::optional<TemperatureUnit> scale = {};
    std::string applianceId = {};
    std::vector<recipe::Correction> corrections = {};
};

/// The stages that a text says. Heat begins a stage, and another heat after its time or core the
/// next one. notFound: the kitchen has no appliance that could be meant.
Result<Filled> recipeFrom(const std::string& name, const std::string& text, const ReadWith& with);

/// The bindings of a text as its cook corrected them; a correction whose words have moved holds for
/// the next place that has them.
std::vector<Binding> corrected(std::vector<Binding> bindings, std::string_view text,
                               const std::vector<recipe::Correction>& corrections);

/// A recipe with one of its marks corrected, the newest correction of the same words. Stages that
/// nobody changed since they came from the words follow them.
recipe::Recipe correctedRecipe(const recipe::Recipe& recipe, const recipe::Correction& correction,
                               ReadWith with);

/// What a moderate or a slow oven usually is, K, by its words; common practice, no source.
std::optional<std::pair<double, double>> ovenWordsK(const std::string& words);

} // namespace dynamet::recipe_text
