// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <nlohmann/json.hpp>

namespace dynamet::book {

/// A block of readings opened: `times_ms` and `readings` as arrays (whole multiples of the
/// channel's scale, or its own unit where `coding` is float64; null where one is missing). Damage
/// throws `Error`.
nlohmann::json openBlock(nlohmann::json row);
/// And packed as the book keeps it.
nlohmann::json packedBlock(nlohmann::json row);

} // namespace dynamet::book
