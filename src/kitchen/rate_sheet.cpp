// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/rate_sheet.h"

#include "kitchen/hob_use.h"

#include "kitchen/dial.h"

#include <algorithm>
#include <set>

namespace dynamet::kitchen {
namespace {

constexpr std::size_t kMostRows = 18;
constexpr double kUsualPreheatC = 200;

/// Preheats at their usual place: the sheet is about the mark, not about the cook's patience.
Setting withUsualPreheat(const Appliance& a, Setting s) {
    for (std::size_t i = 0; i < a.controls.size(); ++i)
        if (a.controls[i].kind == ControlKind::preheat)
            s.values[i] = dialValue(a.controls[i], Temperature::celsius(kUsualPreheatC));
    return s;
}

void addOnce(std::vector<Setting>& list, const Setting& setting) {
    if (std::find(list.begin(), list.end(), setting) == list.end())
        list.push_back(setting);
}

/// Burner sets by how much is lit, everything else along its dial.
double orderOf(const Appliance& a, const Setting& s) {
    std::size_t control = 0;
    if (const auto dial = alongDial(a.controls, s, control))
        return *dial;
    double sum = 0;
    for (std::size_t i = 0; i < a.controls.size(); ++i) {
        if (const auto* levels = std::get_if<std::vector<int>>(&s.values[i]))
            for (std::size_t b = 0; b < levels->size(); ++b)
                sum += 10 * (*levels)[b] + 0.1 * static_cast<double>(b) * ((*levels)[b] != 0);
        if (const auto* coals = std::get_if<CoalCount>(&s.values[i]))
            sum += coals->under + coals->lid;
        if (const auto* label = std::get_if<LabelIndex>(&s.values[i]))
            sum += 1e-3 * label->index;
    }
    return sum;
}

std::vector<double> burnerShares(const Appliance& a, const Setting& s) {
    std::vector<double> out;
    for (std::size_t i = 0; i < a.controls.size(); ++i)
        if (const auto* levels = std::get_if<std::vector<int>>(&s.values[i]))
            for (int level : *levels)
                out.push_back(
                    a.controls[i].labels[static_cast<std::size_t>(level)].number.value_or(0));
    return out;
}

} // namespace

Setting sheetRowOf(const Appliance& appliance, const Setting& setting) {
    return withUsualPreheat(appliance, setting);
}

std::vector<Setting> sheetSettings(const Appliance& appliance, std::span<const RatedNumber> rated,
                                   std::span<const Setting> also, int places) {
    std::vector<Setting> out;
    for (const RatedNumber& r : rated)
        addOnce(out, withUsualPreheat(appliance, r.setting));
    for (const Setting& s : also)
        addOnce(out, withUsualPreheat(appliance, s));
    for (const Setting& s : possibleSettings(appliance.controls, places, 400, Places::round)) {
        if (out.size() >= kMostRows)
            break;
        // Burner sets: the singles and all alike are enough beside what was tested.
        const auto* levels =
            s.values.empty() ? nullptr : std::get_if<std::vector<int>>(&s.values[0]);
        if (levels) {
            const auto lit =
                std::count_if(levels->begin(), levels->end(), [](int l) { return l != 0; });
            const bool alike = std::all_of(levels->begin(), levels->end(),
                                           [&](int l) { return l == levels->front(); });
            if (lit != 1 && !alike)
                continue;
        }
        addOnce(out, withUsualPreheat(appliance, s));
    }
    std::stable_sort(out.begin(), out.end(), [&](const Setting& a, const Setting& b) {
        return orderOf(appliance, a) < orderOf(appliance, b);
    });
    return out;
}

std::string sheetLabel(const Appliance& appliance, const Setting& setting,
                       std::optional<Units> reader) {
    std::vector<Control> shown;
    std::vector<ControlValue> values;
    for (std::size_t i = 0; i < appliance.controls.size(); ++i)
        if (appliance.controls[i].kind != ControlKind::preheat &&
            appliance.controls[i].kind != ControlKind::lid) {
            shown.push_back(appliance.controls[i]);
            values.push_back(setting.values[i]);
        }
    return settingLabel(shown, {values}, reader);
}

namespace {

SheetCell cellOf(const Appliance& appliance, const Setting& setting, const Place& place,
                 std::span<const RatedNumber> numbers) {
    SheetCell cell;
    const auto field = ratedField(appliance, setting, place, numbers);
    if (!field) {
        cell.why = field.error();
        return cell;
    }
    cell.shown = representative(*field, place.site.ambient.kelvin());
    if (isHob(appliance.kind) && appliance.hob.panLimitK > 0)
        cell.shown = notAbove(*cell.shown, appliance.hob.panLimitK);
    if (afterBoost(appliance, setting))
        cell.lastsS = appliance.hob.boostS;
    if (isHob(appliance.kind))
        if (const FieldNumber* power = find(*field, {Face::all, Term::power}))
            cell.power = *power;
    if (cell.power)
        cell.litreS = litreBoilsS(cell.power->value, place.site);
    for (const FieldNumber& n : field->numbers)
        if (n.provenance == Provenance::measured && cell.reductionId.empty())
            cell.reductionId = n.reductionId;
    for (const RatedNumber& r : numbers)
        if (!cell.reductionId.empty() && r.number.reductionId == cell.reductionId)
            cell.measuredMs = r.measuredMs;
    return cell;
}

} // namespace

std::string powerWords(const FieldNumber& power) {
    return printPlusMinus(power.value / 1e3, kTwoSided95 * power.u / 1e3, "kW", 2);
}

RateSheet rateSheet(const Kitchen& kitchen, const Appliance& appliance, const SheetWith& with) {
    RateSheet out;
    out.applianceId = appliance.id;
    const auto rated = kitchen.rated.find(appliance.id);
    const std::span<const RatedNumber> numbers =
        rated == kitchen.rated.end() ? std::span<const RatedNumber>{} : rated->second;
    out.settings = sheetSettings(appliance, numbers, with.also);
    for (const Zone& zone : appliance.zones)
        out.zones.push_back(zone.name);
    for (const Setting& setting : out.settings) {
        out.burners.push_back(burnerShares(appliance, setting));
        out.labels.push_back(sheetLabel(appliance, setting, with.reader));
        std::vector<SheetCell> row;
        for (const Zone& zone : appliance.zones)
            row.push_back(cellOf(
                appliance, setting,
                placeOf(kitchen, appliance, zone.name, with.vesselId, with.insertId), numbers));
        out.cells.push_back(std::move(row));
    }
    return out;
}

Kitchen ratedUntil(const Kitchen& kitchen, const std::string& applianceId,
                   std::vector<RatedNumber> history, std::int64_t untilMs) {
    std::erase_if(history, [&](const RatedNumber& r) { return r.measuredMs > untilMs; });
    Kitchen out = kitchen;
    out.rated[applianceId] = std::move(history);
    return out;
}

std::vector<std::int64_t> ratedDays(std::span<const RatedNumber> history) {
    constexpr std::int64_t kDayMs = 86400000;
    std::set<std::int64_t> days;
    for (const RatedNumber& r : history)
        days.insert((r.measuredMs / kDayMs + 1) * kDayMs - 1);
    return {days.begin(), days.end()};
}

std::vector<CombTick> combOf(const Kitchen& kitchen, const Appliance& appliance) {
    const RateSheet sheet = rateSheet(kitchen, appliance);
    std::vector<CombTick> out;
    for (const auto& row : sheet.cells)
        if (!row.empty() && row.front().shown)
            out.push_back({row.front().shown->kelvin, row.front().shown->provenance});
    return out;
}

} // namespace dynamet::kitchen
