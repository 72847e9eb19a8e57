// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "formats/csv_dialect.h"

#include <string_view>

namespace dynamet::formats {

/// Recognises how a log is written from its first lines. Error::parse when no column of numbers is
/// found: names the first line that looks like none.
Result<CsvDialect> sniffCsv(std::string_view text);

} // namespace dynamet::formats
