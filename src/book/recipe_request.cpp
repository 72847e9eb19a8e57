// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/recipe_request.h"

#include "translate/own_time.h"

namespace dynamet::book {
translate::Request requestOf(const recipe::Recipe& recipe, kitchen::Kitchen kitchen,
                             const Choices& choices) {
    translate::Request out;
    out.kitchen = std::move(kitchen);
    out.recipe = recipe;
    out.schools = choices.schools;
    out.belief = choices.learned;
    return out;
}

std::vector<recipe::Recipe> othersOf(const recipe::Recipe& recipe,
                                     const std::vector<recipe::Recipe>& all) {
    std::vector<recipe::Recipe> out;
    for (const recipe::Recipe& other : all)
        if (translate::bearsOn(other, recipe))
            out.push_back(other);
    return out;
}

std::vector<translate::Request> requestsOf(const std::vector<recipe::Recipe>& recipes,
                                           const kitchen::Kitchen& kitchen,
                                           const Choices& choices) {
    std::vector<translate::Request> out;
    for (const recipe::Recipe& recipe : recipes) {
        out.push_back(requestOf(recipe, kitchen, choices));
        out.back().others = othersOf(recipe, recipes);
    }
    return out;
}

recipe::Recipe beginRecipe(const kitchen::Kitchen& kitchen, const Choices& choices) {
    recipe::Recipe out;
    out.id = newId();
    out.piece.food = food::shippedFoods().front();
    out.piece.shape = heat::shapeOf(out.piece.food.shape).value_or(heat::Shape::slab);
    out.piece.thicknessM = out.piece.food.thicknessM;
    out.piece.widthM = out.piece.food.widthM;
    out.piece.form = out.piece.food.usualForm;
    out.piece.startK = out.piece.food.usualStartK;
    const auto scales = food::scalesWith(choices.scales);
    const auto levels = levelsOf(scales.front(), out.piece.food.foodClass);
    if (!levels.empty())
        out.goal = recipe::goalOf(scales.front(), levels[levels.size() / 2]);
    if (kitchen.appliances.empty())
        return out;
    const kitchen::Appliance& first = kitchen.appliances.front();
    out.last().place = {first.id, kitchen::usualSetting(first.controls), first.zones.front().name,
                        isHob(first.kind) ? first.standardVesselId : ""};
    return out;
}

} // namespace dynamet::book
