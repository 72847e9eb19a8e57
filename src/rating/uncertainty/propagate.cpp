// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/uncertainty/propagate.h"

#include <algorithm>
#include <cmath>

namespace dynamet::rating {

Spread startSpread(const Derived& value) {
    Spread out;
    out.value = value;
    out.typeA.assign(value.size() * value.size(), 0);
    out.all = out.typeA;
    return out;
}

void addJackknife(Spread& spread, const std::vector<Derived>& without, std::size_t fitted) {
    const std::size_t n = spread.value.size(), g = without.size();
    Derived centre(n, 0);
    for (const Derived& d : without)
        for (std::size_t i = 0; i < n; ++i)
            centre[i] += d[i] / static_cast<double>(g);
    const double count = static_cast<double>(g);
    for (const Derived& d : without)
        for (std::size_t i = 0; i < n; ++i)
            for (std::size_t j = 0; j < n; ++j) {
                const double part = (count - 1) / count * (d[i] - centre[i]) * (d[j] - centre[j]);
                spread.typeA[i * n + j] += part;
                spread.all[i * n + j] += part;
            }
    spread.dof = std::max(1.0, count - static_cast<double>(fitted));
    spread.contributions.push_back({"scatter of the readings", std::sqrt(spread.typeA[0])});
}

void addInfluence(Spread& spread, const Derived& base, const std::string& name, const Derived& up,
                  const Derived& down) {
    const std::size_t n = spread.value.size();
    for (std::size_t i = 0; i < n; ++i)
        spread.value[i] += (up[i] + down[i]) / 2 - base[i];
    for (std::size_t i = 0; i < n; ++i)
        for (std::size_t j = 0; j < n; ++j)
            spread.all[i * n + j] += (up[i] - down[i]) / 2 * (up[j] - down[j]) / 2;
    spread.contributions.push_back({name, std::abs(up[0] - down[0]) / 2});
}

void addTypeA(Spread& spread, const std::vector<double>& covariance, double dof,
              const std::string& name) {
    for (std::size_t i = 0; i < covariance.size(); ++i) {
        spread.typeA[i] += covariance[i];
        spread.all[i] += covariance[i];
    }
    spread.dof = dof;
    spread.contributions.insert(spread.contributions.begin(), {name, std::sqrt(spread.typeA[0])});
}

void addTypeA(Spread& spread, std::size_t index, double u, double dof, const std::string& name) {
    const std::size_t at = index * spread.value.size() + index;
    spread.typeA[at] += u * u;
    spread.all[at] += u * u;
    spread.dof = dof;
    if (index == 0)
        spread.contributions.push_back({name, u});
}

void addQuantities(Reduction& out, const Spread& spread, const std::vector<QuantityName>& names) {
    const std::size_t n = spread.value.size();
    for (std::size_t q = 0; q < names.size(); ++q) {
        const double a = spread.typeA[q * n + q], all = spread.all[q * n + q];
        out.quantities.push_back(makeQuantity(names[q].name, spread.value[q], names[q].unit,
                                              std::sqrt(a), spread.dof,
                                              std::sqrt(std::max(0.0, all - a))));
    }
    for (std::size_t i = 0; i < names.size(); ++i)
        for (std::size_t j = 0; j < names.size(); ++j)
            out.covariance.push_back(spread.cov(i, j));
    out.contributions = spread.contributions;
}

void addFieldNumber(Reduction& out, const Spread& spread, std::size_t index, kitchen::FieldKey key,
                    std::vector<std::pair<std::size_t, kitchen::FieldKey>>& placed) {
    out.fieldNumbers.push_back({key, spread.value[index], std::sqrt(spread.cov(index, index)),
                                kitchen::Provenance::measured, "", "measured"});
    for (const auto& [other, otherKey] : placed)
        out.fieldCovariances.push_back({otherKey, key, spread.cov(other, index)});
    placed.emplace_back(index, key);
}

Series leaveOut(const Series& series, std::size_t batches, std::size_t batch) {
    if (batch == kEveryBatch || series.empty())
        return series;
    const double first = series.timeS.front();
    const double width = (series.timeS.back() - first) / static_cast<double>(batches);
    Series out;
    for (std::size_t i = 0; i < series.size(); ++i) {
        const auto at =
            std::min(static_cast<std::size_t>((series.timeS[i] - first) / width), batches - 1);
        if (at == batch)
            continue;
        out.timeS.push_back(series.timeS[i]);
        out.value.push_back(series.value[i]);
    }
    return out;
}

void addFit(Reduction& out, const Series& readings, const std::vector<double>& model) {
    out.fit = {readings.timeS, model};
    out.residuals.timeS = readings.timeS;
    for (std::size_t i = 0; i < readings.size(); ++i)
        out.residuals.value.push_back(readings.value[i] - model[i]);
}

} // namespace dynamet::rating
