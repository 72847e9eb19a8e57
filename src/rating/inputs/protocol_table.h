// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/inputs/protocols.h"

#include <set>

namespace dynamet::rating {

/// data/protocols.json with the texts of docs/guide/protocols, read once.
struct ProtocolTable {
    std::vector<Protocol> protocols;
    /// Ids of those that make sense for a kind, the most useful first.
    std::map<kitchen::ApplianceKind, std::vector<std::string>> forKind;
    std::map<std::string, std::string> quantityWords; ///< "air_K": "Air"
    std::set<std::string> points; ///< quantities that are points of a scale, not differences
};
const ProtocolTable& protocolTable();

} // namespace dynamet::rating
