// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/appliance.h"

#include <span>
#include <string>
#include <vector>

namespace dynamet::rating {

/// One value of a repeated test.
struct RepeatedValue {
    double value = 0;
    double u = 0;
    std::int64_t whenMs = 0;
};

enum class DriftVerdict { tooFew, steady, shifted, drifting };

/// Control chart of a repeated test: individuals with limits from the mean moving range (mean ±
/// 2.66 MR̄), and an EWMA with λ 0.2 and limits at 2.7 σ (Montgomery, Introduction to Statistical
/// Quality Control; NIST/SEMATECH e-Handbook, 6.3.2).
struct ControlChart {
    double centre = 0, sigma = 0;
    double low = 0, high = 0; ///< of the individuals
    std::vector<double> values, ewma, ewmaLow, ewmaHigh;
    std::vector<std::size_t> outside; ///< individuals past their limits
    DriftVerdict verdict = DriftVerdict::tooFew;
};

struct ChartOptions {
    double lambda = 0.2, ewmaWidth = 2.7;
    std::size_t baseline = 0; ///< how many of the first values set centre and limits; 0 = all
};
/// The chart; sigma is never less than the values' own mean u, so that a quiet stretch of repeats
/// does not make limits that no honest test can keep.
ControlChart controlChart(std::span<const RepeatedValue> values, const ChartOptions& options = {});
/// EWMA of plain values from a start (for tables and tests).
std::vector<double> ewmaOf(std::span<const double> values, double start, double lambda);

/// What the chart says, in words, and the usual remedy with its limit; `quantity` is the name in
/// the book ("operative_K").
std::string driftWords(const ControlChart& chart, const std::string& quantity,
                       kitchen::ApplianceKind kind);

/// Two of a kind at one setting: how far apart, and whether that is more than their ± allows.
struct TwinDifference {
    double difference = 0; ///< second − first
    double u = 0;
    bool real = false; ///< beyond 95 %
};
TwinDifference twinDifference(const RepeatedValue& first, const RepeatedValue& second);

} // namespace dynamet::rating
