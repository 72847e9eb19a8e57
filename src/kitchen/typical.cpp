// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/typical.h"

#include "kitchen/dial.h"
#include "kitchen/grill_box.h"
#include "kitchen/typical_chimney.h"
#include "kitchen/typical_iron_oven.h"
#include "kitchen/typical_table.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::kitchen {
namespace {

constexpr double kLidOrDialWords = 0; // a label without a number counts as no heat of its own

const ControlValue* valueOf(const Appliance& a, const Setting& s, ControlKind kind,
                            const Control** which = nullptr) {
    for (std::size_t i = 0; i < a.controls.size(); ++i)
        if (a.controls[i].kind == kind) {
            if (which)
                *which = &a.controls[i];
            return &s.values[i];
        }
    return nullptr;
}

double labelNumber(const Control& control, int index) {
    const bool known = index >= 0 && index < static_cast<int>(control.labels.size());
    return known ? control.labels[static_cast<std::size_t>(index)].number.value_or(kLidOrDialWords)
                 : kLidOrDialWords;
}

/// What a covered grill's burners make of it at the hottest or the coolest place.
Spread burnersRise(const Appliance& a, const Control& control, const std::vector<int>& levels,
                   bool direct, const Site& site) {
    constexpr double kLeastK = 1.5; // also when all are off
    std::vector<double> shares;
    for (const int level : levels)
        shares.push_back(labelNumber(control, level));
    if (shares.empty())
        return {0, kLeastK};
    GrillBox box;
    if (a.ratedInputW > 0)
        box.burnerW = a.ratedInputW / static_cast<double>(shares.size());
    const GrillRise rise = grillRise(box, shares, direct, site);
    return {rise.riseK, std::hypot(rise.u, kLeastK)};
}

/// The temperature that a setting stands for, by the kind's rule; the fixed one where the appliance
/// has no such control.
Spread settingKelvin(const Appliance& a, const Setting& s, const TemperatureRule& rule, bool direct,
                     const Site& site) {
    const double ambientK = site.ambient.kelvin();
    using By = TemperatureRule::By;
    const Control* control = nullptr;
    switch (rule.by) {
    case By::dial:
    case By::preheat:
        if (const auto* value =
                valueOf(a, s, rule.by == By::dial ? ControlKind::thermostat : ControlKind::preheat,
                        &control))
            if (const auto* dial = std::get_if<double>(value))
                return {dialTemperature(*control, *dial).kelvin(), rule.uK};
        break;
    case By::burners:
        if (const auto* value = valueOf(a, s, ControlKind::burners, &control))
            if (const auto* levels = std::get_if<std::vector<int>>(value)) {
                const Spread rise = burnersRise(a, *control, *levels, direct, site);
                return {ambientK + rise.value, rise.u};
            }
        return {ambientK, rule.uK};
    case By::coals:
        if (const auto* value = valueOf(a, s, ControlKind::coals))
            if (const auto* coals = std::get_if<CoalCount>(value))
                return ironOvenInside(rule.captured, coals->under + coals->lid, site);
        break;
    case By::label:
        for (std::size_t i = 0; i < a.controls.size(); ++i)
            if (const auto* label = std::get_if<LabelIndex>(&s.values[i]))
                return {Temperature::celsius(labelNumber(a.controls[i], label->index)).kelvin() +
                            (direct ? rule.directK : 0),
                        rule.uK};
        break;
    case By::fixed:
        break;
    }
    return {Temperature::celsius(rule.fixedC).kelvin(), rule.uK};
}

/// Puts the usual numbers; those that are the setting's own temperature are known only as well as
/// it is, all or none: they are remembered.
void putNumbers(HeatField& field, const std::vector<TypicalNumber>& numbers, Spread setting,
                double ambientK, std::vector<FieldKey>& fromSetting) {
    for (const TypicalNumber& n : numbers)
        switch (n.from) {
        case TypicalNumber::From::table:
            putTypical(field, {n.face, n.term}, n.value);
            break;
        case TypicalNumber::From::ambient:
            putTypical(field, {n.face, n.term}, {ambientK + n.value.value, n.value.u});
            break;
        case TypicalNumber::From::setting:
            putTypical(field, {n.face, n.term}, setting);
            fromSetting.push_back({n.face, n.term});
            break;
        }
}

/// Of the rated input that the mark, or the watts set, stands for.
double shareOfFull(const Appliance& a, const Setting& s) {
    const Control* control = nullptr;
    if (const ControlValue* value = valueOf(a, s, ControlKind::level, &control))
        if (const auto* label = std::get_if<LabelIndex>(value))
            return labelNumber(*control, label->index);
    if (const ControlValue* value = valueOf(a, s, ControlKind::watts))
        if (const auto* watts = std::get_if<double>(value); watts && a.ratedInputW > 0)
            return std::min(1.0, *watts / a.ratedInputW);
    return 1;
}

void addHob(HeatField& field, const Appliance& a, const Setting& s, const TypicalKind& kind,
            const Vessel& vessel) {
    const double share = shareOfFull(a, s);
    const double power = a.ratedInputW * share * kind.efficiency.value;
    // How much of the input a mark gives is known only roughly, the lower the less.
    const double relative =
        std::hypot(kind.efficiency.u / kind.efficiency.value, 0.06 + 0.12 * (1 - share));
    putTypical(field, {Face::all, Term::power}, {power, power * relative});
    putTypical(field, {Face::bottom, Term::plateHeatCapacity},
               {heatCapacityPerArea(vessel), 0.05 * heatCapacityPerArea(vessel)});
}

Result<void> checkFits(const Appliance& a, const Setting& s, const Place& place) {
    if (s.values.size() != a.controls.size())
        return fail(Errc::invalidArgument,
                    Finding{"setting_size",
                            {Name{a.name}, Number{static_cast<double>(s.values.size())},
                             Number{static_cast<double>(a.controls.size())}}});
    if (!findZone(a, place.zone))
        return fail(Errc::invalidArgument,
                    Finding{"no_such_zone", {Name{a.name}, Name{place.zone}}});
    if (isHob(a.kind) && !place.vessel)
        return fail(Errc::invalidArgument, Finding{"needs_vessel", {Name{a.name}}});
    return {};
}

} // namespace

