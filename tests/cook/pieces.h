// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cook/cook.h"

namespace dynamet::cook::testing {

constexpr double C(double celsius) {
    return celsius + 273.15;
}

/// A slab of a shipped food.
inline recipe::FoodPiece slabOf(const char* food, double mm, double startC) {
    recipe::FoodPiece piece;
    piece.food = *food::findFood(food);
    piece.thicknessM = mm / 1000;
    piece.startK = C(startC);
    return piece;
}

/// Air and walls alike on every face; no vapour pressure = nothing evaporates.
inline kitchen::HeatField ovenField(double celsius, double h, double vapourPa) {
    using kitchen::Face, kitchen::Term;
    kitchen::HeatField f;
    put(f, {{Face::all, Term::air}, C(celsius)});
    put(f, {{Face::all, Term::hAir}, h});
    put(f, {{Face::all, Term::radiant}, C(celsius)});
    put(f, {{Face::all, Term::view}, 0.9});
    if (vapourPa > 0)
        put(f, {{Face::all, Term::vapour}, vapourPa});
    return f;
}

} // namespace dynamet::cook::testing
