// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "run/cook_log.h"
#include "translate/translate.h"

namespace dynamet::run {

/// What is about to be cooked: the recipe with the stages that are cooked, when it is left, and
/// what is wanted of it. Kept with the run; nothing of it changes later.
struct PlannedCook {
    recipe::Recipe recipe; ///< its stages are the row's
    bool byProbe = true;   ///< false: time and looks lead
    double pullK = 0;      ///< the watched stage is left at this core, as printed; 0 = by the clock
    std::size_t watched = 0;
    /// Of the end of the watched stage (of the last, by the clock), s from food in.
    double lookS = 0, expectS = 0;
    std::optional<double> latestS;
    double peakK = 0, darker = 0, paler = 0; ///< of the row, as simulated
    double lnSd = 0.15;                      ///< of ln(time)
    bool operator==(const PlannedCook&) const = default;
};
PlannedCook plannedOf(const translate::Prepared& prepared, const translate::Row& row);
/// As JSON, settings as the kitchen's controls have them; parse names the field.
std::string plannedJson(const PlannedCook& planned, const kitchen::Kitchen& kitchen);
Result<PlannedCook> readPlanned(const std::string& json, const kitchen::Kitchen& kitchen);

/// The plan as the cook has changed it meanwhile: a last stage that was shortened or is left out.
PlannedCook asChanged(PlannedCook planned, const std::vector<Entry>& entries);

/// The stages as they have gone so far, and as planned from now on: ends, turns, opened doors,
/// moves and breaks where they happened. `nowS` and `entries` count from the run's beginning; the
/// programme from food in. Errors name a stage whose appliance is gone.
struct Course {
    cook::Programme programme;
    std::size_t stage = 0; ///< that goes on now (or is waited for)
    double nowS = 0;       ///< from food in; 0 before
    bool begun = false, pulled = false;
    double pulledS = 0; ///< from food in
    double pullK = 0;   ///< at which the last stage is left; 0 = by the clock
};
Result<Course> courseOf(const translate::Request& request, const PlannedCook& planned,
                        const std::vector<Entry>& entries, double nowS);

} // namespace dynamet::run
