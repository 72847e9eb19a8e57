// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/uncertainty/propagate.h"

namespace dynamet::rating {

/// A thin and a thick cylindrical probe side by side in one place, K and m.
struct ProbePair {
    double thinK = 0, thickK = 0;
    double thinM = 0.0015, thickM = 0.004;
    double uEachK = 2;    ///< of each reading, apart
    double uRatio = 0.06; ///< relative, on the ratio of the two coefficients
    double uLevel = 0.2;  ///< relative, on both coefficients
};

/// Coefficient of moving air on a probe over its emissivity, W/m²K: 44.7 at 4 mm, with the −0.56th
/// power of the diameter (docs/physics.md: what probes of both kinds read beside hot metal).
double probeCoefficient(double diameterM);
/// What a probe reads between air and a mean radiant temperature, K.
double probeReadingK(double airK, double radiantK, double diameterM);
/// Air and mean radiant temperature, with their joint uncertainty: {air, radiant}. Refused when the
/// diameters are within a factor of 1.5, or the readings contradict each other.
Result<Spread> splitProbes(const ProbePair& pair);

} // namespace dynamet::rating
