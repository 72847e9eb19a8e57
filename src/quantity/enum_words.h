// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <array>
#include <cstddef>
#include <optional>
#include <string>

namespace dynamet {

/// The enumerator whose word this is, the words standing in the enum's order; none for another
/// word.
template <class Enum, std::size_t N>
std::optional<Enum> enumOf(const std::array<const char*, N>& words, const std::string& word) {
    for (std::size_t i = 0; i < N; ++i)
        if (word == words[i])
            return static_cast<Enum>(i);
    return std::nullopt;
}

} // namespace dynamet
