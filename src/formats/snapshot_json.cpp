// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "formats/snapshot_json.h"

#include "formats/report_json.h"
#include "formats/text_file.h"
#include "quantity/temperature.h"
#include "recipe/recipe_json.h"

#include <nlohmann/json.hpp>

namespace dynamet::formats {

using nlohmann::json;

namespace {

/// Rows with the numeric field of the place that the cook moved to.
json rowsJson(const translate::Request& r, const std::vector<translate::Row>& rows) {
    json out = json::array();
    for (const translate::Row& row : rows) {
        json one = rowJson(row, r.kitchen);
        if (row.reached)
            if (const auto programme = programmeOf(r, row)) {
                one["field"] = fieldJson(movedField(r, *programme));
                one["pressure_Pa"] = pressurePa(programme->last().site);
            }
        out.push_back(one);
    }
    return out;
}

/// What was seen, and its hash: an old translation is made anew with what it was made with.
json evidenceJson(const evidence::Belief& belief) {
    json seen = json::array();
    for (const evidence::Observation& one : belief.observations()) {
        json effects = json::object();
        for (const evidence::Effect& effect : one.effects)
            effects[effect.unknown] = effect.lnTime;
        seen.push_back({{"id", one.id},
                        {"ln_difference", one.lnDifference},
                        {"u", one.u},
                        {"set_aside", one.setAside},
                        {"effects", effects}});
    }
    return {{"sha256", sha256(seen.dump())}, {"observations", seen}};
}

} // namespace

json snapshotJson(const translate::Prepared& prepared, const std::vector<translate::Row>& rows) {
    const translate::Request& r = prepared.request;
    const food::Composition& of = r.recipe.piece.food.composition;
    json fields = json::array();
    for (const cook::Stage& stage : prepared.programme.stages)
        fields.push_back(fieldJson(stage.field));
    const kitchen::Site& site = prepared.programme.last().site;
    json out{{"format", "dynamet-translation-snapshot"},
             {"version", 3},
             {"recipe", json::parse(recipe::recipeJson(r.recipe, r.kitchen))},
             {"composition",
              {{"water", of.water},
               {"protein", of.protein},
               {"fat", of.fat},
               {"carbohydrate", of.carbohydrate},
               {"fibre", of.fibre},
               {"ash", of.ash}}},
             {"spread",
              {{"shape", r.priors.shape},
               {"food_ln", r.priors.foodLn},
               {"moisture_ln", r.priors.moistureLn},
               {"food_way_ln", r.priors.foodWayLn},
               {"way_ln", r.priors.wayLn},
               {"model_ln", r.priors.modelLn},
               {"cook_ln", r.priors.cookLn},
               {"probe_m", r.priors.probeM},
               {"thickness_by", recipe::enumName(r.recipe.piece.thicknessBy)},
               {"start_probed", r.recipe.piece.startProbed}}},
             {"evidence", evidenceJson(prepared.belief)},
             {"stage_fields", fields},
             {"altitude_m", site.altitudeM},
             {"pressure_Pa", pressurePa(site)},
             {"outcome", outcomeJson(prepared.outcome)},
             {"seed", r.seed},
             {"rows", rowsJson(r, rows)}};
    if (r.moved)
        out["moved_stage"] = *r.moved + 1;
    return out;
}

Result<std::vector<KeptRow>> keptRows(const std::string& snapshot) {
    const json from = json::parse(snapshot, nullptr, false);
    if (!from.is_object() || !from.contains("rows") || !from["rows"].is_array())
        return fail(Errc::corruptData, "this is not a kept translation; it was left as it is");
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
