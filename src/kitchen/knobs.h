// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/setting.h"

namespace dynamet::kitchen {

/// One thing that a hand turns on an appliance: a numeric control in its dial's unit, a control
/// with marks by their number, one burner of several by its level's number, the coals under or on
/// a lid by their count.
struct Knob {
    std::string name;
    std::size_t control = 0, part = 0; ///< part: which burner; coals 0 under, 1 on the lid
    double at = 0, low = 0, high = 0, step = 1;
    bool operator==(const Knob&) const = default;
};

/// Every knob of a setting that can be turned at all: what has one mark only has none.
std::vector<Knob> knobsOf(const std::vector<Control>& controls, const Setting& setting);
/// The setting with one knob turned, inside what it can be; between two marks the nearer one.
Setting turned(const std::vector<Control>& controls, Setting setting, const Knob& knob,
               double value);
/// "180 °C", "high", "7": as the dial has it; and the way back of what was typed. invalidArgument
/// says what there is.
std::string knobText(const std::vector<Control>& controls, const Knob& knob, double value);
Result<double> parseKnob(const std::vector<Control>& controls, const Knob& knob,
                         const std::string& typed);

} // namespace dynamet::kitchen
