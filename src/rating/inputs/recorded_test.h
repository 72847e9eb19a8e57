// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/instrument.h"
#include "rating/inputs/keyed_readings.h"
#include "rating/reduce.h"

namespace dynamet::rating {

/// Readings of one channel as recorded, in the instrument's own unit.
struct RecordedChannel {
    std::string role;
    std::string name;
    std::string unit = "°C"; ///< see isLogUnit
    std::string instrumentId;
    std::vector<double> timeS;
    std::vector<double> asRecorded; ///< NaN = missing
    double resolution = 0.1;        ///< 0 = off any grid
    bool operator==(const RecordedChannel&) const = default;
};

/// A test as it was made: raw readings, values and what the cook typed for them.
struct RecordedTest {
    std::string protocol;
    std::string instrumentId; ///< of all readings whose channel names none
    std::vector<RecordedChannel> channels;
    std::map<std::string, std::vector<KeyedReading>> keyed; ///< by role
    std::map<std::string, double> values;                   ///< in the unit of each name
    std::map<std::string, std::string> choices;             ///< words, by name
    std::map<std::string, std::string> typed;               ///< what the cook typed, by name
    std::optional<bool> lidOn, fanOn;                       ///< nullopt = not written down
    std::int64_t startedMs = 0;                             ///< UTC
};

/// "°C", "°F" and "K", of a scale "g", "kg", "oz" and "lb".
bool isLogUnit(const std::string& unit);

/// The test as the reductions want it: kelvins and kilograms, corrected by the calibration that was
/// in force when the test was made; readings from before a calibration stay as they were.
TestInput inputOf(const RecordedTest& test, const std::vector<kitchen::Instrument>& instruments);

} // namespace dynamet::rating
