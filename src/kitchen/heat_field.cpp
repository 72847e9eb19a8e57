// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/heat_field.h"

#include "quantity/water.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace dynamet::kitchen {
namespace {

constexpr std::array<const char*, 4> kFaces{"all", "top", "bottom", "side"};
constexpr std::array<const char*, 20> kTerms{"air_K",
                                             "h_air_W_m2K",
                                             "vapour_Pa",
                                             "radiant_K",
                                             "view",
                                             "radiant2_K",
                                             "view2",
                                             "plate_K",
                                             "contact_W_m2K",
                                             "plate_heat_capacity_J_m2K",
                                             "plate_flux_W_m2",
                                             "plate_loss_W_m2K",
                                             "plate_set_K",
                                             "liquid_K",
                                             "h_liquid_W_m2K",
                                             "power_W",
                                             "loss_W_K",
                                             "plate_effusivity_W_s05_m2K",
                                             "plate_ambient_K",
                                             "touched_share"};

} // namespace

const char* enumName(Provenance provenance) {
    switch (provenance) {
    case Provenance::measured:
        return "measured";
    case Provenance::interpolated:
        return "interpolated";
    case Provenance::assumed:
        return "assumed";
    }
    return "assumed";
}

std::string keyName(const FieldKey& key) {
    return std::string(kFaces[static_cast<std::size_t>(key.face)]) + "." +
           kTerms[static_cast<std::size_t>(key.term)];
}

std::optional<FieldKey> fieldKey(const std::string& text) {
    for (std::size_t f = 0; f < kFaces.size(); ++f)
        for (std::size_t t = 0; t < kTerms.size(); ++t) {
            const FieldKey key{static_cast<Face>(f), static_cast<Term>(t)};
            if (keyName(key) == text)
                return key;
        }
    return std::nullopt;
}

bool isTemperature(Term term) {
    return term == Term::air || term == Term::radiant || term == Term::radiant2 ||
           term == Term::plate || term == Term::plateSet || term == Term::liquid ||
           term == Term::plateAmbient;
}

const FieldNumber* find(const HeatField& field, FieldKey key) {
    const auto at = std::lower_bound(field.numbers.begin(), field.numbers.end(), key,
                                     [](const FieldNumber& n, FieldKey k) { return n.key < k; });
    return at != field.numbers.end() && at->key == key ? &*at : nullptr;
}

const FieldNumber* seenBy(const HeatField& field, Face face, Term term) {
    const FieldNumber* own = find(field, {face, term});
    return own ? own : find(field, {Face::all, term});
}

void put(HeatField& field, const FieldNumber& number) {
    const auto at = std::lower_bound(field.numbers.begin(), field.numbers.end(), number.key,
                                     [](const FieldNumber& n, FieldKey k) { return n.key < k; });
    if (at != field.numbers.end() && at->key == number.key)
        *at = number;
    else
        field.numbers.insert(at, number);
}

double covarianceOf(const HeatField& field, FieldKey a, FieldKey b) {
    if (a == b) {
        const FieldNumber* number = find(field, a);
        return number ? number->u * number->u : 0;
    }
    for (const FieldCovariance& c : field.covariances)
        if ((c.a == a && c.b == b) || (c.a == b && c.b == a))
            return c.covariance;
    return 0;
}

namespace {

/// Air and what is radiated, weighted by how strongly each takes hold of a cool face: what a zone
/// or an oven is to food, known far better than either alone.
Representative operative(const HeatField& field, Face face, const FieldNumber& air) {
    const FieldNumber* radiant = seenBy(field, face, Term::radiant);
    const FieldNumber* h = seenBy(field, face, Term::hAir);
    const FieldNumber* view = seenBy(field, face, Term::view);
    if (!radiant || !h || !view || radiant->value <= 0)
        return {air.value, air.u, air.provenance};
    const double byRadiation = 4 * view->value * kStefanBoltzmann * std::pow(radiant->value, 3);
    const double w = byRadiation / (byRadiation + h->value);
    const double variance = (1 - w) * (1 - w) * air.u * air.u + w * w * radiant->u * radiant->u +
                            2 * w * (1 - w) * covarianceOf(field, air.key, radiant->key);
    // Over naked coals what radiates is the heat; elsewhere the air is what is measured first.
    return {(1 - w) * air.value + w * radiant->value, std::sqrt(std::max(0.0, variance)),
            face == Face::bottom ? radiant->provenance : air.provenance};
}

/// Where a pan over a burner holds: what the burner gives is what the pan loses and what food whose
/// face boils takes from half of its base. An empty pan would climb on until it glows.
std::optional<Representative> holdingPan(const HeatField& field, double ambientK) {
    constexpr double kCovered = 0.5, kFoodFaceK = 373.15;
    const FieldNumber* flux = seenBy(field, Face::bottom, Term::plateFlux);
    const FieldNumber* loss = seenBy(field, Face::bottom, Term::plateLoss);
    const FieldNumber* contact = seenBy(field, Face::bottom, Term::contact);
    if (!flux || !loss || loss->value <= 0)
        return std::nullopt;
    const double taken = contact ? kCovered * contact->value : 0;
    const double all = loss->value + taken;
    const double kelvin = (flux->value + loss->value * ambientK + taken * kFoodFaceK) / all;
    const double byContact = contact ? kCovered * (kFoodFaceK - kelvin) * contact->u : 0;
    const double u = std::hypot(flux->u, (ambientK - kelvin) * loss->u, byContact) / all;
    return Representative{kelvin, u, flux->provenance};
}

} // namespace

Representative representative(const HeatField& field, double ambientK) {
    if (const FieldNumber* liquid = seenBy(field, Face::top, Term::liquid))
        return {liquid->value, liquid->u, liquid->provenance};
    const FieldNumber* set = seenBy(field, Face::bottom, Term::plateSet);
    if (set)
        return {set->value, set->u, set->provenance};
    if (const auto pan = holdingPan(field, ambientK))
        return *pan;
    const FieldNumber* plate = seenBy(field, Face::bottom, Term::plate);
    if (plate && !seenBy(field, Face::bottom, Term::air)) // a hot plate under nothing but the room
        return {plate->value, plate->u, plate->provenance};
    // A fire under an open grate: the top sees only the room, the heat comes from below.
    const FieldNumber* below = find(field, {Face::bottom, Term::air});
    if (below && find(field, {Face::bottom, Term::radiant}) && find(field, {Face::top, Term::air}))
        return operative(field, Face::bottom, *below);
    if (const FieldNumber* air = seenBy(field, Face::top, Term::air))
        return operative(field, Face::top, *air);
    return {ambientK, 0, Provenance::assumed};
}

} // namespace dynamet::kitchen
