// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/warnings.h"

#include "food/browning.h"
#include "food/safety.h"
#include "food/seasoning.h"
#include "kitchen/hob_use.h"
#include "translate/handled.h"
#include "translate/programmes.h"
#include "translate/room.h"

#include <cmath>

namespace dynamet::translate {
namespace {

constexpr double kRimMatters = 0.0025; // m of difference that a guest would see

void addCrust(std::vector<Finding>& out, const cook::Outcome& is, const cook::Outcome& wanted,
              double distance) {
    const auto crust = [](double index) { return Name{food::crustWord(index)}; };
    if (is.darker() > 3)
        out.push_back({"scorched", {crust(is.darker()), Number{is.darker(), 1}}});
    if (distance < kSameCrust)
        return;
    // The face that is off is named by the paler ones where the darker ones look alike.
    const bool byPaler = food::crustWord(is.darker()) == food::crustWord(wanted.darker());
    const double has = byPaler ? is.paler() : is.darker();
    const double should = byPaler ? wanted.paler() : wanted.darker();
    constexpr double kSeen = 0.1; // indexes that print alike look alike
    if (std::abs(has - should) < kSeen)
        return;
    const std::string code = has < should ? "crust_not_reached" : "crust_darker";
    out.push_back({code,
                   {Name{byPaler ? "the paler face " : ""}, crust(has), Number{has, 1},
                    crust(should), Number{should, 1}}});
}

/// What is on the food burns before the food does; it rides proud of the face or lies on it.
void addSeasonings(std::vector<Finding>& out, const recipe::FoodPiece& piece,
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
            out.push_back({"seasoning_scorches", {Name{seasoning->name}}});
    }
}

void addSmoke(std::vector<Finding>& out, const Request& request, const cook::Outcome& is) {
    const auto fat = food::findFat(request.recipe.piece.fat);
    if (!fat || !std::isfinite(is.smokesFromS))
        return;
    std::string others;
    for (const food::CookingFat& other : food::shippedFats())
        if (other.smokeK > is.hottestTouchK + other.uK)
            others += (others.empty() ? "" : ", ") + other.name;
    const std::string code = food::chosen("fat", request.schools).id == "taste" ? "fat_smokes_taste"
                             : others.empty()                                   ? "fat_smokes_all"
                                                                                : "fat_smokes";
    out.push_back({code,
                   {Name{fat->name}, Temperature::kelvin(fat->smokeK),
                    Temperature::kelvin(is.hottestTouchK), Name{others}}});
}

bool onlyAssumed(const kitchen::HeatField& field) {
    for (const kitchen::FieldNumber& n : field.numbers)
        if (n.provenance != kitchen::Provenance::assumed)
            return false;
    return true;
}

/// By the clock the core is not solved for.
void addCore(std::vector<Finding>& out, const Prepared& prepared, const cook::Outcome& is) {
    constexpr double kTold = 1.5; // K
    const double off = is.peakK - prepared.outcome.peakK;
    if (std::abs(off) > kTold)
        out.push_back(
            {off > 0 ? "core_hotter" : "core_cooler",
             {Temperature::kelvin(is.peakK), Temperature::kelvin(prepared.outcome.peakK)}});
}

/// What a hob's own electronics take away from a stage.
void addHobLimits(std::vector<Finding>& out, const Request& request, const Row& row,
                  const cook::Programme& programme) {
    constexpr double kNearK = 3;
    for (std::size_t i = 0; i < programme.stages.size(); ++i) {
        const cook::Stage& stage = programme.stages[i];
        const bool moved = !request.moved || i == *request.moved;
        const recipe::Place place = moved ? placeOf(request, row) : stage.written.place;
        const auto* hob = findAppliance(request.kitchen, place.applianceId);
        if (!hob || !isHob(hob->kind))
            continue;
        const double tookS = i + 1 == programme.stages.size()
                                 ? row.outcome.pullS - row.outcome.lastStartS
                                 : row.outcome.stages[i].endS - row.outcome.stages[i].startS;
        if (const auto after = kitchen::afterBoost(*hob, place.setting);
            after && tookS > hob->hob.boostS)
            out.push_back({"boost_ends",
                           {Seconds{hob->hob.boostS},
                            Name{settingLabel(hob->controls, *after, request.units)}}});
        const auto* set = seenBy(stage.field, kitchen::Face::bottom, kitchen::Term::plateSet);
        const double limitK = hob->hob.panLimitK;
        if (limitK > 0 && set && set->value >= limitK &&
            row.outcome.hottestTouchK > limitK - kNearK)
            out.push_back({"pan_limited", {Temperature::kelvin(limitK)}});
        const double input = kitchen::inputOf(*hob, place.setting);
        if (hob->hob.sharedInputW > 0 && input > hob->hob.sharedInputW / 2)
            out.push_back({"shares_power", {Number{hob->hob.sharedInputW, 0, "W"}}});
    }
}

/// Steps of the stage that only its own appliance knows.
void addLeftOut(std::vector<Finding>& out, const Request& request, const Row& row) {
    const recipe::Stage& stage = movedStage(request);
    const auto* from = findAppliance(request.kitchen, stage.place.applianceId);
    const auto* to = findAppliance(request.kitchen, row.target.applianceId);
    if (!from || !to || (!request.moved && request.recipe.stages.size() > 1))
        return;
    const std::size_t before = stage.handling.steps.size();
    const std::size_t after = carriedOver(stage.handling, *from, *to).steps.size();
    if (after < before)
        out.push_back({"steps_left_out", {Number{static_cast<double>(before - after)}}});
}

} // namespace

