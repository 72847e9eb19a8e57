// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/menu_store.h"

#include "book/table_row.h"
#include "book/test_store.h"

#include <algorithm>

namespace dynamet::book {
namespace {

using SQLite::Database;
using SQLite::Statement;

constexpr const char* kTestDay = "test_day";

} // namespace

Result<void> addMenu(Book& book, const plan::Menu& menu, const kitchen::Kitchen& kitchen,
                     const When& when) {
    return inTransaction(book, [&](Database& db) {
        const auto position = db.execAndGet("SELECT COUNT(*) FROM menu").getInt64();
        insertRow(db, "menu",
                  newRow(menu.id, when.utcMs,
                         {{"position", position}, {"menu_json", menuJson(menu, kitchen)}}));
    });
}

Result<void> changeMenu(Book& book, const plan::Menu& menu, const kitchen::Kitchen& kitchen) {
    return inTransaction(book, [&](Database& db) {
        updateRow(db, "menu", menu.id, {{"menu_json", menuJson(menu, kitchen)}});
    });
}

Result<void> withdrawMenu(Book& book, const std::string& id, std::optional<When> when) {
    return setWithdrawn(book, "menu", id, when);
}

Result<std::vector<plan::Menu>> loadMenus(Book& book, const kitchen::Kitchen& kitchen) {
    return reading(book, [&](Database& db) {
        std::vector<plan::Menu> out;
        Statement s(db, "SELECT id, menu_json FROM menu WHERE withdrawn_at_ms IS NULL ORDER BY "
                        "position");
        const RowReader row(s);
        while (s.executeStep())
            if (auto menu = plan::readMenu(row.text("menu_json"), kitchen)) {
                menu->id = row.text("id");
                out.push_back(std::move(*menu));
            }
        return out;
    });
}

std::vector<Result<translate::Request>> requestsOf(const plan::Menu& menu,
                                                   const std::vector<recipe::Recipe>& recipes,
                                                   const kitchen::Kitchen& kitchen,
                                                   const Choices& choices, Units units) {
    std::vector<Result<translate::Request>> out;
    for (const plan::MenuDish& dish : menu.dishes) {
        const auto recipe = std::find_if(recipes.begin(), recipes.end(),
                                         [&](const auto& one) { return one.id == dish.recipeId; });
        if (recipe == recipes.end()) {
            out.emplace_back(fail(Errc::notFound, "its recipe is no longer in the book"));
            continue;
        }
        translate::Request request = requestOf(*recipe, kitchen, choices);
        request.others = othersOf(*recipe, recipes);
        request.units = units;
        out.emplace_back(std::move(request));
    }
    return out;
}

Result<plan::RatedTimes> ratedTimes(Book& book, const kitchen::Kitchen& kitchen) {
    plan::RatedTimes out;
    for (const kitchen::Appliance& on : kitchen.appliances) {
        const auto history = loadHistory(book, on.id);
        if (!history)
            return tl::unexpected(history.error());
        for (const RatedLine& line : *history) { // oldest first: the newest of a setting stays
            const auto setting = kitchen::parseSetting(on.controls, line.setting);
            if (line.name != "settled_s" || !setting)
                continue;
            auto& times = out[on.id];
            std::erase_if(times, [&](const auto& one) { return one.setting == *setting; });
            times.push_back({*setting, line.value});
        }
    }
    return out;
}

Result<std::string> loadTestDay(Book& book) {
    return reading(book, [&](Database& db) {
        Statement s(db, "SELECT value FROM book_info WHERE key = ?");
        s.bind(1, kTestDay);
        return s.executeStep() ? s.getColumn(0).getString() : std::string();
    });
}

Result<void> keepTestDay(Book& book, const std::string& json) {
    return inTransaction(book, [&](Database& db) {
        insertRow(db, "book_info", {{"key", std::string(kTestDay)}, {"value", json}},
                  IfThere::isReplaced);
    });
}

} // namespace dynamet::book
