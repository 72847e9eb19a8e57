// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "evidence/belief.h"

namespace dynamet::evidence {

/// Something that may be off by far more than its ± says: an appliance that moved, a food unlike
/// its table.
struct Suspect {
    std::string says;
    std::vector<std::string> observations; ///< which of them it bears on…
    std::vector<double> lnTime;            ///< …and what one standard deviation does to ln(time)
    double prior = 0.02;                   ///< chance that it is off before any of them was seen
};

/// The chance of each suspect, given all observations that were not set aside: one of them at most
/// is off. The last is the chance of none; all add up to 1.
std::vector<double> oddsOf(const Belief& belief, const std::vector<Suspect>& suspects);

/// The belief in which a suspect may be off: its jump is an unknown more, `jumpOf` it.
Belief withJump(const Belief& belief, const Suspect& suspect);
std::string jumpOf(const Suspect& suspect);

/// The chance that an appliance has moved by more than it drifts, so many months after it was
/// rated: 2 % of months (from memory), never less than one month's.
double movedSince(double months);

} // namespace dynamet::evidence
