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
        return fail(Errc::invalidArgument, Finding{"stage_without_appliance"});
    if (stage.end.afterS > kLongestS || stage.waitS > kLongestS)
        return fail(Errc::invalidArgument, Finding{"time_too_long"});
    if (stage.end.coreK && *stage.end.coreK <= recipe.piece.startK)
        return fail(Errc::invalidArgument, Finding{"end_core_below_start"});
    if (stage.edgesDown && groupOf(appliance->kind) != kitchen::HeatGroup::plates)
        return fail(Errc::invalidArgument, Finding{"edges_need_plate"});
    if (stage.edgesDown && recipe.piece.shape != heat::Shape::block)
        return fail(Errc::invalidArgument, Finding{"edges_need_block"});
    return {};
}

} // namespace

Goal goalOf(const food::DonenessScale& scale, const food::DonenessLevel& level) {
    return {(level.lowK + level.highK) / 2, scale.readAt, level.lowK, level.highK,
            level.name + ", " + scale.name};
}

Result<void> checkRecipe(const Recipe& recipe, const kitchen::Kitchen& kitchen) {
    if (recipe.name.empty())
        return fail(Errc::invalidArgument, Finding{"recipe_without_name"});
    if (kitchen.appliances.empty())
        return fail(Errc::invalidArgument, Finding{"kitchen_empty"});
    for (std::size_t i = 0; i < recipe.stages.size(); ++i) {
        const auto wrong = [i](const char* code) {
            return tl::unexpected(
                Error{Errc::invalidArgument, code, 0, {code}}.in(fmt::format("stage {}", i + 1)));
        };
        const Stage& stage = recipe.stages[i];
        if (const auto whole = checkStage(stage, kitchen, recipe); !whole)
            return tl::unexpected(whole.error().in(fmt::format("stage {}", i + 1)));
        const bool last = i + 1 == recipe.stages.size();
        if (!last && stage.end.byGoal())
            return wrong("stage_without_end");
        if (last && stage.end.coreK)
            return wrong("last_stage_by_core");
    }
    if (recipe.rest.shortestS > kLongestS)
        return fail(Errc::invalidArgument, Finding{"time_too_long"});
    return {};
}

} // namespace dynamet::recipe
