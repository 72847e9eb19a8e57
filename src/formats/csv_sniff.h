// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "formats/csv_dialect.h"

#include <string_view>

namespace dynamet::formats {

/// Recognises how a log is written from its first lines; what it leaves open stands in
/// `questions`, unless the answers say it. Error::parse when no column of numbers is found or a
/// time is not understood: names the line.
Result<CsvDialect> sniffCsv(std::string_view text, const CsvAnswers& answers = {});

} // namespace dynamet::formats
