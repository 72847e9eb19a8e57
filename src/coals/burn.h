// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>

namespace dynamet::coals {

/// A fuel in pieces. Briquettes by default: 22 g, 21 MJ/kg as sold, 85 % burnt in an hour
/// (docs/physics.md, common practice).
struct Fuel {
    std::string name = "briquettes";
    double pieceKg = 0.022;
    double heatingJ_kg = 21e6;
    double burntInHour = 0.85; ///< share, of coals lit through
};

/// The air that the coals burn in.
struct Air {
    double pressurePa = 101325;
    double ambientK = 293.15;
    double windMPerS = 0;
};

/// How much faster coals burn here than in still air at sea level: with the 0.75th power of the
/// pressure (range 0.5 to 1) and 10 % for each m/s of wind; our choice, wide.
double burnFactor(const Air& air);
/// Share of a coal's heat that is left at an age from lit through, s: e^(−λ t).
double leftAt(const Fuel& fuel, double ageS, const Air& air);
/// Heat that one coal gives at an age, W, and its mean over a stretch.
double heatW(const Fuel& fuel, double ageS, const Air& air);
double meanHeatW(const Fuel& fuel, double fromS, double toS, const Air& air);

} // namespace dynamet::coals
