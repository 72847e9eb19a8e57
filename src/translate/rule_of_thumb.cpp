// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/rule_of_thumb.h"

#include "kitchen/dial.h"

#include <algorithm>
#include <cmath>

namespace dynamet::translate {
namespace {

using enum kitchen::ApplianceKind;

struct Rule {
    double lowerK = 0;
    double timeFactor = 1;
};

bool still(kitchen::ApplianceKind kind) {
    return kind == stillOven || kind == countertopOven;
}

std::optional<Rule> ruleBetween(kitchen::ApplianceKind from, kitchen::ApplianceKind to) {
    if (still(from) && (to == fanOven || to == combiOven))
        return Rule{20, 1};
    if (still(from) && to == airFryer)
        return Rule{20, 0.8};
    if (from == fanOven && still(to))
        return Rule{-20, 1};
    if (from == fanOven && to == airFryer)
        return Rule{0, 0.8};
    if (from == airFryer && still(to))
        return Rule{-20, 1.25};
    if (still(from) && still(to))
        return Rule{0, 1};
    return std::nullopt;
}

const double* thermostat(const kitchen::Appliance& a, const kitchen::Setting& s,
                         std::size_t& index) {
    for (index = 0; index < a.controls.size(); ++index)
        if (a.controls[index].kind == kitchen::ControlKind::thermostat)
            return std::get_if<double>(&s.values[index]);
    return nullptr;
}

} // namespace

std::optional<RuleOfThumb> ruleOfThumb(const Prepared& prepared, const Target& target) {
    const auto& kitchen = prepared.request.kitchen;
    const auto* from = findAppliance(kitchen, prepared.request.recipe.last().place.applianceId);
    const auto* to = findAppliance(kitchen, target.applianceId);
    if (!from || !to || from->id == to->id)
        return std::nullopt;
    const auto rule = ruleBetween(from->kind, to->kind);
    std::size_t fromIndex = 0, toIndex = 0;
    const double* dial = thermostat(*from, prepared.request.recipe.last().place.setting, fromIndex);
    kitchen::Setting setting = kitchen::possibleSettings(to->controls, 1).front();
    if (!rule || !dial || !thermostat(*to, setting, toIndex))
        return std::nullopt;
    const kitchen::Control& control = to->controls[toIndex];
    const Temperature there = dialTemperature(from->controls[fromIndex], *dial);
    const double wanted = dialValue(control, there - KelvinDelta(rule->lowerK));
    const double onDial = std::clamp(wanted, control.low, control.high);
    setting.values[toIndex] = onDial;
    RuleOfThumb out;
    out.seconds = prepared.outcome.pullS * rule->timeFactor;
    out.setting = setting;
    out.timeFactor = rule->timeFactor;
    if (const auto programme = programmeFor(prepared.request, target, setting)) {
        const auto outcome = cook::cookFor(prepared.request.recipe.piece, *programme, out.seconds,
                                           cook::kQuick, prepared.tables);
        if (outcome)
            out.peakK = outcome->peakK;
    }
    return out;
}

} // namespace dynamet::translate
