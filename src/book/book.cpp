// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/book.h"

#include "book/safety/seal.h"

#include <boost/uuid/uuid_generators.hpp>
#include <boost/uuid/uuid_io.hpp>
#include <fmt/format.h>
#include <sqlite3.h>
#include <unistd.h>

namespace dynamet::book {

Book::~Book() {
    if (database_ && writable())
        sealForClosing(*database_, path_);
}

Book& Book::operator=(Book&& other) noexcept {
    std::swap(database_, other.database_);
    std::swap(path_, other.path_);
    std::swap(access_, other.access_);
    std::swap(lock_, other.lock_);
    return *this;
}

std::string Book::accessWords() const {
    switch (access_) {
    case Access::readWrite:
        return "";
    case Access::elsewhere:
        return "This book is open elsewhere: here it can only be read";
    case Access::newer:
        return "This book was written by a newer Dynamet: here it can only be read";
    case Access::looking:
        return "This book was opened to be read only";
    case Access::damaged:
        return "This book is damaged: so that nothing more is lost it can only be read. Open its "
               "newest copy (.bak)";
    case Access::readOnlyFolder:
        return "The folder of this book may not be written: here it can only be read";
    case Access::readOnlyFile:
        return "This file may not be written: the book can only be read";
    }
    return "";
}

Error Book::failed(const SQLite::Exception& exception) {
    const Error out = translated(exception);
    if (out.code == Errc::corruptData)
        closeForWriting();
    return out;
}

Error translated(const SQLite::Exception& exception) {
    switch (exception.getErrorCode()) {
    case SQLITE_FULL:
        return {Errc::io, "the disk is full; nothing was changed, what was saved before is safe",
                0};
    case SQLITE_READONLY:
        return {Errc::readOnly, "the book may not be written; nothing was changed", 0};
    case SQLITE_CORRUPT:
    case SQLITE_NOTADB:
        return {Errc::corruptData,
                "the book is damaged; it was left as it is. Open its newest copy (.bak) or "
                "run \"dynamet-cli book check\"",
                0};
    case SQLITE_BUSY:
        return {Errc::io, "the book is busy; nothing was changed, try again", 0};
    default:
        return {Errc::io, fmt::format("the book said: {}; nothing was changed", exception.what()),
                0};
    }
}

std::string newId() {
    return boost::uuids::to_string(boost::uuids::random_generator()());
}

Result<void> together(Book& book, const std::function<Result<void>()>& actions) {
    if (!book.writable())
        return fail(Errc::readOnly, book.accessWords() + "; nothing was changed");
    try {
        SQLite::Transaction transaction(book.database());
        breakSeal(book.database());
        auto done = actions();
        if (done)
            transaction.commit();
        return done;
    } catch (const SQLite::Exception& exception) {
        return tl::unexpected(book.failed(exception));
    }
}

Result<void> copyBook(Book& book, const std::string& path) {
    if (::access(path.c_str(), F_OK) == 0)
        return fail(Errc::io, fmt::format("{} exists already; it was left as it is", path));
    return reading(book, [&](SQLite::Database& db) { vacuumInto(db, path); });
}

Result<void> setWithdrawn(Book& book, const char* table, const std::string& id,
                          std::optional<When> when) {
    return inTransaction(book, [&](SQLite::Database& db) {
        SQLite::Statement s(db, fmt::format("UPDATE {} SET withdrawn_at_ms=? WHERE id=?", table));
        if (when)
            s.bind(1, when->utcMs);
        else
            s.bind(1);
        s.bind(2, id);
        s.exec();
    });
}

Result<std::string> checkBook(Book& book) {
    return reading(book, [](SQLite::Database& db) {
        std::string found;
        SQLite::Statement integrity(db, "PRAGMA integrity_check");
        while (integrity.executeStep())
            found += (found.empty() ? "" : "; ") + integrity.getColumn(0).getString();
        SQLite::Statement keys(db, "PRAGMA foreign_key_check");
        while (keys.executeStep())
            found += fmt::format("; a row of {} points to a missing {}",
                                 keys.getColumn(0).getString(), keys.getColumn(2).getString());
        return found;
    });
}

} // namespace dynamet::book
