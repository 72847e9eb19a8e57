// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "run/judged.h"
#include "words/sheets.h"

namespace dynamet::words {

/// A cook beside others, with all that is compared.
struct ComparedCook {
    std::string name, place, person;
    run::PlannedCook planned;
    std::vector<run::Entry> entries; ///< those that stand
    std::vector<run::CoreReading> readings;
    run::Judged judged;
    std::optional<double> peakK; ///< as forecast with all its readings
};

/// A row of what differs: one text a cook, "–" where it is not known.
struct ComparedRow {
    std::string says;
    std::vector<std::string> values;
    bool confounder = false; ///< it was not what was to be compared: it may be the reason
};
/// Only rows in which cooks differ by more than a cook would notice; confounders first. Two to four
/// cooks.
std::vector<ComparedRow> comparedRows(const std::vector<ComparedCook>& cooks,
                                      const kitchen::Kitchen& kitchen, Units units);
/// "B started 9 K colder": confounders as sentences.
std::vector<std::string> confounderLines(const std::vector<ComparedCook>& cooks, Units units);
/// "crust 7.0 ± 1.2 (4 tasters)" for each quality.
std::vector<std::string> scoreLines(const run::Judged& judged);

/// A taster's point in a picture of dots: cook × quality.
struct ScoreDot {
    std::size_t cook = 0, quality = 0, taster = 0;
    double points = 0;
};
struct ScoreDots {
    std::vector<std::string> qualities, tasters;
    std::vector<ScoreDot> dots;
};
ScoreDots dotsOf(const std::vector<ComparedCook>& cooks);

/// The comparison as a page: what differs, confounders, scores, verdicts.
Sheet compareSheet(const std::string& title, const std::vector<ComparedCook>& cooks,
                   const kitchen::Kitchen& kitchen, Units units);

} // namespace dynamet::words
