// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cli/requests.h"

#include "book/cook_store.h"
#include "book/kitchen_store.h"
#include "book/recipe_request.h"
#include "formats/text_file.h"
#include "kitchen/cook_day.h"
#include "quantity/parse_temperature.h"
#include "recipe/quick_line.h"

#include <fmt/format.h>

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

} // namespace

Result<translate::Request> requestFor(const TranslateOptions& options) {
    auto book = book::Book::openForReading(options.book);
    if (!book)
        return tl::unexpected(book.error());
    auto kitchen = loadKitchenAt(*book, now().utcMs);
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
        const auto choices = loadChoicesAndLearned(*book, *kitchen);
        if (!choices)
            return tl::unexpected(choices.error());
        auto request = requestOf(recipe, std::move(*kitchen), *choices);
        request.units.fahrenheit = options.fahrenheit;
        request.others = *recipes;
        if (options.stage > 0)
            request.moved = static_cast<std::size_t>(options.stage - 1);
        return request;
    }
    return fail(Errc::notFound,
                fmt::format("no recipe \"{}\"; the book has {}", options.recipe, known));
}

Result<formats::RecipeSource> sourceAt(const std::string& path) {
    const auto bytes = formats::readTextFile(path);
    if (!bytes)
        return tl::unexpected(bytes.error());
    auto source = formats::readRecipeSource(*bytes);
    if (!source)
        return tl::unexpected(source.error().in(path));
    return source;
}

std::optional<TemperatureUnit> scaleSaid(const std::string& option) {
    if (option.empty())
        return std::nullopt;
    return option == "F" ? TemperatureUnit::fahrenheit : TemperatureUnit::celsius;
}

Result<RowsOf> rowsOn(const translate::Request& request, const std::string& appliance) {
    const auto target = applianceNamed(request.kitchen, appliance);
    if (!target)
        return tl::unexpected(target.error().in("--to"));
    auto prepared = translate::prepare(request);
    if (!prepared)
        return tl::unexpected(prepared.error());
    std::erase_if(prepared->targets, [&](const auto& t) { return t.applianceId != target->id; });
    RowsOf out{std::move(*prepared), {}};
    out.rows = translateAll(out.prepared);
    if (out.rows.empty())
        return fail(Errc::notFound, fmt::format("{} has no place for food", target->name));
    return out;
}

} // namespace dynamet::cli
