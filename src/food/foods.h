// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "food/composition.h"

#include <limits>
#include <optional>
#include <string>
#include <vector>

namespace dynamet::food {

/// What was done to a piece: it decides whether bacteria are only outside.
enum class Form { intact, bladed, rolled, minced };
const char* enumName(Form form);
std::optional<Form> formOf(const std::string& word);

/// What keeps its shape by itself and what does not: solid pieces; dough; batter in a tin; a runny
/// egg; soup or stew; a dish with a top of its own; what is set in a pot (custard, terrine).
enum class Body { solid, dough, batter, runny, liquid, baked, potted };

/// A change that goes on as long as the food is hot, of first order: tough meat and plants soften,
/// fat melts out. `timeS` is what it takes at `atK` for all but 1/e; from data/foods.json, from
/// memory.
struct SlowChange {
    double timeS = 0, atK = 373.15, activation = 0; ///< J/mol
    /// 1/s.
    double rate(double kelvin) const;
    bool operator==(const SlowChange&) const = default;
};

/// What moves while it is liquid spreads heat so many times better than by conduction, until it
/// sets.
struct Mixing {
    double times = 1;
    double setsK = std::numeric_limits<double>::infinity();
    bool carriesWater = false; ///< to its face too; not below a lid of dough or cheese
    bool operator==(const Mixing&) const = default;
};

/// A lid of something else on a filling: the dough of a cobbler. It has the face.
struct Lid {
    Composition composition;
    double thicknessM = 0;
    double porosity = 0;
    bool operator==(const Lid&) const = default;
};

/// A food: composition, where it comes from, and what the outcome is judged by. SI.
struct Food {
    std::string id;
    std::string name;
    std::string foodClass; ///< "beef", "poultry", "vegetable"…: doneness and minimums go by it
    Composition composition;
    double waterU = 0.02; ///< standard uncertainty of the water share
    double greyingK = 335.15;
    double freezingC = -1.7;
    double browning = 1;    ///< how fast its face browns beside lean meat (to a factor of 2)
    double porosity = 0;    ///< share of gas in a risen dough; 0 = none
    bool losesJuice = true; ///< meat and fish squeeze water out as they cook
    bool crisp = false;     ///< chips, bacon: a hundredth of the weight makes it crisp or not
    std::optional<SlowChange> softening, rendering;
    Mixing mixing;
    std::optional<Lid> lid; ///< the composition is then the filling's, `browning` the lid's
    Body body = Body::solid;
    std::string shape = "slab"; ///< the usual shape, and its measures
    double thicknessM = 0.03, widthM = 0.1;
    Form usualForm = Form::intact;
    double usualStartK = 278.15; ///< from the refrigerator, or the room's
    std::string source;
    bool operator==(const Food&) const = default;
};

/// In a dish, a pot or a tin: its top alone is open to the air.
bool standsInDish(const Food& food);
/// Such food that stays in it is seen from above: its top alone has a colour that counts. A cake
/// comes out of its tin.
bool seenFromAbove(const Food& food);

/// Poured into a pan it wets it: fat and food leave no gap.
bool isPoured(const Food& food);
/// Water by mass of the whole dish, its lid included, at a thickness.
double waterShareOf(const Food& food, double thicknessM);

/// The shipped foods, in their order; read once.
const std::vector<Food>& shippedFoods();
Result<Food> findFood(const std::string& id);

/// An official minimum: a core temperature, held for a time. From data/foods.json, from memory.
struct SafeMinimum {
    double kelvin = 0;
    double holdS = 0;
};
std::optional<SafeMinimum> officialMinimum(const std::string& foodClass, Form form);

} // namespace dynamet::food
