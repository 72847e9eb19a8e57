// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/find_setting.h"

#include "numeric/statistics.h"

#include <algorithm>
#include <fmt/format.h>

namespace dynamet::kitchen {
namespace {

constexpr int kDialSteps = 60;
constexpr std::size_t kMostSettings = 800;

double chance(const Representative& shown, const WantedZone& zone) {
    const double u = std::max(shown.u, 1e-6);
    return normalCdf((zone.highK - shown.kelvin) / u) - normalCdf((zone.lowK - shown.kelvin) / u);
}

Result<void> checkWish(const Appliance& appliance, const WantedHeat& wanted) {
    if (wanted.zones.empty())
        return fail(Errc::invalidArgument, Finding{"no_zone_wished"});
    for (const WantedZone& zone : wanted.zones) {
        if (!findZone(appliance, zone.zone))
            return fail(Errc::notFound,
                        Finding{"no_such_zone", {Name{appliance.name}, Name{zone.zone}}});
        if (zone.lowK >= zone.highK)
            return fail(Errc::invalidArgument, Finding{"window_upside_down"});
    }
    return {};
}

} // namespace

namespace {

Result<FoundSetting> looked(const Kitchen& kitchen, const Appliance& appliance,
                            const WantedHeat& wanted, const Setting& setting) {
    FoundSetting found{
        setting, settingLabel(appliance.controls, setting), 1, {}, Provenance::measured, false};
    for (const WantedZone& zone : wanted.zones) {
        const auto field = fieldAt(kitchen, appliance.id, setting, zone.zone);
        if (!field)
            return tl::unexpected(field.error());
        const Representative shown =
            representative(*field, placeOf(kitchen, appliance, zone.zone).site.ambient.kelvin());
        found.zones.push_back(shown);
        found.probability *= chance(shown, zone);
        found.provenance = std::max(found.provenance, shown.provenance);
        for (const FieldNumber& n : field->numbers)
            found.addedUp = found.addedUp || n.from == "burners added up";
    }
    return found;
}

double missedBy(const FoundSetting& found, const WantedHeat& wanted) {
    double sum = 0;
    for (std::size_t i = 0; i < wanted.zones.size(); ++i) {
        const double at = found.zones[i].kelvin;
        const double off = std::max({0.0, wanted.zones[i].lowK - at, at - wanted.zones[i].highK});
        sum += off * off;
    }
    return sum;
}

} // namespace

Result<std::vector<FoundSetting>> findSettings(const Kitchen& kitchen, const Appliance& appliance,
                                               const WantedHeat& wanted, double leastProbability) {
    if (const auto ok = checkWish(appliance, wanted); !ok)
        return tl::unexpected(ok.error());
    std::vector<FoundSetting> out;
    for (const Setting& setting : possibleSettings(appliance.controls, kDialSteps, kMostSettings)) {
        auto found = looked(kitchen, appliance, wanted, setting);
        if (!found)
            return tl::unexpected(found.error());
        if (found->probability >= leastProbability)
            out.push_back(std::move(*found));
    }
    std::stable_sort(out.begin(), out.end(), [](const FoundSetting& a, const FoundSetting& b) {
        return a.probability > b.probability;
    });
    return out;
}

Result<std::optional<FoundSetting>>
nearestMeasured(const Kitchen& kitchen, const Appliance& appliance, const WantedHeat& wanted) {
    if (const auto ok = checkWish(appliance, wanted); !ok)
        return tl::unexpected(ok.error());
    std::optional<FoundSetting> best;
    const auto rated = kitchen.rated.find(appliance.id);
    for (const RatedNumber& number :
         rated == kitchen.rated.end() ? std::vector<RatedNumber>{} : rated->second) {
        auto found = looked(kitchen, appliance, wanted, number.setting);
        if (!found)
            return tl::unexpected(found.error());
        if (!best || missedBy(*found, wanted) < missedBy(*best, wanted))
            best = std::move(*found);
    }
    return best;
}

} // namespace dynamet::kitchen
