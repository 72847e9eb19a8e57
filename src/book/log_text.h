// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/log_store.h"

namespace dynamet::book {

/// Lines of the logbook as CSV (RFC 4180) and as JSON (docs/formats.md); days are UTC.
std::string logCsv(const std::vector<LogLine>& lines);
std::string logJson(const std::vector<LogLine>& lines);
/// "2026-03-01" of a moment, UTC.
std::string dayText(std::int64_t ms);

} // namespace dynamet::book
