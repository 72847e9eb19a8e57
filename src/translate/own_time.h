// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "evidence/belief.h"
#include "translate/window.h"

namespace dynamet::translate {

struct Prepared;

/// The value that one input alone would need for a written time to be what comes out.
struct Explanation {
    enum class What { thickness, heat, start } what = What::thickness;
    double value = 0; ///< m, or K
};

/// How long its author says it took, beside what is forecast there without it.
struct OwnTime {
    recipe::WrittenTime written;
    double forecastS = 0, forecastLowS = 0, forecastHighS = 0; ///< 95 %
    double z = 0;                                              ///< standard deviations between them
    bool absorbed = true;                  ///< else it fits nothing else, and counts for nothing
    std::vector<Explanation> explanations; ///< of what is not absorbed
    std::optional<Error> unused;           ///< why it tells nothing
};

struct Believed {
    std::string recipeId;
    evidence::Belief ofOthers; ///< without the recipe's own time
    evidence::Belief belief;
    std::optional<OwnTime> ownTime;
};

/// Does another recipe's time tell something of this one: the same food, and a time that is used?
bool bearsOn(const recipe::Recipe& other, const recipe::Recipe& recipe);

/// Puts the recipe's own time into what is believed. None where its author gives no time, or only
/// a time.
void useOwnTime(Prepared& prepared, const std::stop_token& stop);

/// The recipe's own cook with each input off to either side.
Shifted shiftedReference(const Prepared& prepared, const std::stop_token& stop);

/// The chance deviation of a figure by how it is rounded, s: to five minutes from a quarter of an
/// hour on where it is a whole number of them, else to one.
double roundingSd(double seconds);

} // namespace dynamet::translate
