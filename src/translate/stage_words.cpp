// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/stage_words.h"

#include "quantity/parse_duration.h"
#include "quantity/print.h"

#include <cmath>
#include <fmt/format.h>

namespace dynamet::translate {
namespace {

std::string waitWords(const WrittenStage& stage) {
    if (stage.waitS <= 0)
        return "";
    return fmt::format("; then wait {}{}", printDuration(stage.waitS),
                       stage.waitTented ? " under foil" : "");
}

const char* edgeWords(const WrittenStage& stage) {
    return stage.edgesDown ? ", edges down" : "";
}

} // namespace

std::string placeWords(const kitchen::Kitchen& kitchen, const Reference& place, Units units) {
    const auto* a = findAppliance(kitchen, place.applianceId);
    if (!a)
        return "";
    std::string out = a->name;
    if (a->zones.size() > 1)
        out += ", " + place.zone;
    out += ", " + settingLabel(a->controls, place.setting, units.temperature());
    if (const auto* vessel = findVessel(kitchen, place.vesselId))
        out += ", " + vessel->name;
    return place.lidOpen ? out + ", lid open" : out;
}

std::string endWords(double afterS, std::optional<double> coreK, Units units) {
    std::string out;
    if (coreK)
        out = "until the core reads " + printDegrees(*coreK, units.fahrenheit);
    if (afterS > 0)
        out += coreK ? ", " + printDuration(afterS) + " at most" : "for " + printDuration(afterS);
    return out.empty() ? "until the goal is met" : out;
}

std::vector<std::string> writtenStageLines(const Request& request, Units units) {
    const std::string last = placeWords(request.kitchen, request.reference, units);
    const std::string lastEnd =
        request.lastForS > 0 ? " " + endWords(request.lastForS, std::nullopt, units) : "";
    if (request.before.empty())
        return {last + lastEnd};
    std::vector<std::string> out;
    for (const WrittenStage& stage : request.before)
        out.push_back(fmt::format("{}. {}{} {}{}", out.size() + 1,
                                  placeWords(request.kitchen, stage.place, units), edgeWords(stage),
                                  endWords(stage.endsAfterS, stage.endsAtCoreK, units),
                                  waitWords(stage)));
    out.push_back(fmt::format("{}. {}{}", out.size() + 1, last, lastEnd));
    return out;
}

std::vector<std::string> rowStageLines(const Row& row, const Prepared& prepared, Units units) {
    const Request& request = prepared.request;
    std::vector<std::string> out;
    if (!request.moved || request.before.empty() || !row.reached)
        return out;
    const Reference here = placeOn(request, row.target, row.instruction.setting);
    const auto& passed = row.outcome.stages;
    for (std::size_t i = 0; i < passed.size(); ++i) {
        const WrittenStage& stage = request.before[i];
        const bool moved = i == *request.moved;
        const double took = passed[i].endS - passed[i].startS;
        std::string line = fmt::format(
            "{}. {}{}: ", i + 1, placeWords(request.kitchen, moved ? here : stage.place, units),
            edgeWords(stage));
        line += stage.endsAfterS > 0 ? fmt::format("{}, the core leaves at {}", printDuration(took),
                                                   printDegrees(passed[i].leaveK, units.fahrenheit))
                                     : fmt::format("until the core reads {}, about {}",
                                                   printDegrees(passed[i].leaveK, units.fahrenheit),
                                                   printDuration(roundedDownTime(took)));
        if (std::isfinite(passed[i].turnS))
            line +=
                ", turn at " + printDuration(roundedDownTime(passed[i].turnS - passed[i].startS));
        out.push_back(line + waitWords(stage) + ".");
    }
    const bool lastMoved = *request.moved >= request.before.size();
    std::string line =
        fmt::format("{}. {}: about {}", out.size() + 1,
                    placeWords(request.kitchen, lastMoved ? here : request.reference, units),
                    printDuration(roundedDownTime(row.outcome.pullS - row.outcome.lastStartS)));
    if (std::isfinite(row.outcome.turnS))
        line += ", turn at " +
                printDuration(roundedDownTime(row.outcome.turnS - row.outcome.lastStartS));
    out.push_back(line + ", the core leaves at " +
                  printDegrees(row.outcome.pullK, units.fahrenheit) + ".");
    return out;
}

std::vector<std::string> movableWords(const Request& request) {
    std::vector<std::string> out{"the whole cook, straight through"};
    if (request.before.empty())
        return out;
    const auto add = [&](const Reference& place) {
        const auto* a = findAppliance(request.kitchen, place.applianceId);
        out.push_back(fmt::format("stage {} ({})", out.size(), a ? a->name : place.applianceId));
    };
    for (const WrittenStage& stage : request.before)
        add(stage.place);
    add(request.reference);
    return out;
}

} // namespace dynamet::translate
