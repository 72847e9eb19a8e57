// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "device/message.h"

#include <string_view>

namespace dynamet::device {

/// A bench instrument that is asked: the query that makes it answer with one number a channel.
struct ScpiSetup {
    std::string query = "READ?";
    std::vector<ChannelSpec> channels;
    bool operator==(const ScpiSetup&) const = default;
};

/// The answer to *IDN?: maker, model, serial number and firmware between commas (IEEE 488.2-1992,
/// 10.14).
Message readIdentity(std::string_view line);

/// Numbers between commas, "+2.130000E+01,+9.90000000E+37": 9.9E37 and -9.9E37 stand for beyond the
/// range, 9.91E37 for no number (SCPI-99, volume 1, 7.2.1.4 and 7.2.1.5).
Message readScpi(const ScpiSetup& setup, std::string_view line);

} // namespace dynamet::device
