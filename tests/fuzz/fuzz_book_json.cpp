// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// JSON that stands in a book's cells: recipes, doneness scales, kept translations.
#include "food/doneness.h"
#include "formats/snapshot_json.h"
#include "fuzz/seeds.h"
#include "fuzz/small_kitchen.h"
#include "recipe/recipe_json.h"

#include <tuple>

using namespace dynamet;

std::vector<std::string> fuzz::seeds() {
    const kitchen::Kitchen kitchen = fuzz::smallKitchen();
    const std::string json = recipe::recipeJson(roastIn(kitchen), kitchen);
    MUST(recipe::readRecipe(json, kitchen).has_value());
    return {json, food::scalesJson({food::shippedScales().front()}),
            R"({"format": "dynamet-translation-snapshot", "version": 1, "rows": [
              {"appliance": "Oven", "zone": "middle", "setting": "oven=180C", "reached": true,
               "pull_C": 58.0, "window": {"look_s": 1500, "expect_s": 2100, "latest_s": 2700}}]})"};
}

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    static const kitchen::Kitchen kitchen = fuzz::smallKitchen();
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
