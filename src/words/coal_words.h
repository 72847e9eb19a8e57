// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/coal_plan.h"
#include "kitchen/open_coals.h"
#include "quantity/units.h"

#include <string>
#include <vector>

namespace dynamet::words {

/// How to lay and feed the coals, when to look and turn, what moved the count from the common rule,
/// and how to correct it by eye; a sentence each. The first one leads.
std::vector<std::string> coalLines(const kitchen::CoalPlan& plan, const kitchen::CoalWish& wish,
                                   Units units);
/// The same for coals under an open grate.
std::vector<std::string> openCoalLines(const kitchen::OpenCoalsPlan& plan,
                                       const kitchen::OpenCoalsWish& wish, Units units);
/// Heights over coals that a reader would name, m.
std::vector<double> grateHeights(bool inches);
/// "10 cm: 26 ± 18 kW/m², sears".
std::string grateWords(const kitchen::AtGrate& at, bool inches);
std::vector<std::string> openCoalCautions();
/// The cautions of coals and hot iron, a sentence each.
std::vector<std::string> coalCautions();

} // namespace dynamet::words
