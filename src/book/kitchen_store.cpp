// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/kitchen_store.h"
#include "kitchen/ageing.h"

#include "book/kitchen_rows.h"
#include "book/rated_numbers.h"

namespace dynamet::book {
namespace {

kitchen::Kitchen things(SQLite::Database& db, Rows rows) {
    kitchen::Kitchen out;
    out.sites = loadSites(db, rows);
    out.instruments = loadInstruments(db, rows);
    out.vessels = loadVessels(db, rows);
    out.inserts = loadInserts(db, rows);
    out.appliances = loadAppliances(db, rows);
    return out;
}

} // namespace

const char* whereOf(Rows rows) {
    return rows == Rows::standing ? "withdrawn_at_ms IS NULL" : "withdrawn_at_ms IS NOT NULL";
}

Result<kitchen::Kitchen> loadKitchen(Book& book) {
    return reading(book, [](SQLite::Database& db) {
        kitchen::Kitchen out = things(db, Rows::standing);
        for (const kitchen::Appliance& appliance : out.appliances)
            out.rated[appliance.id] = loadNewestNumbers(db, appliance);
        return out;
    });
}

Result<kitchen::Kitchen> loadKitchenAt(Book& book, std::int64_t utcMs) {
    auto kitchen = loadKitchen(book);
    return kitchen ? kitchen::aged(std::move(*kitchen), utcMs) : kitchen;
}

Result<kitchen::Kitchen> loadRetired(Book& book) {
    return reading(book, [](SQLite::Database& db) { return things(db, Rows::retired); });
}

} // namespace dynamet::book
