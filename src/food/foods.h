// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "food/composition.h"

#include <optional>
#include <string>
#include <vector>

namespace dynamet::food {

/// What was done to a piece: it decides whether bacteria are only outside.
enum class Form { intact, bladed, rolled, minced };
const char* word(Form form);
std::optional<Form> formOf(const std::string& word);

/// A food: composition, where it comes from, and what the outcome is judged by. SI.
struct Food {
    std::string id;
    std::string name;
    std::string foodClass; ///< "beef", "poultry", "vegetable"…: doneness and minimums go by it
    Composition composition;
    double waterU = 0.02; ///< standard uncertainty of the water share
    double greyingK = 335.15;
    std::string source;
    bool operator==(const Food&) const = default;
};

/// The shipped foods, in their order; read once.
const std::vector<Food>& shippedFoods();
Result<Food> findFood(const std::string& id);

/// An official minimum: a core temperature, held for a time. From data/foods.json, from memory.
struct SafeMinimum {
    double kelvin = 0;
    double holdS = 0;
};
std::optional<SafeMinimum> officialMinimum(const std::string& foodClass, Form form);

/// When a doneness number is read.
enum class ReadAt { pull, peak, bath, plate };
const char* word(ReadAt at);
struct DonenessLevel {
    std::string name;
    double lowK = 0, highK = 0;
};
struct DonenessScale {
    std::string id, name;
    ReadAt readAt = ReadAt::peak;
    std::string source;
    /// Levels of a class of food; empty when the scale has none for it.
    std::vector<std::pair<std::string, std::vector<DonenessLevel>>> levels;
};
const std::vector<DonenessScale>& shippedScales();
/// A level by scale id, food class and name.
Result<DonenessLevel> findLevel(const std::string& scale, const std::string& foodClass,
                                const std::string& level);

} // namespace dynamet::food
