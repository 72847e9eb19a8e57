// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/appliance.h"

#include <string>
#include <vector>

namespace dynamet::rating {

/// A value a protocol needs from the cook beside the readings; SI name, unit it is typed in.
struct NeededValue {
    std::string name;     ///< "water_kg": the name on the command line and in the book
    std::string label;    ///< "Water in the pot"
    std::string unit;     ///< "g", "°C", "%", "min": what a bare number means
    double siPerUnit = 1; ///< SI worth of one unit (temperatures: see `celsius`)
    bool celsius = false; ///< typed as a temperature
    std::string standard; ///< what stands there at first, as typed
};

/// How a test is done: read aloud by the How pane and by the guide.
struct Protocol {
    std::string id;    ///< "water-heat-up"
    std::string title; ///< "Heat a pot of water"
    std::string finds; ///< what it finds
    std::string needs; ///< what is needed
    std::vector<std::string> steps;
    std::vector<std::string> cautions;
    std::string howLong;
    std::string spoils;  ///< what spoils it
    bool fromLog = true; ///< false: readings are keyed in
    std::vector<NeededValue> values;
};

const std::vector<Protocol>& allProtocols();
const Protocol* findProtocol(const std::string& id);
/// The protocols that make sense for a kind, the most useful first.
std::vector<const Protocol*> protocolsFor(kitchen::ApplianceKind kind);

} // namespace dynamet::rating
