// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <optional>
#include <string>
#include <vector>

namespace dynamet::rating {

enum class ValueKind {
    number,
    count,
    mass,
    length,
    energy,
    duration,
    temperature,
    difference,
    choice
};
/// "mass": the word in data/protocols.json.
const char* enumName(ValueKind kind);

/// One answer of a choice: the word on the command line and in the book, and what the cook reads.
struct Choice {
    std::string word, label;
};

/// A named value that a test may carry beside its readings. The form, the command line, the table
/// in docs/formats.md and `protocols --json` are all made from it.
struct ValueSpec {
    std::string name;  ///< "water_kg"; numbers go by the unit that the name carries
    std::string label; ///< "Water"
    ValueKind kind = ValueKind::number;
    std::string unit;               ///< "g": what a bare number means where it is typed
    double siPerUnit = 1;           ///< the name's unit, worth of one typed unit
    double low = 0, high = 0;       ///< in the typed unit; what is outside is refused
    std::string usual;              ///< stands in the form at first, as typed; may be empty
    std::optional<double> fallback; ///< holds when nothing is given, in the name's unit
    bool required = false;          ///< no result without it
    bool optional = false;          ///< may stay empty (or 0): not known
    bool logTells = false;          ///< a log tells it: then nobody types it
    bool asked = true;              ///< false: no field in the form
    std::vector<Choice> choices;    ///< of a choice: the first holds when none is given
};

} // namespace dynamet::rating
