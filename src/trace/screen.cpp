// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "trace/screen.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <limits>

namespace dynamet {
namespace {

constexpr double kZeroC = 273.15, kNone = std::numeric_limits<double>::quiet_NaN();

bool isCode(double kelvin) {
    constexpr std::array kCodes{-9999.0, -999.9, -999.0, -200.0, -127.0, 0.0,
                                85.0,    850.0,  999.0,  999.9,  1372.0, 1999.0,
                                3276.7,  6553.5, 9999.0, 9999.9, 32767.0};
    const double celsius = kelvin - kZeroC, fahrenheit = celsius * 1.8 + 32;
    return std::any_of(kCodes.begin(), kCodes.end(), [&](double code) {
        return std::abs(celsius - code) < 0.05 || std::abs(fahrenheit - code) < 0.05;
    });
}

bool impossible(double kelvin) {
    return kelvin < kZeroC - 90 || kelvin > kZeroC + 1800;
}

/// Median of the readings that are there, up to `reach` to either side, without the middle one.
double neighbours(const std::vector<double>& v, std::size_t i, std::size_t reach, double& spread) {
    std::vector<double> near;
    for (std::size_t k = i > reach ? i - reach : 0; k < std::min(v.size(), i + reach + 1); ++k)
        if (k != i && std::isfinite(v[k]))
            near.push_back(v[k]);
    if (near.size() < 3)
        return kNone;
    const auto middle = near.begin() + static_cast<std::ptrdiff_t>(near.size() / 2);
    std::nth_element(near.begin(), middle, near.end());
    const double median = *middle;
    for (double& x : near)
        x = std::abs(x - median);
    std::nth_element(near.begin(), middle, near.end());
    spread = *middle;
    return median;
}

void add(std::vector<Flaw>& flaws, FlawKind kind, double atS, double kelvin) {
    for (Flaw& flaw : flaws)
        if (flaw.kind == kind) {
            flaw.toS = atS;
            ++flaw.count;
            return;
        }
    flaws.push_back({kind, atS, atS, 1, kelvin});
}

/// Codes stand far from their neighbours, or are no temperature at all; spikes come back at once.
void takeOut(Screened& out) {
    constexpr double kCodeApartK = 15, kSpikeK = 25, kSpikeSpreads = 12;
    const std::vector<double> given = out.series.value;
    for (std::size_t i = 0; i < given.size(); ++i) {
        if (!std::isfinite(given[i]))
            continue;
        double spread = 0;
        const double usual = neighbours(given, i, 4, spread);
        const double apart = std::abs(given[i] - usual);
        const bool code =
            impossible(given[i]) || (isCode(given[i]) && !(apart < kCodeApartK + 4 * spread));
        const bool spike = !code && apart > kSpikeK + kSpikeSpreads * spread;
        if (!code && !spike)
            continue;
        add(out.flaws, code ? FlawKind::code : FlawKind::spike, out.series.timeS[i], given[i]);
        out.series.value[i] = kNone;
    }
}

/// A run of one value: at least 60 readings over ten minutes, where the rest of the log shows that
/// its last digit moves from reading to reading.
void findStuck(Screened& out) {
    constexpr std::size_t kLeast = 60;
    constexpr double kLeastS = 600;
    const Series s = between(out.series, -1e300, 1e300);
    std::size_t from = 0, moves = 0, best = 0, bestFrom = 0;
    for (std::size_t i = 1; i <= s.size(); ++i) {
        if (i < s.size() && s.value[i] == s.value[from])
            continue;
        if (i - from > best) {
            best = i - from;
            bestFrom = from;
        }
        moves += i < s.size();
        from = i;
    }
    if (best < kLeast || s.timeS[bestFrom + best - 1] - s.timeS[bestFrom] < kLeastS)
        return;
    if (moves * 4 < s.size() - best) // a coarse instrument stands still between its steps
        return;
    out.flaws.push_back({FlawKind::stuck, s.timeS[bestFrom], s.timeS[bestFrom + best - 1], best,
                         s.value[bestFrom]});
}

/// Heated and cooling things bend, they do not jump: a change within a minute that is several times
/// the one before it and the one after it is another place, or something cold that came in.
void findStep(Screened& out) {
    constexpr double kWithinS = 60, kLeastK = 5, kTimes = 4, kNoiseK = 0.5, kAtOnce = 0.5;
    const Series s = between(out.series, -1e300, 1e300);
    const std::size_t n = s.size();
    std::vector<std::size_t> later(n);
    for (std::size_t i = 0, k = 0; i < n; ++i) {
        k = std::max(k, std::min(i + 1, n - 1));
        while (k + 1 < n && s.timeS[k + 1] - s.timeS[i] <= kWithinS)
            ++k;
        later[i] = k;
    }
    for (std::size_t i = 0, back = 0; i < n; ++i) {
        while (back + 1 < i && s.timeS[i] - s.timeS[back] > kWithinS)
            ++back;
        const std::size_t to = later[i], beyond = later[to];
        if (back == i || beyond == to)
            continue;
        const double change = s.value[to] - s.value[i];
        const double around = std::max({std::abs(s.value[i] - s.value[back]),
                                        std::abs(s.value[beyond] - s.value[to]), kNoiseK});
        if (std::abs(change) < kLeastK || std::abs(change) < kTimes * around)
            continue;
        double atOnce = 0; // a thermostat's swing on a slow climb spreads over the minute
        for (std::size_t k = i; k < to; ++k)
            atOnce = std::max(atOnce, std::abs(s.value[k + 1] - s.value[k]));
        if (atOnce < kAtOnce * std::abs(change))
            continue;
        out.flaws.push_back({FlawKind::step, s.timeS[i], s.timeS[to], 1, s.value[i], s.value[to]});
        return;
    }
}

/// The highest value often, just below it hardly ever: cut off there.
void findCeiling(Screened& out) {
    const Series s = between(out.series, -1e300, 1e300);
    if (s.size() < 60)
        return;
    const double top = *std::max_element(s.value.begin(), s.value.end());
    std::size_t there = 0, runs = 0, below = 0;
    double first = 0, last = 0;
    for (std::size_t i = 0; i < s.size(); ++i) {
        if (s.value[i] == top) {
            runs += i == 0 || s.value[i - 1] != top;
            first = there == 0 ? s.timeS[i] : first;
            last = s.timeS[i];
            ++there;
        }
        below += s.value[i] < top && s.value[i] > top - 1.0;
    }
    const bool stands = std::any_of(out.flaws.begin(), out.flaws.end(),
                                    [](const Flaw& f) { return f.kind == FlawKind::stuck; });
    if (!stands && there * 12 >= s.size() && there >= 10 * runs && below * 3 < there)
        out.flaws.push_back({FlawKind::ceiling, first, last, there, top});
}

} // namespace

Screened screenReadings(const Series& log) {
    Screened out{log, {}};
    takeOut(out);
    findStuck(out);
    findStep(out);
    findCeiling(out);
    return out;
}

std::optional<Fall> findDip(const Series& log, double leastK) {
    const Series s = blockMeans(between(log, -1e300, 1e300), 400).means;
    std::size_t top = static_cast<std::size_t>(std::min_element(s.value.begin(), s.value.end()) -
                                               s.value.begin());
    for (std::size_t i = top; i < s.size(); ++i) {
        if (s.value[i] >= s.value[top]) {
            top = i;
            continue;
        }
        if (s.value[top] - s.value[i] < leastK)
            continue;
        std::size_t lowest = i;
        while (lowest + 1 < s.size() && s.value[lowest + 1] < s.value[lowest])
            ++lowest;
        return Fall{s.timeS[top], s.value[top], s.value[lowest], true};
    }
    return std::nullopt;
}

std::optional<Fall> findFall(const Series& log) {
    constexpr double kRoomK = kZeroC + 20, kHotK = kZeroC + 45, kWithinS = 120;
    const Series s = between(log, -1e300, 1e300);
    for (std::size_t i = 0, later = 0; i < s.size(); ++i) {
        if (s.value[i] < kHotK)
            continue;
        later = std::max(later, i);
        while (later + 1 < s.size() && s.timeS[later + 1] - s.timeS[i] <= kWithinS)
            ++later;
        const double lowest =
            *std::min_element(s.value.begin() + static_cast<std::ptrdiff_t>(i),
                              s.value.begin() + static_cast<std::ptrdiff_t>(later) + 1);
        if (lowest - kRoomK > 0.5 * (s.value[i] - kRoomK))
            continue;
        const double back =
            *std::max_element(s.value.begin() + static_cast<std::ptrdiff_t>(later), s.value.end());
        return Fall{s.timeS[i], s.value[i], lowest, back - kRoomK > 0.9 * (s.value[i] - kRoomK)};
    }
    return std::nullopt;
}

} // namespace dynamet
