// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <optional>
#include <string>
#include <variant>
#include <vector>

namespace dynamet::device {

/// What an instrument says of itself.
struct Hello {
    std::string kind; ///< "thermometer", "scale", "meter"
    std::string name, serial;
    bool operator==(const Hello&) const = default;
};

/// One of its channels: by what it is named in readings, how fine and how far it reads, in its unit
/// ("°C", "°F", "K", "g", "kg", "oz", "lb", "W", "kW", "Wh", "kWh", "J").
struct ChannelSpec {
    std::string key, name;
    std::string unit = "°C";
    double resolution = 0.1;
    std::optional<double> low, high;
    bool operator==(const ChannelSpec&) const = default;
};

/// Why a channel gives no number: nothing is plugged in, or it is beyond its range.
enum class Gap { none, open, over, under };
struct Value {
    std::string channel;
    double value = 0; ///< as shown; NaN with a gap
    Gap gap = Gap::none;
};
struct Reading {
    std::optional<double> deviceS; ///< by the instrument's own clock
    std::vector<Value> values;
};

/// Trouble that the instrument reports itself.
struct Complaint {
    std::string words;
    bool operator==(const Complaint&) const = default;
};

/// A line that cannot be used: it is shown, counted and left out.
enum class Fault { notALine, badSum, tooLong, badNumber, unknownChannel, otherColumns, notText };
const char* enumName(Fault fault);
struct Unusable {
    Fault fault = Fault::notALine;
    std::string line; ///< its beginning
};

using Message = std::variant<Hello, ChannelSpec, Reading, Complaint, Unusable>;

/// A unit as written on a line ("C", "degF", "g"…) as readings have it; nullopt for one that nobody
/// knows.
std::optional<std::string> lineUnit(const std::string& written);

} // namespace dynamet::device
