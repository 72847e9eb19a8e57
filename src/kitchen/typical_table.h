// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <nlohmann/json.hpp>
#include <string>

namespace dynamet::kitchen {

/// The shipped row of a kind with its "like" row filled in; read once. Throws only when the
/// shipped table itself is broken, which a test would show.
const nlohmann::json& typicalRow(const std::string& kind);

} // namespace dynamet::kitchen
