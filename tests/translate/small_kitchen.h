// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/translate.h"

namespace dynamet::translate::testing {

constexpr double C(double c) {
    return c + 273.15;
}

/// A still oven, a fan oven, an induction hob with a pan and a gas grill, nothing rated.
inline kitchen::Kitchen smallKitchen() {
    using enum kitchen::ApplianceKind;
    kitchen::Kitchen k;
    kitchen::Site home;
    home.id = home.name = "home";
    k.sites.push_back(home);
    kitchen::Vessel pan;
    pan.id = "pan";
    pan.name = "test pan";
    pan.massKg = 2;
    k.vessels.push_back(pan);
    for (const auto& [kind, id] : {std::pair{stillOven, "still"},
                                   {fanOven, "fan"},
                                   {inductionHob, "hob"},
                                   {gasGrill, "grill"}}) {
        auto a = *kitchen::typicalAppliance(kind);
        a.id = id;
        a.name = id;
        a.siteId = "home";
        a.standardVesselId = "pan";
        k.appliances.push_back(a);
    }
    return k;
}

inline Request roastRequest() {
    Request r;
    r.kitchen = smallKitchen();
    r.recipe.piece.food = *food::findFood("pork-loin");
    r.recipe.piece.thicknessM = 0.04;
    r.recipe.piece.startK = C(6);
    const auto& still = r.kitchen.appliances.front();
    r.recipe.last().place = {"still", *kitchen::parseSetting(still.controls, "oven=180C"), "middle",
                             ""};
    r.recipe.goal = {C(64), food::GoalMoment::peak, C(62), C(67), "juicy"};
    return r;
}

/// A measured air temperature and coefficient for an appliance of the small kitchen.
inline void rate(kitchen::Kitchen& k, const std::string& id, const std::string& setting,
                 kitchen::Term term, double value, double u) {
    const auto& a = *findAppliance(k, id);
    kitchen::RatedNumber n;
    n.setting = *kitchen::parseSetting(a.controls, setting);
    n.zone = a.zones.front().name;
    n.number.key = {kitchen::Face::all, term};
    n.number.value = value;
    n.number.u = u;
    n.number.provenance = kitchen::Provenance::measured;
    n.number.reductionId = id + setting + keyName(n.number.key);
    k.rated[id].push_back(n);
}

} // namespace dynamet::translate::testing
