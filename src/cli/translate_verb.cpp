// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/choices_store.h"
#include "book/kitchen_store.h"
#include "book/recipe_request.h"
#include "cli/verb.h"
#include "food/browning.h"
#include "formats/report_json.h"
#include "kitchen/cook_day.h"
#include "quantity/parse_duration.h"
#include "quantity/parse_temperature.h"
#include "quantity/print.h"
#include "recipe/quick_line.h"
#include "translate/school_effects.h"
#include "translate/translate.h"
#include "words/card_words.h"
#include "words/stage_words.h"
#include "words/way_words.h"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

namespace dynamet::cli {
namespace {

/// The weather that was typed; none without a place.
Result<std::optional<kitchen::CookDay>> dayOf(const TranslateOptions& options,
                                              const kitchen::Kitchen& kitchen) {
    if (options.site.empty() && options.air.empty() && !options.wind && !options.altitude)
        return std::nullopt;
    for (const kitchen::Site& site : kitchen.sites) {
        if (site.name != options.site)
            continue;
        kitchen::CookDay out{site.id, site.ambient, site.windMPerS, options.altitude};
        if (!options.air.empty()) {
            const auto air = parseTemperature(options.air, TemperatureUnit::celsius);
            if (!air)
                return tl::unexpected(air.error().in("--air"));
            out.air = *air;
        }
        if (options.wind) {
            if (*options.wind < 0)
                return fail(Errc::invalidArgument, "--wind is 0 m/s or more");
            out.windMPerS = *options.wind;
        }
        return out;
    }
    return fail(
        Errc::notFound,
        fmt::format(
            "--site \"{}\" is no place of the book; --air, --wind and --altitude are of one",
            options.site));
}

Result<translate::Request> requestFor(const TranslateOptions& options) {
    auto book = book::Book::openForReading(options.book);
    if (!book)
        return tl::unexpected(book.error());
    auto kitchen = loadKitchen(*book);
    if (!kitchen)
        return tl::unexpected(kitchen.error());
    auto recipes = loadRecipes(*book, *kitchen);
    if (!recipes)
        return tl::unexpected(recipes.error());
    if (!options.quick.empty()) {
        const auto line = recipe::readQuickLine(options.quick, *kitchen,
                                                options.fahrenheit ? TemperatureUnit::fahrenheit
                                                                   : TemperatureUnit::celsius);
        if (!line)
            return tl::unexpected(line.error().in("--quick"));
        recipes->assign(1, line->recipe);
    } else if (options.recipe.empty()) {
        return fail(Errc::invalidArgument, "--recipe names one of the book, --quick says one");
    }
    std::string known;
    for (const auto& recipe : *recipes) {
        known += (known.empty() ? "" : ", ") + recipe.name;
        if (options.quick.empty() && recipe.name != options.recipe && recipe.id != options.recipe)
            continue;
        const auto today = dayOf(options, *kitchen);
        if (!today)
            return tl::unexpected(today.error());
        if (*today)
            *kitchen = kitchen::onDay(std::move(*kitchen), **today);
        auto request =
            requestOf(recipe, std::move(*kitchen), loadChoices(*book).value_or(book::Choices{}));
        request.units.fahrenheit = options.fahrenheit;
        if (options.stage > 0)
            request.moved = static_cast<std::size_t>(options.stage - 1);
        return request;
    }
    return fail(Errc::notFound,
                fmt::format("no recipe \"{}\"; the book has {}", options.recipe, known));
}

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
            nlohmann::json one{{"appliance", on ? on->name : ""},
                               {"setting", settingText(on->controls, stage.place.setting)},
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

/// One row as a card: the one place of an appliance, or the best of its places.
Result<Answer> card(const TranslateOptions& options) {
    const auto request = requestFor(options);
    if (!request)
        return tl::unexpected(request.error());
    const auto target = applianceNamed(request->kitchen, options.to);
    if (!target)
        return tl::unexpected(target.error().in("--to"));
    auto prepared = translate::prepare(*request);
    if (!prepared)
        return tl::unexpected(prepared.error());
    std::erase_if(prepared->targets, [&](const auto& t) { return t.applianceId != target->id; });
    const auto rows = translateAll(*prepared);
    if (rows.empty())
        return fail(Errc::notFound, fmt::format("{} has no place for food", target->name));
    const Units units{options.fahrenheit, options.fahrenheit};
    const auto detail = detailOf(*prepared, rows.front());
    const auto made = words::cardOf(rows.front(), *prepared, &detail, units);
    Answer out;
    nlohmann::json json{{"format", "dynamet-card"},  {"version", 1},
                        {"recipe", made.recipe},     {"source", made.source},
                        {"piece", made.piece},       {"target", made.target},
                        {"pull", made.pull},         {"times", made.times},
                        {"stages", made.stages},     {"notes", made.notes},
                        {"cautions", made.cautions}, {"provenance", made.provenance}};
    for (const std::string& line : {made.recipe, "Written for: " + made.source, made.piece,
                                    made.target, made.pull, made.times})
        out.text += line.empty() ? "" : line + "\n";
    for (const auto* part : {&made.stages, &made.notes})
        for (const std::string& line : *part)
            out.text += line + "\n";
    for (const std::string& line : made.cautions)
        out.text += "! " + line + "\n";
    for (const std::string& line : made.provenance)
        out.text += line + "\n";
    out.text.pop_back();
    out.json = json.dump(2);
    return out;
}

} // namespace dynamet::cli
