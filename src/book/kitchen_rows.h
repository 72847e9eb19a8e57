// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/table_row.h"
#include "kitchen/kitchen.h"

namespace dynamet::book {

/// Which rows of a table with withdrawn_at_ms are meant: those that stand, or those that were
/// retired or taken back.
enum class Rows { standing, retired };
/// "withdrawn_at_ms IS NULL", or the opposite.
const char* whereOf(Rows rows);

/// The word's enumerator among the first `count`; the first one for a word of a newer program.
template <class Kind>
Kind kindOf(const std::string& text, int count) {
    for (int i = 0; i < count; ++i)
        if (text == enumName(static_cast<Kind>(i)))
            return static_cast<Kind>(i);
    return static_cast<Kind>(0);
}

/// Every row that is meant, as `read` makes it, in the order of `order` (SQL).
template <class Read>
auto readRows(SQLite::Database& db, const char* table, Rows rows, Read read,
              const char* order = "created_at_ms, rowid") {
    std::vector<decltype(read(std::declval<const RowReader&>()))> out;
    SQLite::Statement s(db, std::string("SELECT * FROM ") + table + " WHERE " + whereOf(rows) +
                                " ORDER BY " + order);
    const RowReader row(s);
    while (s.executeStep())
        out.push_back(read(row));
    return out;
}

/// Each reads one table in the order in which things came; SQLite's errors throw.
std::vector<kitchen::Site> loadSites(SQLite::Database& db, Rows rows);
std::vector<kitchen::Instrument> loadInstruments(SQLite::Database& db, Rows rows);
std::vector<kitchen::Vessel> loadVessels(SQLite::Database& db, Rows rows);
std::vector<kitchen::Insert> loadInserts(SQLite::Database& db, Rows rows);
std::vector<kitchen::Appliance> loadAppliances(SQLite::Database& db, Rows rows);

} // namespace dynamet::book
