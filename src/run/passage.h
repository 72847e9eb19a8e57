// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "run/course.h"

namespace dynamet::run {

/// A course as it would go with its inputs as they are: curves, ends of stages, what comes out.
struct Passage {
    std::vector<double> timeS, coreK, faceK; ///< at the solver's steps; the hotter face
    std::vector<double> stageEndS;           ///< infinite where its core is not reached
    double pullS = 0;                        ///< from food in; infinite where it is never reached
    double slopeKPerS = 0;                   ///< of the core there
    double peakK = 0, plateK = 0;            ///< if it is pulled there
    cook::Outcome outcome;                   ///< browning and the rest, from a whole passage
    double coreAt(double s) const;
    double faceAt(double s) const;
};

/// Between a search's grid and a draw's: a forecast is made while the cook waits.
inline constexpr cook::Effort kForecastEffort{14, 0.4, 5, 3, 0.15};

/// Cooks a course: the stage that goes on lasts at least until `course.nowS`, and its last stage is
/// pulled when its core is reached (or was). `whole` fills the outcome. Errors: those of a cook.
Result<Passage> pass(const recipe::FoodPiece& piece, const Course& course,
                     const cook::Effort& effort, const cook::Tables& tables, bool whole = false);

} // namespace dynamet::run
