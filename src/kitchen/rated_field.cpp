// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/rated_field.h"

#include "kitchen/coal_tests.h"
#include "kitchen/superposition.h"
#include "kitchen/typical_table.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::kitchen {
namespace {

/// Fallback for "one gap" when a single setting was measured: this share of the control's range.
constexpr double kLoneGapShare = 0.2;

struct Support {
    double dial = 0;
    double offset = 0; ///< measured − typical, or ln(measured / typical)
    double u = 0;      ///< of the offset
    const RatedNumber* source = nullptr;
};

struct Offset {
    double value = 0;
    double u = 0;
    Provenance provenance = Provenance::assumed;
    const RatedNumber* source = nullptr;
    std::string from;
};

double dialOf(const Appliance& a, const Setting& s, std::size_t& control) {
    return alongDial(a.controls, s, control).value_or(0);
}

/// Equal but for the control along which we interpolate and the preheat, which is the cook's.
bool sameElsewhere(const Appliance& a, const Setting& x, const Setting& y, std::size_t dialControl,
                   bool hasDial) {
    for (std::size_t i = 0; i < a.controls.size(); ++i) {
        if ((hasDial && i == dialControl) || a.controls[i].kind == ControlKind::preheat)
            continue;
        if (x.values[i] != y.values[i])
            return false;
    }
    return true;
}

Offset between(const Support& low, const Support& high, double dial, double uTypical) {
    const double w2 = (dial - low.dial) / (high.dial - low.dial), w1 = 1 - w2;
    Offset out;
    out.value = w1 * low.offset + w2 * high.offset;
    out.u = std::sqrt(w1 * w1 * low.u * low.u + w2 * w2 * high.u * high.u +
                      std::pow(0.5 * uTypical * 4 * w1 * w2, 2));
    out.provenance = Provenance::interpolated;
    out.source = w1 > w2 ? low.source : high.source;
    return out;
}

Offset beyond(const Support& end, double distance, double gap, double uTypical) {
    const double share = std::min(1.0, distance / gap);
    const double grown = end.u * end.u + share * std::max(0.0, uTypical * uTypical - end.u * end.u);
    Offset out;
    out.value = end.offset;
    out.u = std::sqrt(grown);
    out.provenance = share < 1 ? Provenance::interpolated : Provenance::assumed;
    out.source = end.source;
    return out;
}

Offset offsetAt(std::vector<Support> supports, double dial, double range, double uTypical) {
    std::sort(supports.begin(), supports.end(),
              [](const Support& a, const Support& b) { return a.dial < b.dial; });
    for (const Support& s : supports)
        if (std::abs(s.dial - dial) < 1e-9)
            return {s.offset, s.u, Provenance::measured, s.source, ""};
    const std::size_t n = supports.size();
    const double lone = std::max(kLoneGapShare * range, 1e-9);
    if (dial < supports.front().dial) {
        const double gap = n > 1 ? supports[1].dial - supports[0].dial : lone;
        return beyond(supports.front(), supports.front().dial - dial, gap, uTypical);
    }
    if (dial > supports.back().dial) {
        const double gap = n > 1 ? supports[n - 1].dial - supports[n - 2].dial : lone;
        return beyond(supports.back(), dial - supports.back().dial, gap, uTypical);
    }
    std::size_t i = 1;
    while (supports[i].dial < dial)
        ++i;
    return between(supports[i - 1], supports[i], dial, uTypical);
}

bool samePlace(const RatedNumber& r, const Appliance& a, const Place& place) {
    const std::string vessel = place.vessel ? place.vessel->id : "";
    return r.zone == place.zone && r.insertId == place.insertId &&
           (!isHob(a.kind) || r.vesselId == vessel);
}

double dialRange(const Control& control) {
    if (isNumeric(control.kind))
        return control.high - control.low;
    double low = 1e300, high = -1e300;
    for (const Label& l : control.labels)
        if (l.number) {
            low = std::min(low, *l.number);
            high = std::max(high, *l.number);
        }
    return high > low ? high - low : 1;
}

/// The measured numbers of one key, as offsets from the typical curve at their own settings.
Result<std::vector<Support>> supportsFor(FieldKey key, const Appliance& a, const Setting& setting,
                                         const Place& place, std::span<const RatedNumber> rated) {
    std::vector<Support> out;
    std::size_t control = 0;
    const bool hasDial = alongDial(a.controls, setting, control).has_value();
    for (const RatedNumber& r : rated) {
        if (r.number.key != key || !samePlace(r, a, place) ||
            !sameElsewhere(a, r.setting, setting, control, hasDial))
            continue;
        const auto typical = typicalField(a, r.setting, place);
        if (!typical)
            return tl::unexpected(typical.error());
        const FieldNumber* base = seenBy(*typical, key.face, key.term);
        Support s;
        std::size_t ignored = 0;
        s.dial = hasDial ? dialOf(a, r.setting, ignored) : 0;
        s.source = &r;
        const bool linear = isTemperature(key.term) || !base;
        const double reference = base ? base->value : (linear ? 0 : 1);
        s.offset = linear ? r.number.value - reference : std::log(r.number.value / reference);
        s.u = linear ? r.number.u : r.number.u / r.number.value;
        // A repeated test replaces the older one at the same setting (they come oldest first).
        std::erase_if(out, [&](const Support& o) { return std::abs(o.dial - s.dial) < 1e-9; });
        out.push_back(s);
    }
    return out;
}

FieldNumber offsetBy(const FieldNumber& typical, const Offset& offset) {
    FieldNumber out = typical;
    const bool linear = isTemperature(typical.key.term);
    out.value = linear ? typical.value + offset.value : typical.value * std::exp(offset.value);
    out.u = linear ? offset.u : out.value * offset.u;
    out.provenance = offset.provenance;
    if (offset.provenance == Provenance::measured)
        out.reductionId = offset.source->number.reductionId;
    out.from = offset.provenance == Provenance::measured       ? "measured"
               : offset.provenance == Provenance::interpolated ? "between tested settings"
                                                               : "far from any tested setting";
    return out;
}

/// Correlation of two numbers in the reduction that both rest on.
double measuredCorrelation(FieldKey a, FieldKey b, const std::string& reduction,
                           std::span<const RatedNumber> rated) {
    double covariance = 0, ua = 0, ub = 0;
    for (const RatedNumber& r : rated) {
        if (r.number.reductionId != reduction)
            continue;
        ua = r.number.key == a ? r.number.u : ua;
        ub = r.number.key == b ? r.number.u : ub;
        for (const FieldCovariance& c : r.covarianceWith)
            if ((c.a == a && c.b == b) || (c.a == b && c.b == a))
                covariance = c.covariance;
    }
    return ua > 0 && ub > 0 ? std::clamp(covariance / (ua * ub), -1.0, 1.0) : 0;
}

/// Numbers that were shifted keep the correlation they had: that of their reduction when both rest
/// on one, that of the typical field when both are still assumed.
void correlate(HeatField& field, const HeatField& typical,
               const std::vector<std::pair<FieldKey, const RatedNumber*>>& sources,
               std::span<const RatedNumber> rated) {
    field.covariances.clear();
    const auto sourceOf = [&](FieldKey key) -> const RatedNumber* {
        for (const auto& [known, source] : sources)
            if (known == key)
                return source;
        return nullptr;
    };
    for (std::size_t i = 0; i < field.numbers.size(); ++i)
        for (std::size_t j = i + 1; j < field.numbers.size(); ++j) {
            const FieldNumber &a = field.numbers[i], &b = field.numbers[j];
            const RatedNumber *sa = sourceOf(a.key), *sb = sourceOf(b.key);
            double rho = 0;
            if (sa && sb && sa->number.reductionId == sb->number.reductionId)
                rho = measuredCorrelation(a.key, b.key, sa->number.reductionId, rated);
            else if (!sa && !sb && a.u > 0 && b.u > 0) {
                const FieldNumber *ta = find(typical, a.key), *tb = find(typical, b.key);
                if (ta && tb && ta->u > 0 && tb->u > 0)
                    rho = covarianceOf(typical, a.key, b.key) / (ta->u * tb->u);
            }
            if (rho != 0)
                field.covariances.push_back({a.key, b.key, rho * a.u * b.u});
        }
}

/// A number that goes with the measured air moves as it did, known to 15 K at best (definitions §1:
/// T_rad allowed ± 15 K), and has its curve.
void goWithAir(HeatField& field, FieldKey key, const FieldNumber& measured,
               const FieldNumber& typical) {
    constexpr double kApartK = 15;
    const FieldNumber* number = find(field, key);
    if (!number || number->provenance != Provenance::assumed)
        return;
    FieldNumber moved = *number;
    const double ownU2 = std::max(0.0, moved.u * moved.u - typical.u * typical.u);
    moved.value += measured.value - typical.value;
    moved.u = std::hypot(measured.u, std::max(kApartK, std::sqrt(ownU2)));
    moved.from = "goes with the measured air";
    put(field, moved);
    const bool hasCurve = std::any_of(field.curves.begin(), field.curves.end(),
                                      [&](const FieldCurve& curve) { return curve.key == key; });
    for (const FieldCurve& curve : std::vector<FieldCurve>(field.curves))
        if (curve.key == measured.key && !hasCurve) {
            field.curves.push_back(curve);
            field.curves.back().key = key;
        }
    std::erase_if(field.covariances, [&](const FieldCovariance& c) {
        return (c.a == key && c.b == measured.key) || (c.b == key && c.a == measured.key);
    });
    field.covariances.push_back({measured.key, key, measured.u * measured.u});
}

/// Where only the air was measured, walls and metal are assumed to go with it; in an iron oven its
/// lid and floor too.
void followAir(HeatField& field, const HeatField& typical) {
    const FieldKey air{Face::all, Term::air}, lid{Face::top, Term::radiant};
    const FieldNumber *a = find(field, air), *was = find(typical, air);
    if (!a || !was || a->provenance == Provenance::assumed)
        return;
    const FieldNumber measured = *a;
    goWithAir(field, {Face::all, Term::radiant}, measured, *was);
    if (!find(typical, lid))
        return;
    goWithAir(field, lid, measured, *was);
    goWithAir(field, {Face::bottom, Term::plate}, measured, *was);
    const FieldNumber* loss = find(field, {Face::bottom, Term::plateLoss});
    const FieldNumber* flux = find(field, {Face::bottom, Term::plateFlux});
    if (loss && flux && flux->provenance == Provenance::assumed) { // it stays as warm as it is
        FieldNumber moved = *flux;
        moved.value = std::max(0.0, moved.value + loss->value * (measured.value - was->value));
        put(field, moved);
    }
}

/// What the base of a hob's vessel gets; less on gas when the base is hot than into cold water.
void powerToFlux(HeatField& field, const Appliance& a, const Vessel& vessel) {
    const FieldNumber* power = find(field, {Face::all, Term::power});
    const FieldNumber* measured = find(field, {Face::bottom, Term::plateFlux});
    if (!power || (measured && measured->provenance == Provenance::measured))
        return; // an empty plate's own flux is nearer to the food's than the water's
    const double factor = typicalKind(a.kind).hotPlateShare / baseAreaM2(vessel);
    FieldNumber flux = *power;
    flux.key = {Face::bottom, Term::plateFlux};
    flux.value = power->value * factor;
    flux.u = power->u * factor;
    put(field, flux);
}

} // namespace

