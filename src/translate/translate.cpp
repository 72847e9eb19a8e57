// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/translate.h"

#include "cook/rounds.h"

#include "quantity/parse_duration.h"
#include "quantity/parse_measures.h"
#include "quantity/print.h"
#include "translate/rule_of_thumb.h"
#include "translate/school_effects.h"
#include "translate/search.h"
#include "translate/warnings.h"
#include "translate/window.h"

#include <algorithm>
#include <cmath>

namespace dynamet::translate {
namespace {

/// Faces that meet the same heat need no turning.
bool facesDiffer(const kitchen::HeatField& field, const kitchen::Site& site) {
    return cook::boundaryOf(field, kitchen::Face::bottom, site) !=
           cook::boundaryOf(field, kitchen::Face::top, site);
}

/// The pull as a cook reads it from a thermometer: whole degrees.
double printedPull(double kelvin, bool fahrenheit) {
    const Temperature t = Temperature::kelvin(kelvin);
    return fahrenheit ? Temperature::fahrenheit(std::round(t.fahrenheit())).kelvin()
                      : Temperature::celsius(std::round(t.celsius())).kelvin();
}

} // namespace

std::vector<Target> allTargets(const Request& request) {
    std::vector<Target> out;
    for (const kitchen::Appliance& appliance : request.kitchen.appliances)
        for (const kitchen::Zone& zone : appliance.zones) {
            const bool own = appliance.id == request.reference.applianceId;
            Target target{appliance.id, zone.name, ""};
            if (isHob(appliance.kind))
                target.vesselId = own && !request.reference.vesselId.empty()
                                      ? request.reference.vesselId
                                      : appliance.standardVesselId;
            if (own && zone.name == request.reference.zone)
                out.insert(out.begin(), target);
            else
                out.push_back(target);
        }
    return out;
}

Result<cook::Programme> programmeFor(const Request& request, const Target& target,
                                     const kitchen::Setting& setting) {
    auto field =
        fieldAt(request.kitchen, target.applianceId, setting, target.zone, target.vesselId);
    if (!field)
        return tl::unexpected(field.error());
    cook::Programme programme;
    programme.field = std::move(*field);
    const double touch = contactFactor(request.schools);
    for (kitchen::FieldNumber& number : programme.field.numbers)
        if (number.key.term == kitchen::Term::contact) {
            number.value *= touch;
            number.u *= touch;
        }
    const auto* appliance = findAppliance(request.kitchen, target.applianceId);
    if (const auto* site = findSite(request.kitchen, appliance->siteId))
        programme.site = *site;
    programme.rest = request.rest;
    programme.turning =
        hasTwoFaces(request.piece.shape) && facesDiffer(programme.field, programme.site)
            ? turningOf(request.schools)
            : cook::Turning::never;
    return programme;
}

Result<Prepared> prepare(const Request& asked) {
    const Request request = withSchools(asked);
    const Target own{request.reference.applianceId, request.reference.zone,
                     request.reference.vesselId};
    auto programme = programmeFor(request, own, request.reference.setting);
    if (!programme)
        return tl::unexpected(programme.error().in("the recipe's own appliance"));
    Prepared out{request, *programme, {}, {}, allTargets(request)};
    out.tables = cook::tablesFor(request.piece.food, pressurePa(programme->site));
    auto outcome =
        cook::cookTo(request.piece, *programme, {request.goal.coreK, request.goal.readAt},
                     cook::kFull, out.tables, true);
    if (!outcome)
        return tl::unexpected(outcome.error().in("the recipe where it was written"));
    out.outcome = std::move(*outcome);
    return out;
}

namespace {

/// The same kitchen with the target's own air: its boiling point and its vapour tables.
Prepared atSiteOf(const Prepared& prepared, const Target& target) {
    Prepared local = prepared;
    const auto* appliance = findAppliance(prepared.request.kitchen, target.applianceId);
    if (const auto* site =
            appliance ? findSite(prepared.request.kitchen, appliance->siteId) : nullptr)
        local.tables.vapour = std::make_shared<heat::Vapour>(pressurePa(*site));
    return local;
}

/// Cooks a row at its setting on the full grid and puts the words to it.
Row cooked(const Prepared& prepared, const Prepared& local, Row row) {
    const auto programme = programmeFor(local.request, row.target, row.instruction.setting);
    if (!programme) {
        row.reached = false;
        row.reason = programme.error().message;
        return row;
    }
    auto outcome = cook::cookTo(local.request.piece, *programme,
                                {local.request.goal.coreK, local.request.goal.readAt}, cook::kFull,
                                local.tables);
    ++row.solves;
    row.reached = outcome.has_value();
    if (!outcome) {
        row.reason = outcome.error().message;
        return row;
    }
    row.outcome = std::move(*outcome);
    row.instruction.turning = programme->turning;
    row.crustDistance = crustDistance(row.outcome, prepared.outcome);
    row.instruction.pullK = printedPull(row.outcome.pullK, prepared.request.fahrenheit);
    row.warnings = warningsFor(prepared, row, *programme);
    return row;
}

} // namespace

Row solveRow(const Prepared& prepared, const Target& target, std::stop_token stop) {
    const Prepared local = atSiteOf(prepared, target);
    Row row = findBestSetting(local, target, stop);
    return row.reached ? cooked(prepared, local, std::move(row)) : row;
}

Row solveRowAt(const Prepared& prepared, const Target& target, const kitchen::Setting& setting) {
    Row row;
    row.target = target;
    row.instruction.setting = setting;
    return cooked(prepared, atSiteOf(prepared, target), std::move(row));
}

void addWindow(const Prepared& prepared, Row& row, std::stop_token stop) {
    const auto programme = programmeFor(prepared.request, row.target, row.instruction.setting);
    if (!row.reached || !programme)
        return;
    const cook::Programme fixed = cook::withFixedTurn(*programme, row.outcome);
    cook::Tables tables = prepared.tables;
    tables.vapour = std::make_shared<heat::Vapour>(pressurePa(fixed.site));
    const WindowInput input{
        &prepared.request.piece, &fixed, row.instruction.pullK, prepared.request.goal.bandHighK,
        prepared.request.spread, tables, prepared.request.seed};
    auto window = windowOf(input, row.solves, stop);
    if (!window) {
        row.warnings.push_back({"no_window", window.error().message});
        return;
    }
    row.window = std::move(*window);
    row.rule = ruleOfThumb(prepared, row.target);
}

std::vector<Row> translateAll(const Prepared& prepared, std::stop_token stop) {
    std::vector<Row> rows;
    for (const Target& target : prepared.targets) {
        rows.push_back(solveRow(prepared, target, stop));
        addWindow(prepared, rows.back(), stop);
    }
    std::stable_sort(rows.begin(), rows.end(), [&](const Row& a, const Row& b) {
        return ranksBefore(a, b, prepared.outcome);
    });
    return rows;
}

namespace {

/// The tables of a programme's own air.
cook::Tables tablesAt(const Prepared& prepared, const cook::Programme& programme) {
    return {prepared.tables.material, std::make_shared<heat::Vapour>(pressurePa(programme.site))};
}

cook::CookTarget targetOf(const Request& request) {
    return {request.goal.coreK, request.goal.readAt};
}

std::string pullAndTime(const cook::Outcome& outcome, bool fahrenheit) {
    return "pull at " + printDegrees(printedPull(outcome.pullK, fahrenheit), fahrenheit) +
           ", about " + printDuration(roundedDownTime(outcome.pullS)) + ".";
}

} // namespace

Result<cook::Outcome> fullOutcome(const Prepared& prepared, const Row& row) {
    const auto programme = programmeFor(prepared.request, row.target, row.instruction.setting);
    if (!programme)
        return tl::unexpected(programme.error());
    return cook::cookFor(prepared.request.piece, cook::withFixedTurn(*programme, row.outcome),
                         row.outcome.pullS, cook::kFull, tablesAt(prepared, *programme), true);
}

std::vector<std::string> roundLines(const Prepared& prepared, const Row& row) {
    constexpr double kGapS = 60; // to take one batch off and lay the next on
    const Request& request = prepared.request;
    std::vector<std::string> out;
    if (!row.reached || request.piece.rounds < 2)
        return out;
    const auto programme = programmeFor(request, row.target, row.instruction.setting);
    if (!programme)
        return out;
    const auto rounds =
        cook::cookRounds(request.piece, *programme, targetOf(request), request.piece.rounds, kGapS,
                         cook::kFull, tablesAt(prepared, *programme));
    if (!rounds)
        return {"Rounds: " + rounds.error().message + "."};
    for (std::size_t i = 1; i < rounds->size(); ++i) {
        const cook::Round& round = (*rounds)[i];
        std::string line = "Round " + std::to_string(i + 1) + ": ";
        if (std::isfinite(round.plateStartK))
            line += "the plate is at " + printDegrees(round.plateStartK, request.fahrenheit) +
                    " as it goes on; ";
        out.push_back(line + pullAndTime(round.outcome, request.fahrenheit));
    }
    return out;
}

std::vector<std::string> companionLines(const Prepared& prepared, const Row& row, bool inches) {
    const Request& request = prepared.request;
    std::vector<std::string> out;
    if (!row.reached || request.piece.othersM.empty())
        return out;
    const auto programme = programmeFor(request, row.target, row.instruction.setting);
    if (!programme)
        return out;
    const cook::Tables tables = tablesAt(prepared, *programme);
    auto thicknesses = request.piece.othersM;
    std::sort(thicknesses.begin(), thicknesses.end());
    for (double thickness : thicknesses) {
        cook::FoodPiece piece = request.piece;
        piece.thicknessM = thickness;
        const auto outcome =
            cook::cookTo(piece, *programme, targetOf(request), cook::kFull, tables);
        out.push_back(
            "The piece of " + printLength(thickness, inches) + ": " +
            (outcome ? pullAndTime(*outcome, request.fahrenheit) : outcome.error().message + "."));
    }
    return out;
}

bool ranksBefore(const Row& a, const Row& b, const cook::Outcome& reference) {
    if (a.reached != b.reached)
        return a.reached;
    if (!a.reached)
        return false;
    const double stepA = std::floor(a.crustDistance / 0.2),
                 stepB = std::floor(b.crustDistance / 0.2);
    if (stepA != stepB)
        return stepA < stepB;
    // Rims are told apart to half a millimetre.
    const double rimA = std::floor(std::abs(a.outcome.rimM - reference.rimM) / 5e-4);
    const double rimB = std::floor(std::abs(b.outcome.rimM - reference.rimM) / 5e-4);
    if (rimA != rimB)
        return rimA < rimB;
    return a.outcome.pullS < b.outcome.pullS;
}

} // namespace dynamet::translate
