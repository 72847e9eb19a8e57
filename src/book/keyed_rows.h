// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/table_row.h"
#include "rating/inputs/keyed_readings.h"

#include <map>

namespace dynamet::book {

/// Adds the typed readings of a test, by role and in their order; SQLite's errors throw.
void insertKeyed(SQLite::Database& db, const std::string& testId,
                 const std::map<std::string, std::vector<rating::KeyedReading>>& keyed);

} // namespace dynamet::book
