// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/kitchen.h"

namespace dynamet::kitchen {

/// One cell: what a zone is at a setting, or nothing but an assumption.
struct SheetCell {
    Representative shown;        ///< the one temperature it is shown by, K
    std::string reductionId;     ///< of the leading measured number, else empty
    std::int64_t measuredMs = 0; ///< of that number; 0 = nothing was measured here
};
/// The rate sheet of an appliance: settings down, zones across. For hobs the vessel is the standard
/// one and the number is where the empty vessel would settle.
struct RateSheet {
    std::string applianceId;
    std::vector<Setting> settings;
    std::vector<std::string> labels; ///< of the settings
    /// Burner sets as shares of full, for drawing discs; empty for other settings.
    std::vector<std::vector<double>> burners;
    std::vector<std::string> zones;
    std::vector<std::vector<SheetCell>> cells; ///< [setting][zone]
};

/// Measured settings and evenly spread others (`places` along a dial), in the dial's order; a
/// preheat is left at one place.
std::vector<Setting> sheetSettings(const Appliance& appliance, std::span<const RatedNumber> rated,
                                   int places = 6);
/// A setting as the sheet's row names it: without the preheat and the lid.
std::string sheetLabel(const Appliance& appliance, const Setting& setting);

/// What is in or on the appliance: a hob's vessel (empty = its standard one), an insert (empty =
/// none). Each makes a sheet of its own.
struct SheetWith {
    std::string vesselId, insertId;
};
RateSheet rateSheet(const Kitchen& kitchen, const Appliance& appliance, const SheetWith& with = {});

/// The kitchen as it was rated up to a moment, for comparing dates.
Kitchen ratedUntil(const Kitchen& kitchen, std::int64_t untilMs);
/// The last moment of each UTC day on which an appliance was rated, oldest first.
std::vector<std::int64_t> ratedDays(const Kitchen& kitchen, const std::string& applianceId);

/// One tick of a comb in the line-up.
struct CombTick {
    double kelvin = 0;
    Provenance provenance = Provenance::assumed;
};
/// Ticks of an appliance's settings in its first zone, at the temperatures they really give.
std::vector<CombTick> combOf(const Kitchen& kitchen, const Appliance& appliance);

} // namespace dynamet::kitchen
