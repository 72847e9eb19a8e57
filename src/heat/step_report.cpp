// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "heat/step_report.h"

#include <limits>

namespace dynamet::heat {
namespace {

/// Cubic through both ends of a step with their slopes; share 0…1 of the step.
double cubicAt(const StepReport& step, double share) {
    const double h = step.endS - step.startS, s2 = share * share, s3 = s2 * share;
    return (2 * s3 - 3 * s2 + 1) * step.coreStartK +
           (s3 - 2 * s2 + share) * h * step.coreStartRate + (-2 * s3 + 3 * s2) * step.coreEndK +
           (s3 - s2) * h * step.coreEndRate;
}

} // namespace

double crossingTime(const StepReport& step, double kelvin) {
    if (!(step.coreStartK < kelvin && step.coreEndK >= kelvin))
        return step.coreStartK >= kelvin ? step.startS : std::numeric_limits<double>::quiet_NaN();
    double low = 0, high = 1;
    for (int i = 0; i < 40; ++i) {
        const double mid = (low + high) / 2;
        (cubicAt(step, mid) < kelvin ? low : high) = mid;
    }
    return step.startS + (step.endS - step.startS) * high;
}

std::pair<double, double> highestInside(const StepReport& step) {
    if (!(step.coreStartRate > 0 && step.coreEndRate < 0))
        return step.coreEndK >= step.coreStartK ? std::pair{step.coreEndK, step.endS}
                                                : std::pair{step.coreStartK, step.startS};
    double low = 0, high = 1; // one maximum: narrow it by thirds
    for (int i = 0; i < 40; ++i) {
        const double a = low + (high - low) / 3, b = high - (high - low) / 3;
        (cubicAt(step, a) < cubicAt(step, b) ? low : high) =
            cubicAt(step, a) < cubicAt(step, b) ? a : b;
    }
    return {cubicAt(step, low), step.startS + (step.endS - step.startS) * low};
}

} // namespace dynamet::heat
