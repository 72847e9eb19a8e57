// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "coals/placement.h"

#include "numeric/least_squares.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace dynamet::coals {
namespace {
constexpr double kLayerKg_m2 = 18;
constexpr double kSmallM = 1e-3; ///< a face small beside the bed
} // namespace

const char* enumName(Layout layout) {
    switch (layout) {
    case Layout::even:
        return "even";
    case Layout::banked:
        return "banked";
    case Layout::half:
        return "half";
    }
    return "even";
}

std::optional<Layout> layoutOf(const std::string& word) {
    for (const Layout layout : {Layout::even, Layout::banked, Layout::half})
        if (word == enumName(layout))
            return layout;
    return std::nullopt;
}

double coaxialDisks(double r1, double r2, double distance) {
    const double a = r1 / distance, b = r2 / distance;
    const double s = 1 + (1 + b * b) / (a * a);
    return (s - std::sqrt(s * s - 4 * (r2 / r1) * (r2 / r1))) / 2;
}

double bedRadius(double coalsKg, Layout layout) {
    const double layers = layout == Layout::banked ? 2 : 1;
    return std::sqrt(coalsKg / (kLayerKg_m2 * layers) / std::numbers::pi);
}

double irradiation(const CoalBed& bed, double heightM) {
    return bed.emissionW_m2 * coaxialDisks(kSmallM, bed.radiusM, heightM);
}

Result<CoalBed> fitHeights(std::span<const HeightReading> readings) {
    if (readings.size() < 2)
        return fail(Errc::refused, Finding{"heights_too_few"});
    const auto [low, high] = std::minmax_element(
        readings.begin(), readings.end(),
        [](const HeightReading& a, const HeightReading& b) { return a.heightM < b.heightM; });
    if (high->irradiationW_m2 > low->irradiationW_m2)
        return fail(Errc::refused, Finding{"more_heat_higher"});
    const std::vector<FitParameter> parameters{
        {"the bed's radius", 0.15, 0.02, 0.6},
        {"what the bed sends out", 2 * low->irradiationW_m2, 500, 2e5}};
    const auto fit = fitLeastSquares(
        parameters, readings.size(), [&](std::span<const double> p, std::span<double> r) {
            for (std::size_t i = 0; i < readings.size(); ++i)
                r[i] =
                    (readings[i].irradiationW_m2 - irradiation({p[0], p[1]}, readings[i].heightM)) /
                    std::max(readings[i].u, 1.0);
            return true;
        });
    if (!fit)
        return tl::unexpected(fit.error());
    return CoalBed{fit->parameters[0], fit->parameters[1]};
}

} // namespace dynamet::coals
