// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/judged.h"

#include "run/unknowns.h"
#include "translate/effects.h"
#include "json/strict_json.h"

#include <algorithm>
#include <cmath>

namespace dynamet::run {
namespace {

using json::StrictJson;
using Json = nlohmann::json;

void put(Json& out, const char* key, const std::optional<double>& value) {
    if (value)
        out[key] = *value;
}
std::optional<double> get(const StrictJson& from, const char* key) {
    return from.has(key) ? std::optional(from.at(key).number()) : std::nullopt;
}

/// When a passage first comes to a core.
double reaches(const Passage& passage, double coreK) {
    for (std::size_t i = 1; i < passage.timeS.size(); ++i)
        if (passage.coreK[i] >= coreK && passage.coreK[i - 1] < coreK)
            return passage.timeS[i - 1] + (passage.timeS[i] - passage.timeS[i - 1]) *
                                              (coreK - passage.coreK[i - 1]) /
                                              (passage.coreK[i] - passage.coreK[i - 1]);
    return INFINITY;
}

/// The last core that was read before it was pulled.
std::optional<CoreReading> lastCore(const Question& question) {
    const Standing stands = standingOf(question.entries);
    std::optional<CoreReading> out;
    const double until = stands.pulled ? stands.pulledS - stands.foodInS : INFINITY;
    constexpr double kAfterS = 30;
    const auto take = [&](const CoreReading& one) {
        if (one.atS > 0 && one.atS <= until + kAfterS && (!out || one.atS >= out->atS))
            out = one;
    };
    for (const CoreReading& one : question.readings)
        take(one);
    for (const Entry& entry : question.entries)
        if (entry.what == What::reading)
            take({entry.atS - stands.foodInS, entry.value, true});
    return out;
}

} // namespace

std::string judgedJson(const Judged& judged) {
    Json out{{"label", judged.label},  {"verdict", judged.verdict},    {"reason", judged.reason},
             {"notes", judged.notes},  {"next_time", judged.nextTime}, {"photos", judged.photos},
             {"scores", Json::array()}};
    put(out, "core_k", judged.coreK);
    put(out, "peak_k", judged.peakK);
    put(out, "raw_kg", judged.rawKg);
    put(out, "served_kg", judged.servedKg);
    put(out, "rim_m", judged.rimM);
    for (const Score& one : judged.scores)
        out["scores"].push_back(
            {{"taster", one.taster}, {"quality", one.quality}, {"points", one.points}});
    return out.dump();
}

Result<Judged> readJudged(const std::string& text) {
    return json::readStrictly(text, [](const StrictJson& from) {
        Judged out;
        out.label = from.textOr("label", "");
        out.verdict = from.textOr("verdict", "");
        out.reason = from.textOr("reason", "");
        out.notes = from.textOr("notes", "");
        out.nextTime = from.textOr("next_time", "");
        out.coreK = get(from, "core_k");
        out.peakK = get(from, "peak_k");
        out.rawKg = get(from, "raw_kg");
        out.servedKg = get(from, "served_kg");
        out.rimM = get(from, "rim_m");
        if (from.has("photos"))
            for (const StrictJson& one : from.at("photos").list())
                out.photos.push_back(one.text());
        if (from.has("scores"))
            for (const StrictJson& one : from.at("scores").list())
                out.scores.push_back(
                    {one.at("taster").text(), one.at("quality").text(), one.at("points").number()});
        return out;
    });
}

std::vector<ScoreSum> sumsOf(const std::vector<Score>& scores) {
    std::vector<ScoreSum> out;
    for (const Score& one : scores)
        if (std::none_of(out.begin(), out.end(),
                         [&](const auto& sum) { return sum.quality == one.quality; }))
            out.push_back({one.quality, 0, NAN, 0});
    for (ScoreSum& sum : out) {
        double squares = 0;
        for (const Score& one : scores)
            if (one.quality == sum.quality) {
                sum.mean += one.points;
                squares += one.points * one.points;
                ++sum.tasters;
            }
        sum.mean /= sum.tasters;
        if (sum.tasters > 1)
            sum.spread = std::sqrt(
                std::max(0.0, (squares - sum.tasters * sum.mean * sum.mean) / (sum.tasters - 1)));
    }
    return out;
}

std::optional<double> coreAtPull(const std::vector<Entry>& entries,
                                 const std::vector<CoreReading>& readings) {
    constexpr double kNearS = 180;
    const Standing stands = standingOf(entries);
    if (!stands.pulled)
        return std::nullopt;
    const double pulled = stands.pulledS - stands.foodInS;
    std::optional<double> out;
    double nearest = kNearS;
    const auto take = [&](double atS, double kelvin) {
        if (std::abs(atS - pulled) <= nearest) {
            nearest = std::abs(atS - pulled);
            out = kelvin;
        }
    };
    for (const CoreReading& one : readings)
        take(one.atS, one.kelvin);
    for (const Entry& entry : entries)
        if (entry.what == What::reading)
            take(entry.atS - stands.foodInS, entry.value);
    return out;
}

Result<double> lengthInPhoto(PhotoPoint a, PhotoPoint b, PhotoPoint scaleA, PhotoPoint scaleB,
                             double scaleM) {
    const double known = std::hypot(scaleB.x - scaleA.x, scaleB.y - scaleA.y);
    if (!(known >= 1) || !(scaleM > 0))
        return fail(Errc::invalidArgument, "mark both ends of a length that you know first");
    return std::hypot(b.x - a.x, b.y - a.y) / known * scaleM;
}

Result<Told> toldBy(const Question& asked, const std::string& cookId, const std::stop_token& stop) {
    const auto read = lastCore(asked);
    if (!read)
        return fail(Errc::notFound, "no core was read before it was pulled");
    const recipe::Recipe& recipe = asked.planned.recipe;
    const double goalK = asked.planned.pullK > 0 ? asked.planned.pullK : recipe.goal.coreK;
    constexpr double kFarEnough = 0.6; // of the way to the pull: before that a core hardly moves
    if (read->kelvin < recipe.piece.startK + kFarEnough * (goalK - recipe.piece.startK))
        return fail(Errc::refused, "the last core was read too early to tell anything");
    Question question = asked;
    question.request.belief = {};
    const auto course =
        courseOf(question.request, question.planned, question.entries, question.nowS);
    if (!course)
        return tl::unexpected(course.error());
    Course open = *course; // it goes on until that core, however long that takes
    open.pulled = false;
    open.programme.stages.resize(course->stage + 1);
    open.programme.last().written.end = {};
    open.pullK = read->kelvin + 3;
    open.nowS = 0;
    open.begun = false;
    const recipe::FoodPiece& piece = question.planned.recipe.piece;
    const auto spread = translate::spreadOf(question.request.priors, piece);
    const auto inputs = translate::inputsOf(open.programme, spread, piece);
    const auto tables = [&](const recipe::FoodPiece& of) {
        auto out = cook::tablesFor(of.food, pressurePa(open.programme.last().site));
        out.stop = stop;
        return out;
    };
    const auto timeOf = [&](std::size_t which, double sd) {
        std::vector<double> z(inputs.size(), 0.0);
        if (sd != 0)
            z[which] = sd;
        auto off = translate::deviated(piece, open.programme, inputs, z);
        Course moved = open;
        moved.programme = std::move(off.programme);
        const auto passage = pass(off.piece, moved, kForecastEffort, tables(off.piece));
        return passage ? reaches(*passage, read->kelvin) : INFINITY;
    };
    Told out;
    out.coreK = read->kelvin;
    out.tookS = read->atS;
    out.expectedS = timeOf(0, 0);
    if (stop.stop_requested())
        return fail(Errc::refused, "stopped");
    if (!std::isfinite(out.expectedS))
        return fail(Errc::refused, "as it is believed now, this cook would not have come there");
    std::vector<double> slopes;
    for (std::size_t i = 0; i < inputs.size(); ++i) {
        double slope = std::log(timeOf(i, 1) / out.expectedS);
        if (!std::isfinite(slope))
            slope = -std::log(timeOf(i, -1) / out.expectedS);
        slopes.push_back(std::isfinite(slope) ? slope : 0);
    }
    translate::Request named = question.request;
    named.recipe = question.planned.recipe;
    const auto names = translate::namesOf(named, open.programme, cookId);
    out.blocks = translate::blocksOf(inputs, translate::correlationsOf(inputs, open.programme));
    out.observation.id = "cook:" + cookId;
    out.observation.effects = translate::effectsOf(inputs, slopes, spread, names, piece, out.tookS);
    out.observation.lnDifference = std::log(out.tookS / out.expectedS);
    // A core that is read to 0.7 K, and what a hurried hand writes a minute late.
    constexpr double kReadK = 0.7, kLateS = 30;
    const double later = [&] {
        Course moved = open;
        const auto passage = pass(piece, moved, kForecastEffort, tables(piece));
        return passage ? reaches(*passage, std::min(read->kelvin + kReadK, open.pullK - 0.1))
                       : out.expectedS;
    }();
    out.observation.u = std::hypot((later - out.expectedS) / out.expectedS,
                                   (read->typed ? kLateS : 1) / std::max(60.0, out.tookS));
    return out;
}

std::string toldJson(const Told& told) {
    Json out{{"took_s", told.tookS},          {"expected_s", told.expectedS},
             {"core_k", told.coreK},          {"id", told.observation.id},
             {"says", told.observation.says}, {"ln_difference", told.observation.lnDifference},
             {"u", told.observation.u},       {"effects", Json::array()},
             {"blocks", Json::array()}};
    for (const evidence::Effect& one : told.observation.effects)
        out["effects"].push_back(
            {{"unknown", one.unknown}, {"ln_time", one.lnTime}, {"says", one.says}});
    for (const evidence::Block& one : told.blocks)
        out["blocks"].push_back({{"unknowns", one.unknowns}, {"correlations", one.correlations}});
    return out.dump();
}

Result<Told> readTold(const std::string& text) {
    return json::readStrictly(text, [](const StrictJson& from) {
        Told out;
        out.tookS = from.at("took_s").number();
        out.expectedS = from.at("expected_s").number();
        out.coreK = from.at("core_k").number();
        out.observation.id = from.at("id").text();
        out.observation.says = from.textOr("says", "");
        out.observation.lnDifference = from.at("ln_difference").number();
        out.observation.u = from.at("u").number();
        for (const StrictJson& one : from.at("effects").list())
            out.observation.effects.push_back(
                {one.at("unknown").text(), one.at("ln_time").number(), one.textOr("says", "")});
        for (const StrictJson& one : from.at("blocks").list()) {
            evidence::Block block;
            for (const StrictJson& name : one.at("unknowns").list())
                block.unknowns.push_back(name.text());
            for (const StrictJson& value : one.at("correlations").list())
                block.correlations.push_back(value.number());
            out.blocks.push_back(std::move(block));
        }
        return out;
    });
}

void fieldsAreItsOwn(Told& told, const std::string& heatPrefix, const std::string& cookId) {
    const std::string field = "field:" + heatPrefix;
    const auto own = [&](std::string& name) {
        if (name.starts_with(field))
            name = "old field of " + cookId + name.substr(5);
    };
    for (evidence::Effect& one : told.observation.effects)
        own(one.unknown);
    for (evidence::Block& block : told.blocks)
        for (std::string& name : block.unknowns)
            own(name);
}

} // namespace dynamet::run
