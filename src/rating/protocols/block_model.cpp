// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/block_model.h"

#include "numeric/statistics.h"
#include "quantity/temperature.h"
#include "quantity/water.h"
#include "trace/settled.h"

#include <algorithm>
#include <cmath>

namespace dynamet::rating {

namespace {

/// Mean by trapezoids, with both ends between readings.
double integralMean(const Series& s, double from, double to) {
    Series part = between(s, from, to);
    part.timeS.insert(part.timeS.begin(), from);
    part.value.insert(part.value.begin(), valueAt(s, from));
    part.timeS.push_back(to);
    part.value.push_back(valueAt(s, to));
    double sum = 0;
    for (std::size_t i = 1; i < part.size(); ++i)
        sum += (part.timeS[i] - part.timeS[i - 1]) * (part.value[i] + part.value[i - 1]) / 2;
    return sum / (to - from);
}

/// When a smoothed series last rose through its mean; its end when it never does.
double lastUpwardCrossing(const Series& s) {
    const Series smooth = blockMeans(s, 240).means;
    const double centre = mean(smooth.value);
    for (std::size_t i = smooth.size() - 1; i > 0; --i)
        if (smooth.value[i - 1] < centre && smooth.value[i] >= centre)
            return smooth.timeS[i - 1] + (smooth.timeS[i] - smooth.timeS[i - 1]) *
                                             (centre - smooth.value[i - 1]) /
                                             (smooth.value[i] - smooth.value[i - 1]);
    return s.timeS.back();
}

/// Mean over the last whole cycles of the thermostat, or over the later half without cycling.
double meanOfWholeCycles(const Series& air) {
    const double first = air.timeS.front(), last = air.timeS.back();
    const Series late = between(air, first + (last - first) / 4, last);
    const Cycling cycling = findCycling(late, 1);
    if (cycling.cycles < 1)
        return mean(between(air, (first + last) / 2, last).value);
    // Whole cycles from upward crossing to upward crossing: counted from any other moment, a cycle
    // a little longer or shorter than the mean one would shift the mean.
    const double end = lastUpwardCrossing(late);
    return integralMean(air, end - cycling.cycles * cycling.periodS, end);
}

} // namespace

void BlockModel::predict(const Parameters& p, std::span<double> out) const {
    const auto driven = [&](std::size_t i) {
        return shownK.empty() ? 0.0 : shownK[i] + p.lagS * slopeK_s[i];
    };
    const double area = test->areaM2, mass = test->massKg * p.heatFactor;
    const auto rate = [&](double t, double around) {
        const double c = test->specificHeat20 + test->specificHeatSlope * (t - 293.15);
        const double radiant = around + p.radiantApartK;
        const double r2 = radiant * radiant, t2 = t * t;
        return area *
               (p.convective * (around - t) +
                p.emissivity * kStefanBoltzmann * (r2 * r2 - t2 * t2)) /
               (mass * c);
    };
    double t = p.startK;
    out[0] = t + p.biasK;
    for (std::size_t i = 1; i < timeS.size(); ++i) {
        const double dt = timeS[i] - timeS[i - 1];
        const double a = p.airK + driven(i - 1), b = p.airK + driven(i);
        const double middle = (a + b) / 2;
        const double k1 = rate(t, a), k2 = rate(t + dt / 2 * k1, middle);
        const double k3 = rate(t + dt / 2 * k2, middle), k4 = rate(t + dt * k3, b);
        t += dt / 6 * (k1 + 2 * k2 + 2 * k3 + k4);
        out[i] = t + p.biasK;
    }
}

double setDrive(BlockModel& model, const Series& air, double smoothS) {
    // Means over a part of the lag keep the noise of the derivative small.
    const double span = air.timeS.back() - air.timeS.front();
    const auto most =
        static_cast<std::size_t>(std::clamp(span / std::max(smoothS, 5.0), 8.0, 400.0));
    const Series smooth = blockMeans(air, most).means;
    Series slopes{smooth.timeS, {}};
    for (std::size_t i = 0; i < smooth.size(); ++i) {
        const std::size_t a = i > 0 ? i - 1 : i, b = std::min(i + 1, smooth.size() - 1);
        slopes.value.push_back((smooth.value[b] - smooth.value[a]) /
                               (smooth.timeS[b] - smooth.timeS[a]));
    }
    const double centre = meanOfWholeCycles(air);
    for (double t : model.timeS) {
        model.shownK.push_back(valueAt(smooth, t) - centre);
        model.slopeK_s.push_back(valueAt(slopes, t));
    }
    return centre;
}

double radiativeCoefficient(double emissivity, double kelvin) {
    return 4 * emissivity * kStefanBoltzmann * kelvin * kelvin * kelvin;
}

double staysAtK(double airK, double convective, double wallsK, double emissivity) {
    constexpr int kRounds = 30; // a few do
    double stays = airK;
    for (int i = 0; i < kRounds; ++i)
        stays += (convective * (airK - stays) +
                  emissivity * kStefanBoltzmann * (std::pow(wallsK, 4) - std::pow(stays, 4))) /
                 (convective + radiativeCoefficient(emissivity, stays));
    return stays;
}

void scaleToFood(Reduction& out, const BlockTest& block) {
    constexpr double kScalingU = 0.10;
    const double scale =
        std::pow(block.foodLengthM / block.blockLengthM, block.forcedFlow ? -0.5 : -0.25);
    for (kitchen::FieldNumber& number : out.fieldNumbers)
        if (number.key.term == kitchen::Term::hAir) {
            number.value *= scale;
            number.u = std::hypot(number.u * scale, kScalingU * number.value);
        }
    for (kitchen::FieldCovariance& c : out.fieldCovariances)
        if (c.a.term == kitchen::Term::hAir || c.b.term == kitchen::Term::hAir)
            c.covariance *= scale;
}

} // namespace dynamet::rating
