// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/book.h"

#include <SQLiteCpp/Backup.h>
#include <array>
#include <boost/uuid/uuid_generators.hpp>
#include <boost/uuid/uuid_io.hpp>
#include <cerrno>
#include <charconv>
#include <cstdio>
#include <cstring>
#include <fmt/format.h>
#include <fstream>
#include <sqlite3.h>
#include <string_view>
#include <sys/stat.h>
#include <unistd.h>

namespace dynamet::data {
extern const std::string_view book_migration_001;
extern const std::string_view book_migration_002;
extern const std::string_view book_migration_003;
extern const std::string_view book_migration_004;
extern const std::string_view book_migration_005;
extern const std::string_view book_migration_006;
} // namespace dynamet::data

namespace dynamet::book {
namespace {

/// A name that begins with "file:" is a path too, never an address with options.
std::string plainPath(const std::string& path) {
    return path.starts_with("file:") ? "./" + path : path;
}

Result<void> looksLikeABook(const std::string& path) {
    struct stat what {};
    if (::stat(path.c_str(), &what) == 0 && !S_ISREG(what.st_mode))
        return fail(Errc::invalidArgument,
                    fmt::format("{} is {}, not a kitchen book", path,
                                S_ISDIR(what.st_mode) ? "a folder" : "a pipe or a device"));
    std::ifstream file(path, std::ios::binary);
    if (!file)
        return fail(errno == ENOENT ? Errc::notFound : Errc::io,
                    fmt::format("{}: {}", path, std::strerror(errno)));
    std::array<char, 72> head{};
    file.read(head.data(), head.size());
    const bool sqlite = file.gcount() == 72 && std::memcmp(head.data(), "SQLite format 3", 16) == 0;
    std::uint32_t id = 0;
    for (int i = 0; i < 4; ++i)
        id = id << 8 | static_cast<unsigned char>(head[static_cast<std::size_t>(68 + i)]);
    if (!sqlite || static_cast<std::int32_t>(id) != kApplicationId)
        return fail(
            Errc::corruptData,
            fmt::format(
                "{} is not a kitchen book, or its beginning is damaged; it was left as it is",
                path));
    return {};
}

void migrate(SQLite::Database& database, int from) {
    constexpr std::array<const std::string_view*, kSchemaVersion> kMigrations{
        &data::book_migration_001, &data::book_migration_002, &data::book_migration_003,
        &data::book_migration_004, &data::book_migration_005, &data::book_migration_006};
    for (int version = from; version < kSchemaVersion; ++version) {
        SQLite::Transaction transaction(database);
        database.exec(std::string(*kMigrations[static_cast<std::size_t>(version)]));
        database.exec(fmt::format("PRAGMA user_version = {}", version + 1));
        transaction.commit();
    }
}

void setUp(SQLite::Database& database, bool writable) {
    database.exec("PRAGMA foreign_keys = ON");
    database.setBusyTimeout(2000);
    if (writable) {
        database.exec("PRAGMA journal_mode = WAL");
        database.exec("PRAGMA synchronous = FULL");
    }
}

/// A backup never writes over another: ".v4.bak", then ".v4.2.bak"…
std::string freeBackupName(const std::string& path, int version) {
    std::string name = fmt::format("{}.v{}.bak", path, version);
    for (int i = 2; ::access(name.c_str(), F_OK) == 0; ++i)
        name = fmt::format("{}.v{}.{}.bak", path, version, i);
    return name;
}

/// A book that only its owner may read has a backup that only its owner may read.
void copyMode(const std::string& from, const std::string& to) {
    struct stat what {};
    if (::stat(from.c_str(), &what) == 0)
        ::chmod(to.c_str(), what.st_mode & 07777);
}

int minimumReader(SQLite::Database& database) {
    SQLite::Statement query(database, "SELECT value FROM book_info WHERE key = 'min_reader'");
    if (!query.executeStep())
        return 1;
    const std::string text = query.getColumn(0).getString();
    int reader = 0;
    const auto [end, code] = std::from_chars(text.data(), text.data() + text.size(), reader);
    if (code != std::errc{} || end != text.data() + text.size())
        throw SQLite::Exception("its min_reader is damaged", SQLITE_CORRUPT);
    return reader;
}

} // namespace

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
    case Access::readOnlyFile:
        return "This file may not be written: the book can only be read";
    }
    return "";
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

