// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/appliance.h"
#include "quantity/temperature.h"
#include "recipe/handling.h"

namespace dynamet::recipe {

/// What a cook's sentence says: what is done, and how long all of it takes where the sentence ends
/// with a stretch of time ("3 min, turn, 2 min"); 0 = it does not say.
struct SaidHandling {
    Handling handling;
    double totalS = 0;
};

/// "3 min, turn, 2 min, lid on" or "turn every 2 min; lid on at 5 min; off the heat for 1 min at
/// 8 min": phrases between commas, semicolons or "then". A stretch of time alone lets the clock run
/// on; "at", "after" and "every" say when. Temperatures without a unit are the reader's. Settings
/// and places are those of the appliance; `begun` is what it is set to at first. Error::parse names
/// the phrase and says what can be written.
Result<SaidHandling> parseHandling(const std::string& sentence, const kitchen::Appliance& on,
                                   const kitchen::Setting& begun, TemperatureUnit unit);

/// A time as it was said, to the second: "5 min 30 s".
std::string saidTime(double seconds);

/// The way back: a sentence that `parseHandling` reads as the same handling; empty for none.
std::string handlingSentence(const Handling& handling, const kitchen::Appliance& on,
                             const kitchen::Setting& begun, TemperatureUnit unit);

} // namespace dynamet::recipe
