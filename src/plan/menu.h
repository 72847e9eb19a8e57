// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "food/safety.h"
#include "translate/request.h"

#include <optional>
#include <string>
#include <vector>

namespace dynamet::plan {

/// A dish of a menu.
struct MenuDish {
    std::string id; ///< its own in the menu
    std::string recipeId;
    int portions = 0;                       ///< pieces; 0 = as its recipe says
    std::string cook;                       ///< by name; empty = whoever has a hand free
    std::optional<translate::Target> place; ///< chosen; none = the plan chooses among its rows
    double earlyS = 300, lateS = 300;       ///< how far from the serving it may be served
    std::optional<double> beginsS;          ///< pinned: its first work, s before the serving
    std::optional<kitchen::Setting> setting = {}; ///< of its place, as a kept translation has it
    bool driedBefore =
        false;              ///< its face is dried or salted already: the plan takes no time for it
    bool madeAhead = false; ///< cooked before and chilled: it is only reheated
    bool operator==(const MenuDish&) const = default;
};

/// Between cold and hot holding food may be for so long. Usual defaults, from memory; local codes
/// decide.
struct SafetyLimits {
    double coldK = 278.15, hotK = 330.15;
    double warnS = 2 * 3600, mostS = 4 * 3600;
    bool operator==(const SafetyLimits&) const = default;
};

/// An appliance that is at a setting already when the plan begins.
struct OnAlready {
    std::string applianceId;
    kitchen::Setting setting;
    bool operator==(const OnAlready&) const = default;
};

/// What is to be on the table at once.
struct Menu {
    std::string id, name;
    std::string siteId; ///< its appliances only; empty = of the whole kitchen
    std::vector<std::string> cooks = {"Cook"};
    int serveMin = 18 * 60 + 30;     ///< the wall clock, minutes after midnight
    std::optional<int> notBeforeMin; ///< of the same day (negative: of the day before); none = any
    std::vector<MenuDish> dishes;
    SafetyLimits limits;
    std::vector<OnAlready> on;
    bool operator==(const Menu&) const = default;
};

/// A menu as JSON, settings as the kitchen's controls have them; and back. Dishes keep what names
/// things that are gone. parse names the field.
std::string menuJson(const Menu& menu, const kitchen::Kitchen& kitchen);
Result<Menu> readMenu(const std::string& json, const kitchen::Kitchen& kitchen);

/// "18:30", "6:30 pm", "1830", "18.30": minutes after midnight. invalidArgument else.
Result<int> parseClock(const std::string& text);
/// "18:30"; a minute of another day keeps its clock.
std::string clockText(int minute);

} // namespace dynamet::plan
