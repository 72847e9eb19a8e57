// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>

namespace dynamet::words {

/// What a cook calls the things of a book's table: "3 tests", "1 recipe".
std::string thingsWords(const std::string& table, std::size_t count);
std::string thingWord(const std::string& table);
/// A column that two books have differently: "altitude_m" is its altitude.
std::string columnWord(const std::string& column);

} // namespace dynamet::words
