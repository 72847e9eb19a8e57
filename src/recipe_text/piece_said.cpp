// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recipe_text/piece_said.h"

#include "recipe/said.h"

#include <cmath>

namespace dynamet::recipe_text {
namespace {

constexpr double kFridgeK = 278.15, kRoomK = 293.15, kFrozenK = 255.15;

/// False: "an hour before cooking" says a time, no temperature.
bool takeStart(recipe::FoodPiece& piece, const Binding& b) {
    if (b.low) {
        piece.startK = middleOf(b);
        piece.startProbed = true;
        return true;
    }
    const std::string words = recipe::smallLetters(b.text);
    const auto has = [&](const char* part) { return words.find(part) != std::string::npos; };
    if (has("froz") || has("freezer"))
        piece.startK = kFrozenK;
    else if (has("room") || has("chill off"))
        piece.startK = kRoomK;
    else if (has("fridge") || has("refrigerator") || has("cold") || has("chilled"))
        piece.startK = kFridgeK;
    else
        return false;
    return true;
}

} // namespace

PieceSaid pieceSaid(const std::string& name, const std::string& text,
                    const std::vector<Binding>& bindings) {
    using enum BindingKind;
    PieceSaid out;
    const food::Food* food = recipe::foodSaid(name);
    if (!food)
        food = recipe::foodSaid(text);
    if (!food) {
        food = &food::shippedFoods().front();
        out.asked.push_back({Asked::What::food, "What is cooked?", food->name});
    }
    recipe::FoodPiece& piece = out.piece;
    piece.food = *food;
    recipe::asUsual(piece);
    bool thick = false, begun = false;
    for (const Binding& b : bindings) {
        if (b.kind == thickness && b.low && !thick) {
            piece.thicknessM = middleOf(b);
            piece.thicknessBy = recipe::KnownBy::eye;
            thick = true;
        } else if (b.kind == start && !begun) {
            begun = takeStart(piece, b);
        } else if (b.kind == count && b.low) {
            piece.pieces = static_cast<int>(std::lround(middleOf(b)));
        } else if (b.kind == weight && b.low) {
            out.weightKg = middleOf(b);
        }
    }
    if (!thick)
        out.asked.push_back({Asked::What::thickness, "How thick is a piece?", "as thick as usual"});
    if (!begun)
        out.asked.push_back(
            {Asked::What::start, "How cold does it start?", "as it usually starts"});
    return out;
}

} // namespace dynamet::recipe_text
