// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/report/doubts.h"

#include "kitchen/dial.h"

#include <cmath>

namespace dynamet::rating {
namespace {

constexpr double kAbsurdK = 60, kAbsurdFactor = 3;

/// What the thermostat of a setting says; nothing for other knobs.
std::optional<double> dialKelvin(const kitchen::Appliance& a, const kitchen::Setting& setting) {
    for (std::size_t i = 0; i < a.controls.size(); ++i)
        if (a.controls[i].kind == kitchen::ControlKind::thermostat)
            if (const auto* dial = std::get_if<double>(&setting.values[i]))
                return dialTemperature(a.controls[i], *dial).kelvin();
    return std::nullopt;
}

/// The temperature that the field gets from the test; a radiant or a coefficient is none.
const kitchen::FieldNumber* heatOf(const Reduction& reduction) {
    for (const kitchen::FieldNumber& n : reduction.fieldNumbers)
        if (isTemperature(n.key.term) && n.key.term != kitchen::Term::radiant &&
            n.key.term != kitchen::Term::radiant2)
            return &n;
    return nullptr;
}

} // namespace

std::vector<Doubt> doubtsAbout(const Reduction& reduction, const kitchen::Kitchen& kitchen,
                               const kitchen::Appliance& appliance, const kitchen::Setting& setting,
                               const std::string& zone, const std::string& vesselId,
                               const std::string& insertId) {
    std::vector<Doubt> out;
    const auto field = fieldAt(kitchen, appliance.id, setting, zone, vesselId, insertId);
    if (const auto* power = find(reduction, "net_power_W"); power && field)
        if (const auto* usual = find(*field, {kitchen::Face::all, kitchen::Term::power});
            usual && usual->value > 0 && power->value > 0 &&
            std::abs(std::log(power->value / usual->value)) > std::log(kAbsurdFactor))
            out.push_back({"far_from_usual", power->value, usual->value});
    const kitchen::FieldNumber* found = heatOf(reduction);
    if (!found)
        return out;
    const auto dial = dialKelvin(appliance, setting);
    if (dial && std::abs(found->value - *dial) > kAbsurdK)
        out.push_back({"far_from_dial", found->value, *dial});
    const kitchen::FieldNumber* before =
        field ? seenBy(*field, found->key.face, found->key.term) : nullptr;
    if (before && before->provenance != kitchen::Provenance::assumed &&
        std::abs(found->value - before->value) > kAbsurdK)
        out.push_back({"far_from_others", found->value, before->value});
    return out;
}

} // namespace dynamet::rating
