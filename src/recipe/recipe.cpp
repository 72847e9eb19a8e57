// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recipe/recipe.h"

#include <fmt/format.h>

namespace dynamet::recipe {
namespace {

constexpr double kLongestS = 72 * 3600; // of a stage or a wait

Result<void> checkStage(const Stage& stage, const kitchen::Kitchen& kitchen, const Recipe& recipe) {
    const auto* appliance = findAppliance(kitchen, stage.place.applianceId);
    if (!appliance)
        return fail(Errc::invalidArgument, "the kitchen has no such appliance: choose one");
    if (stage.end.afterS > kLongestS || stage.waitS > kLongestS)
        return fail(Errc::invalidArgument, "a time should be 72 h at most");
    if (stage.end.coreK && *stage.end.coreK <= recipe.piece.startK)
        return fail(Errc::invalidArgument,
                    "the core it ends at should be above the piece's start temperature");
    if (stage.edgesDown && groupOf(appliance->kind) != kitchen::HeatGroup::plates)
        return fail(Errc::invalidArgument, "edges can only stand on a plate");
    if (stage.edgesDown && recipe.piece.shape != heat::Shape::block)
        return fail(Errc::invalidArgument,
                    "edges stand on a plate when the piece is a block (see Piece)");
    return {};
}

} // namespace

Goal goalOf(const food::DonenessScale& scale, const food::DonenessLevel& level) {
    return {(level.lowK + level.highK) / 2, scale.readAt, level.lowK, level.highK,
            level.name + ", " + scale.name};
}

Result<void> checkRecipe(const Recipe& recipe, const kitchen::Kitchen& kitchen) {
    if (recipe.name.empty())
        return fail(Errc::invalidArgument, "the recipe should have a name");
    if (kitchen.appliances.empty())
        return fail(Errc::invalidArgument, "the kitchen has no appliance yet: add one first");
    for (std::size_t i = 0; i < recipe.stages.size(); ++i) {
        const std::string where = fmt::format("stage {}", i + 1);
        const Stage& stage = recipe.stages[i];
        if (const auto whole = checkStage(stage, kitchen, recipe); !whole)
            return tl::unexpected(whole.error().in(where));
        const bool last = i + 1 == recipe.stages.size();
        if (!last && stage.end.byGoal())
            return fail(Errc::invalidArgument,
                        where + ": it should end after a time or at a core temperature");
        if (last && stage.end.coreK)
            return fail(Errc::invalidArgument,
                        where +
                            ": the last stage ends by the goal or after a time; a core to leave "
                            "at is set as the doneness (see Piece)");
    }
    if (recipe.rest.shortestS > kLongestS)
        return fail(Errc::invalidArgument, "a time should be 72 h at most");
    return {};
}

} // namespace dynamet::recipe
