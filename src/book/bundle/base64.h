// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <string_view>

namespace dynamet::book {

/// RFC 4648, with padding; the way back throws `Error` (corruptData).
std::string base64(std::string_view bytes);
std::string fromBase64(std::string_view text);

} // namespace dynamet::book
