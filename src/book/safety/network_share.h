// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <optional>
#include <string>

namespace dynamet::book {

/// What a file system is called, where it is another computer's: locks there cannot be trusted, so
/// that two stations could damage a book. `type` as of statfs(2) (linux/magic.h and man page).
std::optional<std::string> networkFileSystem(long type);
/// Of the folder that a file is or will be in; none where it cannot be told.
std::optional<std::string> networkShareOf(const std::string& path);

} // namespace dynamet::book
