// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "formats/snapshot_json.h"

#include "formats/report_json.h"
#include "quantity/temperature.h"

#include <nlohmann/json.hpp>

namespace dynamet::formats {

using nlohmann::json;

namespace {

json stageJson(const translate::Request& request, const translate::WrittenStage& written,
               const cook::Stage& cooked) {
    const auto* appliance = findAppliance(request.kitchen, written.place.applianceId);
    json out{{"appliance", appliance ? appliance->name : ""},
             {"setting", appliance ? settingText(appliance->controls, written.place.setting) : ""},
             {"zone", written.place.zone},
             {"lid_open", written.place.lidOpen},
             {"ends_after_s", written.endsAfterS},
             {"edges_down", written.edgesDown},
             {"wait_s", written.waitS},
             {"wait_tented", written.waitTented},
             {"field", fieldJson(cooked.field)}};
    if (written.endsAtCoreK)
        out["ends_at_core_C"] = *written.endsAtCoreK - kZeroCelsiusK;
    return out;
}

/// Rows with the numeric field of the place that the cook moved to.
json rowsJson(const translate::Request& r, const std::vector<translate::Row>& rows) {
    json out = json::array();
    for (const translate::Row& row : rows) {
        json one = rowJson(row, r.kitchen);
        if (row.reached)
            if (const auto programme = programmeOf(r, row)) {
                one["field"] = fieldJson(movedField(r, *programme));
                one["pressure_Pa"] = pressurePa(programme->site);
            }
        out.push_back(one);
    }
    return out;
}

} // namespace

json snapshotJson(const translate::Prepared& prepared, const std::vector<translate::Row>& rows) {
    const translate::Request& r = prepared.request;
    const auto* appliance = findAppliance(r.kitchen, r.reference.applianceId);
    json out{{"format", "dynamet-translation-snapshot"},
             {"version", 1},
             {"recipe_text", r.recipeText},
             {"seed", r.seed}};
    out["piece"] = {{"food", r.piece.food.id},
                    {"composition",
                     {{"water", r.piece.food.composition.water},
                      {"protein", r.piece.food.composition.protein},
                      {"fat", r.piece.food.composition.fat},
                      {"carbohydrate", r.piece.food.composition.carbohydrate},
                      {"fibre", r.piece.food.composition.fibre},
                      {"ash", r.piece.food.composition.ash}}},
                    {"form", word(r.piece.form)},
                    {"shape", word(r.piece.shape)},
                    {"thickness_m", r.piece.thicknessM},
                    {"width_m", r.piece.widthM},
                    {"bone", word(r.piece.bone)},
                    {"fat_cap_m", r.piece.fatCapM},
                    {"surface", word(r.piece.surface)},
                    {"seasonings", r.piece.seasonings},
                    {"fat", r.piece.fat},
                    {"others_m", r.piece.othersM},
                    {"rounds", r.piece.rounds},
                    {"start_C", r.piece.startK - kZeroCelsiusK}};
    out["goal"] = {{"core_C", r.goal.coreK - kZeroCelsiusK},
                   {"read_at", word(r.goal.readAt)},
                   {"band_C", {r.goal.bandLowK - kZeroCelsiusK, r.goal.bandHighK - kZeroCelsiusK}},
                   {"words", r.goal.words}};
    out["spread"] = {{"thickness_relative", r.spread.thicknessRelative},
                     {"start_K", r.spread.startK},
                     {"moisture_ln", r.spread.moistureLn},
                     {"model_ln", r.spread.modelLn}};
    out["reference"] = {
        {"appliance", appliance ? appliance->name : ""},
        {"setting", appliance ? settingText(appliance->controls, r.reference.setting) : ""},
        {"zone", r.reference.zone},
        {"lid_open", r.reference.lidOpen},
        {"altitude_m", prepared.programme.site.altitudeM},
        {"pressure_Pa", pressurePa(prepared.programme.site)},
        {"field", fieldJson(prepared.programme.field)},
        {"outcome", outcomeJson(prepared.outcome)}};
    out["rest"] = {
        {"on_board", r.rest.onBoard}, {"tented", r.rest.tented}, {"shortest_s", r.rest.shortestS}};
    out["last_for_s"] = r.lastForS;
    out["before"] = json::array();
    for (std::size_t i = 0; i < r.before.size(); ++i)
        out["before"].push_back(stageJson(r, r.before[i], prepared.programme.before[i]));
    if (r.moved)
        out["moved_stage"] = *r.moved + 1;
    out["rows"] = rowsJson(r, rows);
    return out;
}

Result<std::vector<KeptRow>> keptRows(const std::string& snapshot) {
    const json from = json::parse(snapshot, nullptr, false);
    if (!from.is_object() || !from.contains("rows") || !from["rows"].is_array())
        return fail(Errc::corruptData, "this is no kept translation; it was left as it is");
    std::vector<KeptRow> out;
    try {
        for (const json& row : from["rows"]) {
            KeptRow kept{row.value("appliance", ""),
                         row.value("zone", ""),
                         row.value("setting", ""),
                         row.value("reached", false),
                         row.value("pull_C", 0.0) + kZeroCelsiusK,
                         {}};
            if (row.contains("window"))
                kept.expectS = row["window"].value("expect_s", 0.0);
            out.push_back(std::move(kept));
        }
    } catch (const json::exception& wrong) {
        return fail(Errc::corruptData,
                    std::string("a kept translation is damaged: ") + wrong.what());
    }
    return out;
}

} // namespace dynamet::formats
