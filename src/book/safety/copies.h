// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/book.h"

#include <vector>

namespace dynamet::book {

/// A copy of a book that was made by itself.
struct BookCopy {
    std::string path;
    std::string day; ///< "2026-11-30", of the book's clock
    std::uint64_t bytes = 0;
};

inline constexpr std::size_t kCopiesKept = 14;

/// The folder beside a book where its copies are: "kitchen.copies" of kitchen.dynamet.
std::string copiesFolder(const std::string& bookPath);
/// Those that are there, newest first.
std::vector<BookCopy> copiesOf(const std::string& bookPath);
/// Makes today's copy (VACUUM INTO, whole or not there) unless it exists, and lets the oldest
/// beyond `kCopiesKept` go. True where one was made. Opens the book by itself, so that it can run
/// beside it. io, with what was kept.
Result<bool> copyToday(const std::string& bookPath, const When& now);
/// Puts a copy under a new name: never over a book. Damaged copies are refused; io.
Result<void> restoreCopy(const BookCopy& copy, const std::string& newPath);
/// A free name beside a book: "kitchen of 2026-11-30.dynamet" ("of 2026-11-30" are the words), then
/// "… (2).dynamet".
std::string freeNameBeside(const std::string& bookPath, const std::string& words);

} // namespace dynamet::book
