// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/cook_store.h"
#include "book/kitchen_store.h"
#include "book/menu_store.h"
#include "cli/verb.h"
#include "formats/plan_calendar.h"
#include "formats/plan_json.h"

#include <fmt/format.h>
#include <fstream>

namespace dynamet::cli {
namespace {

/// A menu of the book with everything that a plan needs.
struct Asked {
    kitchen::Kitchen kitchen;
    plan::Menu menu;
    plan::RatedTimes rated;
    std::vector<Result<translate::Request>> requests;
    std::vector<std::string> names;
};

Result<Asked> askedOf(const PlanOptions& options) {
    auto book = book::Book::openForReading(options.book);
    if (!book)
        return tl::unexpected(book.error());
    Asked out;
    auto kitchen = loadKitchenAt(*book, now().utcMs);
    if (!kitchen)
        return tl::unexpected(kitchen.error());
    out.kitchen = std::move(*kitchen);
    const auto recipes = loadRecipes(*book, out.kitchen);
    const auto menus = loadMenus(*book, out.kitchen);
    const auto rated = ratedTimes(*book, out.kitchen);
    const auto choices = loadChoicesAndLearned(*book, out.kitchen);
    if (!recipes || !menus)
        return tl::unexpected(!recipes ? recipes.error() : menus.error());
    if (!rated || !choices)
        return tl::unexpected(!rated ? rated.error() : choices.error());
    out.rated = *rated;
    std::string known;
    for (const plan::Menu& menu : *menus) {
        known += (known.empty() ? "" : ", ") + menu.name;
        if (menu.name == options.menu)
            out.menu = menu;
    }
    if (out.menu.name != options.menu)
        return fail(Errc::notFound, fmt::format("no menu \"{}\"; the book has {}", options.menu,
                                                known.empty() ? "none" : known));
    if (!options.serve.empty()) {
        const auto serve = plan::parseClock(options.serve);
        if (!serve)
            return tl::unexpected(serve.error().in("--serve"));
        out.menu.serveMin = *serve;
    }
    if (!options.from.empty()) {
        const auto from = plan::parseClock(options.from);
        if (!from)
            return tl::unexpected(from.error().in("--from"));
        out.menu.notBeforeMin = *from;
    }
    if (out.menu.notBeforeMin && *out.menu.notBeforeMin >= out.menu.serveMin)
        return fail(Errc::invalidArgument,
                    fmt::format("nothing is begun before {}, and it is served at {}",
                                plan::clockText(*out.menu.notBeforeMin),
                                plan::clockText(out.menu.serveMin)));
    out.requests = book::requestsOf(out.menu, *recipes, out.kitchen, *choices,
                                    Units{options.fahrenheit, options.fahrenheit});
    for (const auto& request : out.requests)
        out.names.push_back(request ? request->recipe.name : "a recipe that is gone");
    return out;
}

Answer noPlan(const Asked& asked, const plan::MenuProblem& menu, Units units) {
    const plan::Conflict conflict = conflictOf(menu);
    const auto open = plan::openWaysOf(asked.menu, conflict, asked.requests);
    const auto concessions = concessionsOf(menu, conflict, open, asked.kitchen, asked.rated);
    Answer out;
    out.text = words::conflictWords(asked.menu, conflict, asked.names, asked.kitchen, units);
    for (const plan::Concession& one : concessions)
        out.text += "\n  or: " + words::concessionWords(one, asked.names, asked.kitchen);
    out.json = formats::noPlanJson(menu, conflict, concessions, asked.names, asked.kitchen, units);
    return out;
}

} // namespace

/// A plan of one of the book's menus, or why there is none.
Result<Answer> plan(const PlanOptions& options) {
    const auto asked = askedOf(options);
    if (!asked)
        return tl::unexpected(asked.error());
    std::optional<formats::Day> day;
    if (!options.calendar.empty()) {
        const auto read = formats::parseDay(options.day);
        if (!read)
            return tl::unexpected(read.error().in("--ics wants --day"));
        day = *read;
    }
    const Units units{options.fahrenheit, options.fahrenheit};
    std::vector<plan::DishWays> ways;
    for (std::size_t d = 0; d < asked->menu.dishes.size(); ++d)
        ways.push_back(plan::waysOf(asked->menu.dishes[d], asked->menu, asked->requests[d]));
    plan::MenuProblem menu = problemOf(asked->menu, asked->kitchen, asked->rated, std::move(ways));
    if (menu.dishes.empty())
        return fail(Errc::refused, "no dish of the menu can be made");
    const plan::MenuPlan made = planMenu(menu);
    if (!made.found.plan)
        return noPlan(*asked, menu, units);
    Answer out;
    const words::Sheet sheet = words::planSheet(menu, made, asked->kitchen, units);
    out.text = sheet.title;
    for (const std::string& line : sheet.lead)
        out.text += "\n" + line;
    for (const auto& row : sheet.rows) {
        out.text += "\n ";
        for (const std::string& cell : row)
            out.text += cell.empty() ? "" : " " + cell;
    }
    for (const plan::DishWays& dish : menu.impossible)
        out.text +=
            "\n! " + words::impossibleWords(dish, dish.prepared ? dish.prepared->request.recipe.name
                                                                : dish.dishId);
    out.json = formats::planJson(menu, made, asked->kitchen, units);
    if (day) {
        std::ofstream file(options.calendar, std::ios::binary);
        file << formats::planCalendar(menu, made, *day, asked->kitchen, units);
        if (!file.flush())
            return fail(Errc::io, options.calendar + " could not be written");
    }
    return out;
}

} // namespace dynamet::cli
