// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"

#include <string_view>

namespace dynamet {

/// Each reads one quantity as a cook types it and returns SI. A bare number takes `defaultSi`, the
/// SI worth of one unit of the field it was typed in. Error::parse names the text.
Result<double> parseLengthM(std::string_view text, double defaultSi = 1e-3); ///< mm, cm, m, in, "
Result<double> parseAreaM2(std::string_view text, double defaultSi = 1e-4); ///< cm², m², in², sq in
Result<double> parseMassKg(std::string_view text, double defaultSi = 1e-3); ///< g, kg, oz, lb
Result<double> parsePowerW(std::string_view text, double defaultSi = 1);    ///< W, kW, BTU/h
Result<double> parseEnergyJ(std::string_view text,
                            double defaultSi = 3.6e6); ///< J, kJ, MJ, Wh, kWh
Result<double> parsePressurePa(std::string_view text, double defaultSi = 100); ///< hPa, kPa, mbar…

} // namespace dynamet
