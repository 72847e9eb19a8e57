// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/book.h"

namespace dynamet::book {

/// Makes anew what follows from the tables, where rows came in another order than they are made:
/// which number is the newest of its place, and the cooks' lines of the logbook. In a transaction.
void renewWhatFollows(SQLite::Database& db);

/// Closes a book that was begun and not finished, and takes it away with what stands beside it.
void discard(Book book);

} // namespace dynamet::book
