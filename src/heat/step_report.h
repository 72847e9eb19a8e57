// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <utility>

namespace dynamet::heat {

/// What an observer is told after every accepted step.
struct StepReport {
    double startS, endS;
    double coreStartK, coreEndK;       ///< geometric centre
    double coreStartRate, coreEndRate; ///< K/s
};
/// Returns false to stop after this step.
using StepObserver = std::function<bool(const StepReport&)>;

/// Time inside a step at which the core first reaches `kelvin` (cubic between the step's ends);
/// NaN when it does not.
double crossingTime(const StepReport& step, double kelvin);
/// Highest core temperature inside a step and when (the same cubic).
std::pair<double, double> highestInside(const StepReport& step);

} // namespace dynamet::heat
