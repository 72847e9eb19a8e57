// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/bundle/table_shape.h"

#include <nlohmann/json.hpp>

namespace dynamet::book {

/// One thing with all that belongs to it, column by column; the rows inside it in an array under
/// their table's name. Blocks of readings are whole numbers (or floats, null where one is missing),
/// other bytes {"base64": "…"}. nullopt: it is not there. Damage throws SQLite::Exception.
std::optional<nlohmann::json> entityJson(SQLite::Database& db,
                                         const std::vector<TableShape>& shapes,
                                         const TableShape& shape, const std::string& id);
/// All ids of a table, in their order.
std::vector<std::string> idsOf(SQLite::Database& db, const TableShape& shape);

/// Puts it in, in place of what it was. Errors name table, row and column and throw `Error`.
void putEntity(SQLite::Database& db, const std::vector<TableShape>& shapes, const TableShape& shape,
               const nlohmann::json& entity);

/// Fits the table: every column is known, what is needed is there, each value is of its type.
void checkEntity(const std::vector<TableShape>& shapes, const TableShape& shape,
                 const nlohmann::json& entity);

} // namespace dynamet::book
