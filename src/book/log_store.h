// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/book.h"

#include <vector>

namespace dynamet::book {

/// A test or a cook in the logbook, in one line.
struct LogLine {
    std::string kind; ///< "test" or "cook"
    std::string ref;  ///< its id
    std::int64_t atMs = 0;
    std::string applianceId, foodId, person, title, words;
};
/// What is looked for; empty fields do not narrow.
struct LogFilter {
    std::string text; ///< words that all occur; the last one may be begun only
    std::string kind, applianceId, foodId, person;
    std::int64_t fromMs = 0, untilMs = 0; ///< 0 = open
    int most = 500;
};
/// Newest first.
Result<std::vector<LogLine>> logLines(Book& book, const LogFilter& filter);
/// Who stands in it, and which foods, for the filters' lists.
Result<std::vector<std::string>> logPeople(Book& book);

/// A cook's line, made anew from what is kept of it; inside a transaction.
void logCook(SQLite::Database& db, const std::string& cookId);

/// What was typed as a search of FTS5: every word quoted, so that no sign of it is a command.
std::string searchOf(const std::string& typed);

} // namespace dynamet::book
