// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/typical.h"

#include "kitchen/dial.h"
#include "kitchen/typical_table.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::kitchen {
namespace {

using nlohmann::json;

struct Spread {
    double value = 0;
    double u = 0;
};
constexpr double kLidOrDialWords = 0; // a label without a number counts as no heat of its own

Spread pair(const json& row) {
    return {row.at(0).get<double>(), row.at(1).get<double>()};
}

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

Spread burnerTemperature(const Appliance& a, const Setting& s, const json& rule, bool direct,
                         double ambientK) {
    const Control* control = nullptr;
    const ControlValue* value = valueOf(a, s, ControlKind::burners, &control);
    const auto* levels = value ? std::get_if<std::vector<int>>(value) : nullptr;
    double sum = 0, hottest = 0;
    const std::size_t count = levels ? levels->size() : 1;
    for (std::size_t i = 0; levels && i < count; ++i) {
        const double share = labelNumber(*control, (*levels)[i]);
        sum += share;
        hottest = std::max(hottest, share);
    }
    const double fraction = sum / static_cast<double>(count);
    const double exponent = rule.at("exponent").get<double>();
    double rise = rule.at("all_K").get<double>() * std::pow(fraction, exponent);
    if (direct)
        rise += rule.at("direct_K").get<double>() * std::pow(hottest, exponent);
    return {ambientK + rise, rule.at("u_K").get<double>()};
}

/// The temperature that a setting stands for, by the kind's rule.
Spread settingTemperature(const Appliance& a, const Setting& s, const json& rule, bool direct,
                          double ambientK) {
    const std::string name = rule.at("rule").get<std::string>();
    const double u = rule.at("u_K").get<double>();
    const Control* control = nullptr;
    if (name == "burners")
        return burnerTemperature(a, s, rule, direct, ambientK);
    if (name == "dial" || name == "preheat") {
        const auto kind = name == "dial" ? ControlKind::thermostat : ControlKind::preheat;
        if (const ControlValue* value = valueOf(a, s, kind, &control))
            if (const auto* dial = std::get_if<double>(value))
                return {dialTemperature(*control, *dial).kelvin(), u};
    }
    if (name == "coals") {
        if (const ControlValue* value = valueOf(a, s, ControlKind::coals))
            if (const auto* coals = std::get_if<CoalCount>(value))
                return {ambientK +
                            rule.at("per_coal_K").get<double>() * (coals->under + coals->lid),
                        u};
    }
    const double direct_K = direct ? rule.value("direct_K", 0.0) : 0.0;
    if (name == "label")
        for (std::size_t i = 0; i < a.controls.size(); ++i)
            if (const auto* label = std::get_if<LabelIndex>(&s.values[i]))
                return {Temperature::celsius(labelNumber(a.controls[i], label->index)).kelvin() +
                            direct_K,
                        u};
    return {Temperature::celsius(rule.value("C", 200.0)).kelvin(), u};
}

struct Builder {
    HeatField field;
    std::vector<FieldKey>
        fromSetting; // known only as well as the setting's temperature: all or none
    Spread setting;
    double ambientK;

