// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"

#include <string_view>
#include <vector>

namespace dynamet::formats {

using Rows = std::vector<std::vector<std::string_view>>;

/// The first lines of a log as a table: how they are split, the line that names the columns (empty
/// when none does) and the rows.
struct FirstRows {
    char delimiter = ',';
    bool decimalComma = false;
    std::vector<std::string_view> header;
    int firstRow = 1; ///< 1-based line of the header, or of the first row
    Rows rows;
};
/// Error::parse when there are no rows of numbers, or a decimal comma stands between comma columns.
Result<FirstRows> firstRowsOf(std::string_view text);

} // namespace dynamet::formats
