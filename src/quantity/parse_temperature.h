// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"
#include "quantity/temperature.h"
#include "quantity/units.h"

#include <string_view>

namespace dynamet {

/// "350F", "180 °C", "gas 6", "gas mark ½", "450 K"; a bare number takes `bare`. Below absolute
/// zero and above 2000 °C is refused (Error::parse).
Result<Temperature> parseTemperature(std::string_view text,
                                     TemperatureUnit bare = TemperatureUnit::celsius);

/// "10 K", "18 F", "5 °C" as a difference; a bare number takes `bare`.
Result<KelvinDelta> parseTemperatureDifference(std::string_view text,
                                               TemperatureUnit bare = TemperatureUnit::celsius);

/// Oven temperature of a gas mark (¼ … 9), linear between marks. Usual dial scale, from memory.
Result<Temperature> gasMark(double mark);
/// The gas mark of a temperature, clamped to ¼ … 9.
double toGasMark(Temperature temperature);

} // namespace dynamet