Result<HeatField> typicalField(const Appliance& appliance, const Setting& setting,
                               const Place& place) {
    if (const auto fits = checkFits(appliance, setting, place); !fits)
        return tl::unexpected(fits.error());
    const TypicalKind& kind = typicalKind(appliance.kind);
    const bool direct = findZone(appliance, place.zone)->direct;
    const double ambientK = place.site.ambient.kelvin();
    const Spread at = settingKelvin(appliance, setting, kind.temperature, direct, place.site);
    HeatField out;
    std::vector<FieldKey> fromSetting;
    putNumbers(out, kind.numbers, at, ambientK, fromSetting);
    if (direct)
        putNumbers(out, kind.overTheFire, at, ambientK, fromSetting);
    if (const auto* coals = valueOf(appliance, setting, ControlKind::coals);
        coals && kind.temperature.by == TemperatureRule::By::coals)
        addIronOven(out, kind.temperature.captured, std::get<CoalCount>(*coals), at, place.site,
                    fromSetting);
    for (std::size_t i = 0; i < fromSetting.size(); ++i)
        for (std::size_t j = i + 1; j < fromSetting.size(); ++j)
            out.covariances.push_back({fromSetting[i], fromSetting[j], at.u * at.u});
    if (appliance.kind == ApplianceKind::coalChimney)
        addChimney(out, appliance, setting, place.site);
    if (isHob(appliance.kind))
        addHob(out, appliance, setting, kind, *place.vessel);
    return out;
}

Result<Appliance> typicalAppliance(ApplianceKind kind, TemperatureUnit marks) {
    const TypicalKind& typical = typicalKind(kind);
    Appliance out;
    out.kind = kind;
    out.ratedInputW = typical.ratedInputW;
    out.capacityM2 = typical.capacityM2;
    out.controls = typical.controls;
    for (Control& control : out.controls)
        if (marks == TemperatureUnit::fahrenheit && control.unit == "C")
            control = markedIn(control, "F");
    out.zones = typical.zones;
    return out;
}

std::vector<Control> withWatts(const Appliance& hob) {
    constexpr double kStepW = 100, kUsualW = 2000;
    std::vector<Control> out = hob.controls;
    for (Control& control : out)
        if (control.kind == ControlKind::level) {
            Control watts;
            watts.key = "power";
            watts.kind = ControlKind::watts;
            watts.unit = "W";
            watts.low = watts.step = kStepW;
            watts.high = hob.ratedInputW > kStepW ? hob.ratedInputW : kUsualW;
            control = watts;
        }
    return out;
}

} // namespace dynamet::kitchen
