// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/safety/seal.h"

#include "book/safety/digest.h"

#include <algorithm>
#include <fmt/format.h>
#include <optional>
#include <sqlite3.h>
#include <sys/stat.h>
#include <vector>

namespace dynamet::book {
namespace {

using SQLite::Database;
using SQLite::Statement;

constexpr const char* kOutside = "outside";

/// A book of an older program has no place for one.
bool canBeSealed(Database& db) {
    Statement there(db, "SELECT count(*) FROM sqlite_master WHERE type='table' AND name='seal'");
    there.executeStep();
    return there.getColumn(0).getInt() > 0;
}

std::optional<std::string> sealOf(Database& db) {
    if (!canBeSealed(db))
        return std::nullopt;
    Statement seal(db, "SELECT digest FROM seal");
    if (!seal.executeStep())
        return std::nullopt;
    return seal.getColumn(0).getString();
}

void writeSeal(Database& db, const std::string& digest) {
    Statement seal(db, "INSERT OR REPLACE INTO seal(one, digest) VALUES (1, ?)");
    seal.bind(1, digest);
    seal.exec();
}

/// Digest of all pages of the file but the one that holds the seal, and without what SQLite moves
/// in the header when that is written or the journal is another one (file format, header bytes 18,
/// 19, 24–27 and 92–99). Read by SQLite's own handle: closing another one would let go of the locks
/// of the whole program. nullopt: it cannot be read.
std::optional<std::string> digestOfFile(Database& db) {
    const int pageSize = db.execAndGet("PRAGMA page_size").getInt();
    const std::int64_t sealPage =
        db.execAndGet("SELECT rootpage FROM sqlite_master WHERE name='seal'").getInt64();
    sqlite3_file* file = nullptr;
    sqlite3_file_control(db.getHandle(), "main", SQLITE_FCNTL_FILE_POINTER, &file);
    sqlite3_int64 size = 0;
    if (!file || !file->pMethods || file->pMethods->xFileSize(file, &size) != SQLITE_OK)
        return std::nullopt;
    Digest digest;
    std::vector<char> page(static_cast<std::size_t>(pageSize));
    for (std::int64_t number = 1, at = 0; at < size; ++number, at += pageSize) {
        const int bytes = static_cast<int>(std::min<std::int64_t>(pageSize, size - at));
        if (file->pMethods->xRead(file, page.data(), bytes, at) != SQLITE_OK)
            return std::nullopt;
        if (number == 1)
            for (const auto& [from, until] : {std::pair{18, 20}, {24, 28}, {92, 100}})
                std::fill(page.begin() + from, page.begin() + until, char{});
        if (number != sealPage)
            digest.add({page.data(), static_cast<std::size_t>(bytes)});
    }
    return digest.text();
}

/// Nothing waits beside the file, so that it alone is the book.
bool nothingWaits(const std::string& path) {
    struct stat log {};
    return ::stat((path + "-wal").c_str(), &log) != 0 || log.st_size == 0;
}

} // namespace

Result<bool> changedOutside(const std::string& path) {
    try {
        if (!nothingWaits(path))
            return false;
        Database db(path, SQLite::OPEN_READONLY);
        // While this reads the file alone, no log is worked into it.
        SQLite::Transaction still(db);
        const auto seal = sealOf(db);
        if (!seal || *seal == kOutside)
            return seal.has_value();
        const auto digest = digestOfFile(db);
        return digest && *digest != *seal && nothingWaits(path);
    } catch (const SQLite::Exception& exception) {
        return tl::unexpected(translated(exception).in(path));
    }
}

Result<void> noteChangedOutside(Book& book) {
    return inTransaction(book, [](Database& db) { writeSeal(db, kOutside); });
}

Result<void> acceptAsItIs(Book& book) {
    return inTransaction(book, [](Database& db) { db.exec("DELETE FROM seal"); });
}

void breakSeal(Database& db) {
    db.exec(fmt::format("DELETE FROM seal WHERE digest <> '{}'", kOutside));
}

void sealForClosing(Database& db, const std::string& path) {
    try {
        if (sealOf(db))
            return;
        db.setBusyTimeout(0); // whoever else has it open is not waited for
        Statement checkpoint(db, "PRAGMA wal_checkpoint(TRUNCATE)");
        checkpoint.executeStep();
        if (checkpoint.getColumn(0).getInt() != 0 || !nothingWaits(path))
            return;
        checkpoint.reset();
        if (const auto digest = digestOfFile(db))
            writeSeal(db, *digest);
    } catch (const SQLite::Exception&) { // left unsealed
    }
}

void vacuumInto(Database& db, const std::string& path) {
    Statement copy(db, "VACUUM INTO ?");
    copy.bind(1, path);
    copy.exec();
    if (!canBeSealed(db) || sealOf(db) == kOutside)
        return;
    Database made(path, SQLite::OPEN_READWRITE); // its pages lie otherwise
    if (const auto digest = digestOfFile(made))
        writeSeal(made, *digest);
}

} // namespace dynamet::book
