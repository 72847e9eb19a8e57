// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"

#include <span>
#include <string_view>

namespace dynamet {

/// Reads a number as cooks type it at the start of `text` and cuts it off: "1.5", "1,5", "1,650" (a
/// thousand), "1.650,5", "1 1/4", "1¼", "½", "-3". Error::parse when none stands there. Locale is
/// never used.
Result<double> takeNumber(std::string_view& text);

/// Whether the first number of the text could be a thousand or a fraction ("1,650", "1.650"): a
/// field says then which of the two it took.
bool hasTwoReadings(std::string_view text);

/// Cuts white space from both ends.
std::string_view trimmed(std::string_view text);

/// One spelling of a unit and how many SI units it is worth.
struct UnitName {
    std::string_view name;
    double siPerUnit;
};

/// Reads "number unit" with the unit looked up in `units` (case ignored); without a unit,
/// `defaultSiPerUnit` counts. The whole text must be used. `what` names the quantity in errors.
Result<double> parseWithUnits(std::string_view text, std::span<const UnitName> units,
                              double defaultSiPerUnit, std::string_view what);

} // namespace dynamet