Result<HeatField> ratedField(const Appliance& appliance, const Setting& setting, const Place& place,
                             std::span<const RatedNumber> rated) {
    auto typical = typicalField(appliance, setting, place);
    if (!typical)
        return typical;
    HeatField field = *typical;
    std::vector<FieldKey> keys;
    for (const RatedNumber& r : rated)
        if (samePlace(r, appliance, place) &&
            std::find(keys.begin(), keys.end(), r.number.key) == keys.end())
            keys.push_back(r.number.key);
    std::size_t control = 0;
    const bool hasDial = alongDial(appliance.controls, setting, control).has_value();
    std::vector<std::pair<FieldKey, const RatedNumber*>> sources;
    for (const FieldKey key : keys) {
        const FieldNumber* base = seenBy(*typical, key.face, key.term);
        if (!base) { // nothing to shift: it holds at its own setting only
            for (const RatedNumber& r : rated)
                if (r.number.key == key && samePlace(r, appliance, place) &&
                    sameElsewhere(appliance, r.setting, setting, 0, false))
                    put(field, r.number);
            continue;
        }
        FieldNumber start = *base;
        start.key = key;
        auto supports = supportsFor(key, appliance, setting, place, rated);
        if (!supports)
            return tl::unexpected(supports.error());
        if (supports->empty()) {
            const bool inside = appliance.kind == ApplianceKind::ironOven &&
                                (key == FieldKey{Face::all, Term::air} ||
                                 key == FieldKey{Face::all, Term::radiant});
            if (const auto other =
                    inside ? fromOtherCounts(start, appliance, place, rated) : std::nullopt)
                put(field, *other);
            else if (const auto sum = superposed(key, appliance, setting, place, rated))
                put(field, *sum);
            continue;
        }
        const double uTypical = isTemperature(key.term) ? base->u : base->u / base->value;
        const double dial = hasDial ? dialOf(appliance, setting, control) : 0;
        const double range = hasDial ? dialRange(appliance.controls[control]) : 1;
        const Offset offset = offsetAt(std::move(*supports), dial, range, uTypical);
        put(field, offsetBy(start, offset));
        sources.emplace_back(key, offset.source);
        if (offset.provenance == Provenance::measured && offset.source->curve) {
            std::erase_if(field.curves, [&](const FieldCurve& c) { return c.key == key; });
            field.curves.push_back(*offset.source->curve);
        }
    }
    correlate(field, *typical, sources, rated);
    followAir(field, *typical);
    if (isHob(appliance.kind))
        powerToFlux(field, appliance, *place.vessel);
    return field;
}

} // namespace dynamet::kitchen
