// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/kitchen.h"

namespace dynamet::kitchen {

/// What a zone should be: between two temperatures, K; an open side is far away.
struct WantedZone {
    std::string zone;
    double lowK = 0, highK = 1e4;
};
struct WantedHeat {
    std::vector<WantedZone> zones;
};

/// A setup that may do, and how sure that is.
struct FoundSetting {
    Setting setting;
    std::string label;
    double probability = 0;                      ///< that every zone is what was wanted
    std::vector<Representative> zones;           ///< in the order of the wish
    Provenance provenance = Provenance::assumed; ///< the weakest of its zones
    bool addedUp = false;                        ///< nobody tested it: burners were added up
};

/// All setups of an appliance that can be set, tested or not, ranked by the probability that they
/// qualify; ones under `leastProbability` are left out. A dial is tried at every step. The zones of
/// one setting count as independent. notFound for an unknown zone, invalidArgument for an empty
/// wish.
Result<std::vector<FoundSetting>> findSettings(const Kitchen& kitchen, const Appliance& appliance,
                                               const WantedHeat& wanted,
                                               double leastProbability = 0.05);

/// Of the settings that were measured, the one whose zones come nearest to the wish (least sum of
/// squares of what is missing, K); none when nothing was measured. Its probability is that of the
/// wish.
Result<std::optional<FoundSetting>>
nearestMeasured(const Kitchen& kitchen, const Appliance& appliance, const WantedHeat& wanted);

} // namespace dynamet::kitchen
