// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Menus and plans of cooks as they stand in a book's cells, and clocks as they are typed.
#include "fuzz/must.h"
#include "kitchen/typical.h"
#include "plan/menu.h"
#include "run/course.h"
#include "run/judged.h"

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
