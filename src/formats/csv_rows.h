// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "formats/csv_dialect.h"
#include "trace/series.h"

#include <optional>

#include <string_view>

namespace dynamet::formats {

/// One column of readings as recorded: in the file's own unit, NaN = missing.
struct LoggedChannel {
    std::string name;
    LogUnit unit = LogUnit::celsius;
    std::vector<double> asRecorded;
    double resolution = 0; ///< smallest decimal step seen in the file; 0 = none (off-grid)
};

/// A whole log. Times in seconds from the first row.
struct ParsedLog {
    std::vector<double> timeS;
    std::vector<LoggedChannel> channels;
    std::optional<double> startUnixS; ///< of an ISO log
    std::vector<int> junkLines;       ///< line numbers that were passed over
    int gaps = 0;                     ///< pauses of more than five times the usual step
};

/// Reads every row. A row with a broken number is an error with its line and the field (nothing is
/// imported); lines that are no rows at all (notes, repeated headers) are passed over and listed.
/// Clock times may run over midnight; any other step back in time is an error.
Result<ParsedLog> parseCsv(std::string_view text, const CsvDialect& dialect);

/// A channel in kelvin or kilograms.
Series siSeries(const ParsedLog& log, std::size_t channel);

} // namespace dynamet::formats
