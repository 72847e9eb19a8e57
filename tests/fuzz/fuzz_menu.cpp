// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Menus and plans of cooks as they stand in a book's cells, and clocks as they are typed.
#include "fuzz/seeds.h"
#include "fuzz/small_kitchen.h"
#include "plan/menu.h"
#include "run/course.h"
#include "run/judged.h"

using namespace dynamet;

std::vector<std::string> fuzz::seeds() {
    const kitchen::Kitchen kitchen = fuzz::smallKitchen();
    const auto& oven = kitchen.appliances.front();
    plan::Menu menu;
    menu.name = "Sunday";
    menu.siteId = "home";
    menu.cooks = {"A", "B"};
    menu.serveMin = 13 * 60;
    menu.notBeforeMin = -120;
    menu.on = {{"oven", kitchen::usualSetting(oven.controls)}};
    plan::MenuDish dish;
    dish.id = "1";
    dish.recipeId = "r";
    dish.portions = 6;
    dish.cook = "B";
    dish.place = translate::Target{"oven", "middle", ""};
    dish.setting = kitchen::usualSetting(oven.controls);
    menu.dishes = {dish, plan::MenuDish{"2", "gone", 0, "", {}, 0, 600, {}}};
    run::PlannedCook planned;
    planned.recipe = roastIn(kitchen);
    planned.pullK = 330;
    planned.latestS = 4000;
    run::Judged judged;
    judged.coreK = 328;
    judged.rimM = 0.004;
    judged.scores = {{"A", "crust", 7}, {"B", "crust", 5.5}};
    judged.verdict = "good";
    judged.photos = {"abc"};
    const std::string cook = plannedJson(planned, kitchen);
    MUST(run::readPlanned(cook, kitchen).has_value());
    return {menuJson(menu, kitchen), cook, judgedJson(judged), "18:30", "6.30 pm", "18h30"};
}

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    static const kitchen::Kitchen kitchen = fuzz::smallKitchen();
    const std::string text(textOf(data, size));
    if (const auto menu = plan::readMenu(text, kitchen)) {
        const auto again = plan::readMenu(menuJson(*menu, kitchen), kitchen);
        MUST(again.has_value());
        MUST(*again == *menu);
    }
    if (const auto planned = run::readPlanned(text, kitchen))
        MUST(run::readPlanned(plannedJson(*planned, kitchen), kitchen).has_value());
    if (const auto judged = run::readJudged(text))
        MUST(run::readJudged(judgedJson(*judged)).has_value());
    if (const auto clock = plan::parseClock(text))
        MUST(*clock >= 0 && *clock < 24 * 60);
    return 0;
}
