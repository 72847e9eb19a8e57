// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/kitchen.h"
#include "kitchen/typical.h"

namespace dynamet::recipe_text {

/// A still oven, a fan oven, an induction hob with a pan and a gas grill.
inline kitchen::Kitchen kitchenOfText() {
    using enum kitchen::ApplianceKind;
    kitchen::Kitchen out;
    kitchen::Vessel pan;
    pan.id = pan.name = "pan";
    pan.massKg = 2;
    out.vessels.push_back(pan);
    for (const auto& [kind, id] : {std::pair{stillOven, "still"},
                                   {fanOven, "fan"},
                                   {inductionHob, "hob"},
                                   {gasGrill, "grill"}}) {
        auto a = *kitchen::typicalAppliance(kind);
        a.id = a.name = id;
        a.standardVesselId = "pan";
        out.appliances.push_back(a);
    }
    return out;
}

} // namespace dynamet::recipe_text