std::vector<Finding> warningsFor(const Prepared& prepared, const Row& row,
                                 const cook::Programme& programme) {
    std::vector<Finding> out;
    const auto& request = prepared.request;
    const auto verdict = food::judgeSafety(request.recipe.piece.food, request.recipe.piece.form,
                                           row.outcome.peakK, row.outcome.kills);
    if (verdict.below) // in words: the whole verdict (words/safety_words.h)
        out.push_back({"below_minimum",
                       {Temperature::kelvin(row.outcome.peakK),
                        Temperature::kelvin(verdict.minimum->kelvin)}});
    if (row.outcome.dangerS > food::kDangerLimitS)
        out.push_back(
            {"danger_zone",
             {Temperature::kelvin(food::kDangerLowK), Temperature::kelvin(food::kDangerHighK),
              Number{row.outcome.dangerS / 3600, 1, "h"}}});
    if (programme.endsByClock())
        addCore(out, prepared, row.outcome);
    addCrust(out, row.outcome, prepared.outcome, row.crustDistance);
    addSeasonings(out, request.recipe.piece, row.outcome);
    addSmoke(out, request, row.outcome);
    const double rim = row.outcome.rimM - prepared.outcome.rimM;
    if (std::abs(rim) > kRimMatters && request.recipe.piece.food.losesJuice)
        out.push_back({"rim", {Metres{row.outcome.rimM}, Metres{prepared.outcome.rimM}}});
    addHobLimits(out, request, row, programme);
    if (const auto room = roomAt(request.kitchen, request.recipe.piece, placeOf(request, row));
        room && room->rounds > 1)
        out.push_back({"batches",
                       {Number{static_cast<double>(room->together), 0},
                        Number{static_cast<double>(request.recipe.piece.pieces), 0},
                        Number{static_cast<double>(room->rounds), 0}}});
    addLeftOut(out, request, row);
    const kitchen::HeatField& field = movedField(request, programme);
    if (onlyAssumed(field))
        out.push_back({"assumed_field"});
    if (field.numbers.empty())
        return out;
    const auto* vessel = findVessel(request.kitchen, row.target.vesselId);
    const auto* plate = seenBy(field, kitchen::Face::bottom, kitchen::Term::plate);
    if (vessel && plate && vessel->highestTemperatureK &&
        plate->value > *vessel->highestTemperatureK)
        out.push_back({"vessel_limit",
                       {Name{vessel->name}, Temperature::kelvin(*vessel->highestTemperatureK)}});
    return out;
}

} // namespace dynamet::translate
