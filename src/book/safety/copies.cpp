// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/safety/copies.h"

#include "book/log_text.h"
#include "book/safety/seal.h"

#include <algorithm>
#include <filesystem>
#include <fmt/format.h>

namespace dynamet::book {
namespace {

namespace fs = std::filesystem;

constexpr const char* kEnd = ".dynamet";

bool isDay(const std::string& text) {
    constexpr std::size_t kLength = 10;
    if (text.size() != kLength)
        return false;
    for (std::size_t i = 0; i < kLength; ++i)
        if (i == 4 || i == 7 ? text[i] != '-' : text[i] < '0' || text[i] > '9')
            return false;
    return true;
}

} // namespace

std::string copiesFolder(const std::string& bookPath) {
    fs::path path(bookPath);
    return (path.parent_path() / path.stem()).string() + ".copies";
}

std::vector<BookCopy> copiesOf(const std::string& bookPath) {
    std::vector<BookCopy> out;
    std::error_code failed;
    for (fs::directory_iterator it(copiesFolder(bookPath), failed), end; !failed && it != end;
         it.increment(failed)) {
        const fs::path& file = it->path();
        if (file.extension() != kEnd || !isDay(file.stem().string()))
            continue;
        std::error_code unknown;
        const auto bytes = fs::file_size(file, unknown);
        out.push_back({file.string(), file.stem().string(), unknown ? 0 : bytes});
    }
    std::sort(out.begin(), out.end(), [](const auto& a, const auto& b) { return a.day > b.day; });
    return out;
}

Result<bool> copyToday(const std::string& bookPath, const When& now) {
    constexpr std::int64_t kMinuteMs = 60000;
    const std::string day = dayText(now.utcMs + now.offsetMin * kMinuteMs);
    const fs::path folder = copiesFolder(bookPath), file = folder / (day + kEnd);
    std::error_code failed;
    if (fs::exists(file, failed))
        return false;
    const auto cannot = [&](const std::string& why) {
        return fail(Errc::io, fmt::format("today's copy of the book could not be made ({}); the "
                                          "book is as it was, {} older copies are kept",
                                          why, copiesOf(bookPath).size()));
    };
    fs::create_directories(folder, failed);
    if (failed)
        return cannot(failed.message());
    const std::string part = file.string() + ".part";
    fs::remove(part, failed);
    try {
        SQLite::Database book(bookPath, SQLite::OPEN_READONLY);
        book.setBusyTimeout(2000);
        vacuumInto(book, part);
    } catch (const SQLite::Exception& exception) {
        fs::remove(part, failed);
        return cannot(exception.what());
    }
    fs::permissions(part, fs::status(bookPath, failed).permissions(), failed);
    fs::rename(part, file, failed);
    if (failed)
        return cannot(failed.message());
    const auto all = copiesOf(bookPath);
    for (std::size_t i = kCopiesKept; i < all.size(); ++i)
        fs::remove(all[i].path, failed);
    return true;
}

Result<void> restoreCopy(const BookCopy& copy, const std::string& newPath) {
    if (fs::exists(newPath))
        return fail(Errc::io, fmt::format("{} exists already; it was left as it is", newPath));
    if (const auto whole = quickCheck(copy.path); !whole)
        return tl::unexpected(whole.error().in(
            fmt::format("the copy of {} is damaged itself, try another", copy.day)));
    std::error_code failed;
    const std::string part = newPath + ".part";
    fs::copy_file(copy.path, part, fs::copy_options::overwrite_existing, failed);
    if (!failed)
        fs::rename(part, newPath, failed);
    if (failed)
        return fail(Errc::io, fmt::format("{}: {}", newPath, failed.message()));
    return {};
}

std::string freeNameBeside(const std::string& bookPath, const std::string& words) {
    const fs::path path(bookPath);
    const std::string stem =
        (path.parent_path() / fmt::format("{} {}", path.stem().string(), words)).string();
    std::string out = stem + kEnd;
    for (int i = 2; fs::exists(out); ++i)
        out = fmt::format("{} ({}){}", stem, i, kEnd);
    return out;
}

} // namespace dynamet::book
