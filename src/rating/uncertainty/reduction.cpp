// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/uncertainty/reduction.h"

#include "numeric/statistics.h"
#include "quantity/temperature.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::rating {

const char* enumName(Bound bound) {
    switch (bound) {
    case Bound::none:
        return "none";
    case Bound::lower:
        return "lower";
    case Bound::upper:
        return "upper";
    }
    return "none";
}

double halfWidth95(const Quantity& quantity) {
    return coverageFactor95(quantity.dof) * quantity.u;
}

const Quantity* find(const Reduction& reduction, const std::string& name) {
    for (const Quantity& q : reduction.quantities)
        if (q.name == name)
            return &q;
    return nullptr;
}

Quantity makeQuantity(std::string name, double value, std::string unit, double uTypeA, double dofA,
                      double uTypeB) {
    const std::array<UncertaintyPart, 2> parts{{{uTypeA, dofA}, {uTypeB, 1e9}}};
    const UncertaintyPart all = combine(parts);
    return {std::move(name), value, std::move(unit), all.u, uTypeA, uTypeB, all.dof, Bound::none};
}

Estimate estimateOf(const Quantity& quantity) {
    return {quantity.value, halfWidth95(quantity), quantity.unit};
}

Estimate pointOf(const Quantity& quantity) {
    return {quantity.value, halfWidth95(quantity), quantity.unit, true};
}

void fillCovariance(Reduction& reduction, const std::vector<SharedPart>& shared) {
    const auto& quantities = reduction.quantities;
    const std::size_t n = quantities.size();
    std::size_t known = 0;
    while ((known + 1) * (known + 1) <= reduction.covariance.size())
        ++known;
    std::vector<double> out(n * n, 0);
    for (std::size_t i = 0; i < n; ++i)
        out[i * n + i] = quantities[i].u * quantities[i].u;
    for (std::size_t i = 0; i < known; ++i)
        for (std::size_t j = 0; j < known; ++j)
            out[i * n + j] = reduction.covariance[i * known + j];
    for (const SharedPart& part : shared)
        for (std::size_t i = 0; i < n; ++i)
            for (std::size_t j = 0; j < n; ++j)
                if (quantities[i].name == part.a && quantities[j].name == part.b)
                    out[i * n + j] = out[j * n + i] = part.covariance;
    reduction.covariance = std::move(out);
}

Result<void> checkReadings(const Series& readings, const std::string& what, std::size_t leastCount,
                           double coldestK, double hottestK) {
    for (std::size_t i = 1; i < readings.size(); ++i)
        if (readings.timeS[i] < readings.timeS[i - 1])
            return fail(Errc::refused,
                        Finding{"time_backwards",
                                {Name{what}, Number{static_cast<double>(i + 1)},
                                 Seconds{readings.timeS[i]}, Seconds{readings.timeS[i - 1]}}});
    std::size_t good = 0, outside = 0;
    for (double v : readings.value)
        if (std::isfinite(v)) {
            ++good;
            outside += v > hottestK || v < coldestK;
        }
    if (good < leastCount)
        return fail(Errc::refused, Finding{"too_few_readings",
                                           {Name{what}, Number{static_cast<double>(good)},
                                            Number{static_cast<double>(leastCount)}}});
    if (outside * 2 > good)
        return fail(Errc::refused,
                    {"unit_suspected",
                     {Name{what}, Temperature::kelvin(coldestK), Temperature::kelvin(hottestK)}});
    return {};
}

} // namespace dynamet::rating
