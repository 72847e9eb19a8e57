// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/reheat.h"

#include "kitchen/find_setting.h"

#include <cmath>

namespace dynamet::plan {
namespace {

bool isOven(kitchen::ApplianceKind kind) {
    using kitchen::ApplianceKind;
    return kind == ApplianceKind::stillOven || kind == ApplianceKind::fanOven ||
           kind == ApplianceKind::combiOven || kind == ApplianceKind::countertopOven;
}

/// The setting of a zone that comes nearest to the wished heat.
std::optional<kitchen::Setting> nearest(const kitchen::Kitchen& kitchen,
                                        const kitchen::Appliance& on, const std::string& zone) {
    constexpr double kAboutK = 15;
    const auto found =
        findSettings(kitchen, on, {{{zone, kReheatHeatK - kAboutK, kReheatHeatK + kAboutK}}}, 0.0);
    if (!found)
        return std::nullopt;
    std::optional<kitchen::Setting> best;
    double off = 2 * kAboutK;
    for (const kitchen::FoundSetting& one : *found) {
        const double away = std::abs(one.zones.front().kelvin - kReheatHeatK);
        if (away < off) {
            off = away;
            best = one.setting;
        }
    }
    return best;
}

} // namespace

translate::Request reheated(translate::Request request, const Menu& menu) {
    recipe::Recipe& recipe = request.recipe;
    recipe::Stage stage;
    stage.place = recipe.last().place;
    for (const kitchen::Appliance& on : request.kitchen.appliances) {
        if (!isOven(on.kind) || (!menu.siteId.empty() && on.siteId != menu.siteId))
            continue;
        if (const auto setting = nearest(request.kitchen, on, on.zones.front().name)) {
            stage.place = {on.id, *setting, on.zones.front().name, ""};
            break;
        }
    }
    recipe.stages = {stage};
    recipe.piece.startK = menu.limits.coldK;
    recipe.piece.temperedS = 0;
    recipe.piece.surface = recipe::SurfaceState::patted;
    recipe.goal = {kReheatedK, food::GoalMoment::pull, kReheatedK - 1, kReheatedK + 5, "reheated"};
    recipe.time = {};
    recipe.corrections.clear();
    recipe.text.clear();
    request.others.clear();
    request.moved.reset();
    request.writtenPiece.reset();
    request.believed.reset();
    return request;
}

} // namespace dynamet::plan
