// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/book_lock.h"
#include "quantity/result.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <cstdint>
#include <functional>
#include <memory>
#include <optional>
#include <sqlite3.h>
#include <string>

namespace dynamet::book {

inline constexpr std::int32_t kApplicationId = 0x44594e4d; // "DYNM"
inline constexpr int kSchemaVersion = 13;
/// Oldest program version that can read what this one writes.
inline constexpr int kMinReader = 6;

/// When something was written: passed in, so that nothing here asks a clock.
struct When {
    std::int64_t utcMs = 0;
    int offsetMin = 0;
};

/// An open kitchen book: one SQLite file in WAL mode with synchronous=FULL. One connection writes;
/// a second opener gets it read-only. Closing is the destructor.
class Book {
  public:
    enum class Access {
        readWrite,
        elsewhere,      ///< another program writes it
        newer,          ///< written by a newer program
        readOnlyFile,   ///< the file may not be written
        readOnlyFolder, ///< nothing may be written beside it
        looking,        ///< asked so
        damaged         ///< found while it was open: nothing is written from then on
    };

    Book(Book&&) noexcept = default;
    /// Closes it, sealed (book/safety/seal.h).
    ~Book();
    Book& operator=(Book&&) noexcept;

    /// Opens a book and brings it up to this program's schema (with a copy beside it first).
    /// notFound, corruptData (damaged or no book of ours: it is left untouched), io.
    static Result<Book> open(const std::string& path);
    /// The same without a lock and without a byte written: an older book is brought up to date in
    /// memory, for whoever only looks.
    static Result<Book> openForReading(const std::string& path);
    /// Makes a new, empty book, whole or not at all; io when the file exists already.
    static Result<Book> create(const std::string& path, const When& when);

    const std::string& path() const { return path_; }
    Access access() const { return access_; }
    bool writable() const { return access_ == Access::readWrite; }
    /// What the status line says of an access that is not read-write; empty otherwise.
    std::string accessWords() const;
    SQLite::Database& database() { return *database_; }
    /// What SQLite threw, translated; damage closes the book for writing.
    Error failed(const SQLite::Exception& exception);
    /// Damage was found: nothing is written from now on.
    void closeForWriting() { access_ = Access::damaged; }

  private:
    static Result<Book> opened(const std::string& path, Access access, BookLock lock);
    Book(std::unique_ptr<SQLite::Database> database, std::string path, Access access, BookLock lock)
        : lock_(std::move(lock)), database_(std::move(database)), path_(std::move(path)),
          access_(access) {}
    BookLock lock_; ///< let go of last
    std::unique_ptr<SQLite::Database> database_;
    std::string path_;
    Access access_ = Access::readWrite;
};

/// A new random id (UUID version 4).
std::string newId();

/// Runs one action as one transaction: all of it or nothing. SQLite's errors become an Error
/// (readOnly, io "disk full", corruptData) that says that nothing was changed.
template <class Action>
Result<void> inTransaction(Book& book, Action action);

/// Hides (a time) or shows again (nullopt) a row of a table that has withdrawn_at_ms; nothing is
/// ever deleted.
Result<void> setWithdrawn(Book& book, const char* table, const std::string& id,
                          std::optional<When> when);

/// Translates what SQLite threw.
Error translated(const SQLite::Exception& exception);
/// Before the first change: what the book was sealed with no longer holds.
void breakSeal(SQLite::Database& db);

template <class Action>
Result<void> inTransaction(Book& book, Action action) {
    if (!book.writable())
        return fail(Errc::readOnly, book.accessWords() + "; nothing was changed");
    try {
        if (!sqlite3_get_autocommit(book.database().getHandle())) { // part of `together`
            action(book.database());
            return {};
        }
        SQLite::Transaction transaction(book.database());
        breakSeal(book.database());
        action(book.database());
        transaction.commit();
        return {};
    } catch (const SQLite::Exception& exception) {
        return tl::unexpected(book.failed(exception));
    }
}

/// Several actions as one transaction: all of them, or nothing when one fails.
Result<void> together(Book& book, const std::function<Result<void>()>& actions);

/// Writes the book as it stands into a new file; io when that exists already.
Result<void> copyBook(Book& book, const std::string& path);

/// Reads; SQLite's errors, and an Error that is thrown about a damaged value, come back as one.
template <class Read>
auto reading(Book& book, Read read) -> Result<decltype(read(book.database()))> {
    try {
        if constexpr (std::is_void_v<decltype(read(book.database()))>) {
            read(book.database());
            return {};
        } else {
            return read(book.database());
        }
    } catch (const SQLite::Exception& exception) {
        return tl::unexpected(book.failed(exception));
    } catch (const Error& error) {
        return tl::unexpected(error);
    }
}

/// Looks through the pages of a book's file (PRAGMA quick_check) by a connection of its own, so
/// that it can run beside an open book; corruptData.
Result<void> quickCheck(const std::string& path);

/// PRAGMA integrity_check and foreign keys; "ok" or what was found.
Result<std::string> checkBook(Book& book);

} // namespace dynamet::book
