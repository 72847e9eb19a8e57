// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cli/requests.h"
#include "cli/verb.h"
#include "food/browning.h"
#include "formats/report_json.h"
#include "quantity/parse_duration.h"
#include "quantity/print.h"
#include "translate/school_effects.h"
#include "translate/translate.h"
#include "words/stage_words.h"
#include "words/way_words.h"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

namespace dynamet::cli {
namespace {

std::string rowText(const translate::Row& row, const translate::Prepared& prepared) {
    const auto* a = findAppliance(prepared.request.kitchen, row.target.applianceId);
    const Units units = prepared.request.units;
    std::string out = fmt::format("{} ({})", a->name, row.target.zone);
    if (!row.reached)
        return out + ": " + words::reasonWords(row, units);
    out += fmt::format(": {}, {}", settingLabel(a->controls, row.instruction.setting, units),
                       words::pullWords(row, units));
    for (const std::string& line : words::rowStageLines(row, prepared, units))
        out += "\n    " + line;
    if (row.window) {
        out += fmt::format("\n    look {}, expect {}", printDuration(row.window->lookS),
                           printDuration(row.window->expectS));
        out += row.window->latestS ? ", latest " + printDuration(*row.window->latestS)
                                   : fmt::format(", {:.0f} % chance that it never gets there",
                                                 100 * row.window->neverShare);
    }
    out += fmt::format("; crust {}", row.crustDistance < translate::kSameCrust
                                         ? "same"
                                         : food::crustWord(row.outcome.darker()));
    for (const std::string& line : words::warningLines(row, prepared, units))
        out += "\n    ! " + line;
    if (row.rule)
        out += "\n    " + words::ruleWords(row, prepared.request.kitchen, units) +
               (row.rule->peakK ? ": the core would peak at " +
                                      printTemperature(Temperature::kelvin(*row.rule->peakK),
                                                       units.temperature())
                                : "");
    return out;
}

nlohmann::json waysJson(const translate::Ways& ways, const kitchen::Kitchen& kitchen) {
    nlohmann::json out = nlohmann::json::array();
    for (const translate::Way& way : ways.best) {
        nlohmann::json stages = nlohmann::json::array();
        for (const recipe::Stage& stage : way.stages) {
            const auto* on = findAppliance(kitchen, stage.place.applianceId);
            nlohmann::json one{
                {"appliance", on ? on->name : ""},
                {"setting", on ? settingText(on->controls, stage.place.setting) : ""},
                {"zone", stage.place.zone},
                {"cover", enumName(stage.handling.cover)}};
            if (stage.end.coreK)
                one["until_core_K"] = *stage.end.coreK;
            if (stage.end.afterS > 0)
                one["for_s"] = stage.end.afterS;
            stages.push_back(one);
        }
        out.push_back({{"method", enumName(way.method)},
                       {"stages", stages},
                       {"noticed", way.distance},
                       {"pull_s", way.outcome.pullS},
                       {"pull_K", way.outcome.pullK}});
    }
    return out;
}

} // namespace

Result<Answer> translate(const TranslateOptions& options) {
    const auto request = requestFor(options);
    if (!request)
        return tl::unexpected(request.error());
    auto prepared = translate::prepare(*request);
    if (!prepared)
        return tl::unexpected(prepared.error());
    if (options.to != "all") {
        const auto target = applianceNamed(request->kitchen, options.to);
        if (!target)
            return tl::unexpected(target.error());
        std::erase_if(prepared->targets,
                      [&](const auto& t) { return t.applianceId != target->id; });
    }
    Answer out;
    nlohmann::json json{{"format", "dynamet-translation"},
                        {"version", 1},
                        {"method", options.method},
                        {"reference", formats::outcomeJson(prepared->outcome)},
                        {"rows", nlohmann::json::array()}};
    out.text = fmt::format("Where it was written: {} to the pull, crust {}",
                           printDuration(prepared->outcome.pullS),
                           food::crustWord(prepared->outcome.darker()));
    const Units units{options.fahrenheit, false};
    for (const std::string& line : words::writtenStageLines(prepared->request, units)) {
        json["stages"].push_back(line);
        out.text += "\n" + line;
    }
    if (options.stage > 0)
        json["stage"] = options.stage;
    const std::string schools = translate::schoolWords(prepared->request.schools);
    json["schools"] = schools;
    out.text += "\nThis book: " + schools;
    for (const auto& row : translate::translateAll(*prepared)) {
        json["rows"].push_back(formats::rowJson(row, request->kitchen));
        out.text += "\n" + rowText(row, *prepared);
        if (options.method != "all" || !row.reached)
            continue;
        const translate::Ways ways = translate::waysOn(*prepared, row);
        json["rows"].back()["ways"] = waysJson(ways, request->kitchen);
        for (const std::string& line : words::wayLines(ways, *prepared, units))
            out.text += "\n    " + line;
    }
    out.json = json.dump();
    return out;
}

} // namespace dynamet::cli
