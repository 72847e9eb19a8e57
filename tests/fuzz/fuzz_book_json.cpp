// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// JSON that stands in a book's cells: recipes, doneness scales, kept translations.
#include "food/doneness.h"
#include "formats/snapshot_json.h"
#include "fuzz/must.h"
#include "kitchen/typical.h"
#include "recipe/recipe_json.h"

#include <tuple>

using namespace dynamet;

namespace {

kitchen::Kitchen smallKitchen() {
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

} // namespace

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    static const kitchen::Kitchen kitchen = smallKitchen();
    const std::string text(textOf(data, size));
    if (const auto read = recipe::readRecipe(text, kitchen)) {
        const auto again = recipe::readRecipe(recipe::recipeJson(*read, kitchen), kitchen);
        MUST(again.has_value());
    }
    if (const auto scales = food::readScales(text))
        MUST(food::readScales(food::scalesJson(*scales)).has_value());
    std::ignore = formats::keptRows(text);
    return 0;
}
