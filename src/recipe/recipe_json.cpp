// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recipe/recipe_json.h"

#include "json/strict_json.h"

#include <fmt/format.h>

namespace dynamet::recipe {
namespace {

using dynamet::json::StrictJson;
using Json = nlohmann::json;

Json jsonOf(const FoodPiece& piece) {
    Json out{{"food", piece.food.id},          {"form", enumName(piece.form)},
             {"shape", enumName(piece.shape)}, {"thickness_m", piece.thicknessM},
             {"width_m", piece.widthM},        {"bone", enumName(piece.bone)},
             {"fat_cap_m", piece.fatCapM},     {"surface", enumName(piece.surface)},
             {"start_k", piece.startK},        {"tempered_s", piece.temperedS},
             {"seasonings", piece.seasonings}, {"fat", piece.fat},
             {"others_m", piece.othersM},      {"rounds", piece.rounds}};
    if (piece.pieces > 1)
        out["pieces"] = piece.pieces;
    if (piece.coversM2 > 0)
        out["covers_m2"] = piece.coversM2;
    if (piece.besideM2 > 0)
        out["beside_m2"] = piece.besideM2;
    if (piece.thicknessBy != KnownBy::eye)
        out["thickness_by"] = enumName(piece.thicknessBy);
    if (piece.startProbed)
        out["start_probed"] = true;
    return out;
}

FoodPiece pieceOf(const StrictJson& from) {
    FoodPiece out;
    const auto food = food::findFood(from.at("food").text());
    if (!food)
        throw Error{Errc::notFound,
                    fmt::format("its food \"{}\" is not known here", from.at("food").text())};
    out.food = *food;
    out.form = food::formOf(from.textOr("form", "")).value_or(out.form);
    out.shape = heat::shapeOf(from.textOr("shape", "")).value_or(out.shape);
    out.thicknessM = from.at("thickness_m").above(0);
    out.widthM = from.numberOr("width_m", out.widthM);
    out.bone = heat::boneOf(from.textOr("bone", "")).value_or(out.bone);
    out.fatCapM = from.numberOr("fat_cap_m", out.fatCapM);
    out.surface = surfaceOf(from.textOr("surface", "")).value_or(out.surface);
    out.startK = from.at("start_k").above(0);
    out.temperedS = from.numberOr("tempered_s", out.temperedS);
    out.fat = from.textOr("fat", "");
    out.rounds = static_cast<int>(std::clamp(from.numberOr("rounds", 1), 1.0, 20.0));
    out.pieces = static_cast<int>(std::clamp(from.numberOr("pieces", 1), 1.0, kMostPieces));
    out.coversM2 = std::clamp(from.numberOr("covers_m2", 0), 0.0, 1.0);
    out.besideM2 = std::clamp(from.numberOr("beside_m2", 0), 0.0, 1.0);
    out.thicknessBy = knownByOf(from.textOr("thickness_by", "")).value_or(KnownBy::eye);
    out.startProbed = from.booleanOr("start_probed", false);
    if (from.has("seasonings"))
        for (const StrictJson& one : from.at("seasonings").list())
            out.seasonings.push_back(one.text());
    if (from.has("others_m"))
        for (const StrictJson& one : from.at("others_m").list())
            out.othersM.push_back(one.above(0));
    return out;
}

Json jsonOf(const Goal& goal) {
    Json out{{"core_k", goal.coreK},
             {"read_at", enumName(goal.readAt)},
             {"band_low_k", goal.bandLowK},
             {"band_high_k", goal.bandHighK},
             {"words", goal.words}};
    for (const food::Quality quality : goal.judgedBy)
        out["judged_by"].push_back(enumName(quality));
    return out;
}

Goal goalOf(const StrictJson& from) {
    Goal out{from.at("core_k").above(0),
             food::goalMomentOf(from.textOr("read_at", "")).value_or(food::GoalMoment::peak),
             from.at("band_low_k").above(0),
             from.at("band_high_k").above(0),
             from.textOr("words", ""),
             {}};
    if (from.has("judged_by"))
        for (const StrictJson& word : from.at("judged_by").list())
            if (const auto quality = food::qualityOf(word.text()))
                out.judgedBy.push_back(*quality);
    return out;
}

Json jsonOf(const Step& step, const kitchen::Appliance* appliance) {
    Json out{{"move", enumName(step.move)}, {"at_s", step.atS}};
    if (step.again)
        out["again"] = true;
    if (step.forS > 0)
        out["for_s"] = step.forS;
    if (step.setting && appliance)
        out["setting"] = settingText(appliance->controls, *step.setting);
    if (!step.zone.empty())
        out["zone"] = step.zone;
    if (step.cover != Cover::none)
        out["cover"] = enumName(step.cover);
    return out;
}

Json jsonOf(const Handling& handling, const kitchen::Appliance* appliance) {
    Json out{{"cover", enumName(handling.cover)},
             {"water_added", handling.waterAdded},
             {"turn",
              {{"when", enumName(handling.turning.when)},
               {"seconds", handling.turning.seconds},
               {"core_k", handling.turning.coreK}}},
             {"steps", Json::array()}};
    for (const Step& step : handling.steps)
        out["steps"].push_back(jsonOf(step, appliance));
    return out;
}

Json jsonOf(const Stage& stage, const kitchen::Kitchen& kitchen) {
    const auto* appliance = findAppliance(kitchen, stage.place.applianceId);
    Json out{{"appliance", stage.place.applianceId},
             {"setting", appliance ? settingText(appliance->controls, stage.place.setting) : ""},
             {"zone", stage.place.zone},
             {"vessel", stage.place.vesselId},
             {"lid_open", stage.place.lidOpen},
             {"insert", stage.place.insertId},
             {"ends_after_s", stage.end.afterS},
             {"edges_down", stage.edgesDown},
             {"wait_s", stage.waitS},
             {"wait_tented", stage.waitTented}};
    if (stage.place.heightM > 0)
        out["grate_height_m"] = stage.place.heightM;
    if (stage.end.coreK)
        out["ends_at_core_k"] = *stage.end.coreK;
    if (!(stage.handling == Handling{}))
        out["handling"] = jsonOf(stage.handling, appliance);
    return out;
}

Place placeOf(const StrictJson& from, const kitchen::Kitchen& kitchen) {
    const auto* appliance = findAppliance(kitchen, from.at("appliance").text());
    if (!appliance)
        throw Error{Errc::notFound, "its appliance was retired: bring that back first"};
    const auto setting = kitchen::parseSetting(appliance->controls, from.at("setting").text());
    if (!setting)
        throw Error{Errc::notFound, fmt::format("{} has no setting \"{}\" any more",
                                                appliance->name, from.at("setting").text())};
    return {appliance->id,
            *setting,
            from.textOr("zone", ""),
            from.textOr("vessel", ""),
            from.booleanOr("lid_open", false),
            from.textOr("insert", ""),
            std::clamp(from.numberOr("grate_height_m", 0), 0.0, 1.0)};
}

/// A word of a newer program is refused: a cook without one of its steps is another cook.
template <class Value>
Value known(const std::optional<Value>& value, const StrictJson& from) {
    if (!value)
        throw from.wrong("is not known to this program");
    return *value;
}

Step stepOf(const StrictJson& from, const kitchen::Appliance& appliance) {
    Step out;
    out.move = known(moveOf(from.at("move").text()), from.at("move"));
    out.atS = from.numberOr("at_s", 0);
    out.again = from.booleanOr("again", false);
    out.forS = from.numberOr("for_s", 0);
    if (out.atS < 0 || out.forS < 0 || (out.again && out.atS <= 0))
        throw from.wrong("should happen at a time from 0 on, again only after some");
    out.zone = from.textOr("zone", "");
    if (from.has("cover"))
        out.cover = known(coverOf(from.at("cover").text()), from.at("cover"));
    if (from.has("setting")) {
        const auto setting = kitchen::parseSetting(appliance.controls, from.at("setting").text());
        if (!setting)
            throw Error{Errc::notFound, fmt::format("{} has no setting \"{}\" any more",
                                                    appliance.name, from.at("setting").text())};
        out.setting = *setting;
    }
    return out;
}

Handling handlingOf(const StrictJson& from, const kitchen::Appliance& appliance) {
    Handling out;
    out.cover = known(coverOf(from.textOr("cover", "none")), from);
    out.waterAdded = from.booleanOr("water_added", false);
    if (from.has("turn")) {
        const StrictJson turn = from.at("turn");
        out.turning.when = known(turnWhenOf(turn.textOr("when", "as_usual")), turn);
        out.turning.seconds = turn.numberOr("seconds", 0);
        out.turning.coreK = turn.numberOr("core_k", 0);
        const bool timed =
            out.turning.when == TurnWhen::after || out.turning.when == TurnWhen::every;
        if (timed && out.turning.seconds <= 0)
            throw turn.wrong("should have seconds above 0");
    }
    if (from.has("steps"))
        for (const StrictJson& step : from.at("steps").list())
            out.steps.push_back(stepOf(step, appliance));
    return out;
}

Stage stageOf(const StrictJson& from, const kitchen::Kitchen& kitchen) {
    Stage out;
    out.place = placeOf(from, kitchen);
    out.end.afterS = from.numberOr("ends_after_s", 0);
    if (from.has("ends_at_core_k"))
        out.end.coreK = from.at("ends_at_core_k").above(0);
    out.edgesDown = from.booleanOr("edges_down", false);
    out.waitS = from.numberOr("wait_s", 0);
    out.waitTented = from.booleanOr("wait_tented", false);
    if (from.has("handling"))
        out.handling =
            handlingOf(from.at("handling"), *findAppliance(kitchen, out.place.applianceId));
    return out;
}

Json jsonOf(const WrittenTime& time) {
    Json out{{"low_s", time.lowS}, {"high_s", time.highS}};
    if (time.setAside)
        out["set_aside"] = true;
    return out;
}

WrittenTime timeOf(const StrictJson& from) {
    WrittenTime out{from.at("low_s").above(0), from.at("high_s").above(0),
                    from.booleanOr("set_aside", false)};
    if (out.highS < out.lowS)
        throw from.at("high_s").wrong("should not be below low_s");
    return out;
}

Json jsonOf(const Correction& correction) {
    Json out{{"begin", correction.begin}, {"text", correction.text}, {"kind", correction.kind}};
    if (correction.low)
        out["low"] = *correction.low;
    if (correction.high)
        out["high"] = *correction.high;
    return out;
}

Correction correctionOf(const StrictJson& from) {
    Correction out;
    out.begin = static_cast<std::size_t>(from.at("begin").atLeast(0));
    out.text = from.at("text").text();
    out.kind = from.textOr("kind", "");
    if (from.has("low"))
        out.low = from.at("low").number();
    if (from.has("high"))
        out.high = from.at("high").number();
    return out;
}

Rest restOf(const StrictJson& from) {
    Rest out;
    out.onBoard = from.booleanOr("on_board", out.onBoard);
    out.tented = from.booleanOr("tented", out.tented);
    out.shortestS = from.numberOr("shortest_s", out.shortestS);
    return out;
}

} // namespace

std::string recipeJson(const Recipe& recipe, const kitchen::Kitchen& kitchen) {
    Json stages = Json::array();
    for (const Stage& stage : recipe.stages)
        stages.push_back(jsonOf(stage, kitchen));
    Json out{{"name", recipe.name},
             {"author", recipe.author},
             {"text", recipe.text},
             {"piece", jsonOf(recipe.piece)},
             {"goal", jsonOf(recipe.goal)},
             {"stages", stages},
             {"rest",
              {{"on_board", recipe.rest.onBoard},
               {"tented", recipe.rest.tented},
               {"shortest_s", recipe.rest.shortestS}}}};
    if (recipe.time.said())
        out["time_written"] = jsonOf(recipe.time);
    for (const Correction& correction : recipe.corrections)
        out["corrections"].push_back(jsonOf(correction));
    return out.dump();
}

Result<Recipe> readRecipe(const std::string& text, const kitchen::Kitchen& kitchen) {
    return dynamet::json::readStrictly(text, [&](const StrictJson& root) {
        Recipe out;
        out.name = root.at("name").text();
        out.author = root.textOr("author", "");
        out.text = root.textOr("text", "");
        out.piece = pieceOf(root.at("piece"));
        out.goal = goalOf(root.at("goal"));
        out.stages.clear();
        for (const StrictJson& one : root.at("stages").list())
            out.stages.push_back(stageOf(one, kitchen));
        if (out.stages.empty())
            throw root.at("stages").wrong("should have at least one stage");
        if (root.has("rest"))
            out.rest = restOf(root.at("rest"));
        if (root.has("time_written"))
            out.time = timeOf(root.at("time_written"));
        if (root.has("corrections"))
            for (const StrictJson& one : root.at("corrections").list())
                out.corrections.push_back(correctionOf(one));
        return out;
    });
}

} // namespace dynamet::recipe
