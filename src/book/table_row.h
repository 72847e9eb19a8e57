// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <SQLiteCpp/SQLiteCpp.h>
#include <cstdint>
#include <optional>
#include <string>
#include <string_view>
#include <variant>
#include <vector>

namespace dynamet::book {

/// A BLOB; the bytes outlive the call.
struct Bytes {
    std::string_view content;
    bool operator==(const Bytes&) const = default;
};
/// NULL, a number, a whole number, a text or bytes.
using CellValue = std::variant<std::monostate, double, std::int64_t, std::string, Bytes>;

/// One column of a row by its name. An aggregate says its columns once, for adding and changing.
struct Cell {
    const char* column;
    CellValue value;
};
using Row = std::vector<Cell>;

/// Empty ("unknown", "none") is NULL.
CellValue cellOf(const std::optional<double>& value);
CellValue cellOf(const std::optional<bool>& value);
CellValue cellOrNull(const std::string& text);

Row joined(Row first, const Row& second);
/// The columns of a new row: its own, its id and when it was made.
Row newRow(const std::string& id, std::int64_t createdMs, const Row& own);

/// What becomes of a row that is there already.
enum class IfThere { fails, stays, isReplaced };
/// INSERT and UPDATE with named parameters; SQLite's errors throw.
void insertRow(SQLite::Database& db, const char* table, const Row& row,
               IfThere already = IfThere::fails);
void updateRow(SQLite::Database& db, const char* table, const std::string& id, const Row& row);

/// The columns of the row that a statement stands on, by name; NULL reads as empty, 0 or nothing.
class RowReader {
  public:
    explicit RowReader(SQLite::Statement& statement) : statement_(statement) {}
    std::string text(const char* column) const;
    double number(const char* column) const;
    std::int64_t whole(const char* column) const;
    std::optional<double> maybe(const char* column) const;

  private:
    SQLite::Statement& statement_;
};

} // namespace dynamet::book
