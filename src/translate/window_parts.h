// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/window.h"

#include <cmath>
#include <limits>
#include <span>

// What the two ways to a window share; seen by window.cpp and its neighbours only.
namespace dynamet::translate {

inline constexpr double kTwoSided = 1.959963985;

/// Coarser than a search: a draw says how the time moves, and all of them are moved to the row's
/// own.
inline constexpr cook::Effort kDraw{12, 0.5, 4, 3, 0.15};

/// What moves ln(time) by less per standard deviation is told from one side: its bend is of the
/// order of the square.
inline constexpr double kStraight = 0.03;

/// Cooks a row with some of its inputs off, and counts the cooks.
struct Timer {
    const WindowInput* input;
    std::vector<Input> inputs;
    long* solves;

    /// The piece, the programme and the tables with some inputs off.
    std::pair<Deviated, cook::Tables> offBy(std::span<const double> deviations) const;
    /// Time to the pull, s; infinite where it is not reached.
    double at(std::span<const double> deviations, const cook::Effort& effort) const;
    /// Differences from a goal after a time of the last stage.
    Result<std::vector<cook::Difference>> differencesAt(std::span<const double> deviations,
                                                        double lastS,
                                                        const cook::Outcome& wanted) const;
};

/// Centre, width and causes by the belief, t·exp(±1.96 s); and what they were without it.
void byEffects(Window& window, double nominalS, evidence::Effects effects,
               const evidence::Belief& belief);

/// Of a recipe of minutes where time and looks lead.
Result<Window> likeWindow(const Timer& timer, std::stop_token stop);

} // namespace dynamet::translate
