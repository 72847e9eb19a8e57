// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/menu.h"

#include "json/strict_json.h"

#include <algorithm>
#include <charconv>
#include <fmt/format.h>

namespace dynamet::plan {
namespace {

using dynamet::json::StrictJson;
using Json = nlohmann::json;

constexpr int kDay = 24 * 60;

Json jsonOf(const MenuDish& dish, const kitchen::Kitchen& kitchen) {
    Json out{{"id", dish.id},     {"recipe", dish.recipeId}, {"portions", dish.portions},
             {"cook", dish.cook}, {"early_s", dish.earlyS},  {"late_s", dish.lateS}};
    if (dish.place)
        out["place"] = {{"appliance", dish.place->applianceId},
                        {"zone", dish.place->zone},
                        {"vessel", dish.place->vesselId}};
    if (dish.place && dish.setting)
        if (const auto* on = findAppliance(kitchen, dish.place->applianceId))
            out["setting"] = settingText(on->controls, *dish.setting);
    if (dish.driedBefore)
        out["dried_before"] = true;
    if (dish.madeAhead)
        out["made_ahead"] = true;
    if (dish.beginsS)
        out["begins_before_s"] = *dish.beginsS;
    return out;
}

MenuDish dishOf(const StrictJson& from, const kitchen::Kitchen& kitchen) {
    MenuDish out;
    out.id = from.at("id").text();
    out.recipeId = from.at("recipe").text();
    out.portions = static_cast<int>(
        std::clamp(from.numberOr("portions", 0), 0.0, double{recipe::kMostPieces}));
    out.cook = from.textOr("cook", "");
    out.earlyS = std::clamp(from.numberOr("early_s", out.earlyS), 0.0, 12 * 3600.0);
    out.lateS = std::clamp(from.numberOr("late_s", out.lateS), 0.0, 12 * 3600.0);
    if (from.has("place")) {
        const StrictJson place = from.at("place");
        out.place = translate::Target{place.at("appliance").text(), place.textOr("zone", ""),
                                      place.textOr("vessel", "")};
        const auto* on = findAppliance(kitchen, out.place->applianceId);
        if (on && from.has("setting"))
            if (const auto kept = kitchen::parseSetting(on->controls, from.at("setting").text()))
                out.setting = *kept;
    }
    out.driedBefore = from.booleanOr("dried_before", false);
    out.madeAhead = from.booleanOr("made_ahead", false);
    if (from.has("begins_before_s"))
        out.beginsS = std::clamp(from.at("begins_before_s").number(), 0.0, 4 * 24 * 3600.0);
    return out;
}

/// Of digits alone; none is 0.
int wholeOf(const std::string& digits) {
    int out = 0;
    std::from_chars(digits.data(), digits.data() + digits.size(), out);
    return out;
}

bool isDigit(char c) {
    return c >= '0' && c <= '9';
}

} // namespace

std::string menuJson(const Menu& menu, const kitchen::Kitchen& kitchen) {
    Json out{{"format", "dynamet-menu"},
             {"version", 1},
             {"name", menu.name},
             {"site", menu.siteId},
             {"cooks", menu.cooks},
             {"serve_min", menu.serveMin},
             {"dishes", Json::array()},
             {"on", Json::array()},
             {"limits",
              {{"cold_k", menu.limits.coldK},
               {"hot_k", menu.limits.hotK},
               {"warn_s", menu.limits.warnS},
               {"most_s", menu.limits.mostS}}}};
    if (menu.notBeforeMin)
        out["not_before_min"] = *menu.notBeforeMin;
    for (const MenuDish& dish : menu.dishes)
        out["dishes"].push_back(jsonOf(dish, kitchen));
    for (const OnAlready& one : menu.on)
        if (const auto* on = findAppliance(kitchen, one.applianceId))
            out["on"].push_back({{"appliance", one.applianceId},
                                 {"setting", settingText(on->controls, one.setting)}});
    return out.dump();
}

Result<Menu> readMenu(const std::string& text, const kitchen::Kitchen& kitchen) {
    return json::readStrictly(text, [&](const StrictJson& from) {
        Menu out;
        out.name = from.at("name").text();
        out.siteId = from.textOr("site", "");
        out.cooks.clear();
        for (const StrictJson& cook : from.at("cooks").list())
            out.cooks.push_back(cook.text());
        if (out.cooks.empty())
            out.cooks = {"Cook"};
        out.serveMin = static_cast<int>(std::clamp(from.at("serve_min").number(), 0.0, kDay - 1.0));
        if (from.has("not_before_min"))
            out.notBeforeMin = static_cast<int>(
                std::clamp(from.at("not_before_min").number(), -4.0 * kDay, kDay - 1.0));
        for (const StrictJson& dish : from.at("dishes").list())
            out.dishes.push_back(dishOf(dish, kitchen));
        if (from.has("limits")) {
            const StrictJson limits = from.at("limits");
            out.limits.coldK = limits.numberOr("cold_k", out.limits.coldK);
            out.limits.hotK = limits.numberOr("hot_k", out.limits.hotK);
            out.limits.warnS = limits.numberOr("warn_s", out.limits.warnS);
            out.limits.mostS = limits.numberOr("most_s", out.limits.mostS);
        }
        if (from.has("on"))
            for (const StrictJson& one : from.at("on").list())
                if (const auto* on = findAppliance(kitchen, one.at("appliance").text()))
                    if (const auto setting =
                            kitchen::parseSetting(on->controls, one.at("setting").text()))
                        out.on.push_back({on->id, *setting});
        return out;
    });
}

Result<int> parseClock(const std::string& text) {
    std::string digits, word;
    int colon = -1;
    for (const char c : text) {
        if (isDigit(c))
            digits += c;
        else if ((c == ':' || c == '.' || c == 'h') && colon < 0 && !digits.empty() && word.empty())
            colon = static_cast<int>(digits.size());
        else if (c == 'a' || c == 'p' || c == 'm' || c == 'A' || c == 'P' || c == 'M')
            word += static_cast<char>(c | 0x20);
        else if (c != ' ' && c != '.')
            word += '?';
    }
    const auto wrong = [&] {
        return fail(Errc::invalidArgument,
                    fmt::format("\"{}\" is no time of day: write 18:30 or 6:30 pm", text));
    };
    if (digits.empty() || digits.size() > 4 || (!word.empty() && word != "am" && word != "pm"))
        return wrong();
    const std::size_t split = colon >= 0           ? static_cast<std::size_t>(colon)
                              : digits.size() <= 2 ? digits.size()
                                                   : digits.size() - 2;
    const std::string minutes = digits.substr(split);
    int hour = wholeOf(digits.substr(0, split));
    const int minute = wholeOf(minutes);
    if (colon >= 0 && !minutes.empty() && minutes.size() != 2)
        return wrong();
    if (!word.empty() && (hour < 1 || hour > 12))
        return wrong();
    if (!word.empty())
        hour = hour % 12 + (word == "pm" ? 12 : 0);
    if (hour > 23 || minute > 59)
        return wrong();
    return hour * 60 + minute;
}

std::string clockText(int minute) {
    const int clock = (minute % kDay + kDay) % kDay;
    return fmt::format("{:02}:{:02}", clock / 60, clock % 60);
}

} // namespace dynamet::plan
