// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"

#include <string>

namespace dynamet::formats {

/// A whole file as text; io with the system's reason; invalidArgument for what is no file (a
/// folder, a pipe).
Result<std::string> readTextFile(const std::string& path);
/// Writes a file anew, whole or not at all (a temporary beside it is renamed).
Result<void> writeTextFile(const std::string& path, const std::string& text);
/// The text in UTF-8, from UTF-16 too (with or without its mark); bytes that are neither are taken
/// as Latin-1, as older loggers write their °. Lines that end in CR alone end in LF.
std::string asUtf8(std::string bytes);
/// SHA-256 of a text, 64 hexadecimal digits.
std::string sha256(const std::string& text);

} // namespace dynamet::formats
