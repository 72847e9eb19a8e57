// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "practice/practice_case.h"

#include "food/seasoning.h"

#include <cmath>
#include <limits>

namespace practice {
namespace {

using namespace dynamet;
using kitchen::Face;
using kitchen::Term;
using nlohmann::json;

/// A number, or [[seconds, °C], …] as a number that changes.
void putTemperature(kitchen::HeatField& field, Face face, Term term, const json& value) {
    if (value.is_number()) {
        put(field, {{face, term}, value.get<double>() + kZeroCelsiusK});
        return;
    }
    const double first = value.at(0).at(1).get<double>();
    put(field, {{face, term}, first + kZeroCelsiusK});
    kitchen::FieldCurve curve{{face, term}, {}, {}, ""};
    for (const json& point : value) {
        curve.timeS.push_back(point.at(0).get<double>());
        curve.change.push_back(point.at(1).get<double>() - first);
    }
    field.curves.push_back(curve);
}

void putFace(kitchen::HeatField& field, Face face, const json& from) {
    for (const auto& [key, term] : {std::pair{"air_C", Term::air},
                                    {"radiant_C", Term::radiant},
                                    {"plate_C", Term::plate},
                                    {"plate_set_C", Term::plateSet},
                                    {"liquid_C", Term::liquid}})
        if (from.contains(key))
            putTemperature(field, face, term, from.at(key));
    for (const auto& [key, term] : {std::pair{"h", Term::hAir},
                                    {"view", Term::view},
                                    {"vapour_Pa", Term::vapour},
                                    {"contact", Term::contact},
                                    {"capacity", Term::plateHeatCapacity},
                                    {"flux", Term::plateFlux},
                                    {"loss", Term::plateLoss},
                                    {"h_liquid", Term::hLiquid}})
        if (from.contains(key))
            put(field, {{face, term}, from.at(key).get<double>()});
}

kitchen::HeatField fieldOf(const json& stage) {
    kitchen::HeatField field;
    for (const auto& [key, face] :
         {std::pair{"all", Face::all}, {"top", Face::top}, {"bottom", Face::bottom}})
        if (stage.contains(key))
            putFace(field, face, stage.at(key));
    return field;
}

kitchen::Site siteOf(const json& stage) {
    kitchen::Site site;
    if (stage.contains("bottom") && stage.at("bottom").contains("ambient_C"))
        site.ambient = Temperature::celsius(stage.at("bottom").at("ambient_C").get<double>());
    return site;
}

double seconds(const json& stage, const char* key) {
    return 60 * stage.value(key, 0.0);
}

cook::Turning turningOf(const json& stage) {
    return stage.value("turn", "") == "once" ? cook::Turning::once : cook::Turning::never;
}

} // namespace

Case caseOf(const json& fact) {
    Case out;
    const json& piece = fact.at("piece");
    out.piece.food = food::findFood(piece.at("food").get<std::string>()).value();
    out.piece.shape = heat::shapeOf(piece.at("shape").get<std::string>()).value();
    out.piece.thicknessM = piece.at("thickness_mm").get<double>() / 1000;
    out.piece.widthM = piece.at("width_mm").get<double>() / 1000;
    out.piece.startK = piece.at("start_C").get<double>() + kZeroCelsiusK;
    if (piece.contains("surface"))
        out.piece.surface = *recipe::surfaceOf(piece.at("surface").get<std::string>());
    const json& stages = fact.at("stages");
    for (std::size_t i = 0; i + 1 < stages.size(); ++i) {
        const json& from = stages[i];
        cook::Stage stage;
        stage.field = fieldOf(from);
        stage.site = siteOf(from);
        stage.turning = turningOf(from);
        stage.written.end.afterS = seconds(from, "minutes");
        if (from.contains("to_C"))
            stage.written.end.coreK = from.at("to_C").get<double>() + kZeroCelsiusK;
        if (stages[i + 1].value("turned", false)) { // laid over as the next stage begins
            stage.turning = cook::Turning::once;
            stage.turnAtS = stage.written.end.afterS - 0.5;
        }
        stage.written.waitS = seconds(from, "wait_min");
        stage.written.waitTented = from.value("wait_tented", false);
        out.fixedS += stage.written.end.afterS + stage.written.waitS;
        out.programme.stages.insert(out.programme.stages.end() - 1, stage);
    }
    const json& last = stages.back();
    out.programme.last().field = fieldOf(last);
    out.programme.last().turning = turningOf(last);
    out.programme.longestS = 12 * 3600;
    out.fixedS = last.contains("minutes") ? out.fixedS + seconds(last, "minutes") : 0;
    if (last.contains("to_C"))
        out.pullAtK = last.at("to_C").get<double>() + kZeroCelsiusK;
    out.programme.rest.onBoard = fact.contains("rest") && fact.at("rest").value("on_board", false);
    // What a plate loses to may be the oven around it; the rest is in an ordinary kitchen.
    if (last.contains("bottom") && last.at("bottom").contains("ambient_C")) {
        cook::Stage stage;
        stage.field = out.programme.last().field;
        stage.site = siteOf(last);
        stage.turning = out.programme.last().turning;
        stage.written.end.afterS = seconds(last, "minutes");
        out.programme.stages.insert(out.programme.stages.end() - 1, stage);
    }
    return out;
}

namespace {

double predictedAlone(const json& fact) {
    Case c = caseOf(fact);
    const json& ask = fact.at("ask");
    const auto tables = cook::tablesFor(c.piece.food, 101325);
    const double never = std::numeric_limits<double>::quiet_NaN();
    const auto kelvin = [&](const char* key) { return ask.at(key).get<double>() + kZeroCelsiusK; };
    if (ask.contains("time_to_C") || ask.contains("last_stage_to_C")) {
        const bool all = ask.contains("time_to_C");
        const auto t =
            cook::timeToReach(c.piece, c.programme, kelvin(all ? "time_to_C" : "last_stage_to_C"),
                              cook::kFull, tables);
        double before = 0;
        for (const cook::Stage& stage : c.programme.beforeLast())
            before += stage.written.end.afterS + stage.written.waitS;
        return t ? (*t - (all ? 0 : before)) / 60 : never;
    }
    if (ask.contains("coldest_at_end"))
        c.programme.rest.shortestS = c.programme.rest.longestS = 0;
    if (ask.contains("core_after_rest_min"))
        c.programme.rest.shortestS = c.programme.rest.longestS =
            60 * ask.at("core_after_rest_min").get<double>();
    Result<cook::Outcome> o = fail(Errc::invalidArgument, "no end");
    if (ask.contains("rim_at_peak_C"))
        o = cook::cookTo(c.piece, c.programme, {kelvin("rim_at_peak_C")}, cook::kFull, tables);
    else if (c.pullAtK > 0)
        o = cook::cookTo(c.piece, c.programme, {c.pullAtK, food::GoalMoment::pull}, cook::kFull,
                         tables);
    else if (c.fixedS > 0)
        o = cook::cookFor(c.piece, c.programme, c.fixedS, cook::kFull, tables);
    else if (ask.contains("rim_at_end") || ask.contains("core_after_rest_min") ||
             ask.contains("rim")) { // a stage that ends by the core, then a fixed one
        c.programme.longestS = 60 * fact.at("stages").back().at("minutes").get<double>();
        const auto first = cook::cookFor(c.piece, c.programme, 0, cook::kFull, tables);
        if (!first)
            return never;
        o = cook::cookFor(c.piece, c.programme, first->pullS + c.programme.longestS, cook::kFull,
                          tables);
    }
    if (!o)
        return never;
    if (ask.contains("coldest_at_end"))
        return o->coldestPeakK - kZeroCelsiusK;
    if (ask.contains("core_at_end"))
        return o->pullK - kZeroCelsiusK;
    if (ask.contains("core_after_rest_min"))
        return o->plateK - kZeroCelsiusK;
    if (ask.contains("browning"))
        return o->darker();
    if (ask.contains("seasoning")) { // its own index: it scorches above 3
        const auto on = food::findSeasoning(ask.at("seasoning").get<std::string>()).value();
        double worst = 0;
        for (std::size_t face = 0; face < 2; ++face)
            worst = std::max(worst, on.ridesProud ? o->raised[face] : o->browning[face]);
        return worst * on.factor;
    }
    if (ask.contains("softened"))
        return o->softened;
    if (ask.contains("rise"))
        return o->peakK - o->pullK;
    if (ask.contains("peak_after_min"))
        return (o->peakS - o->pullS) / 60;
    return 2 * o->rimM / c.piece.thicknessM; // both rims, of the thickness
}

} // namespace

double predicted(const json& fact) {
    const double value = predictedAlone(fact);
    if (!fact.contains("minus"))
        return value;
    json other = fact;
    other.erase("minus");
    other.merge_patch(fact.at("minus"));
    return value - predictedAlone(other);
}

} // namespace practice
