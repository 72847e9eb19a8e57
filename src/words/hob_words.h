// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/heat_field.h"

namespace dynamet::words {

/// What a mark of a hob is good for: "2.10 ± 0.08 kW · boils a litre in 3 min · holds 230 ± 20 °C".
/// `litreS` empty = never; `holds` is where its pan holds with food in it, as printed; `lastsS` is
/// how long its boost lasts, 0 = it is none.
std::string hobLine(const kitchen::FieldNumber& power, const std::optional<double>& litreS,
                    const std::string& holds, double lastsS = 0);

} // namespace dynamet::words
