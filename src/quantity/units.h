// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

namespace dynamet {

enum class TemperatureUnit { celsius, fahrenheit, kelvin };

/// The units a reader reads and types; one set for every screen and sentence.
struct Units {
    bool fahrenheit = false;
    bool inches = false;
    bool gasMarks = false; ///< beside the dials of ovens
    TemperatureUnit temperature() const {
        return fahrenheit ? TemperatureUnit::fahrenheit : TemperatureUnit::celsius;
    }
    bool operator==(const Units&) const = default;
};

} // namespace dynamet
