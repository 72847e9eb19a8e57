// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/print.h"
#include "translate/wording.h"

#include <QString>

namespace dynamet::app {

/// The units a cook reads and types; one set for every screen.
struct Units {
    bool fahrenheit = false;
    bool inches = false;
    TemperatureUnit temperature() const {
        return fahrenheit ? TemperatureUnit::fahrenheit : TemperatureUnit::celsius;
    }
    translate::Units wording() const { return {fahrenheit, inches}; }
    bool operator==(const Units&) const = default;
};

inline QString text(const std::string& s) {
    return QString::fromStdString(s);
}
inline std::string plain(const QString& s) {
    return s.toStdString();
}

} // namespace dynamet::app
