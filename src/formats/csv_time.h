// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "formats/csv_dialect.h"

#include <optional>
#include <string_view>

namespace dynamet::formats {

/// A time field as seconds: since 1970 for ISO ("2026-03-01T12:00:05Z", also with a blank, fraction
/// and offset), since midnight for clock ("23:59", "11:30:05 PM"), else from the start. nullopt
/// when the field is not of that style.
std::optional<double> readTime(std::string_view field, TimeStyle style, bool decimalComma);

} // namespace dynamet::formats
