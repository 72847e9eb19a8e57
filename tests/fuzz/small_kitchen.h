// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/typical.h"
#include "recipe/recipe.h"
#include "recipe/said.h"

namespace dynamet::fuzz {

/// One oven at home.
inline kitchen::Kitchen smallKitchen() {
    kitchen::Kitchen out;
    kitchen::Site home;
    home.id = home.name = "home";
    out.sites.push_back(home);
    kitchen::Appliance oven = *kitchen::typicalAppliance(kitchen::ApplianceKind::stillOven);
    oven.id = oven.name = "oven";
    oven.siteId = "home";
    out.appliances.push_back(oven);
    return out;
}

/// Whole enough to be read back there.
inline recipe::Recipe roastIn(const kitchen::Kitchen& kitchen) {
    recipe::Recipe out;
    out.name = "Roast";
    out.text = "Roast at 180 °C.";
    out.piece.food = food::shippedFoods().front();
    recipe::asUsual(out.piece);
    out.last().place = {"oven", kitchen::usualSetting(kitchen.appliances.front().controls),
                        "middle", ""};
    return out;
}

} // namespace dynamet::fuzz
