// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/inputs/protocols.h"

#include <nlohmann/json_fwd.hpp>

namespace dynamet::formats {

/// What a value takes, in words: "number, 0.1 to 50 kg, usually 1.5", "plate, floor, lid or …".
/// Numbers in the unit of the value's name, as --with wants them.
std::string valueWords(const rating::ValueSpec& spec);
/// A protocol's readings and values (docs/schemas/protocols.schema.json).
nlohmann::json protocolJson(const rating::Protocol& protocol);
/// The table of docs/formats.md: one row for each protocol.
std::string protocolMarkdown();

} // namespace dynamet::formats