Result<Book> Book::open(const std::string& path) {
    if (const auto ours = looksLikeABook(path); !ours)
        return tl::unexpected(ours.error());
    Access access = Access::readWrite;
    BookLock lock;
    if (::access(path.c_str(), W_OK) != 0)
        access = Access::readOnlyFile;
    else if ((lock = BookLock::take(path)).state() != BookLock::State::held)
        access =
            lock.state() == BookLock::State::elsewhere ? Access::elsewhere : Access::readOnlyFile;
    try {
        const int mode =
            access == Access::readWrite ? SQLite::OPEN_READWRITE : SQLite::OPEN_READONLY;
        auto database = std::make_unique<SQLite::Database>(plainPath(path), mode);
        const int version = database->execAndGet("PRAGMA user_version").getInt();
        if (version < 1)
            throw SQLite::Exception("its version is damaged", SQLITE_CORRUPT);
        if (version > kSchemaVersion) {
            if (minimumReader(*database) > kSchemaVersion)
                return fail(Errc::unsupported,
                            fmt::format("{} needs a newer Dynamet (format {}); it was left "
                                        "as it is",
                                        path, version));
            access = Access::newer;
            database = std::make_unique<SQLite::Database>(plainPath(path), SQLite::OPEN_READONLY);
        }
        setUp(*database, access == Access::readWrite);
        if (access == Access::readWrite && version < kSchemaVersion) {
            SQLite::Statement copy(*database, "VACUUM INTO ?");
            const std::string backup = freeBackupName(path, version);
            copy.bind(1, backup);
            copy.exec();
            copyMode(path, backup);
            migrate(*database, version);
        }
        if (access != Access::readWrite && version < kSchemaVersion) {
            // An older book that may not be written is brought up to date in memory only.
            auto copy = std::make_unique<SQLite::Database>(":memory:", SQLite::OPEN_READWRITE |
                                                                           SQLite::OPEN_CREATE);
            SQLite::Backup backup(*copy, *database);
            backup.executeStep();
            migrate(*copy, version);
            database = std::move(copy);
        }
        return Book(std::move(database), path, access, std::move(lock));
    } catch (const SQLite::Exception& exception) {
        return tl::unexpected(translated(exception).in(path));
    }
}

namespace {

/// An empty book of today's format in a file of its own.
void writeEmptyBook(const std::string& path, const When& when) {
    SQLite::Database database(plainPath(path), SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE);
    database.exec(fmt::format("PRAGMA application_id = {}", kApplicationId));
    setUp(database, true);
    migrate(database, 0);
    SQLite::Statement info(database, "INSERT INTO book_info(key, value) VALUES (?, ?)");
    for (const auto& [key, value] :
         {std::pair<std::string, std::string>{"min_reader", std::to_string(kMinReader)},
          {"created_at_ms", std::to_string(when.utcMs)},
          {"id", newId()}}) {
        info.bind(1, key);
        info.bind(2, value);
        info.exec();
        info.reset();
    }
}

void removeParts(const std::string& part) {
    for (const char* end : {"", "-wal", "-shm", "-journal"})
        ::unlink((part + end).c_str());
}

} // namespace

/// Made under another name and then given its own, which is refused when somebody has it: a failure
/// leaves nothing, and nothing is written over.
Result<Book> Book::create(const std::string& path, const When& when) {
    if (::access(path.c_str(), F_OK) == 0)
        return fail(Errc::io, fmt::format("{} exists already; it was left as it is", path));
    const std::string part = path + "." + newId() + ".part";
    try {
        writeEmptyBook(part, when);
    } catch (const SQLite::Exception& exception) {
        removeParts(part);
        return tl::unexpected(translated(exception).in(path));
    }
    const bool named = ::link(part.c_str(), path.c_str()) == 0 ||
                       (errno != EEXIST && ::access(path.c_str(), F_OK) != 0 &&
                        std::rename(part.c_str(), path.c_str()) == 0);
    const Error why{Errc::io, fmt::format("{}: {}", path, std::strerror(errno))};
    removeParts(part);
    return named ? open(path) : Result<Book>(tl::unexpected(why));
}

std::string newId() {
    return boost::uuids::to_string(boost::uuids::random_generator()());
}

Result<void> together(Book& book, const std::function<Result<void>()>& actions) {
    if (!book.writable())
        return fail(Errc::readOnly, book.accessWords() + "; nothing was changed");
    try {
        SQLite::Transaction transaction(book.database());
        auto done = actions();
        if (done)
            transaction.commit();
        return done;
    } catch (const SQLite::Exception& exception) {
        return tl::unexpected(translated(exception));
    }
}

Result<void> copyBook(Book& book, const std::string& path) {
    if (::access(path.c_str(), F_OK) == 0)
        return fail(Errc::io, fmt::format("{} exists already; it was left as it is", path));
    return reading(book, [&](SQLite::Database& db) {
        SQLite::Statement copy(db, "VACUUM INTO ?");
        copy.bind(1, path);
        copy.exec();
    });
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
