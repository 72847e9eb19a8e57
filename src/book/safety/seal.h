// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/book.h"

namespace dynamet::book {

// A value with a flipped bit is still a value: SQLite cannot tell, and neither can a reader. So a
// book that is closed is sealed with a digest of all its pages, and compared with it when it is
// opened. What stands between two openings shows: a failing disk, a bad copy, another program.

/// Something was written from outside since this program last closed the book. False too where that
/// is not known: it was not closed cleanly, or has never been sealed. Opens the file by itself, so
/// that it can run beside an open book; corruptData, io.
Result<bool> changedOutside(const std::string& path);

/// Keeps in the book that it was found so, until `acceptAsItIs`.
Result<void> noteChangedOutside(Book& book);
/// A cook has looked: from now on the book counts as it is.
Result<void> acceptAsItIs(Book& book);

/// Seals a book that is about to be closed, unless it still is; never where another connection has
/// it open. Nothing is said when it cannot be: an unsealed book is a book.
void sealForClosing(SQLite::Database& db, const std::string& path);

/// Writes a book as it stands into a new file (VACUUM INTO), sealed anew. SQLite::Exception.
void vacuumInto(SQLite::Database& db, const std::string& path);

} // namespace dynamet::book
