// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "device/talk.h"

#include <map>
#include <string>
#include <vector>

namespace dynamet::app {

/// One instrument that was connected on this machine: how, which of the book's instruments it is,
/// and what each of its channels measured last.
struct KnownLine {
    device::Connection connection;
    std::string name;                         ///< as it called itself, or its path
    std::string instrumentId;                 ///< of the book; empty = none of them
    std::map<std::string, std::string> roles; ///< by channel
    bool operator==(const KnownLine&) const = default;
};

/// Kept in the user's own settings: a path is this machine's.
std::vector<KnownLine> readLines();
void keepLines(const std::vector<KnownLine>& lines);

} // namespace dynamet::app
