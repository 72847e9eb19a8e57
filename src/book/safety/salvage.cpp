// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/safety/salvage.h"

#include "book/bundle/table_shape.h"
#include "book/bundle/what_follows.h"

#include <algorithm>
#include <fmt/format.h>
#include <numeric>

namespace dynamet::book {
namespace {

using SQLite::Database;
using SQLite::Statement;

/// Columns that both the damaged book and a new one have: it may be of an older format.
std::vector<std::string> commonColumns(Database& from, Database& to, const std::string& table) {
    const auto of = [&](Database& db) {
        std::vector<std::string> out;
        Statement s(db, "SELECT name FROM pragma_table_info(?)");
        s.bind(1, table);
        while (s.executeStep())
            out.push_back(s.getColumn(0).getString());
        return out;
    };
    std::vector<std::string> out;
    const auto known = of(to);
    for (const std::string& column : of(from))
        if (std::find(known.begin(), known.end(), column) != known.end())
            out.push_back(column);
    return out;
}

class TableSalvage {
  public:
    TableSalvage(Database& from, Database& to, const TableShape& shape)
        : from_(from), table_(shape.name), columns_(commonColumns(from, to, shape.name)),
          numbered_(shape.localId.empty() && hasRowid(to, shape.name)) {
        if (columns_.empty())
            return;
        std::string marks;
        for (const std::string& column : columns_) {
            list_ += (list_.empty() ? "\"" : ", \"") + column + "\"";
            marks += marks.empty() ? "?" : ", ?";
        }
        if (numbered_) {
            list_ = "rowid, " + list_;
            marks += ", ?";
        }
        into_.emplace(
            to, fmt::format("INSERT OR IGNORE INTO \"{}\" ({}) VALUES ({})", table_, list_, marks));
    }

    /// True where every row was read. A page that cannot be read ends a walk: then the other end,
    /// and what lies between the two, row by row.
    bool read(std::size_t& saved) {
        if (columns_.empty() || walk("", saved))
            return true;
        if (!numbered_)
            return false;
        const std::int64_t first = at_;
        walk(" ORDER BY rowid DESC", saved);
        constexpr std::int64_t kMostProbes = 200000;
        const std::int64_t last = std::min(at_, first + kMostProbes);
        for (std::int64_t row = first + 1; row < last; ++row)
            walk(fmt::format(" WHERE rowid={}", row), saved);
        return false;
    }

