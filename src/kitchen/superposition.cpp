// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/superposition.h"

#include "numeric/statistics.h"

#include <cmath>

namespace dynamet::kitchen {
namespace {

/// Relative 1 σ of a sum of single-burner rises before any combination was tested: our choice,
/// wide because draught and radiation do not add.
constexpr double kUntestedMisfit = 0.25;

const std::vector<int>* burnersOf(const Appliance& a, const Setting& s) {
    for (std::size_t i = 0; i < a.controls.size() && i < s.values.size(); ++i)
        if (a.controls[i].kind == ControlKind::burners)
            return std::get_if<std::vector<int>>(&s.values[i]);
    return nullptr;
}

bool sameButBurners(const Appliance& a, const Setting& x, const Setting& y) {
    for (std::size_t i = 0; i < a.controls.size(); ++i)
        if (a.controls[i].kind != ControlKind::burners && x.values[i] != y.values[i])
            return false;
    return true;
}

int litCount(const std::vector<int>& levels) {
    int lit = 0;
    for (int level : levels)
        lit += level != 0;
    return lit;
}

struct Query {
    FieldKey key;
    const Appliance* appliance;
    const Setting* setting;
    const Place* place;
    std::span<const RatedNumber> rated;

    bool counts(const RatedNumber& r) const {
        return r.number.key == key && r.zone == place->zone && r.insertId == place->insertId &&
               sameButBurners(*appliance, r.setting, *setting);
    }
    /// Sum of the single-burner rises and its variance; nullopt when one is missing.
    std::optional<UncertaintyPart> sum(const std::vector<int>& levels, double& rise) const {
        double variance = 0;
        rise = 0;
        for (std::size_t i = 0; i < levels.size(); ++i) {
            if (levels[i] == 0)
                continue;
            const RatedNumber* found = nullptr;
            for (const RatedNumber& r : rated) {
                const auto* single = counts(r) ? burnersOf(*appliance, r.setting) : nullptr;
                if (single && litCount(*single) == 1 && (*single)[i] == levels[i])
                    found = &r;
            }
            if (!found)
                return std::nullopt;
            rise += found->number.value - place->site.ambient.kelvin();
            variance += found->number.u * found->number.u;
        }
        return UncertaintyPart{std::sqrt(variance)};
    }
};

} // namespace

std::optional<FieldNumber> superposed(FieldKey key, const Appliance& appliance,
                                      const Setting& setting, const Place& place,
                                      std::span<const RatedNumber> rated) {
    const std::vector<int>* levels = burnersOf(appliance, setting);
    if (!levels || !isTemperature(key.term))
        return std::nullopt;
    const Query query{key, &appliance, &setting, &place, rated};
    double rise = 0;
    const auto part = query.sum(*levels, rise);
    if (!part || rise <= 0)
        return std::nullopt;
    const double ambient = place.site.ambient.kelvin();
    std::vector<double> ratios;
    for (const RatedNumber& r : rated) {
        const auto* tested = query.counts(r) ? burnersOf(appliance, r.setting) : nullptr;
        double expected = 0;
        if (tested && litCount(*tested) > 1 && query.sum(*tested, expected) && expected > 0)
            ratios.push_back((r.number.value - ambient) / expected);
    }
    const double scale = ratios.empty() ? 1 : mean(ratios);
    double misfit = kUntestedMisfit;
    if (!ratios.empty()) {
        // With few combinations the prior misfit still counts as one of them.
        double squares = kUntestedMisfit * kUntestedMisfit;
        for (double ratio : ratios)
            squares += (ratio - scale) * (ratio - scale);
        misfit = std::sqrt(squares / static_cast<double>(ratios.size() + 1));
    }
    FieldNumber out;
    out.key = key;
    out.value = ambient + scale * rise;
    out.u = std::hypot(scale * part->u, misfit * scale * rise);
    out.provenance = Provenance::interpolated;
    out.from = "burners added up";
    return out;
}

} // namespace dynamet::kitchen
