// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "coals/placement.h"
#include "kitchen/setting.h"
#include "quantity/finding.h"

#include <optional>
#include <string>
#include <vector>

namespace dynamet::rating {

/// A one-face test over coals at some grate height: what fell in, W/m², with its u.
struct HeightTest {
    kitchen::Setting setting;
    double irradiationW_m2 = 0;
    double u = 0;
};

/// The bed of coals behind tests that differ from `like` in the grate's height only; nullopt when
/// there are fewer than two heights or they contradict each other. Newest tests come last.
std::optional<coals::CoalBed> bedOf(const std::vector<kitchen::Control>& controls,
                                    const kitchen::Setting& like,
                                    const std::vector<HeightTest>& tests);
/// What a cook reads of it: how wide the bed acts, what it sends out, and what would arrive half as
/// high again.
Finding bedFinding(const coals::CoalBed& bed, double heightM);
/// The grate's height of a setting, m; nullopt when the appliance has none.
std::optional<double> grateHeightM(const std::vector<kitchen::Control>& controls,
                                   const kitchen::Setting& setting);

} // namespace dynamet::rating
