// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "formats/csv_dialect.h"

#include <optional>
#include <string_view>

namespace dynamet::formats {

/// A time field as seconds: since 1970 for dates and unix times ("2026-03-01T12:00:05Z", also with
/// a blank, fraction and offset; "03.04.2026 14:05"; "4/3/26 2:05 PM"), since midnight for clock
/// ("23:59", "11:30:05 PM"), else from the start. Numbers may carry thousands ("1,000"). nullopt
/// when the field is not of that style.
std::optional<double> readTime(std::string_view field, TimeStyle style, bool decimalComma);
/// A date without a clock, as seconds since 1970: ISO, or in the order of the style.
std::optional<double> readDate(std::string_view field, TimeStyle order);
/// A number of digits with thousands apart: "1,000", "12.500", "1'000"; nullopt for any other.
std::optional<double> readThousands(std::string_view field);

} // namespace dynamet::formats
