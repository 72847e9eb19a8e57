// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/uncertainty/reduction.h"
#include "trace/series.h"

#include <optional>

namespace dynamet::rating {

/// Water that boils away over a weighed time. SI.
struct BoilOff {
    double startKg = 0, endKg = 0; ///< pot and water
    std::optional<Series> pot;     ///< kg, of a scale that logs: then it tells both, and the time
    double seconds = 0;
    double pressurePa = 101325;
    double ambientK = 295.15;
    double lossW_K = 0.9;          ///< pot to room, without the steam
    std::optional<double> energyJ; ///< that went in over the same time
    // Standard uncertainties.
    double uScaleKg = 0.002; ///< of each weighing
    double uSeconds = 2;
    double uLossW_K = 0.35;
    double uSplash = 0.01; ///< of the mass lost: drops that left unboiled
    double uEnergy = 0.03; ///< relative
};

/// Net power of what boils, W: mass lost × latent heat at this pressure, and the loss to the room.
/// Of a log the stretch counts in which it lost weight evenly. Refused: nothing lost, less than a
/// minute, more lost than was there.
Result<Reduction> reduceBoilOff(const BoilOff& test);

} // namespace dynamet::rating
