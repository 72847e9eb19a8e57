// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/school_effects.h"

#include <algorithm>

namespace dynamet::translate {
namespace {
constexpr double kPressed = 1.3, kUnoiled = 0.6; // within the range of docs/physics.md, contact
} // namespace

Request withSchools(Request request) {
    if (food::chosen("rest", request.schools).id == "tented")
        request.recipe.rest.tented = true;
    if (food::chosen("salting", request.schools).id == "ahead" &&
        request.recipe.piece.surface == recipe::SurfaceState::patted)
        request.recipe.piece.surface = recipe::SurfaceState::salted;
    auto& on = request.recipe.piece.seasonings;
    if (food::chosen("pepper", request.schools).id == "before" &&
        std::find(on.begin(), on.end(), "pepper") == on.end())
        on.push_back("pepper");
    return request;
}

cook::Turning turningOf(const food::ChosenSchools& schools) {
    return food::chosen("turning", schools).id == "often" ? cook::Turning::often
                                                          : cook::Turning::once;
}

double contactFactor(const food::ChosenSchools& schools) {
    // The first sides are what the typical contact stands for: an oiled face, not pressed.
    const double pressed = food::chosen("pressing", schools).id == "press" ? kPressed : 1;
    return food::chosen("oil", schools).id == "none" ? pressed * kUnoiled : pressed;
}

std::string schoolWords(const food::ChosenSchools& schools) {
    std::string out;
    for (const food::School& school : food::shippedSchools())
        out += (out.empty() ? "" : ", ") + food::chosen(school, schools).name;
    return out;
}

} // namespace dynamet::translate
