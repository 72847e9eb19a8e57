// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"

namespace dynamet::kitchen {

/// What an infrared thermometer assumes and what it looks at. Bands in µm, temperatures in K.
struct InfraredView {
    double gunEmissivity = 0.95;     ///< set on the instrument
    double surfaceEmissivity = 0.95; ///< of what it looks at
    double backgroundK = 295.15;     ///< what the surface mirrors
    double bandLowUm = 8, bandHighUm = 14;
};

/// Black-body radiance between two wavelengths, W/m²sr (Planck's law, integrated by the series of
/// Chang and Rhee 1984).
double bandRadiance(double kelvin, double lowUm, double highUm);
/// What a gun shows for a surface at a temperature.
double shownByInfrared(double surfaceK, const InfraredView& view);
/// The surface's temperature from what the gun shows. Refused below an emissivity of 0.5, where a
/// hundredth more or less is tens of kelvins, and when less came than the background alone sends.
Result<double> surfaceFromInfrared(double shownK, const InfraredView& view);

} // namespace dynamet::kitchen
