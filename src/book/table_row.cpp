// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/table_row.h"

namespace dynamet::book {
namespace {

void bindCell(SQLite::Statement& s, const Cell& cell) {
    const std::string name = std::string(":") + cell.column;
    if (const auto* number = std::get_if<double>(&cell.value))
        s.bind(name, *number);
    else if (const auto* whole = std::get_if<std::int64_t>(&cell.value))
        s.bind(name, *whole);
    else if (const auto* text = std::get_if<std::string>(&cell.value))
        s.bind(name, *text);
    else if (const auto* bytes = std::get_if<Bytes>(&cell.value))
        s.bind(name, bytes->content.data(), static_cast<int>(bytes->content.size()));
    else
        s.bind(name);
}

void run(SQLite::Database& db, const std::string& sql, const Row& row) {
    SQLite::Statement s(db, sql);
    for (const Cell& cell : row)
        bindCell(s, cell);
    s.exec();
}

} // namespace

CellValue cellOf(const std::optional<double>& value) {
    return value ? CellValue(*value) : CellValue();
}

CellValue cellOf(const std::optional<bool>& value) {
    return value ? CellValue(std::int64_t{*value}) : CellValue();
}

CellValue cellOrNull(const std::string& text) {
    return text.empty() ? CellValue() : CellValue(text);
}

Row joined(Row first, const Row& second) {
    first.insert(first.end(), second.begin(), second.end());
    return first;
}

Row newRow(const std::string& id, std::int64_t createdMs, const Row& own) {
    return joined({{"id", id}, {"created_at_ms", createdMs}}, own);
}

void insertRow(SQLite::Database& db, const char* table, const Row& row, IfThere already) {
    std::string columns, values;
    for (const Cell& cell : row) {
        const char* between = columns.empty() ? "" : ",";
        columns += between + std::string(cell.column);
        values += between + (":" + std::string(cell.column));
    }
    const char* insert = already == IfThere::stays        ? "INSERT OR IGNORE INTO "
                         : already == IfThere::isReplaced ? "INSERT OR REPLACE INTO "
                                                          : "INSERT INTO ";
    run(db, insert + std::string(table) + "(" + columns + ") VALUES (" + values + ")", row);
}

void updateRow(SQLite::Database& db, const char* table, const std::string& id, const Row& row) {
    std::string sets;
    for (const Cell& cell : row)
        sets += (sets.empty() ? "" : ",") + std::string(cell.column) + "=:" + cell.column;
    run(db, "UPDATE " + std::string(table) + " SET " + sets + " WHERE id=:row_id",
        joined({{"row_id", id}}, row));
}

std::string RowReader::text(const char* column) const {
    const auto value = statement_.getColumn(column);
    return value.isNull() ? "" : value.getString();
}

double RowReader::number(const char* column) const {
    return statement_.getColumn(column).getDouble();
}

std::int64_t RowReader::whole(const char* column) const {
    return statement_.getColumn(column).getInt64();
}

std::optional<double> RowReader::maybe(const char* column) const {
    const auto value = statement_.getColumn(column);
    return value.isNull() ? std::nullopt : std::optional<double>(value.getDouble());
}

} // namespace dynamet::book
