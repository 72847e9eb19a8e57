// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/warnings.h"

#include "food/browning.h"
#include "food/safety.h"
#include "food/seasoning.h"
#include "quantity/print.h"

#include <cmath>
#include <fmt/format.h>

namespace dynamet::translate {
namespace {

constexpr double kRimMatters = 0.0025; // m of difference that a guest would see

void addCrust(std::vector<Warning>& out, const cook::Outcome& is, const cook::Outcome& wanted,
              double distance) {
    if (is.darker() > 3)
        out.push_back({"scorched", fmt::format("the darker face would be {} (index {:.1f})",
                                               food::crustWord(is.darker()), is.darker())});
    if (distance < kSameCrust)
        return;
    // The face that is off is named by the paler ones where the darker ones look alike.
    const std::string darker = food::crustWord(is.darker()),
                      asked = food::crustWord(wanted.darker());
    const bool byPaler = darker == asked;
    const double has = byPaler ? is.paler() : is.darker();
    const double should = byPaler ? wanted.paler() : wanted.darker();
    const bool paler = has < should;
    out.push_back({paler ? "crust_not_reached" : "crust_darker",
                   fmt::format("crust {}: {}{} ({:.1f}) where the recipe gives {} ({:.1f})",
                               paler ? "not reached" : "darker", byPaler ? "the paler face " : "",
                               food::crustWord(has), has, food::crustWord(should), should)});
}

/// What is on the food burns before the food does; it rides proud of the face or lies on it.
void addSeasonings(std::vector<Warning>& out, const recipe::FoodPiece& piece,
                   const cook::Outcome& is) {
    for (const std::string& id : piece.seasonings) {
        const auto seasoning = food::findSeasoning(id);
        if (!seasoning)
            continue;
        double worst = 0;
        for (std::size_t f = 0; f < is.browning.size(); ++f)
            if (is.hasFace[f])
                worst = std::max(worst, seasoning->ridesProud ? is.raised[f] : is.browning[f]);
        if (worst * seasoning->factor > food::kScorchIndex)
            out.push_back({"seasoning_scorches",
                           fmt::format("{} would scorch here; put it on later or take gentler heat "
                                       "(known to a factor of 2)",
                                       seasoning->name)});
    }
}

void addSmoke(std::vector<Warning>& out, const Request& request, const cook::Outcome& is) {
    const auto fat = food::findFat(request.recipe.piece.fat);
    if (!fat || !std::isfinite(is.smokesFromS))
        return;
    std::string advice;
    if (food::chosen("fat", request.schools).id == "taste")
        advice = "add it at the end, or keep the heat below that";
    else
        for (const food::CookingFat& other : food::shippedFats())
            if (other.smokeK > is.hottestTouchK + other.uK)
                advice += (advice.empty() ? "these stand it: " : ", ") + other.name;
    out.push_back({"fat_smokes",
                   fmt::format("{} smokes from about {} and meets {} here: ventilate; {}. If it "
                               "burns: lid on, heat off, never water",
                               fat->name, printDegrees(fat->smokeK, request.units.fahrenheit),
                               printDegrees(is.hottestTouchK, request.units.fahrenheit),
                               advice.empty() ? "no fat in the table withstands it" : advice)});
}

bool onlyAssumed(const kitchen::HeatField& field) {
    for (const kitchen::FieldNumber& n : field.numbers)
        if (n.provenance != kitchen::Provenance::assumed)
            return false;
    return true;
}

/// By the clock the core is not solved for.
void addCore(std::vector<Warning>& out, const Prepared& prepared, const cook::Outcome& is) {
    constexpr double kTold = 1.5; // K
    const double off = is.peakK - prepared.outcome.peakK;
    const bool fahrenheit = prepared.request.units.fahrenheit;
    if (std::abs(off) > kTold)
        out.push_back({off > 0 ? "core_hotter" : "core_cooler",
                       fmt::format("the core comes to {} where the recipe gives {}",
                                   printDegrees(is.peakK, fahrenheit),
                                   printDegrees(prepared.outcome.peakK, fahrenheit))});
}

} // namespace

std::vector<Warning> warningsFor(const Prepared& prepared, const Row& row,
                                 const cook::Programme& programme) {
    std::vector<Warning> out;
    const auto& request = prepared.request;
    const auto verdict =
        food::judgeSafety(request.recipe.piece.food, request.recipe.piece.form, row.outcome.peakK,
                          row.outcome.kills, request.units.fahrenheit);
    if (verdict.below)
        out.push_back({"below_minimum", verdict.text});
    if (row.outcome.dangerS > food::kDangerLimitS)
        out.push_back(
            {"danger_zone",
             fmt::format("the core is between {} and {} for {} h; common advice is at most 2 h",
                         printDegrees(food::kDangerLowK, request.units.fahrenheit),
                         printDegrees(food::kDangerHighK, request.units.fahrenheit),
                         printFixed(row.outcome.dangerS / 3600, 1))});
    if (programme.endsByClock())
        addCore(out, prepared, row.outcome);
    addCrust(out, row.outcome, prepared.outcome, row.crustDistance);
    addSeasonings(out, request.recipe.piece, row.outcome);
    addSmoke(out, request, row.outcome);
    const double rim = row.outcome.rimM - prepared.outcome.rimM;
    if (std::abs(rim) > kRimMatters)
        out.push_back({"rim", fmt::format("grey rim {} where the recipe gives {}",
                                          printThin(row.outcome.rimM, request.units),
                                          printThin(prepared.outcome.rimM, request.units))});
    const kitchen::HeatField& field = movedField(request, programme);
    if (onlyAssumed(field))
        out.push_back({"assumed_field", "this heat is only assumed: rate the appliance first"});
    if (field.numbers.empty())
        return out;
    const auto* vessel = findVessel(request.kitchen, row.target.vesselId);
    const auto* plate = seenBy(field, kitchen::Face::bottom, kitchen::Term::plate);
    if (vessel && plate && vessel->highestTemperatureK &&
        plate->value > *vessel->highestTemperatureK)
        out.push_back({"vessel_limit", fmt::format("{} stands {} at most", vessel->name,
                                                   printDegrees(*vessel->highestTemperatureK,
                                                                request.units.fahrenheit))});
    return out;
}

} // namespace dynamet::translate
