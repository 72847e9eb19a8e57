// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/probe_split.h"

#include "numeric/roots.h"
#include "quantity/water.h"

#include <cmath>
#include <fmt/format.h>

namespace dynamet::rating {
namespace {

constexpr double kAt4mm = 44.7, kPower = -0.56, kLeastRatio = 1.5;

struct Moved {
    ProbePair pair;
    double ratio = 1, level = 1;
};

/// h/ε (T − T_air) = σ (T_rad⁴ − T⁴) for both probes: T_air from their difference, T_rad from one.
Result<Derived> evaluate(const Moved& m, std::size_t) {
    const double thin = probeCoefficient(m.pair.thinM) * m.level * m.ratio;
    const double thick = probeCoefficient(m.pair.thickM) * m.level;
    const double t1 = m.pair.thinK, t2 = m.pair.thickK;
    const double air =
        (thin * t1 - thick * t2 + kStefanBoltzmann * (std::pow(t1, 4) - std::pow(t2, 4))) /
        (thin - thick);
    const double fourth = std::pow(t2, 4) + thick * (t2 - air) / kStefanBoltzmann;
    if (air < 200 || fourth < std::pow(200.0, 4))
        return fail(Errc::refused, Finding{"probes_contradict"});
    return Derived{air, std::pow(fourth, 0.25)};
}

} // namespace

double probeCoefficient(double diameterM) {
    return kAt4mm * std::pow(diameterM / 0.004, kPower);
}

double probeReadingK(double airK, double radiantK, double diameterM) {
    const double h = probeCoefficient(diameterM);
    const auto off = [&](double k) {
        return h * (k - airK) - kStefanBoltzmann * (std::pow(radiantK, 4) - std::pow(k, 4));
    };
    return solveBracketed(off, 150, 3000, 1e-6).value_or(airK);
}

Result<Spread> splitProbes(const ProbePair& pair) {
    if (pair.thickM < kLeastRatio * pair.thinM)
        return fail(Errc::refused,
                    {"probes_too_similar", {Metres{pair.thinM}, Metres{pair.thickM}}});
    const std::vector<Influence<Moved>> inputs{
        {"thin probe", [](Moved& m, double s) { m.pair.thinK += s * m.pair.uEachK; }},
        {"thick probe", [](Moved& m, double s) { m.pair.thickK += s * m.pair.uEachK; }},
        {"ratio of the probes", [](Moved& m, double s) { m.ratio += s * m.pair.uRatio; }},
        {"draught on both", [](Moved& m, double s) { m.level += s * m.pair.uLevel; }}};
    return spreadOf(Moved{pair}, inputs, 0, 0, evaluate);
}

} // namespace dynamet::rating
