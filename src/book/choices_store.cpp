// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/choices_store.h"

#include "book/damaged.h"
#include "book/table_row.h"
#include "json/strict_json.h"

#include <functional>

namespace dynamet::book {
namespace {

using SQLite::Database;
using SQLite::Statement;

constexpr const char* kSchools = "schools";
constexpr const char* kScales = "doneness_scales";

std::string valueOf(Database& db, const char* key) {
    Statement s(db, "SELECT value FROM book_info WHERE key = ?");
    s.bind(1, key);
    return s.executeStep() ? s.getColumn(0).getString() : "";
}

void keep(Database& db, const char* key, const std::string& value) {
    insertRow(db, "book_info", {{"key", std::string(key)}, {"value", value}}, IfThere::isReplaced);
}

} // namespace

Result<Choices> loadChoices(Book& book) {
    return reading(book, [&](Database& db) {
        Choices out;
        if (const std::string schools = valueOf(db, kSchools); !schools.empty())
            out.schools = damagedOr(json::readObject(schools, std::mem_fn(&json::StrictJson::text)),
                                    "the book's choices");
        if (const std::string scales = valueOf(db, kScales); !scales.empty())
            out.scales = damagedOr(food::readScales(scales), "the book's own doneness scales");
        return out;
    });
}

Result<void> keepChoices(Book& book, const Choices& choices) {
    return inTransaction(book, [&](Database& db) {
        keep(db, kSchools, nlohmann::json(choices.schools).dump());
        keep(db, kScales, food::scalesJson(choices.scales));
    });
}

} // namespace dynamet::book
