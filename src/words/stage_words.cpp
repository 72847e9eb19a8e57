// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/stage_words.h"

#include "quantity/parse_duration.h"
#include "quantity/print.h"
#include "recipe/handling_words.h"
#include "words/cautions.h"

#include <cmath>
#include <fmt/format.h>

namespace dynamet::words {

using namespace dynamet::translate;

namespace {

std::string waitWords(const recipe::Stage& stage) {
    if (stage.waitS <= 0)
        return "";
    return fmt::format("; then wait {}{}", printDuration(stage.waitS),
                       stage.waitTented ? " under foil" : "");
}

/// "; lid on, turn at 3 min".
std::string handlingWords(const Request& request, const recipe::Stage& stage, Units units) {
    const auto* on = findAppliance(request.kitchen, stage.place.applianceId);
    if (!on)
        return "";
    const std::string sentence =
        recipe::handlingSentence(stage.handling, *on, stage.place.setting, units.temperature());
    return sentence.empty() ? "" : "; " + sentence;
}

const char* edgeWords(const recipe::Stage& stage) {
    return stage.edgesDown ? ", edges down" : "";
}

} // namespace

std::string placeWords(const kitchen::Kitchen& kitchen, const recipe::Place& place, Units units) {
    const auto* a = findAppliance(kitchen, place.applianceId);
    if (!a)
        return "";
    std::string out = a->name;
    if (a->zones.size() > 1)
        out += ", " + place.zone;
    out += ", " + settingLabel(a->controls, place.setting, units);
    if (const auto* vessel = findVessel(kitchen, place.vesselId))
        out += ", " + vessel->name;
    for (const kitchen::Insert& insert : kitchen.inserts)
        if (insert.id == place.insertId)
            out += ", " + insert.name;
    if (place.heightM > 0)
        out += fmt::format(", grate {} over the coals", printLength(place.heightM, units.inches));
    return place.lidOpen ? out + ", lid open" : out;
}

std::string endWords(const recipe::StageEnd& end, Units units) {
    if (end.byGoal())
        return "until the goal is met";
    std::string out;
    if (end.coreK)
        out = "until the core reads " + printDegrees(*end.coreK, units);
    if (end.afterS > 0)
        out += end.coreK ? ", " + printDuration(end.afterS) + " at most"
                         : "for " + printDuration(end.afterS);
    return out;
}

std::vector<std::string> writtenStageLines(const Request& request, Units units) {
    const auto& stages = request.recipe.stages;
    std::vector<std::string> out;
    for (const recipe::Stage& stage : stages) {
        std::string line = stages.size() > 1 ? fmt::format("{}. ", out.size() + 1) : "";
        line += placeWords(request.kitchen, stage.place, units) + edgeWords(stage);
        if (!stage.end.byGoal())
            line += " " + endWords(stage.end, units);
        out.push_back(line + handlingWords(request, stage, units) + waitWords(stage));
    }
    return out;
}

std::vector<std::string> rowStageLines(const Row& row, const Prepared& prepared, Units units) {
    const Request& request = prepared.request;
    std::vector<std::string> out;
    const auto& stages = request.recipe.stages;
    if (!request.moved || stages.size() == 1 || !row.reached)
        return out;
    const recipe::Place here = placeOf(request, row);
    const auto& passed = row.outcome.stages;
    for (std::size_t i = 0; i < passed.size(); ++i) {
        const recipe::Stage& stage = stages[i];
        const bool moved = i == *request.moved;
        const double took = passed[i].endS - passed[i].startS;
        std::string line = fmt::format(
            "{}. {}{}: ", i + 1, placeWords(request.kitchen, moved ? here : stage.place, units),
            edgeWords(stage));
        line += stage.end.afterS > 0 ? fmt::format("{}, the core leaves at {}", printDuration(took),
                                                   printDegrees(passed[i].leaveK, units))
                                     : fmt::format("until the core reads {}, about {}",
                                                   printDegrees(passed[i].leaveK, units),
                                                   printDuration(roundedDownTime(took)));
        if (std::isfinite(passed[i].turnS))
            line +=
                ", turn at " + printDuration(roundedDownTime(passed[i].turnS - passed[i].startS));
        out.push_back(line + waitWords(stage) + ".");
    }
    std::string line = fmt::format(
        "{}. {}: about {}", out.size() + 1,
        placeWords(request.kitchen, lastMoves(request) ? here : stages.back().place, units),
        printDuration(roundedDownTime(row.outcome.pullS - row.outcome.lastStartS)));
    if (std::isfinite(row.outcome.turnS))
        line += ", turn at " +
                printDuration(roundedDownTime(row.outcome.turnS - row.outcome.lastStartS));
    out.push_back(line + ", the core leaves at " + printDegrees(row.outcome.pullK, units) + ".");
    return out;
}

std::vector<std::string> rowCautions(const Row& row, const Prepared& prepared) {
    const Request& request = prepared.request;
    const std::vector<recipe::Stage> stages = stagesOf(request, row);
    std::vector<std::string> out;
    std::size_t number = 0;
    for (const auto& before : cautionsOf(stages, request.recipe.piece, request.kitchen)) {
        ++number;
        for (const Caution& caution : before)
            out.push_back(stages.size() > 1
                              ? fmt::format("Before stage {}: {}", number, caution.text)
                              : caution.text);
    }
    return out;
}

std::vector<std::string> movableWords(const Request& request) {
    std::vector<std::string> out{"the whole cook, straight through"};
    if (request.recipe.stages.size() == 1)
        return out;
    for (const recipe::Stage& stage : request.recipe.stages) {
        const auto* a = findAppliance(request.kitchen, stage.place.applianceId);
        out.push_back(
            fmt::format("stage {} ({})", out.size(), a ? a->name : stage.place.applianceId));
    }
    return out;
}

} // namespace dynamet::words
