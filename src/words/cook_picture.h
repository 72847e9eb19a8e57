// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "run/forecast.h"

namespace dynamet::words {

/// A cook as a picture shows it: minutes from food in, in the reader's degrees.
struct CookPicture {
    std::vector<double> bandMin, low, middle, high; ///< the predicted core
    std::vector<double> readMin, read;              ///< of a probe
    std::vector<double> typedMin, typed;            ///< by hand
    double nowMin = 0;
    std::optional<double> pull;                      ///< the core at which it is pulled
    std::optional<double> pullFromMin, pullUntilMin; ///< when, 95 %
    double lowest = 0, highest = 100;                ///< of the axis
};
CookPicture pictureOf(const run::PlannedCook& planned, const std::vector<run::Entry>& entries,
                      const std::vector<run::CoreReading>& readings,
                      const std::optional<run::Forecast>& forecast, double nowS, Units units);

} // namespace dynamet::words