    void number(Face face, Term term, Spread s) {
        put(field, {{face, term}, s.value, s.u, Provenance::assumed, "", "typical for its kind"});
    }
    void term(Face face, const std::string& name, const json& value) {
        static const std::vector<std::pair<std::string, Term>> kNames{
            {"air", Term::air},
            {"h_air", Term::hAir},
            {"vapour_Pa", Term::vapour},
            {"radiant", Term::radiant},
            {"view", Term::view},
            {"plate", Term::plate},
            {"contact", Term::contact},
            {"plate_heat_capacity", Term::plateHeatCapacity},
            {"plate_flux", Term::plateFlux},
            {"plate_loss", Term::plateLoss},
            {"plate_set", Term::plateSet},
            {"liquid", Term::liquid},
            {"h_liquid", Term::hLiquid}};
        if (name == "air_above_ambient_K") {
            const Spread s = pair(value);
            number(face, Term::air, {ambientK + s.value, s.u});
            number(face, Term::radiant, {ambientK + s.value, s.u});
            return;
        }
        for (const auto& [known, term] : kNames)
            if (known == name) {
                number(face, term, value.is_string() ? setting : pair(value));
                if (value.is_string())
                    fromSetting.push_back({face, term});
            }
    }
    void correlate() {
        for (std::size_t i = 0; i < fromSetting.size(); ++i)
            for (std::size_t j = i + 1; j < fromSetting.size(); ++j)
                field.covariances.push_back(
                    {fromSetting[i], fromSetting[j], setting.u * setting.u});
    }
    void faces(const json& table) {
        static const std::vector<std::pair<std::string, Face>> kFaces{
            {"all", Face::all}, {"top", Face::top}, {"bottom", Face::bottom}, {"side", Face::side}};
        for (const auto& [name, face] : kFaces)
            if (table.contains(name))
                for (const auto& [key, value] : table.at(name).items())
                    term(face, key, value);
    }
};

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

void addHob(Builder& builder, const Appliance& a, const Setting& s, const json& row,
            const Vessel& vessel) {
    const double share = shareOfFull(a, s);
    const Spread efficiency = pair(row.at("efficiency"));
    const double power = a.ratedInputW * share * efficiency.value;
    // How much of the input a mark gives is known only roughly, the lower the less.
    const double relative = std::hypot(efficiency.u / efficiency.value, 0.06 + 0.12 * (1 - share));
    builder.number(Face::all, Term::power, {power, power * relative});
    builder.number(Face::bottom, Term::plateHeatCapacity,
                   {heatCapacityPerArea(vessel), 0.05 * heatCapacityPerArea(vessel)});
}

Result<void> checkFits(const Appliance& a, const Setting& s, const Place& place) {
    if (s.values.size() != a.controls.size())
        return fail(Errc::invalidArgument,
                    fmt::format("{}: the setting has {} values for {} controls", a.name,
                                s.values.size(), a.controls.size()));
    if (!findZone(a, place.zone))
        return fail(Errc::invalidArgument,
                    fmt::format("{} has no zone \"{}\"", a.name, place.zone));
    if (isHob(a.kind) && !place.vessel)
        return fail(Errc::invalidArgument, fmt::format("{} needs a vessel", a.name));
    return {};
}

std::vector<Label> readLabels(const json& labels) {
    std::vector<Label> out;
    for (const json& label : labels) {
        std::optional<double> number;
        if (!label.at(1).is_null())
            number = label.at(1).get<double>();
        out.push_back({label.at(0).get<std::string>(), number});
    }
    return out;
}

} // namespace

Result<HeatField> typicalField(const Appliance& appliance, const Setting& setting,
                               const Place& place) {
    if (const auto fits = checkFits(appliance, setting, place); !fits)
        return tl::unexpected(fits.error());
    const json& row = typicalRow(word(appliance.kind));
    const bool direct = findZone(appliance, place.zone)->direct;
    const double ambientK = place.site.ambient.kelvin();
    Builder builder;
    builder.ambientK = ambientK;
    builder.setting =
        settingTemperature(appliance, setting, row.at("temperature"), direct, ambientK);
    builder.faces(row.at("faces"));
    if (direct && row.contains("direct_faces"))
        builder.faces(row.at("direct_faces"));
    builder.correlate();
    if (isHob(appliance.kind))
        addHob(builder, appliance, setting, row, *place.vessel);
    return std::move(builder.field);
}

Result<Appliance> typicalAppliance(ApplianceKind kind, TemperatureUnit marks) {
    const json& row = typicalRow(word(kind));
    Appliance out;
    out.kind = kind;
    out.ratedInputW = row.value("rated_input_W", 0.0);
    for (const json& c : row.at("controls")) {
        Control control;
        control.key = c.at("key").get<std::string>();
        control.kind = *controlKind(c.at("kind").get<std::string>());
        control.low = c.value("low", 0.0);
        control.high = c.value("high", 0.0);
        control.step = c.value("step", 1.0);
        control.unit = c.value("unit", "");
        if (c.contains("labels"))
            control.labels = readLabels(c.at("labels"));
        if (c.contains("burners"))
            control.burners = c.at("burners").get<std::vector<std::string>>();
        const bool inFahrenheit = marks == TemperatureUnit::fahrenheit && control.unit == "C";
        out.controls.push_back(inFahrenheit ? markedIn(control, "F") : control);
    }
    for (const json& zone : row.at("zones"))
        out.zones.push_back({zone.at(0).get<std::string>(), zone.at(1).get<bool>()});
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
