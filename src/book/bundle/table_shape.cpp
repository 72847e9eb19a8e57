// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/bundle/table_shape.h"

#include <algorithm>
#include <set>

namespace dynamet::book {
namespace {

using SQLite::Database;
using SQLite::Statement;

/// Follow from the others, or are this book's own: indexes of what is newest, lines of the logbook,
/// earlier states (they travel with their things), the seal.
bool follows(const std::string& name) {
    return name == "newest_number" || name == "thing_was" || name == "seal" ||
           name.starts_with("log_line") || name.starts_with("log_text") ||
           name.starts_with("sqlite_");
}

TableShape shapeOf(Database& db, const std::string& name) {
    TableShape out;
    out.name = name;
    std::vector<std::pair<int, std::string>> keys;
    Statement columns(db, "SELECT name, type, \"notnull\", dflt_value IS NOT NULL, pk FROM "
                          "pragma_table_info(?) ORDER BY cid");
    columns.bind(1, name);
    while (columns.executeStep()) {
        ColumnShape one;
        one.name = columns.getColumn(0).getString();
        one.type = columns.getColumn(1).getString();
        one.needed = columns.getColumn(2).getInt() != 0;
        one.hasDefault = columns.getColumn(3).getInt() != 0;
        if (const int pk = columns.getColumn(4).getInt(); pk > 0)
            keys.emplace_back(pk, one.name);
        out.columns.push_back(std::move(one));
    }
    std::sort(keys.begin(), keys.end());
    Statement foreign(
        db, "SELECT \"from\", \"table\" FROM pragma_foreign_key_list(?) ORDER BY id DESC");
    foreign.bind(1, name);
    while (foreign.executeStep())
        out.refers.emplace_back(foreign.getColumn(0).getString(), foreign.getColumn(1).getString());
    const bool whole =
        keys.size() == 1 && std::any_of(out.columns.begin(), out.columns.end(), [&](const auto& c) {
            return c.name == keys[0].second && c.type == "INTEGER";
        });
    const bool ofParent =
        keys.size() == 1 && !out.refers.empty() && out.refers.front().first == keys[0].second;
    if (whole) {
        out.localId = keys[0].second;
        std::erase_if(out.columns, [&](const auto& c) { return c.name == out.localId; });
        out.order = {out.localId};
    } else if (keys.size() == 1 && !ofParent) {
        out.id = keys[0].second;
    } else {
        for (const auto& key : keys)
            out.order.push_back(key.second);
    }
    if (out.id.empty() && !out.refers.empty())
        std::tie(out.parentColumn, out.parent) = out.refers.front();
    if (out.order.empty() && out.id.empty())
        out.order = {"rowid"};
    return out;
}

} // namespace

std::vector<TableShape> tableShapes(Database& db) {
    std::vector<TableShape> found, out;
    Statement tables(db, "SELECT name FROM sqlite_master WHERE type='table' ORDER BY name");
    while (tables.executeStep())
        if (const std::string name = tables.getColumn(0).getString(); !follows(name))
            found.push_back(shapeOf(db, name));
    std::set<std::string> placed;
    while (!found.empty()) {
        const auto next = std::find_if(found.begin(), found.end(), [&](const TableShape& one) {
            return std::all_of(one.refers.begin(), one.refers.end(), [&](const auto& ref) {
                return ref.second == one.name || placed.contains(ref.second);
            });
        });
        const auto at = next == found.end() ? found.begin() : next;
        placed.insert(at->name);
        out.push_back(std::move(*at));
        found.erase(at);
    }
    for (const TableShape& one : out)
        for (TableShape& parent : out)
            if (one.parent == parent.name)
                parent.inside.push_back(one.name);
    return out;
}

const TableShape* findShape(const std::vector<TableShape>& all, const std::string& name) {
    const auto at =
        std::find_if(all.begin(), all.end(), [&](const auto& one) { return one.name == name; });
    return at == all.end() ? nullptr : &*at;
}

} // namespace dynamet::book
