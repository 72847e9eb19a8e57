// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/height_series.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::rating {
namespace {

bool differsInHeightOnly(const std::vector<kitchen::Control>& controls, const kitchen::Setting& a,
                         const kitchen::Setting& b) {
    for (std::size_t i = 0; i < controls.size(); ++i)
        if (controls[i].kind != kitchen::ControlKind::height && a.values[i] != b.values[i])
            return false;
    return true;
}

} // namespace

std::optional<double> grateHeightM(const std::vector<kitchen::Control>& controls,
                                   const kitchen::Setting& setting) {
    for (std::size_t i = 0; i < controls.size(); ++i)
        if (controls[i].kind == kitchen::ControlKind::height)
            return std::get<double>(setting.values[i]) / 1000;
    return std::nullopt;
}

std::optional<coals::CoalBed> bedOf(const std::vector<kitchen::Control>& controls,
                                    const kitchen::Setting& like,
                                    const std::vector<HeightTest>& tests) {
    std::vector<coals::HeightReading> readings;
    for (const HeightTest& test : tests) {
        const auto height = grateHeightM(controls, test.setting);
        if (!height || !differsInHeightOnly(controls, like, test.setting))
            continue;
        std::erase_if(readings,
                      [&](const coals::HeightReading& r) { return r.heightM == *height; });
        readings.push_back({*height, test.irradiationW_m2, test.u});
    }
    const auto bed = coals::fitHeights(readings);
    return bed ? std::optional(*bed) : std::nullopt;
}

Finding bedFinding(const coals::CoalBed& bed, double heightM) {
    return Finding{"coal_bed",
                   {Metres{2 * bed.radiusM}, Number{bed.emissionW_m2 / 1000, 0, "kW/m²"},
                    Number{coals::irradiation(bed, 1.5 * heightM) / 1000, 0, "kW/m²"}}};
}

} // namespace dynamet::rating
