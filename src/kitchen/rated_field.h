// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/typical.h"

#include <cstdint>
#include <optional>
#include <span>

namespace dynamet::kitchen {

/// A measured number of an appliance: where it was measured and what came out. `covarianceWith`
/// holds numbers of the same reduction that are known only jointly.
struct RatedNumber {
    Setting setting;
    std::string zone;
    std::string insertId;
    std::string vesselId; ///< hobs only
    FieldNumber number;   ///< provenance measured, with its reduction
    std::vector<FieldCovariance> covarianceWith = {};
    std::int64_t measuredMs = 0;                    ///< UTC, when the test was made
    std::optional<FieldCurve> curve = std::nullopt; ///< how it changes while food is in
    bool operator==(const RatedNumber&) const = default;
};

/// The field at any setting: typical for the kind, shifted by what was measured (definitions §1).
/// Along one ordered numeric control offsets are linear in temperature and in the logarithm of
/// everything else, held outside with u growing to the typical one within one gap; burner sets by
/// superposition of single-burner tests. A hob's power becomes the flux into the vessel's base.
Result<HeatField> ratedField(const Appliance& appliance, const Setting& setting, const Place& place,
                             std::span<const RatedNumber> rated);

} // namespace dynamet::kitchen
