// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "generator/bodies.h"

namespace generator {

/// Water or oil in its container, heated at full power and then left.
struct Vat {
    double liquidKg = 12, bodyJ_K = 600, bodyToLiquidW_K = 60;
    double heaterW = 1400, toRoomW_K = 4, roomC = 21, startC = 20;
    bool oil = false;
    double oilFactor = 1; ///< on the oil's heat
};
struct VatRun {
    Log liquid;
};
VatRun heatVat(const Vat& vat, double heaterOffS, double untilC, double seconds, double everyS,
               const Sensor& sensor, std::uint64_t seed);

/// A pot at the boil: what the scale shows before and after.
struct BoilingPot {
    double netW = 1200, toRoomW_K = 0.9, roomC = 21, boilsC = 99.97, latentJ_kg = 2.2565e6;
};
double boiledAwayKg(const BoilingPot& pot, double seconds);

} // namespace generator
