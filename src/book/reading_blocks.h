// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/test_store.h"

namespace dynamet::book {

/// Writes and reads a channel's readings in blocks: packed integers on the instrument's grid, plain
/// float64 where a value is off it. Throw SQLite::Exception; damaged blocks throw
/// std::runtime_error.
void writeReadings(SQLite::Database& db, std::int64_t channelId, const RecordedChannel& channel,
                   double scale);
/// Adds what came later to a channel that may have blocks already.
void appendReadings(SQLite::Database& db, std::int64_t channelId, const RecordedChannel& later,
                    double scale);
void readReadings(SQLite::Database& db, std::int64_t channelId, double scale, RecordedChannel& out);

} // namespace dynamet::book
