// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/kitchen.h"

#include <map>

namespace dynamet::rating {

/// What a test is made with and on, as far as it is known.
struct TestPlace {
    const kitchen::Appliance* appliance = nullptr;
    const kitchen::Setting* setting = nullptr;
    const kitchen::Vessel* vessel = nullptr;
    const kitchen::Instrument* instrument = nullptr;
};

/// Named values that follow from the place and need not be typed: the dial's temperature, the
/// instrument's upper limit and the emissivity set on it, the vessel's mass, heat and base. In the
/// units that their names carry.
std::map<std::string, double> givenValues(const std::string& protocol, const TestPlace& place);

/// Whether a value is never typed once it is given: what only an instrument, a dial or a table
/// knows. A mass can still be weighed.
bool isSettled(const std::string& name);

} // namespace dynamet::rating
