// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/kitchen.h"
#include "rating/uncertainty/reduction.h"

namespace dynamet::rating {

/// What is asked before a rating is saved, because it would make nonsense of the settings beside
/// it. Codes: "far_from_dial" (more than 60 K off what the dial says), "far_from_others" (more than
/// 60 K off what the appliance's other ratings make of this setting), "far_from_usual" (a power
/// three times as high or as low as what else is known of this mark). Values in K, or W.
struct Doubt {
    std::string code;
    double found = 0, expected = 0;
};
/// `setting` and `zone` as the test has them; numbers of the appliance that are rated already.
std::vector<Doubt> doubtsAbout(const Reduction& reduction, const kitchen::Kitchen& kitchen,
                               const kitchen::Appliance& appliance, const kitchen::Setting& setting,
                               const std::string& zone, const std::string& vesselId,
                               const std::string& insertId);
} // namespace dynamet::rating
