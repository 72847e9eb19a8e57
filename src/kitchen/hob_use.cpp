// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/hob_use.h"

#include "kitchen/dial.h"

#include <algorithm>
#include <cmath>

namespace dynamet::kitchen {
namespace {

constexpr double kHandU = 15 / 1.96;    ///< K, how closely a cook holds a pan
constexpr double kLimiterU = 10 / 1.96; ///< K
constexpr double kBoostFallsS = 1;      ///< from one mark to the other
constexpr double kLitreHeat = 4190;     ///< J/K of a litre
constexpr double kLiddedPotLoss = 1.0;  ///< W/K
constexpr double kTapK = 288.15;

/// The control that is the hob's knob with marks; nullptr = none.
const Control* knobOf(const Appliance& appliance, std::size_t& at) {
    for (at = 0; at < appliance.controls.size(); ++at)
        if (appliance.controls[at].kind == ControlKind::level)
            return &appliance.controls[at];
    return nullptr;
}

} // namespace

HeatField withHeldPan(HeatField field) {
    const FieldNumber* pan = seenBy(field, Face::bottom, Term::plate);
    if (!pan || !seenBy(field, Face::bottom, Term::plateFlux) ||
        seenBy(field, Face::bottom, Term::plateSet))
        return field;
    FieldNumber held = *pan;
    held.key = {Face::bottom, Term::plateSet};
    held.u = kHandU;
    held.from = "held by the cook";
    put(field, held);
    return field;
}

HeatField withPanLimit(HeatField field, double limitK) {
    for (FieldNumber& number : field.numbers) {
        const bool pan = number.key.term == Term::plate || number.key.term == Term::plateSet;
        if (pan && number.value > limitK) {
            number.value = limitK;
            number.u = kLimiterU;
        }
    }
    const FieldNumber* pan = seenBy(field, Face::bottom, Term::plate);
    if (!pan || seenBy(field, Face::bottom, Term::plateSet))
        return field;
    FieldNumber stops = *pan;
    stops.key = {Face::bottom, Term::plateSet};
    stops.value = limitK;
    stops.u = kLimiterU;
    stops.from = "its pan limiter";
    put(field, stops);
    return field;
}

Representative notAbove(Representative held, double limitK) {
    if (held.kelvin > limitK) {
        held.kelvin = limitK;
        held.u = std::min(held.u, kLimiterU);
    }
    return held;
}

std::optional<Setting> afterBoost(const Appliance& appliance, const Setting& setting) {
    std::size_t at = 0;
    const Control* knob = knobOf(appliance, at);
    if (appliance.hob.boostS <= 0 || !knob || at >= setting.values.size())
        return std::nullopt;
    const auto* mark = std::get_if<LabelIndex>(&setting.values[at]);
    if (!mark || mark->index < 1 || mark->index + 1 != static_cast<int>(knob->labels.size()))
        return std::nullopt;
    Setting out = setting;
    out.values[at] = LabelIndex{mark->index - 1};
    return out;
}

HeatField withBoostEnding(HeatField field, const HeatField& after, double boostS) {
    const FieldNumber* boosted = seenBy(field, Face::bottom, Term::plateFlux);
    const FieldNumber* then = seenBy(after, Face::bottom, Term::plateFlux);
    if (!boosted || !then)
        return field;
    field.curves.push_back({boosted->key,
                            {0, boostS, boostS + kBoostFallsS},
                            {0, 0, then->value - boosted->value},
                            "its boost ends"});
    return field;
}

std::vector<Control> settable(const Appliance& appliance) {
    std::vector<Control> out = appliance.controls;
    for (Control& control : out)
        if (control.kind == ControlKind::preheat && appliance.hob.panLimitK > 0) {
            while (control.high > control.low + control.step &&
                   dialTemperature(control, control.high).kelvin() > appliance.hob.panLimitK)
                control.high -= control.step;
        }
    return out;
}

double inputOf(const Appliance& appliance, const Setting& setting) {
    for (std::size_t i = 0; i < appliance.controls.size() && i < setting.values.size(); ++i) {
        const Control& control = appliance.controls[i];
        if (control.kind == ControlKind::watts)
            if (const auto* watts = std::get_if<double>(&setting.values[i]))
                return *watts;
        if (control.kind == ControlKind::level)
            if (const auto* mark = std::get_if<LabelIndex>(&setting.values[i]);
                mark && mark->index >= 0 && mark->index < static_cast<int>(control.labels.size()))
                return appliance.ratedInputW *
                       control.labels[static_cast<std::size_t>(mark->index)].number.value_or(0);
    }
    return 0;
}

std::optional<double> litreBoilsS(double powerW, const Site& site) {
    const double toBoilK = boilingPointAt(site).kelvin() - kTapK;
    const double lost = kLiddedPotLoss * toBoilK;
    if (!(powerW > lost))
        return std::nullopt;
    return -kLitreHeat / kLiddedPotLoss * std::log1p(-lost / powerW);
}

} // namespace dynamet::kitchen
