// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/bundle/entity_json.h"

#include "book/bundle/base64.h"
#include "book/bundle/block_json.h"
#include "quantity/result.h"

#include <algorithm>
#include <fmt/format.h>
#include <set>
#include <sqlite3.h>

namespace dynamet::book {
namespace {

using nlohmann::json;
using SQLite::Database;
using SQLite::Statement;

[[noreturn]] void refuse(const TableShape& shape, const std::string& what) {
    throw Error{Errc::corruptData, fmt::format("{}: {}", shape.name, what)};
}

json cellJson(const SQLite::Column& cell) {
    switch (cell.getType()) {
    case SQLITE_INTEGER:
        return cell.getInt64();
    case SQLITE_FLOAT:
        return cell.getDouble();
    case SQLITE_TEXT:
        return cell.getString();
    case SQLITE_BLOB:
        return json{{"base64", base64(cell.getString())}};
    default:
        return nullptr;
    }
}

std::string columnList(const TableShape& shape) {
    std::string out;
    for (const ColumnShape& column : shape.columns)
        out += (out.empty() ? "\"" : ", \"") + column.name + "\"";
    return out;
}

json rowJson(Statement& row, const TableShape& shape) {
    json out = json::object();
    for (std::size_t i = 0; i < shape.columns.size(); ++i) {
        json cell = cellJson(row.getColumn(static_cast<int>(i)));
        if (!cell.is_null())
            out[shape.columns[i].name] = std::move(cell);
    }
    return out;
}

void addInside(Database& db, const std::vector<TableShape>& shapes, const TableShape& shape,
               json& into, const json& key);

json rowsInside(Database& db, const std::vector<TableShape>& shapes, const TableShape& shape,
                const json& key) {
    std::string order;
    for (const std::string& column : shape.order)
        order += (order.empty() ? "\"" : ", \"") + column + "\"";
    Statement rows(db, fmt::format("SELECT {}{} FROM \"{}\" WHERE \"{}\"=? ORDER BY {}",
                                   columnList(shape),
                                   shape.localId.empty() ? "" : ", \"" + shape.localId + "\"",
                                   shape.name, shape.parentColumn, order));
    if (key.is_string())
        rows.bind(1, key.get<std::string>());
    else
        rows.bind(1, key.get<std::int64_t>());
    json out = json::array();
    while (rows.executeStep()) {
        json row = rowJson(rows, shape);
        row.erase(shape.parentColumn);
        if (shape.name == "reading_block")
            row = openBlock(row);
        if (!shape.localId.empty())
            addInside(db, shapes, shape, row,
                      rows.getColumn(static_cast<int>(shape.columns.size())).getInt64());
        out.push_back(std::move(row));
    }
    return out;
}

void addInside(Database& db, const std::vector<TableShape>& shapes, const TableShape& shape,
               json& into, const json& key) {
    for (const std::string& name : shape.inside) {
        const TableShape& inner = *findShape(shapes, name);
        if (!inner.id.empty())
            continue;
        json rows = rowsInside(db, shapes, inner, key);
        if (!rows.empty())
            into[name] = std::move(rows);
    }
    // What belongs to a row that is no thing, as batches of a run do.
    for (const std::string& name : shape.inside)
        for (const std::string& deeper : findShape(shapes, name)->inside) {
            const TableShape& inner = *findShape(shapes, deeper);
            if (inner.id.empty() && findShape(shapes, name)->localId.empty())
                if (json rows = rowsInside(db, shapes, inner, key); !rows.empty())
                    into[deeper] = std::move(rows);
        }
}

void bindCell(Statement& to, int at, const json& value) {
    if (value.is_null())
        to.bind(at);
    else if (value.is_string())
        to.bind(at, value.get<std::string>());
    else if (value.is_number_integer())
        to.bind(at, value.get<std::int64_t>());
    else if (value.is_number())
        to.bind(at, value.get<double>());
    else {
        const std::string bytes = fromBase64(value.at("base64").get<std::string>());
        to.bind(at, bytes.data(), static_cast<int>(bytes.size()));
    }
}

std::int64_t insert(Database& db, const TableShape& shape, const json& row) {
    std::string names, marks;
    std::vector<const json*> given;
    for (const ColumnShape& column : shape.columns)
        if (row.contains(column.name)) {
            names += (names.empty() ? "\"" : ", \"") + column.name + "\"";
            marks += marks.empty() ? "?" : ", ?";
            given.push_back(&row.at(column.name));
        }
    Statement into(db,
                   fmt::format("INSERT INTO \"{}\" ({}) VALUES ({})", shape.name, names, marks));
    for (std::size_t i = 0; i < given.size(); ++i)
        bindCell(into, static_cast<int>(i) + 1, *given[i]);
    into.exec();
    return db.getLastInsertRowid();
}

void putInside(Database& db, const std::vector<TableShape>& shapes, const TableShape& shape,
               const json& in, const json& key) {
    const auto put = [&](const TableShape& inner) {
        const auto rows = in.find(inner.name);
        if (rows == in.end())
            return;
        for (json row : *rows) {
            if (inner.name == "reading_block")
                row = packedBlock(row);
            row[inner.parentColumn] = key;
            const std::int64_t local = insert(db, inner, row);
            if (!inner.localId.empty())
                putInside(db, shapes, inner, row, local);
        }
    };
    for (const std::string& name : shape.inside) {
        const TableShape& inner = *findShape(shapes, name);
        if (!inner.id.empty())
            continue;
        put(inner);
        if (inner.localId.empty())
            for (const std::string& deeper : inner.inside)
                if (const TableShape& last = *findShape(shapes, deeper); last.id.empty())
                    put(last);
    }
}

void removeInside(Database& db, const std::vector<TableShape>& shapes, const TableShape& shape,
                  const std::string& id) {
    for (const std::string& name : shape.inside) {
        const TableShape& inner = *findShape(shapes, name);
        if (!inner.id.empty())
            continue;
        for (const std::string& deeper : inner.inside) {
            const TableShape& last = *findShape(shapes, deeper);
            const std::string which =
                inner.localId.empty() ? "?"
                                      : fmt::format("(SELECT \"{}\" FROM \"{}\" WHERE \"{}\"=?)",
                                                    inner.localId, inner.name, inner.parentColumn);
            Statement gone(db, fmt::format("DELETE FROM \"{}\" WHERE \"{}\" IN ({})", last.name,
                                           last.parentColumn, which));
            gone.bind(1, id);
            gone.exec();
        }
        Statement gone(
            db, fmt::format("DELETE FROM \"{}\" WHERE \"{}\"=?", inner.name, inner.parentColumn));
        gone.bind(1, id);
        gone.exec();
    }
}

void checkRow(const TableShape& shape, const json& row, const std::set<std::string>& others) {
    if (!row.is_object())
        refuse(shape, "a row is no object");
    for (const auto& [key, value] : row.items()) {
        const std::string& name = key;
        const auto column = std::find_if(shape.columns.begin(), shape.columns.end(),
                                         [&](const auto& c) { return c.name == name; });
        if (column == shape.columns.end()) {
            if (others.contains(name) && value.is_array())
                continue;
            refuse(shape,
                   fmt::format("\"{}\" is not known; a newer program may have written it", name));
        }
        const std::string& type = column->type;
        const bool fits = (value.is_null() && !column->needed) ||
                          (type == "TEXT" && value.is_string()) ||
                          (type == "INTEGER" && value.is_number_integer()) ||
                          (type == "REAL" && value.is_number()) ||
                          (type == "BLOB" && value.is_object() && value.size() == 1 &&
                           value.contains("base64") && value["base64"].is_string());
        if (!fits)
            refuse(shape, fmt::format("\"{}\" is no {}", name, type));
    }
    for (const ColumnShape& column : shape.columns)
        if (column.needed && !column.hasDefault && !row.contains(column.name) &&
            column.name != shape.parentColumn)
            refuse(shape, fmt::format("\"{}\" is missing", column.name));
}

} // namespace

std::optional<json> entityJson(Database& db, const std::vector<TableShape>& shapes,
                               const TableShape& shape, const std::string& id) {
    Statement row(db, fmt::format("SELECT {} FROM \"{}\" WHERE \"{}\"=?", columnList(shape),
                                  shape.name, shape.id));
    row.bind(1, id);
    if (!row.executeStep())
        return std::nullopt;
    json out = rowJson(row, shape);
    addInside(db, shapes, shape, out, id);
    return out;
}

std::vector<std::string> idsOf(Database& db, const TableShape& shape) {
    Statement ids(
        db, fmt::format("SELECT \"{0}\" FROM \"{1}\" ORDER BY \"{0}\"", shape.id, shape.name));
    std::vector<std::string> out;
    while (ids.executeStep())
        out.push_back(ids.getColumn(0).getString());
    return out;
}

void putEntity(Database& db, const std::vector<TableShape>& shapes, const TableShape& shape,
               const json& entity) {
    const std::string id = entity.at(shape.id).get<std::string>();
    Statement there(db, fmt::format("SELECT 1 FROM \"{}\" WHERE \"{}\"=?", shape.name, shape.id));
    there.bind(1, id);
    if (!there.executeStep()) {
        insert(db, shape, entity);
    } else {
        std::string set;
        for (const ColumnShape& column : shape.columns)
            if (column.name != shape.id)
                set += fmt::format("{}\"{}\"=?", set.empty() ? "" : ", ", column.name);
        Statement update(
            db, fmt::format("UPDATE \"{}\" SET {} WHERE \"{}\"=?", shape.name, set, shape.id));
        int at = 1;
        for (const ColumnShape& column : shape.columns)
            if (column.name != shape.id)
                bindCell(update, at++, entity.value(column.name, json()));
        update.bind(at, id);
        update.exec();
        removeInside(db, shapes, shape, id);
    }
    putInside(db, shapes, shape, entity, id);
}

void checkEntity(const std::vector<TableShape>& shapes, const TableShape& shape,
                 const json& entity) {
    std::set<std::string> inside;
    for (const std::string& name : shape.inside) {
        const TableShape& inner = *findShape(shapes, name);
        if (!inner.id.empty())
            continue;
        inside.insert(name);
        if (inner.localId.empty())
            for (const std::string& deeper : inner.inside)
                if (findShape(shapes, deeper)->id.empty())
                    inside.insert(deeper);
    }
    checkRow(shape, entity, inside);
    for (const auto& name : inside) {
        const auto rows = entity.find(name);
        if (rows == entity.end())
            continue;
        const TableShape& inner = *findShape(shapes, name);
        for (const json& row : *rows) {
            if (inner.localId.empty()) {
                checkRow(inner, row, {});
                continue;
            }
            checkRow(inner, row, {inner.inside.begin(), inner.inside.end()});
            for (const std::string& deeper : inner.inside)
                if (const auto deep = row.find(deeper); deep != row.end())
                    for (const json& last : *deep)
                        checkRow(*findShape(shapes, deeper),
                                 deeper == "reading_block" ? packedBlock(last) : last, {});
        }
    }
}

} // namespace dynamet::book
