// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// How a book is found, judged, brought up to date and made.
#include "book/book.h"
#include "book/safety/network_share.h"
#include "book/safety/seal.h"
#include "book/table_row.h"

#include <SQLiteCpp/Backup.h>
#include <array>
#include <cctype>
#include <cerrno>
#include <charconv>
#include <cstdio>
#include <cstring>
#include <filesystem>
#include <fmt/format.h>
#include <fstream>
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
extern const std::string_view book_migration_007;
extern const std::string_view book_migration_008;
extern const std::string_view book_migration_009;
extern const std::string_view book_migration_010;
extern const std::string_view book_migration_011;
extern const std::string_view book_migration_012;
extern const std::string_view book_migration_013;
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
    for (std::size_t i = 0; i < 4; ++i)
        id = id << 8 | static_cast<unsigned char>(head[68 + i]);
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
        &data::book_migration_004, &data::book_migration_005, &data::book_migration_006,
        &data::book_migration_007, &data::book_migration_008, &data::book_migration_009,
        &data::book_migration_010, &data::book_migration_011, &data::book_migration_012,
        &data::book_migration_013};
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

/// An empty book of today's format in a file of its own.
void writeEmptyBook(const std::string& path, const When& when) {
    SQLite::Database database(plainPath(path), SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE);
    database.exec(fmt::format("PRAGMA application_id = {}", kApplicationId));
    setUp(database, true);
    migrate(database, 0);
    for (const auto& [key, value] :
         {std::pair<std::string, std::string>{"min_reader", std::to_string(kMinReader)},
          {"created_at_ms", std::to_string(when.utcMs)},
          {"id", newId()}})
        insertRow(database, "book_info", {{"key", key}, {"value", value}});
}

void removeParts(const std::string& part) {
    for (const char* end : {"", "-wal", "-shm", "-journal"})
        ::unlink((part + end).c_str());
}

bool folderCanBeWritten(const std::string& path) {
    const auto folder = std::filesystem::path(path).parent_path();
    return ::access(folder.empty() ? "." : folder.c_str(), W_OK | X_OK) == 0;
}

bool changesWait(const std::string& path) {
    struct stat log {};
    return ::stat((path + "-wal").c_str(), &log) == 0 && log.st_size > 0;
}

std::unique_ptr<SQLite::Database> inMemory(SQLite::Database& from) {
    auto copy = std::make_unique<SQLite::Database>(":memory:",
                                                   SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE);
    SQLite::Backup backup(*copy, from);
    backup.executeStep();
    return copy;
}

/// The path as SQLite's address, every unusual letter escaped.
std::string immutableAddress(const std::string& path) {
    std::string out = "file:";
    for (const char letter : path) {
        const auto c = static_cast<unsigned char>(letter);
        out += std::isalnum(c) || c == '/' || c == '.' || c == '-' || c == '_'
                   ? std::string(1, letter)
                   : fmt::format("%{:02X}", c);
    }
    return out + "?immutable=1";
}

/// Where SQLite may make no file beside the book. Changes that wait in the write-ahead log belong
/// to it, so then both are copied elsewhere and read from there into memory.
std::unique_ptr<SQLite::Database> openWithoutItsFolder(const std::string& path) {
    namespace fs = std::filesystem;
    if (!changesWait(path))
        return std::make_unique<SQLite::Database>(immutableAddress(path),
                                                  SQLite::OPEN_READONLY | SQLite::OPEN_URI);
    std::string folder = (fs::temp_directory_path() / "dynamet-XXXXXX").string();
    if (!::mkdtemp(folder.data()))
        throw SQLite::Exception("no temporary folder for a copy", SQLITE_CANTOPEN);
    const std::string copy = folder + "/book";
    std::unique_ptr<SQLite::Database> out;
    std::error_code failed;
    fs::copy_file(path, copy, failed);
    if (!failed)
        fs::copy_file(path + "-wal", copy + "-wal", failed);
    if (!failed)
        fs::permissions(copy, fs::perms::owner_read | fs::perms::owner_write, failed);
    if (!failed)
        fs::permissions(copy + "-wal", fs::perms::owner_read | fs::perms::owner_write, failed);
    try {
        if (!failed) {
            SQLite::Database copied(copy, SQLite::OPEN_READWRITE);
            out = inMemory(copied);
        }
    } catch (...) {
        fs::remove_all(folder, failed);
        throw;
    }
    std::error_code ignored;
    fs::remove_all(folder, ignored);
    if (!out)
        throw SQLite::Exception("no room for a copy: " + failed.message(), SQLITE_CANTOPEN);
    return out;
}

