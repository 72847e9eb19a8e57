// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/appliance.h"
#include "rating/inputs/value_spec.h"

#include <map>
#include <string>
#include <vector>

namespace dynamet::rating {

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
    std::string spoils;      ///< what spoils it
    std::string workedOut;   ///< how the result comes from the readings
    bool fromLog = true;     ///< false: readings are keyed in
    bool alsoLog = false;    ///< keyed in, or taken from a log
    bool logsWeight = false; ///< its log is a scale's
    bool takesLog() const { return fromLog || alsoLog; }
    bool needsAltitude = false;     ///< the site's altitude goes in with the values
    std::vector<std::string> roles; ///< of a log's columns, the leading one first
    bool firstColumnOnly = false;   ///< further roles are alternatives: never given unasked
    std::vector<KeyedRole> keyed;
    std::vector<ValueSpec> values; ///< every one that a test of it may carry

    const ValueSpec* value(const std::string& name) const; ///< nullptr: it knows none
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
/// Choices that follow from the kind itself (a bath's number is the liquid's).
std::map<std::string, std::string> choicesOfKind(const std::string& protocol,
                                                 kitchen::ApplianceKind kind);
/// The page of a protocol as Markdown.
std::string guidePage(const std::string& protocol);

} // namespace dynamet::rating
