// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/stages_json.h"

#include <nlohmann/json.hpp>

namespace dynamet::book {

using nlohmann::json;

std::string stagesJson(const RecipeRecord& recipe) {
    json before = json::array();
    for (const StageRecord& record : recipe.before) {
        const translate::WrittenStage& stage = record.stage;
        json one{{"appliance_id", stage.place.applianceId},
                 {"setting", record.settingText},
                 {"zone", stage.place.zone},
                 {"vessel_id", stage.place.vesselId},
                 {"lid_open", stage.place.lidOpen},
                 {"ends_after_s", stage.endsAfterS},
                 {"edges_down", stage.edgesDown},
                 {"wait_s", stage.waitS},
                 {"wait_tented", stage.waitTented}};
        if (stage.endsAtCoreK)
            one["ends_at_core_k"] = *stage.endsAtCoreK;
        before.push_back(std::move(one));
    }
    return json{{"before", before},
                {"last_for_s", recipe.lastForS},
                {"last_lid_open", recipe.reference.lidOpen},
                {"rest",
                 {{"on_board", recipe.rest.onBoard},
                  {"tented", recipe.rest.tented},
                  {"shortest_s", recipe.rest.shortestS}}}}
        .dump();
}

bool readStagesJson(const std::string& text, const kitchen::Kitchen& kitchen,
                    RecipeRecord& recipe) {
    const json from = json::parse(text, nullptr, false);
    if (!from.is_object())
        return true;
    recipe.lastForS = from.value("last_for_s", recipe.lastForS);
    recipe.reference.lidOpen = from.value("last_lid_open", false);
    if (const auto rest = from.find("rest"); rest != from.end()) {
        recipe.rest.onBoard = rest->value("on_board", recipe.rest.onBoard);
        recipe.rest.tented = rest->value("tented", recipe.rest.tented);
        recipe.rest.shortestS = rest->value("shortest_s", recipe.rest.shortestS);
    }
    for (const json& one : from.value("before", json::array())) {
        StageRecord record;
        record.settingText = one.value("setting", "");
        translate::WrittenStage& stage = record.stage;
        const auto* appliance = findAppliance(kitchen, one.value("appliance_id", ""));
        if (!appliance)
            return false;
        const auto setting = kitchen::parseSetting(appliance->controls, record.settingText);
        if (!setting)
            return false;
        stage.place = {appliance->id, *setting, one.value("zone", ""), one.value("vessel_id", ""),
                       one.value("lid_open", false)};
        stage.endsAfterS = one.value("ends_after_s", 0.0);
        if (one.contains("ends_at_core_k"))
            stage.endsAtCoreK = one.at("ends_at_core_k").get<double>();
        stage.edgesDown = one.value("edges_down", false);
        stage.waitS = one.value("wait_s", 0.0);
        stage.waitTented = one.value("wait_tented", false);
        recipe.before.push_back(std::move(record));
    }
    return true;
}

} // namespace dynamet::book
