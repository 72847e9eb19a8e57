// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"

#include <optional>
#include <span>
#include <string>

namespace dynamet::coals {

enum class Layout { even, banked, half };
const char* enumName(Layout layout);
std::optional<Layout> layoutOf(const std::string& word);

/// View factor from disk 1 to a coaxial parallel disk 2 (Incropera et al., table 13.2). Lengths m.
double coaxialDisks(double r1, double r2, double distance);

/// A bed of coals under a grate: how far it spreads and what it sends out (ε σ T⁴, W/m²).
struct CoalBed {
    double radiusM = 0.15;
    double emissionW_m2 = 48000;
};
/// Radius of a bed: the chimney's coals spread one layer deep, by layout. kg, m. A layer weighs
/// 18 kg/m² (our choice); banked coals lie two layers deep on half of the ground.
double bedRadius(double coalsKg, Layout layout);
/// Irradiation of a small level face over the bed's middle, W/m².
double irradiation(const CoalBed& bed, double heightM);

/// One test of a series over one bed.
struct HeightReading {
    double heightM = 0;
    double irradiationW_m2 = 0;
    double u = 0;
};
/// Bed that explains a series at two heights or more, by weighted least squares; refused with
/// fewer, or when irradiation grows with height.
Result<CoalBed> fitHeights(std::span<const HeightReading> readings);

} // namespace dynamet::coals
