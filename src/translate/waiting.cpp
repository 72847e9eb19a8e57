// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/waiting.h"

#include "food/judgement.h"
#include "kitchen/hob_use.h"
#include "translate/cook_row.h"
#include "translate/handled.h"
#include "translate/translate.h"

#include <algorithm>
#include <cmath>

namespace dynamet::translate {
namespace {

using kitchen::ApplianceKind;

constexpr double kWarmestK = 353.15, kCoolestK = 333.15, kUsualK = 340.15;
constexpr std::size_t kMostPlaces = 3, kMostTried = 4;
constexpr int kDialPlaces = 15;
constexpr std::size_t kMostSettings = 120;

bool isWarmingPlace(const kitchen::Appliance& on, const kitchen::Zone& zone) {
    switch (on.kind) {
    case ApplianceKind::stillOven:
    case ApplianceKind::fanOven:
    case ApplianceKind::combiOven:
    case ApplianceKind::countertopOven:
    case ApplianceKind::gasGrill:
    case ApplianceKind::charcoalKettle:
    case ApplianceKind::pelletGrill:
        return !zone.direct;
    default:
        return false;
    }
}

std::optional<double> warmthOf(const kitchen::Kitchen& kitchen, const kitchen::Appliance& on,
                               const kitchen::Setting& setting, const std::string& zone) {
    const auto* site = findSite(kitchen, on.siteId);
    const auto field = fieldAt(kitchen, on.id, setting, zone);
    if (!field)
        return std::nullopt;
    return representative(*field, site ? site->ambient.kelvin() : 293.15).kelvin;
}

/// A place that keeps warm, with how far it is from the usual warmth.
struct Warm {
    recipe::Place place;
    double offK = 0;
};

/// The setting of a zone that comes nearest to what keeps food warm; only settings in `of`.
std::optional<Warm> warmest(const kitchen::Kitchen& kitchen, const kitchen::Appliance& on,
                            const std::string& zone, const std::vector<kitchen::Setting>& of) {
    std::optional<Warm> best;
    for (const kitchen::Setting& setting : of) {
        const auto kelvin = warmthOf(kitchen, on, setting, zone);
        if (!kelvin || *kelvin < kCoolestK || *kelvin > kWarmestK)
            continue;
        const double off = std::abs(*kelvin - kUsualK);
        if (best && best->offK <= off)
            continue;
        Warm warm;
        warm.place.applianceId = on.id;
        warm.place.zone = zone;
        warm.place.setting = setting;
        warm.offK = off;
        best = warm;
    }
    return best;
}

/// Nearest to the usual warmth first. The appliance that goes on cooking keeps its setting.
std::vector<recipe::Place> warmPlaces(const Prepared& prepared, const Row& row) {
    const kitchen::Kitchen& kitchen = prepared.request.kitchen;
    std::vector<Warm> found;
    for (const kitchen::Appliance& on : kitchen.appliances) {
        const bool same = on.id == row.target.applianceId;
        const auto settings =
            same ? std::vector<kitchen::Setting>{row.instruction.setting}
                 : possibleSettings(kitchen::settable(on), kDialPlaces, kMostSettings);
        for (const kitchen::Zone& zone : on.zones) {
            if (!isWarmingPlace(on, zone) || (same && zone.name == row.target.zone))
                continue;
            if (const auto warm = warmest(kitchen, on, zone.name, settings))
                found.push_back(*warm);
        }
    }
    std::stable_sort(found.begin(), found.end(),
                     [](const Warm& a, const Warm& b) { return a.offK < b.offK; });
    std::vector<recipe::Place> out;
    for (std::size_t i = 0; i < std::min(kMostTried, found.size()); ++i)
        out.push_back(found[i].place);
    return out;
}

/// The row's own programme, its last stage ended as the row says, and the wait after it.
Result<cook::Programme> withWait(const Prepared& prepared, const Row& row,
                                 cook::Programme programme, const recipe::Place& place,
                                 double waitS) {
    const Request& request = prepared.request;
    programme.last().written.end.afterS = row.outcome.pullS - row.outcome.lastStartS;
    const auto* on = findAppliance(request.kitchen, place.applianceId);
    recipe::Stage wait;
    wait.place = place;
    wait.end.afterS = waitS;
    cook::Stage stage;
    stage.written = wait;
    if (const auto* site = on ? findSite(request.kitchen, on->siteId) : nullptr)
        stage.site = *site;
    auto heat = handled(request, wait, stage.site);
    if (!heat)
        return tl::unexpected(heat.error());
    stage.field = std::move(heat->field);
    stage.heatId = on ? on->name : "";
    programme.stages.push_back(std::move(stage));
    return programme;
}

} // namespace

std::vector<Waiting> waitingPlaces(const Prepared& prepared, const Row& row,
                                   const cook::Programme& programme, double waitS,
                                   std::stop_token stop) {
    const recipe::FoodPiece& piece = prepared.request.recipe.piece;
    const cook::Tables tables = tablesAt(prepared, programme, stop);
    const auto judged = prepared.byLikeness() ? prepared.judged : food::judgementOf(piece.food);
    std::vector<Waiting> out;
    const auto at = [&](const cook::Programme& waited, double lastS,
                        std::optional<recipe::Place> place) {
        auto outcome = cook::cookLastFor(piece, waited, lastS, cook::kQuick, tables);
        if (!outcome)
            return;
        Waiting one;
        one.coreK = place ? outcome->pullK : outcome->plateK;
        one.place = std::move(place);
        one.waitS = waitS;
        one.outcome = std::move(*outcome);
        out.push_back(std::move(one));
    };
    const double lastS = row.outcome.pullS - row.outcome.lastStartS;
    const auto fixed = cook::withFixedTurn(programme, row.outcome);
    const auto atOnce = cook::cookLastFor(piece, fixed, lastS, cook::kQuick, tables);
    if (!atOnce)
        return out;
    cook::Programme foil = fixed;
    foil.rest = {true, true, waitS, std::max(waitS, programme.rest.longestS)};
    at(foil, lastS, std::nullopt);
    for (const recipe::Place& place : warmPlaces(prepared, row))
        if (const auto waited = withWait(prepared, row, fixed, place, waitS))
            at(*waited, waitS, place);
    for (Waiting& one : out) {
        one.differences = cook::differences(one.outcome, *atOnce, judged);
        one.distance = cook::distanceOf(one.differences);
    }
    std::stable_sort(out.begin(), out.end(),
                     [](const Waiting& a, const Waiting& b) { return a.distance < b.distance; });
    if (out.size() > kMostPlaces)
        out.resize(kMostPlaces);
    return out;
}

} // namespace dynamet::translate
