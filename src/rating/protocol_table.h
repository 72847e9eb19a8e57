// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <nlohmann/json.hpp>

namespace dynamet::rating {

/// data/protocols.json, read once.
const nlohmann::json& protocolTable();

} // namespace dynamet::rating
