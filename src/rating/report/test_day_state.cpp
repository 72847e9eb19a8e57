// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/report/test_day_state.h"

#include "json/strict_json.h"

namespace dynamet::rating {
namespace {

using dynamet::json::StrictJson;
using Json = nlohmann::json;

Json jsonOf(const Wanted& test) {
    return {{"appliance", test.applianceId},
            {"protocol", test.protocol},
            {"setting", test.setting},
            {"zone", test.zone},
            {"worth", test.worth}};
}

Wanted wantedOf(const StrictJson& from) {
    return {from.at("appliance").text(), from.at("protocol").text(), from.at("setting").text(),
            from.at("zone").text(), from.at("worth").number()};
}

} // namespace

std::string dayStateJson(const DayState& state) {
    Json out{{"began_ms", state.beganMs},    {"lasts_s", state.means.lastsS},
             {"probes", state.means.probes}, {"wanted", Json::array()},
             {"done", Json::array()},        {"ended", Json::array()}};
    for (const Wanted& test : state.wanted)
        out["wanted"].push_back(jsonOf(test));
    for (const Wanted& test : state.ended)
        out["ended"].push_back(jsonOf(test));
    for (const DayTest& test : state.done)
        out["done"].push_back({{"test", jsonOf(test.test)},
                               {"begins_s", test.beginsS},
                               {"log_s", test.logS},
                               {"ready_s", test.readyS},
                               {"done_s", test.doneS}});
    return out.dump();
}

Result<DayState> readDayState(const std::string& text) {
    return json::readStrictly(text, [](const StrictJson& from) {
        DayState out;
        out.beganMs = static_cast<std::int64_t>(from.at("began_ms").number());
        out.means = {from.at("lasts_s").number(), static_cast<int>(from.at("probes").number())};
        for (const StrictJson& test : from.at("wanted").list())
            out.wanted.push_back(wantedOf(test));
        for (const StrictJson& test : from.at("ended").list())
            out.ended.push_back(wantedOf(test));
        for (const StrictJson& test : from.at("done").list())
            out.done.push_back({wantedOf(test.at("test")), test.at("begins_s").number(),
                                test.at("log_s").number(), test.at("ready_s").number(),
                                test.at("done_s").number()});
        return out;
    });
}

} // namespace dynamet::rating
