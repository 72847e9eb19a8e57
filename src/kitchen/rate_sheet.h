// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/kitchen.h"

namespace dynamet::kitchen {

/// One cell: what a zone is at a setting, measured or assumed. `shown` is empty where nothing is
/// known, and `why` says why then.
struct SheetCell {
    std::optional<Representative> shown; ///< the one temperature it is shown by, K
    std::optional<FieldNumber> power;    ///< hobs: into the vessel, W; it leads
    std::optional<double> litreS;        ///< hobs: to boil a litre with it; empty = never
    double lastsS = 0;                   ///< hobs: until the boost ends; 0 = as long as wanted
    std::optional<Error> why;
    std::string reductionId;     ///< of the leading measured number, else empty
    std::int64_t measuredMs = 0; ///< of that number; 0 = nothing was measured here
};
/// The rate sheet of an appliance: settings down, zones across. A hob's number is where its vessel
/// holds with food in it (see `representative`).
struct RateSheet {
    std::string applianceId;
    std::vector<Setting> settings;
    std::vector<std::string> labels; ///< of the settings
    /// Burner sets as shares of full, for drawing discs; empty for other settings.
    std::vector<std::vector<double>> burners;
    std::vector<std::string> zones;
    std::vector<std::vector<SheetCell>> cells; ///< [setting][zone]
};

/// Measured settings, `also`, and round ones between (`places` along a dial), in the dial's order;
/// a preheat is left at one place.
std::vector<Setting> sheetSettings(const Appliance& appliance, std::span<const RatedNumber> rated,
                                   std::span<const Setting> also = {}, int places = 8);
/// A setting as the sheet's row names it: without the preheat and the lid.
std::string sheetLabel(const Appliance& appliance, const Setting& setting,
                       std::optional<Units> reader = {});
/// The setting of the sheet's row that a setting belongs to: its preheat at the usual place.
Setting sheetRowOf(const Appliance& appliance, const Setting& setting);

/// What is in or on the appliance: a hob's vessel (empty = its standard one), an insert (empty =
/// none); each makes a sheet of its own. Further settings have a row too. `reader` as of
/// `settingLabel`.
struct SheetWith {
    std::string vesselId = {}, insertId = {};
    std::vector<Setting> also = {};
    std::optional<Units> reader = {};
};
/// "1.41 ± 0.10 kW".
std::string powerWords(const FieldNumber& power);
RateSheet rateSheet(const Kitchen& kitchen, const Appliance& appliance, const SheetWith& with = {});

/// The kitchen with an appliance as it was rated up to a moment, from its whole history (which
/// holds older numbers of a place too).
Kitchen ratedUntil(const Kitchen& kitchen, const std::string& applianceId,
                   std::vector<RatedNumber> history, std::int64_t untilMs);
/// The last moment of each UTC day of a history, oldest first.
std::vector<std::int64_t> ratedDays(std::span<const RatedNumber> history);

/// One tick of a comb in the line-up.
struct CombTick {
    double kelvin = 0;
    Provenance provenance = Provenance::assumed;
};
/// Ticks of an appliance's settings in its first zone, at the temperatures they really give.
std::vector<CombTick> combOf(const Kitchen& kitchen, const Appliance& appliance);

} // namespace dynamet::kitchen
