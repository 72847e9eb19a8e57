// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/units.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace dynamet::recipe_text {

/// What a stretch of a recipe's text is about. Words are printed and kept: only ever append.
enum class BindingKind {
    temperature, ///< of the heat
    core,        ///< of the food's middle
    duration,
    rest,
    level, ///< "medium-high", "a moderate oven", "setting 6"
    zone,
    lid,   ///< of a pot or an appliance, and "covered"
    cover, ///< foil, paper
    sign,
    doneness,
    turn,
    height, ///< of a grate, or below an element
    coals,
    vessel,
    thickness,
    weight,
    count,
    start
};
const char* enumName(BindingKind kind);
std::optional<BindingKind> bindingKindOf(const std::string& word);

/// So many seconds for each kilogram, and more.
struct PerWeight {
    double sPerKg = 0, overS = 0;
    bool operator==(const PerWeight&) const = default;
};

/// How a temperature was written, to write another in its place.
enum class Written { none, celsius, fahrenheit, kelvin, gasMark };

/// A stretch of the text in bytes of UTF-8 and what it says in SI: K, s, m, kg, a count. A turn's
/// number is seconds where it says how often, else how many times.
struct Binding {
    std::size_t begin = 0, end = 0;
    BindingKind kind = BindingKind::temperature;
    std::string text;
    std::optional<double> low = {}, high = {};
    bool perSide = false;
    std::optional<PerWeight> perWeight = {};
    Written written = Written::none;
    bool fan = false; ///< a temperature for a fan oven beside that of a still one
    bool operator==(const Binding&) const = default;
};

/// Everything in the text that says heat, time or food for the stove, in the text's order; bindings
/// do not overlap. A number of degrees without a scale goes by its sentence, then by the scale that
/// is asked for, then by the text's others; at last °F where only that is plausible, else °C.
std::vector<Binding> bindingsIn(std::string_view text,
                                std::optional<TemperatureUnit> scale = std::nullopt);

} // namespace dynamet::recipe_text
