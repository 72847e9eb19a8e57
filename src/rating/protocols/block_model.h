// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/protocols/block.h"

#include <span>

namespace dynamet::rating {

/// The block's heat balance m c dT/dt = A [h_c (T_air − T) + ε σ (T_rad⁴ − T⁴)] along given times.
struct BlockModel {
    const BlockTest* test;
    std::vector<double> timeS; ///< of the readings that are fitted
    /// Air log at those times: as shown relative to its mean, and its slope (K/s). The air itself
    /// is shown + lag × slope. Empty = steady air.
    std::vector<double> shownK, slopeK_s;

    struct Parameters {
        double airK, convective, startK, lagS, radiantApartK, emissivity, heatFactor, biasK;
    };
    /// Readings of the block's probe as the parameters would give them.
    void predict(const Parameters& p, std::span<double> out) const;
};

/// How a black or grey face loses to radiation about a temperature, W/m²K.
double radiativeCoefficient(double emissivity, double kelvin);
/// Where a block would stay between air and walls, K: its heat balance by Newton's rule.
double staysAtK(double airK, double convective, double wallsK, double emissivity);
/// The moving air's coefficient from block to food: with a power of the length, and 10 % more of
/// doubt. Its covariances follow.
void scaleToFood(Reduction& out, const BlockTest& block);

/// Fills the drive from the air's log, smoothed over `smoothS`; returns the log's mean, K.
double setDrive(BlockModel& model, const Series& air, double smoothS);

} // namespace dynamet::rating