  private:
    static bool hasRowid(Database& db, const std::string& table) {
        try {
            Statement probe(db, fmt::format("SELECT rowid FROM \"{}\" LIMIT 0", table));
            return true;
        } catch (const SQLite::Exception&) {
            return false;
        }
    }
    bool walk(const std::string& how, std::size_t& saved) {
        try {
            Statement rows(from_, fmt::format("SELECT {} FROM \"{}\"{}", list_, table_, how));
            while (rows.executeStep()) {
                take(rows, saved);
                if (numbered_)
                    at_ = rows.getColumn(0).getInt64();
            }
            return true;
        } catch (const SQLite::Exception&) {
            return false;
        }
    }
    void take(Statement& rows, std::size_t& saved) {
        into_->reset();
        into_->clearBindings();
        for (int i = 0; i < rows.getColumnCount(); ++i) {
            const SQLite::Column cell = rows.getColumn(i);
            if (cell.isInteger())
                into_->bind(i + 1, cell.getInt64());
            else if (cell.isFloat())
                into_->bind(i + 1, cell.getDouble());
            else if (cell.isText())
                into_->bind(i + 1, cell.getString());
            else if (cell.isBlob())
                into_->bind(i + 1, cell.getBlob(), cell.getBytes());
        }
        try {
            saved += static_cast<std::size_t>(into_->exec());
        } catch (const SQLite::Exception& exception) {
            if (exception.getErrorCode() != SQLITE_CONSTRAINT && // a row that no book takes: lost
                exception.getErrorCode() != SQLITE_MISMATCH)
                throw Error{Errc::io, exception.what()};
        }
    }
    Database& from_;
    std::string table_;
    std::vector<std::string> columns_;
    bool numbered_;
    std::string list_;
    std::optional<Statement> into_;
    std::int64_t at_ = 0; ///< the row that was read last
};

/// Takes out what names something that is not there, until nothing does.
std::size_t dropDangling(Database& db) {
    std::size_t out = 0;
    for (int round = 0; round < 20; ++round) {
        std::vector<std::pair<std::string, std::int64_t>> rows;
        std::vector<std::string> without; // rowids are NULL where a table has none
        Statement dangling(db, "SELECT \"table\", rowid FROM pragma_foreign_key_check");
        while (dangling.executeStep()) {
            if (dangling.getColumn(1).isNull())
                without.push_back(dangling.getColumn(0).getString());
            else
                rows.emplace_back(dangling.getColumn(0).getString(),
                                  dangling.getColumn(1).getInt64());
        }
        if (rows.empty() && without.empty())
            return out;
        for (const auto& [table, rowid] : rows) {
            Statement gone(db, fmt::format("DELETE FROM \"{}\" WHERE rowid=?", table));
            gone.bind(1, rowid);
            out += static_cast<std::size_t>(gone.exec());
        }
        const auto shapes = tableShapes(db);
        for (const std::string& table : without)
            if (const TableShape* shape = findShape(shapes, table))
                for (const auto& [column, parent] : shape->refers) {
                    const TableShape* to = findShape(shapes, parent);
                    if (!to)
                        continue;
                    const std::string key = !to->id.empty()        ? to->id
                                            : !to->localId.empty() ? to->localId
                                                                   : to->parentColumn;
                    out += static_cast<std::size_t>(db.exec(
                        fmt::format("DELETE FROM \"{0}\" WHERE \"{1}\" IS NOT NULL AND \"{1}\" NOT "
                                    "IN (SELECT \"{2}\" FROM \"{3}\")",
                                    table, column, key, parent)));
                }
    }
    return out;
}

} // namespace

std::size_t Salvaged::rows() const {
    return std::accumulate(saved.begin(), saved.end(), std::size_t{0},
                           [](std::size_t sum, const auto& one) { return sum + one.second; });
}

Result<Salvaged> salvage(const std::string& damagedPath, const std::string& newPath,
                         const When& when) {
    Salvaged out;
    auto book = Book::create(newPath, when);
    if (!book)
        return tl::unexpected(book.error());
    const auto done = [&]() -> Result<void> {
        try {
            Database from(damagedPath, SQLite::OPEN_READONLY);
            from.exec("PRAGMA writable_schema = ON"); // a file that ends too soon is read as far
            Database& to = book->database();
            to.exec("PRAGMA foreign_keys = OFF");
            return inTransaction(*book, [&](Database& db) {
                db.exec("DELETE FROM book_info");
                for (const TableShape& shape : tableShapes(db)) {
                    std::size_t& saved = out.saved[shape.name];
                    bool whole = false;
                    try {
                        whole = TableSalvage(from, db, shape).read(saved);
                    } catch (const SQLite::Exception&) { // not even its columns
                    }
                    if (!whole)
                        out.damaged.push_back(shape.name);
                }
                out.leftOut = dropDangling(db);
                for (const auto& [key, value] :
                     {std::pair<std::string, std::string>{"min_reader", std::to_string(kMinReader)},
                      {"created_at_ms", std::to_string(when.utcMs)},
                      {"id", newId()}}) {
                    Statement info(db, "INSERT OR IGNORE INTO book_info VALUES (?, ?)");
                    info.bind(1, key);
                    info.bind(2, value);
                    info.exec();
                }
                db.exec("UPDATE book_info SET value='" + std::to_string(kMinReader) +
                        "' WHERE key='min_reader'");
                renewWhatFollows(db);
            });
        } catch (const SQLite::Exception& exception) {
            return tl::unexpected(translated(exception));
        } catch (const Error& error) {
            return tl::unexpected(error);
        }
    }();
    const bool something = out.rows() > out.saved["book_info"];
    if (done && something) {
        book->database().exec("PRAGMA foreign_keys = ON");
        return out;
    }
    discard(std::move(*book));
    if (!done)
        return tl::unexpected(done.error());
    return fail(Errc::corruptData,
                fmt::format("nothing could be read of {}; it was left as it is", damagedPath));
}

} // namespace dynamet::book