std::unique_ptr<SQLite::Database> openToLook(const std::string& path) {
    return folderCanBeWritten(path)
               ? std::make_unique<SQLite::Database>(plainPath(path), SQLite::OPEN_READONLY)
               : openWithoutItsFolder(path);
}

int versionOf(SQLite::Database& database) {
    const int version = database.execAndGet("PRAGMA user_version").getInt();
    if (version < 1)
        throw SQLite::Exception("its version is damaged", SQLITE_CORRUPT);
    return version;
}

/// A copy of the book as it was, whole under its name or not there.
void keepBackup(SQLite::Database& database, const std::string& path, int version) {
    const std::string backup = freeBackupName(path, version), part = backup + ".part";
    ::unlink(part.c_str());
    vacuumInto(database, plainPath(part));
    copyMode(path, part);
    if (std::rename(part.c_str(), backup.c_str()) != 0)
        throw SQLite::Exception("the copy before the change could not be named", SQLITE_IOERR);
}

Book::Access accessTo(const std::string& path, BookLock& lock) {
    if (::access(path.c_str(), W_OK) != 0)
        return Book::Access::readOnlyFile;
    if (!folderCanBeWritten(path))
        return Book::Access::readOnlyFolder;
    lock = BookLock::take(path);
    return lock.state() == BookLock::State::held        ? Book::Access::readWrite
           : lock.state() == BookLock::State::elsewhere ? Book::Access::elsewhere
                                                        : Book::Access::readOnlyFile;
}

/// Two stations that write one file over a network damage it sooner or later.
Result<void> notOnAShare(const std::string& path) {
    const auto share = networkShareOf(path);
    if (!share)
        return {};
    return fail(Errc::refused,
                fmt::format("{} is on a network share ({}): locks there cannot be trusted, and two "
                            "stations would damage the book. Keep it on this computer's own disk; "
                            "stations exchange changes by Export changes and Take in changes. It "
                            "was left as it is",
                            path, *share));
}

} // namespace

Result<Book> Book::opened(const std::string& path, Access access, BookLock lock) {
    try {
        auto database = openToLook(path);
        const int version = versionOf(*database);
        if (version > kSchemaVersion) {
            if (minimumReader(*database) > kSchemaVersion)
                return fail(Errc::unsupported,
                            fmt::format("{} needs a newer Dynamet (format {}); it was left as it "
                                        "is",
                                        path, version));
            access = Access::newer;
        }
        if (access == Access::readWrite) {
            // Only now that its version is known: opened for writing, a log left behind is worked
            // into the book.
            database = std::make_unique<SQLite::Database>(plainPath(path), SQLite::OPEN_READWRITE);
            setUp(*database, true);
            if (version < kSchemaVersion) {
                keepBackup(*database, path, version);
                migrate(*database, version);
                breakSeal(*database);
            }
            return Book(std::move(database), path, access, std::move(lock));
        }
        if (version < kSchemaVersion) { // brought up to date in memory only
            database = inMemory(*database);
            migrate(*database, version);
        }
        setUp(*database, false);
        return Book(std::move(database), path, access, {});
    } catch (const SQLite::Exception& exception) {
        return tl::unexpected(translated(exception).in(path));
    }
}

Result<Book> Book::open(const std::string& path) {
    if (const auto ours = looksLikeABook(path); !ours)
        return tl::unexpected(ours.error());
    if (const auto local = notOnAShare(path); !local)
        return tl::unexpected(local.error());
    BookLock lock;
    const Access access = accessTo(path, lock);
    return opened(path, access, std::move(lock));
}

Result<Book> Book::openForReading(const std::string& path) {
    if (const auto ours = looksLikeABook(path); !ours)
        return tl::unexpected(ours.error());
    return opened(path, Access::looking, {});
}

Result<void> quickCheck(const std::string& path) {
    try {
        const auto database = openToLook(path);
        SQLite::Statement check(*database, "PRAGMA quick_check(1)");
        check.executeStep();
        const std::string found = check.getColumn(0).getString();
        if (found == "ok")
            return {};
        throw SQLite::Exception(found, SQLITE_CORRUPT);
    } catch (const SQLite::Exception& exception) {
        return tl::unexpected(translated(exception).in(path));
    }
}

/// Made under another name and then given its own, which is refused when somebody has it: a failure
/// leaves nothing, and nothing is written over.
Result<Book> Book::create(const std::string& path, const When& when) {
    if (::access(path.c_str(), F_OK) == 0)
        return fail(Errc::io, fmt::format("{} exists already; it was left as it is", path));
    if (const auto local = notOnAShare(path); !local)
        return tl::unexpected(local.error());
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

} // namespace dynamet::book
