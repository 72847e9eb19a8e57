// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/kitchen.h"

#include <fmt/format.h>

namespace dynamet::kitchen {
namespace {

template <class T>
const T* byId(const std::vector<T>& list, const std::string& id) {
    for (const T& item : list)
        if (item.id == id)
            return &item;
    return nullptr;
}

} // namespace

const Site* findSite(const Kitchen& kitchen, const std::string& id) {
    return byId(kitchen.sites, id);
}
const Vessel* findVessel(const Kitchen& kitchen, const std::string& id) {
    return byId(kitchen.vessels, id);
}
const Appliance* findAppliance(const Kitchen& kitchen, const std::string& id) {
    return byId(kitchen.appliances, id);
}

Result<Appliance> applianceNamed(const Kitchen& kitchen, const std::string& name) {
    std::string known;
    for (const Appliance& appliance : kitchen.appliances) {
        if (appliance.name == name || appliance.id == name)
            return appliance;
        known += (known.empty() ? "" : ", ") + appliance.name;
    }
    return fail(Errc::notFound, Finding{"no_such_appliance", {Name{name}, Name{known}}});
}

Place placeOf(const Kitchen& kitchen, const Appliance& appliance, const std::string& zone,
              const std::string& vesselId, const std::string& insertId) {
    Place place;
    place.zone = zone;
    place.insertId = insertId;
    if (const Site* site = findSite(kitchen, appliance.siteId))
        place.site = *site;
    if (isHob(appliance.kind))
        if (const Vessel* vessel =
                findVessel(kitchen, vesselId.empty() ? appliance.standardVesselId : vesselId))
            place.vessel = *vessel;
    return place;
}

Result<HeatField> fieldAt(const Kitchen& kitchen, const std::string& applianceId,
                          const Setting& setting, const std::string& zone,
                          const std::string& vesselId, const std::string& insertId) {
    const Appliance* appliance = findAppliance(kitchen, applianceId);
    if (!appliance)
        return fail(Errc::notFound, Finding{"appliance_gone"});
    const auto rated = kitchen.rated.find(applianceId);
    const std::span<const RatedNumber> numbers =
        rated == kitchen.rated.end() ? std::span<const RatedNumber>{} : rated->second;
    return ratedField(*appliance, setting, placeOf(kitchen, *appliance, zone, vesselId, insertId),
                      numbers);
}

} // namespace dynamet::kitchen
