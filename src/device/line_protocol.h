// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "device/message.h"

#include <string_view>

namespace dynamet::device {

// The line protocol of docs/device-lines.md: one line of text a message, its sum at the end.
//
//   dynamet-line 1 thermometer 0017 Four probes*33
//   channel 1 C 0.1 -50 300 left probe*A4
//   r 12.4 1=21.3 2=over 3=open*36
//   x probe 4 is wet*70

/// The request to say hello and to name the channels, as it is sent.
inline constexpr std::string_view kAskHello = "?\n";

/// Sum of the bytes before the star, modulo 256.
unsigned lineSum(std::string_view text);
/// The text with its star and sum.
std::string withSum(std::string_view text);

/// One line of the protocol. What its sum does not vouch for is unusable: a half line must not
/// become a temperature.
Message readLine(std::string_view line);

} // namespace dynamet::device
