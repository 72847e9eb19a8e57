// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

namespace dynamet::evidence {

/// Standard deviations before anything was cooked; from memory (design, evidence §2).
struct Priors {
    double shape = 0.05;  ///< effective thickness of a recipe's real piece against ours, relative
    double foodLn = 0.05; ///< ln time of a food: conductivity, composition
    double moistureLn = 0.47; ///< ln of its moisture supply
    double foodWayLn = 0.03;  ///< ln time of a food by one way of heating
    double wayLn = 0.02;      ///< ln time, the model for one way of heating
    double modelLn = 0.02;    ///< ln time, the model in common
    double cookLn = 0.03;     ///< ln time of one cook
    double probeM = 0.003;    ///< the probe off the middle
    bool operator==(const Priors&) const = default;
};

/// How a thickness was found, relative or m, and a start, K.
inline constexpr double kByEye = 0.08, kByRuler = 0.03, kByCalipersM = 0.001;
inline constexpr double kStartByHandK = 4, kStartProbedK = 1;

/// Standard deviation of a time that is written as one figure: ± 25 % at 95 %.
inline constexpr double kSingleFigureLn = 0.25 / 1.96;

} // namespace dynamet::evidence
