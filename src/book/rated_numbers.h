// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/book.h"
#include "kitchen/kitchen.h"

namespace dynamet::book {

/// The field numbers of an appliance's saved ratings that stand (not withdrawn, not superseded),
/// the newest of each place, oldest first. Settings that no longer fit the controls are left out.
/// Throws SQLite::Exception.
std::vector<kitchen::RatedNumber> loadNewestNumbers(SQLite::Database& db,
                                                    const kitchen::Appliance& appliance);

/// The same with those that newer ones have taken the place of.
Result<std::vector<kitchen::RatedNumber>> loadRatedHistory(Book& book,
                                                           const kitchen::Appliance& appliance);

} // namespace dynamet::book
