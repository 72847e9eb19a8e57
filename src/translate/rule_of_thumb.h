// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/translate.h"

namespace dynamet::translate {

/// The common rule between two kinds (still oven → fan −20 °C or −25 % time; → air fryer −20 °C and
/// −20 % time; common practice, no source), applied to the reference's setting and time and then
/// simulated. nullopt where no rule is common.
std::optional<RuleOfThumb> ruleOfThumb(const Prepared& prepared, const Target& target);

} // namespace dynamet::translate
