// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "food/foods.h"
#include "quantity/result.h"

#include <optional>
#include <string>
#include <vector>

namespace dynamet::food {

/// When a doneness number is read: as it comes off the heat, at the peak of the rest, in the bath,
/// or on the plate at the end of the shortest rest.
enum class GoalMoment { pull, peak, bath, plate };
const char* enumName(GoalMoment at);
std::optional<GoalMoment> goalMomentOf(const std::string& word);
/// "at the pull", "at the peak after the rest"…, as a sentence says it.
const char* phraseOf(GoalMoment at);

struct DonenessLevel {
    std::string name;
    double lowK = 0, highK = 0;
    bool operator==(const DonenessLevel&) const = default;
};
struct DonenessScale {
    std::string id, name;
    GoalMoment readAt = GoalMoment::peak;
    std::string source;
    /// Levels of a class of food; none when the scale has nothing to say of it.
    std::vector<std::pair<std::string, std::vector<DonenessLevel>>> levels;
    bool operator==(const DonenessScale&) const = default;
};
/// Levels of one class; empty when the scale has none.
std::vector<DonenessLevel> levelsOf(const DonenessScale& scale, const std::string& foodClass);

/// Puts the levels of a class in place of what they were (temperatures rounded to 0.01 K count as
/// the same).
void setLevels(DonenessScale& scale, const std::string& foodClass,
               const std::vector<DonenessLevel>& levels);
/// Adds a scale to a book's own ones or replaces the one of its id.
void putOwn(std::vector<DonenessScale>& own, const DonenessScale& scale);

const std::vector<DonenessScale>& shippedScales();
/// The shipped ones with a book's own: one of the same id replaces it, others follow.
std::vector<DonenessScale> scalesWith(const std::vector<DonenessScale>& own);
/// A level by scale id, food class and name.
Result<DonenessLevel> findLevel(const std::vector<DonenessScale>& scales, const std::string& scale,
                                const std::string& foodClass, const std::string& level);

/// From the lowest to the highest level that any scale has for a class, K; none when no scale names
/// it.
std::optional<std::pair<double, double>> donenessSpan(const std::vector<DonenessScale>& scales,
                                                      const std::string& foodClass);
/// refused when no scale comes near to a core for that food: bread is not done at 60 °C.
Result<void> checkDoneness(const std::vector<DonenessScale>& scales, const Food& food,
                           double coreK);

/// Levels as lines a cook edits, "rare 48-52" in °C or °F, one a line; and back. invalidArgument
/// names the line that is no level.
std::string linesOf(const std::vector<DonenessLevel>& levels, bool fahrenheit);
Result<std::vector<DonenessLevel>> levelsFromLines(const std::string& text, bool fahrenheit);

/// Scales as JSON (docs/formats.md) and back. invalidArgument names the scale and the level where a
/// band is upside down, outside 20 to 120 °C, or a moment of reading is not known.
std::string scalesJson(const std::vector<DonenessScale>& scales);
Result<std::vector<DonenessScale>> readScales(const std::string& json);

} // namespace dynamet::food
