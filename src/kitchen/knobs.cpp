// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/knobs.h"

#include "kitchen/dial.h"
#include "quantity/number_text.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::kitchen {
namespace {

double lastMark(const Control& control) {
    return static_cast<double>(control.labels.size()) - 1;
}

void addKnobs(std::vector<Knob>& out, const Control& control, std::size_t at,
              const ControlValue& value) {
    if (const auto* number = std::get_if<double>(&value)) {
        const std::string name = control.kind == ControlKind::preheat ? "pan" : control.key;
        out.push_back({name, at, 0, *number, std::min(control.low, *number),
                       std::max(control.high, *number), control.step});
    } else if (const auto* label = std::get_if<LabelIndex>(&value)) {
        out.push_back(
            {control.key, at, 0, static_cast<double>(label->index), 0, lastMark(control), 1});
    } else if (const auto* levels = std::get_if<std::vector<int>>(&value)) {
        for (std::size_t i = 0; i < levels->size(); ++i)
            out.push_back({i < control.burners.size() ? control.burners[i] : control.key, at, i,
                           static_cast<double>((*levels)[i]), 0, lastMark(control), 1});
    } else {
        const auto& coals = std::get<CoalCount>(value);
        out.push_back({"coals under", at, 0, static_cast<double>(coals.under), 0, control.high, 1});
        out.push_back(
            {"coals on the lid", at, 1, static_cast<double>(coals.lid), 0, control.high, 1});
    }
}

} // namespace

std::vector<Knob> knobsOf(const std::vector<Control>& controls, const Setting& setting) {
    std::vector<Knob> out;
    for (std::size_t i = 0; i < std::min(controls.size(), setting.values.size()); ++i)
        addKnobs(out, controls[i], i, setting.values[i]);
    std::erase_if(out, [](const Knob& knob) { return !(knob.high > knob.low); });
    return out;
}

Setting turned(const std::vector<Control>& controls, Setting setting, const Knob& knob,
               double value) {
    if (knob.control >= std::min(controls.size(), setting.values.size()))
        return setting;
    const double within = std::clamp(value, knob.low, knob.high);
    const int whole = static_cast<int>(std::lround(within));
    ControlValue& now = setting.values[knob.control];
    if (std::holds_alternative<double>(now))
        now = within;
    else if (auto* label = std::get_if<LabelIndex>(&now))
        label->index = whole;
    else if (auto* levels = std::get_if<std::vector<int>>(&now))
        (*levels)[knob.part] = whole;
    else if (auto* coals = std::get_if<CoalCount>(&now))
        (knob.part == 0 ? coals->under : coals->lid) = whole;
    return setting;
}

std::string knobText(const std::vector<Control>& controls, const Knob& knob, double value) {
    const Control& control = controls[knob.control];
    if (isNumeric(control.kind))
        return dialText(control, value);
    const auto whole = static_cast<std::size_t>(std::max(0L, std::lround(value)));
    return control.kind == ControlKind::coals || whole >= control.labels.size()
               ? fmt::format("{}", whole)
               : control.labels[whole].text;
}

Result<double> parseKnob(const std::vector<Control>& controls, const Knob& knob,
                         const std::string& typed) {
    const Control& control = controls[knob.control];
    if (isNumeric(control.kind))
        return parseDial(control, typed);
    if (control.kind == ControlKind::coals)
        return parseWithUnits(typed, {}, 1, "number of coals");
    std::string marks;
    for (std::size_t i = 0; i < control.labels.size(); ++i) {
        if (control.labels[i].text == typed)
            return static_cast<double>(i);
        marks += (i ? ", " : "") + control.labels[i].text;
    }
    return fail(Errc::invalidArgument, fmt::format("it has no {}: it has {}", typed, marks));
}

} // namespace dynamet::kitchen
