// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cli/verb.h"
#include "kitchen/find_setting.h"
#include "quantity/print.h"

#include <algorithm>
#include <fmt/format.h>
#include <nlohmann/json.hpp>

namespace dynamet::cli {
namespace {

constexpr std::size_t kMostLines = 12;

/// "110C..125C", "240C.." or "..90C".
Result<kitchen::WantedZone> wish(const std::string& zone, const std::string& range) {
    kitchen::WantedZone out{zone};
    const auto dots = range.find("..");
    if (dots == std::string::npos)
        return fail(Errc::invalidArgument,
                    fmt::format("\"{}\" should be LOW..HIGH, as 110C..125C", range));
    for (const auto& [text, side] :
         {std::pair{range.substr(0, dots), &out.lowK}, {range.substr(dots + 2), &out.highK}}) {
        if (text.empty())
            continue;
        const auto t = parseTemperature(text, TemperatureUnit::celsius);
        if (!t)
            return fail(Errc::invalidArgument, t.error().message);
        *side = t->kelvin();
    }
    return out;
}

Result<kitchen::WantedHeat> wishes(const FindOptions& options) {
    kitchen::WantedHeat out;
    if (options.zones.size() != options.between.size())
        return fail(Errc::invalidArgument, "each --zone needs its --between");
    for (std::size_t i = 0; i < options.zones.size(); ++i) {
        const auto one = wish(options.zones[i], options.between[i]);
        if (!one)
            return tl::unexpected(one.error());
        out.zones.push_back(*one);
    }
    return out;
}

} // namespace

Result<Answer> find(const FindOptions& options) {
    const auto wanted = wishes(options);
    if (!wanted)
        return tl::unexpected(wanted.error());
    const auto kitchen = kitchenOf(options.book);
    if (!kitchen)
        return tl::unexpected(kitchen.error());
    const auto appliance = applianceNamed(*kitchen, options.appliance);
    if (!appliance)
        return tl::unexpected(appliance.error());
    const auto found = findSettings(*kitchen, *appliance, *wanted);
    if (!found)
        return tl::unexpected(found.error());
    if (found->empty())
        return fail(Errc::refused,
                    "no setup of it is likely to be that: every chance is under 5 %");
    Answer out;
    nlohmann::json list = nlohmann::json::array();
    out.text = appliance->name;
    for (const kitchen::FoundSetting& f : *found) {
        nlohmann::json zones = nlohmann::json::array();
        std::string shown;
        for (std::size_t z = 0; z < f.zones.size(); ++z) {
            zones.push_back({{"zone", wanted->zones[z].zone},
                             {"K", f.zones[z].kelvin},
                             {"u_K", f.zones[z].u},
                             {"provenance", enumName(f.zones[z].provenance)}});
            shown +=
                fmt::format("  {} {}", wanted->zones[z].zone,
                            printTemperature(Temperature::kelvin(f.zones[z].kelvin),
                                             TemperatureUnit::celsius, halfWidthK(f.zones[z])));
        }
        list.push_back({{"setting", settingText(appliance->controls, f.setting)},
                        {"probability", f.probability},
                        {"added_up", f.addedUp},
                        {"zones", zones}});
        if (list.size() <= kMostLines)
            out.text += fmt::format("\n  {:>3.0f} %  {:<34}{}{}", f.probability * 100, f.label,
                                    shown, f.addedUp ? "  (not tested: burners added up)" : "");
    }
    out.json = nlohmann::json{
        {"format", "dynamet-find"},
        {"version", 1},
        {"appliance", appliance->name},
        {"settings",
         list}}.dump();
    return out;
}

} // namespace dynamet::cli
