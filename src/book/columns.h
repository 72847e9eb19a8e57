// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <SQLiteCpp/SQLiteCpp.h>
#include <optional>
#include <string>
#include <type_traits>

namespace dynamet::book {

/// Binds a text, or NULL where it is empty ("unknown", "none").
inline void bindText(SQLite::Statement& s, int at, const std::string& text) {
    if (text.empty())
        s.bind(at);
    else
        s.bind(at, text);
}

/// Binds a number or flag, or NULL where there is none.
template <class T>
void bindOptional(SQLite::Statement& s, int at, const std::optional<T>& value) {
    if (!value)
        s.bind(at);
    else if constexpr (std::is_same_v<T, bool>)
        s.bind(at, *value ? 1 : 0);
    else
        s.bind(at, *value);
}

/// A text column; NULL reads as empty.
inline std::string textAt(SQLite::Statement& s, int column) {
    const auto value = s.getColumn(column);
    return value.isNull() ? "" : value.getString();
}

/// A number column; NULL reads as nothing.
inline std::optional<double> numberAt(SQLite::Statement& s, int column) {
    const auto value = s.getColumn(column);
    return value.isNull() ? std::nullopt : std::optional<double>(value.getDouble());
}

} // namespace dynamet::book
