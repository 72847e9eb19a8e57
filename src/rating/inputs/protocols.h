// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/appliance.h"

#include <map>
#include <string>
#include <vector>

namespace dynamet::rating {

/// A value a protocol needs from the cook beside the readings; SI name, unit it is typed in.
struct NeededValue {
    std::string name;     ///< "water_kg": the name on the command line and in the book
    std::string label;    ///< "Water"
    std::string unit;     ///< "g", "°C", "%", "min": what a bare number means
    double siPerUnit = 1; ///< SI worth of one unit (temperatures: see `celsius`)
    bool celsius = false; ///< typed as a temperature
    std::string standard; ///< what stands there at first, as typed
};

/// Readings that are typed in a row.
enum class KeyedKind { temperature, count, minutes };
struct KeyedRole {
    std::string role, label;
    KeyedKind kind = KeyedKind::temperature;
    std::string hint;
    bool needed = true;
};

/// How a test is done: read by the How pane and by the guide. Texts come from the protocol's page
/// in docs/guide/protocols, names and units from data/protocols.json.
struct Protocol {
    std::string id;        ///< "water-heat-up"
    std::string title;     ///< "Heat a pot of water"
    std::string shortName; ///< "Water", for a button
    std::string finds;     ///< what it finds
    std::string needs;     ///< what is needed
    std::vector<std::string> steps;
    std::vector<std::string> cautions;
    std::string howLong;
    std::string spoils;             ///< what spoils it
    std::string workedOut;          ///< how the result comes from the readings
    bool fromLog = true;            ///< false: readings are keyed in
    bool needsAltitude = false;     ///< the site's altitude goes in with the values
    std::vector<std::string> roles; ///< of a log's columns, the leading one first
    bool firstColumnOnly = false;   ///< further roles are alternatives: never given unasked
    std::vector<KeyedRole> keyed;
    std::vector<NeededValue> values;
};

const std::vector<Protocol>& allProtocols();
const Protocol* findProtocol(const std::string& id);
/// The protocols that make sense for a kind, the most useful first.
std::vector<const Protocol*> protocolsFor(kitchen::ApplianceKind kind);
/// Roles that a protocol's channels can have, the leading one first; empty for an unknown one.
std::vector<std::string> rolesOf(const std::string& protocol);
/// Roles of those that make sense for a kind: a griddle's preheat logs a plate, an oven's the air.
std::vector<std::string> rolesFor(const Protocol& protocol, kitchen::ApplianceKind kind);
/// Whether readings of a keyed role are temperatures, which calibrations and units concern.
bool isTemperature(const Protocol& protocol, const std::string& role);
/// Named values that follow from the kind itself (a bath's number is the liquid's).
std::map<std::string, double> valuesOfKind(const std::string& protocol,
                                           kitchen::ApplianceKind kind);
/// The page of a protocol as Markdown.
std::string guidePage(const std::string& protocol);

} // namespace dynamet::rating
