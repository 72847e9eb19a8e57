// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/bundle/thing_was.h"

#include "book/safety/digest.h"
#include "quantity/result.h"

#include <fmt/format.h>

namespace dynamet::book {

std::string digestOfThing(const nlohmann::json& entity) {
    return digestOf(entity.dump());
}

Digests statesOf(SQLite::Database& db, const std::string& table, const std::string& id) {
    SQLite::Statement rows(db, "SELECT digest FROM thing_was WHERE thing_table=? AND thing_id=?");
    rows.bind(1, table);
    rows.bind(2, id);
    Digests out;
    while (rows.executeStep())
        out.insert(rows.getColumn(0).getString());
    return out;
}

void addStates(SQLite::Database& db, const std::string& table, const std::string& id,
               const Digests& states) {
    SQLite::Statement row(db, "INSERT OR IGNORE INTO thing_was VALUES (?, ?, ?)");
    for (const std::string& digest : states) {
        row.bind(1, table);
        row.bind(2, id);
        row.bind(3, digest);
        row.exec();
        row.reset();
    }
}

Digests takeStates(const TableShape& shape, nlohmann::json& entity) {
    constexpr std::size_t kLength = 32;
    Digests out;
    const auto at = entity.find(kWasBefore);
    if (at == entity.end())
        return out;
    const bool list = at->is_array();
    for (const auto& digest : list ? *at : nlohmann::json{nullptr}) {
        if (!digest.is_string() || digest.get_ref<const std::string&>().size() != kLength)
            throw Error{Errc::corruptData,
                        fmt::format("{}: \"{}\" is no list of digests", shape.name, kWasBefore)};
        out.insert(digest.get<std::string>());
    }
    entity.erase(at);
    return out;
}

Since sinceWhom(const std::string& ours, const Digests& oursWas, const std::string& theirs,
                const Digests& theirsWas) {
    const bool theyHadOurs = theirsWas.contains(ours), weHadTheirs = oursWas.contains(theirs);
    return theyHadOurs == weHadTheirs ? Since::both : theyHadOurs ? Since::theirs : Since::ours;
}

} // namespace dynamet::book
