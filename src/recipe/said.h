// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "food/foods.h"
#include "kitchen/kitchen.h"
#include "recipe/piece.h"

namespace dynamet::recipe {

/// The food that a text names with the most of its words; nullptr where none has any.
const food::Food* foodSaid(const std::string& text);

/// Words that cooks use for a kind beside its own name, in small letters; the first that is named.
std::optional<kitchen::ApplianceKind> kindSaid(const std::string& smallText);

struct ApplianceSaid {
    const kitchen::Appliance* appliance = nullptr;
    std::string said;    ///< the words that name it, in small letters
    bool byKind = false; ///< and not by its own name
};
/// An appliance of the kitchen by its name, or the first of the kind that is named. notFound where
/// the kitchen has none of that kind, parse where the text names none.
Result<ApplianceSaid> applianceSaid(const std::string& text, const kitchen::Kitchen& kitchen);

/// Turns the dial that is marked in degrees to a heat; false where there is none.
bool setDial(const kitchen::Appliance& on, kitchen::Setting& setting, Temperature heat);
/// Turns every control with words to the longest of them that stands in the text.
void setLabels(const kitchen::Appliance& on, kitchen::Setting& setting, const std::string& text);
/// The place that the text names, else the first.
std::string zoneSaid(const kitchen::Appliance& on, const std::string& text);

/// Shape, size, form and start as they are usual of its food.
void asUsual(FoodPiece& piece);

std::string smallLetters(std::string text);

} // namespace dynamet::recipe
