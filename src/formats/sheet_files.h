// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "words/sheets.h"

namespace dynamet::formats {

/// A page of its own for a browser or a printer, its style in it; UTF-8.
std::string sheetHtml(const words::Sheet& sheet);
/// Headers and rows alone, RFC 4180, UTF-8.
std::string sheetCsv(const words::Sheet& sheet);
/// Writes a spreadsheet (XLSX), whole or not at all. io with the reason.
Result<void> writeSheetXlsx(const words::Sheet& sheet, const std::string& path);

} // namespace dynamet::formats
