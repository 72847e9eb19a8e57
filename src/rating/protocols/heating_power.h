// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "trace/series.h"

#include <functional>

namespace dynamet::rating {

/// A vessel of liquid that warms: what it holds at a temperature (J/K), what it loses (W/K) to the
/// room.
struct WarmingVessel {
    std::function<double(double kelvin)> capacityJ_K;
    double lossW_K = 0;
    double ambientK = 295.15;
};
/// Mean power over even stretches of a log, each what is stored and what is lost at its own middle:
/// warming bends as the loss grows. `without` leaves one stretch out.
double heatingPower(const Series& warming, const WarmingVessel& vessel, std::size_t stretches,
                    std::size_t without);

} // namespace dynamet::rating
