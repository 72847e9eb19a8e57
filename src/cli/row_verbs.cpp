// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/cook_store.h"
#include "book/kitchen_store.h"
#include "book/recipe_request.h"
#include "cli/requests.h"
#include "formats/report_json.h"
#include "words/card_words.h"
#include "words/evidence_words.h"
#include "words/rewrite_words.h"
#include "words/translation_words.h"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

namespace dynamet::cli {
namespace {

std::string joined(const std::vector<std::string>& lines) {
    std::string out;
    for (const std::string& line : lines)
        out += (out.empty() ? "" : "\n") + line;
    return out;
}

nlohmann::json narrowingJson(const translate::Narrowing& one, const kitchen::Kitchen& kitchen) {
    nlohmann::json out{{"action", enumName(one.way)},
                       {"look_s", one.lookS},
                       {"latest_s", one.latestS},
                       {"narrower_s", one.narrowerS},
                       {"work_s", one.workS}};
    if (const auto* on = findAppliance(kitchen, one.applianceId)) {
        out["appliance"] = on->name;
        out["setting"] = settingText(on->controls, one.setting);
        out["zone"] = one.zone;
        out["protocol"] = one.protocol;
    }
    return out;
}

nlohmann::json ownTimeJson(const translate::OwnTime& own) {
    nlohmann::json explains = nlohmann::json::array();
    for (const translate::Explanation& one : own.explanations) {
        using What = translate::Explanation::What;
        explains.push_back(
            one.what == What::thickness
                ? nlohmann::json{{"input", "thickness"}, {"m", one.value}}
                : nlohmann::json{{"input", one.what == What::heat ? "heat" : "start"},
                                 {"K", one.value}});
    }
    return {{"low_s", own.written.lowS},
            {"high_s", own.written.highS},
            {"forecast_s", own.forecastS},
            {"z", own.z},
            {"used", own.absorbed && !own.unused && !own.written.setAside},
            {"explanations", explains}};
}

/// Without a recipe: what to rate next, over all recipes of the book.
Result<Answer> nextBest(const TranslateOptions& options) {
    auto book = book::Book::openForReading(options.book);
    if (!book)
        return tl::unexpected(book.error());
    const auto kitchen = loadKitchenAt(*book, now().utcMs);
    if (!kitchen)
        return tl::unexpected(kitchen.error());
    const auto recipes = loadRecipes(*book, *kitchen);
    if (!recipes)
        return tl::unexpected(recipes.error());
    const auto choices = loadChoicesAndLearned(*book, *kitchen);
    if (!choices)
        return tl::unexpected(choices.error());
    const auto requests = book::requestsOf(*recipes, *kitchen, *choices);
    const Units units{options.fahrenheit, options.fahrenheit};
    Answer out;
    nlohmann::json json{
        {"format", "dynamet-next-tests"}, {"version", 1}, {"tests", nlohmann::json::array()}};
    std::vector<std::string> lines;
    for (const translate::NextTest& one : translate::nextTests(requests)) {
        const auto* on = findAppliance(*kitchen, one.applianceId);
        json["tests"].push_back({{"appliance", on->name},
                                 {"setting", settingText(on->controls, one.setting)},
                                 {"zone", one.zone},
                                 {"protocol", one.protocol},
                                 {"narrower_s", one.narrowerS},
                                 {"work_s", one.workS},
                                 {"recipes", one.recipes}});
        lines.push_back(words::nextTestWords(one, *kitchen, units));
    }
    out.text =
        lines.empty() ? "No test would narrow a window of this book's recipes." : joined(lines);
    out.json = json.dump(2);
    return out;
}

} // namespace

/// One row as a card: the one place of an appliance, or the best of its places.
Result<Answer> card(const TranslateOptions& options) {
    const auto request = requestFor(options);
    if (!request)
        return tl::unexpected(request.error());
    const auto on = rowsOn(*request, options.to);
    if (!on)
        return tl::unexpected(on.error());
    const Units units{options.fahrenheit, options.fahrenheit};
    const auto detail = detailOf(on->prepared, on->rows.front());
    const auto made = words::cardOf(on->rows.front(), on->prepared, &detail, units);
    Answer out;
    nlohmann::json json{{"format", "dynamet-card"},
                        {"version", 1},
                        {"recipe", made.recipe},
                        {"source", made.source},
                        {"piece", made.piece},
                        {"target", made.target},
                        {"pull", made.pull},
                        {"times", made.times},
                        {"stages", made.stages},
                        {"notes", made.notes},
                        {"signs", made.signs},
                        {"cautions", made.cautions},
                        {"provenance", made.provenance}};
    for (const std::string& line : {made.recipe, "Written for: " + made.source, made.piece,
                                    made.target, made.pull, made.times})
        out.text += line.empty() ? "" : line + "\n";
    for (const auto* part : {&made.stages, &made.notes, &made.signs})
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

/// What would narrow a row's window, and what became of the recipe's own time.
Result<Answer> narrow(const TranslateOptions& options) {
    if (options.recipe.empty() && options.quick.empty())
        return nextBest(options);
    if (options.to == "all")
        return fail(Errc::invalidArgument, "--to names the appliance");
    const auto request = requestFor(options);
    if (!request)
        return tl::unexpected(request.error());
    const auto on = rowsOn(*request, options.to);
    if (!on)
        return tl::unexpected(on.error());
    const translate::Row& row = on->rows.front();
    const Units units{options.fahrenheit, options.fahrenheit};
    if (!row.window)
        return fail(Errc::refused,
                    row.reached ? "this row has no window" : words::reasonWords(row, units));
    const auto all = narrowingsOf(on->prepared, row);
    Answer out;
    nlohmann::json json{{"format", "dynamet-narrow"},
                        {"version", 1},
                        {"recipe", request->recipe.name},
                        {"target", words::rowTitle(row, request->kitchen, units)},
                        {"row", formats::rowJson(row, request->kitchen)},
                        {"actions", nlohmann::json::array()}};
    for (const translate::Narrowing& one : all)
        json["actions"].push_back(narrowingJson(one, request->kitchen));
    if (on->prepared.ownTime)
        json["own_time"] = ownTimeJson(*on->prepared.ownTime);
    std::vector<std::string> lines{words::rowTitle(row, request->kitchen, units) + ": " +
                                   words::windowWords(*row.window)};
    for (std::string& line : words::ownTimeLines(on->prepared, units))
        lines.push_back(std::move(line));
    if (const std::string used = words::usedWords(row, on->prepared); !used.empty())
        lines.push_back(used);
    lines.push_back(all.empty() ? "Nothing here would narrow it." : "What would narrow it:");
    for (const std::string& line : words::narrowingLines(all, request->kitchen, units))
        lines.push_back("  " + line);
    out.text = joined(lines);
    out.json = json.dump(2);
    return out;
}

/// A text that was written for one appliance, with the words of another.
Result<Answer> rewrite(const RewriteOptions& options) {
    auto book = book::Book::openForReading(options.book);
    if (!book)
        return tl::unexpected(book.error());
    auto kitchen = loadKitchenAt(*book, now().utcMs);
    if (!kitchen)
        return tl::unexpected(kitchen.error());
    const auto source = sourceAt(options.text);
    if (!source)
        return tl::unexpected(source.error());
    const auto from = applianceNamed(*kitchen, options.from);
    if (!from)
        return tl::unexpected(from.error().in("--from"));
    const auto choices = loadChoicesAndLearned(*book, *kitchen);
    if (!choices)
        return tl::unexpected(choices.error());
    recipe_text::ReadWith with;
    with.kitchen = &*kitchen;
    with.applianceId = from->id;
    with.scale = scaleSaid(options.scale);
    auto read = recipe_text::recipeFrom(source->name, source->text, with);
    if (!read)
        return tl::unexpected(read.error());
    if (read->recipe.name.empty())
        read->recipe.name = options.text;
    read->recipe.id = "text";
    auto request = requestOf(read->recipe, std::move(*kitchen), *choices);
    request.units.fahrenheit = with.scale == TemperatureUnit::fahrenheit;
    if (read->recipe.stages.size() > 1)
        request.moved = read->recipe.stages.size() - 1;
    const auto on = rowsOn(request, options.to);
    if (!on)
        return tl::unexpected(on.error());
    const translate::Row& row = on->rows.front();
    if (!row.reached)
        return fail(Errc::refused, words::reasonWords(row, request.units));
    const auto done = words::rewrittenFor(row, on->prepared);
    if (!done)
        return tl::unexpected(done.error());
    Answer out;
    nlohmann::json json{{"format", "dynamet-rewrite"},
                        {"version", 1},
                        {"text", done->after.text},
                        {"changes", nlohmann::json::array()},
                        {"notes", done->notes},
                        {"asked", nlohmann::json::array()},
                        {"row", formats::rowJson(row, request.kitchen)}};
    for (const recipe_text::Change& one : done->after.changes)
        json["changes"].push_back({{"old_start", one.oldBegin},
                                   {"old_end", one.oldEnd},
                                   {"start", one.newBegin},
                                   {"end", one.newEnd}});
    std::vector<std::string> lines{done->after.text};
    for (const std::string& note : done->notes)
        lines.push_back("Note: " + note);
    for (const recipe_text::Asked& one : read->asked) {
        json["asked"].push_back({{"question", one.question}, {"taken", one.taken}});
        lines.push_back(fmt::format("{} Taken: {}.", one.question, one.taken));
    }
    out.text = joined(lines);
    out.json = json.dump(2, ' ', false, nlohmann::json::error_handler_t::replace);
    return out;
}

} // namespace dynamet::cli
