// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/instrument.h"
#include "kitchen/rated_field.h"

#include <map>

namespace dynamet::kitchen {

/// Everything of a book that a computation may need, as one value: workers get a copy.
struct Kitchen {
    std::vector<Site> sites;
    std::vector<Instrument> instruments;
    std::vector<Vessel> vessels;
    std::vector<Insert> inserts;
    std::vector<Appliance> appliances;
    std::map<std::string, std::vector<RatedNumber>>
        rated; ///< by appliance id, newest of each place, oldest first
};

const Site* findSite(const Kitchen& kitchen, const std::string& id);
const Vessel* findVessel(const Kitchen& kitchen, const std::string& id);
const Appliance* findAppliance(const Kitchen& kitchen, const std::string& id);
/// By exact name, then by id; for the command line.
Result<Appliance> applianceNamed(const Kitchen& kitchen, const std::string& name);

/// The place of an appliance's zone: its site, and for hobs the vessel (the standard one when
/// `vesselId` is empty).
Place placeOf(const Kitchen& kitchen, const Appliance& appliance, const std::string& zone,
              const std::string& vesselId = "", const std::string& insertId = "");
/// The rated field at a setting and zone; notFound for an unknown appliance.
Result<HeatField> fieldAt(const Kitchen& kitchen, const std::string& applianceId,
                          const Setting& setting, const std::string& zone,
                          const std::string& vesselId = "", const std::string& insertId = "");

} // namespace dynamet::kitchen
