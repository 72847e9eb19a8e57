// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/recipe_request.h"

#include <fmt/format.h>

namespace dynamet::book {
namespace {

constexpr double kLongestS = 72 * 3600; // of a stage or a wait

Result<bool> checkStage(const translate::WrittenStage& stage, const kitchen::Kitchen& kitchen,
                        const RecipeRecord& recipe) {
    if (stage.endsAfterS <= 0 && !stage.endsAtCoreK)
        return fail(Errc::invalidArgument, "it should end after a time or at a core temperature");
    if (stage.endsAfterS > kLongestS || stage.waitS > kLongestS)
        return fail(Errc::invalidArgument, "a time should be 72 h at most");
    if (stage.endsAtCoreK && *stage.endsAtCoreK <= recipe.piece.startK)
        return fail(Errc::invalidArgument,
                    "the core it ends at should be above the piece's start temperature");
    const auto* appliance = findAppliance(kitchen, stage.place.applianceId);
    if (stage.edgesDown && appliance && groupOf(appliance->kind) != kitchen::HeatGroup::plates)
        return fail(Errc::invalidArgument, "edges can only stand on a plate");
    if (stage.edgesDown && recipe.piece.shape != heat::Shape::block)
        return fail(Errc::invalidArgument,
                    "edges stand on a plate when the piece is a block (see Piece)");
    return true;
}

} // namespace

translate::Request requestOf(const RecipeRecord& recipe, kitchen::Kitchen kitchen,
                             const Choices& choices) {
    translate::Request out;
    out.kitchen = std::move(kitchen);
    out.recipeText = recipe.text;
    out.piece = recipe.piece;
    for (const StageRecord& stage : recipe.before)
        out.before.push_back(stage.stage);
    out.reference = recipe.reference;
    out.lastForS = recipe.lastForS;
    out.goal = recipe.goal;
    out.rest = recipe.rest;
    out.schools = choices.schools;
    return out;
}

RecipeRecord beginRecipe(const kitchen::Kitchen& kitchen, const Choices& choices) {
    RecipeRecord out;
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
        out.goal = translate::goalOf(scales.front(), levels[levels.size() / 2]);
    if (kitchen.appliances.empty())
        return out;
    const kitchen::Appliance& first = kitchen.appliances.front();
    out.reference = {first.id, kitchen::usualSetting(first.controls), first.zones.front().name,
                     isHob(first.kind) ? first.standardVesselId : ""};
    out.settingText = settingText(first.controls, out.reference.setting);
    return out;
}

Result<bool> checkStages(const RecipeRecord& recipe, const kitchen::Kitchen& kitchen) {
    if (recipe.name.empty())
        return fail(Errc::invalidArgument, "the recipe should have a name");
    if (!findAppliance(kitchen, recipe.reference.applianceId))
        return fail(Errc::invalidArgument, "the kitchen has no appliance yet: add one first");
    for (std::size_t i = 0; i < recipe.before.size(); ++i)
        if (const auto whole = checkStage(recipe.before[i].stage, kitchen, recipe); !whole)
            return tl::unexpected(whole.error().in(fmt::format("stage {}", i + 1)));
    if (recipe.lastForS > kLongestS || recipe.rest.shortestS > kLongestS)
        return fail(Errc::invalidArgument, "a time should be 72 h at most");
    return true;
}

} // namespace dynamet::book
