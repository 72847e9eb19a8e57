// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocol_table.h"

#include <string_view>

namespace dynamet::data {
extern const std::string_view protocols;
}

namespace dynamet::rating {

const nlohmann::json& protocolTable() {
    static const nlohmann::json parsed = nlohmann::json::parse(data::protocols);
    return parsed;
}

} // namespace dynamet::rating
