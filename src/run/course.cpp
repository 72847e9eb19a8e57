// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/course.h"

#include "kitchen/coals_added.h"
#include "kitchen/open_lid.h"
#include "recipe/recipe_json.h"
#include "translate/programmes.h"
#include "json/strict_json.h"

#include <algorithm>
#include <cmath>

namespace dynamet::run {
namespace {

using recipe::Move;
using Json = nlohmann::json;
using json::StrictJson;

/// A turn that was planned "at half of the time" has its moment once the row is solved.
void fixTurns(std::vector<recipe::Stage>& stages, const cook::Outcome& outcome) {
    const auto fix = [](recipe::Stage& stage, double startS, double turnS) {
        auto& turning = stage.handling.turning;
        const bool halfway =
            turning.when == recipe::TurnWhen::asUsual || turning.when == recipe::TurnWhen::half;
        if (halfway && std::isfinite(turnS) && turnS > startS)
            turning = {recipe::TurnWhen::after, turnS - startS, 0};
    };
    for (std::size_t i = 0; i + 1 < stages.size() && i < outcome.stages.size(); ++i)
        fix(stages[i], outcome.stages[i].startS, outcome.stages[i].turnS);
    fix(stages.back(), outcome.lastStartS, outcome.turnS);
}

/// What was done in a stage, as steps of it; `untilS` is its end or now. Counted from its start.
class StageSteps {
  public:
    StageSteps(const translate::Request& request, recipe::Stage& stage, double beganS,
               double untilS)
        : kitchen_(request.kitchen), stage_(stage), beganS_(beganS), untilS_(untilS),
          on_(findAppliance(kitchen_, stage.place.applianceId)), set_(stage.place.setting) {}

    void take(const Entry& entry) {
        const double at = entry.atS - beganS_;
        switch (entry.what) {
        case What::turned:
            if (!handTurned_ && stage_.handling.turning.when != recipe::TurnWhen::every)
                stage_.handling.turning = {recipe::TurnWhen::never, 0, 0};
            handTurned_ = true;
            if (stage_.handling.turning.when != recipe::TurnWhen::every)
                add(Move::turnOver, at);
            break;
        case What::opened:
            open(at, entry.value);
            break;
        case What::shut:
            close(openAt_, at);
            break;
        case What::moved:
            add(Move::toZone, at).zone = entry.words;
            break;
        case What::setTo:
            if (on_)
                if (const auto setting = kitchen::parseSetting(on_->controls, entry.words))
                    setTo(at, *setting);
            break;
        case What::coals:
            if (on_)
                setTo(at, withCoalsAdded(*on_, set_, at - setAtS_,
                                         static_cast<int>(std::lround(entry.value)),
                                         placeOf(kitchen_, *on_, stage_.place.zone).site));
            break;
        case What::basted:
            add(Move::baste, at).forS = kBastesS;
            break;
        case What::covered:
            add(Move::cover, at).cover = recipe::coverOf(entry.words).value_or(recipe::Cover::foil);
            break;
        case What::uncovered:
            add(Move::uncover, at);
            break;
        case What::paused:
            close(awayAt_, at);
            awayAt_ = &add(Move::offHeat, at) - stage_.handling.steps.data();
            stage_.handling.steps.back().forS = std::max(1.0, untilS_ - entry.atS);
            break;
        case What::resumed:
            close(awayAt_, at);
            break;
        default:
            break;
        }
    }

    void finish() {
        std::stable_sort(stage_.handling.steps.begin(), stage_.handling.steps.end(),
                         [](const auto& a, const auto& b) { return a.atS < b.atS; });
    }

  private:
    static constexpr double kBastesS = 60;
    recipe::Step& add(Move move, double at) {
        stage_.handling.steps.push_back({move, std::max(0.1, at)});
        return stage_.handling.steps.back();
    }
    void setTo(double at, const kitchen::Setting& setting) {
        add(Move::setTo, at).setting = setting;
        set_ = setting;
        setAtS_ = at;
    }
    void open(double at, double forS) {
        const bool lid = on_ && kitchen::hasLid(on_->kind);
        recipe::Step& step = add(lid ? Move::openLid : Move::openDoor, at);
        step.forS = forS > 0 ? forS : std::max(1.0, untilS_ - beganS_ - at);
        if (forS <= 0)
            openAt_ = &step - stage_.handling.steps.data();
    }
    void close(std::optional<std::ptrdiff_t>& which, double at) {
        if (which) {
            recipe::Step& step = stage_.handling.steps[static_cast<std::size_t>(*which)];
            step.forS = std::max(1.0, at - step.atS);
        }
        which.reset();
    }
    const kitchen::Kitchen& kitchen_;
    recipe::Stage& stage_;
    double beganS_, untilS_;
    const kitchen::Appliance* on_;
    kitchen::Setting set_; ///< as it is now, and since when
    double setAtS_ = 0;
    bool handTurned_ = false;
    std::optional<std::ptrdiff_t> openAt_, awayAt_;
};

/// When each stage that began did, and when it was left.
struct Times {
    std::vector<double> began, left;
};
Times timesOf(const std::vector<Entry>& entries, std::size_t stages) {
    Times out{std::vector<double>(stages, NAN), std::vector<double>(stages, NAN)};
    std::size_t at = 0;
    for (const Entry& entry : entries) {
        if (entry.what == What::foodIn)
            out.began[0] = entry.atS;
        if (entry.what == What::stageLeft)
            out.left[at] = entry.atS;
        if (entry.what == What::stageOn) {
            const auto to = static_cast<std::size_t>(std::max(0.0, entry.value));
            if (to >= stages || to <= at)
                continue;
            for (std::size_t s = at; s < to; ++s) { // a stage that nobody marked took no time
                if (std::isnan(out.left[s]))
                    out.left[s] = entry.atS;
                if (std::isnan(out.began[s]))
                    out.began[s] = entry.atS;
            }
            at = to;
            out.began[at] = entry.atS;
        }
        if (entry.what == What::pulled)
            out.left[at] = entry.atS;
    }
    return out;
}

} // namespace

PlannedCook plannedOf(const translate::Prepared& prepared, const translate::Row& row) {
    PlannedCook out;
    out.recipe = prepared.request.recipe;
    out.recipe.stages = stagesOf(prepared.request, row);
    fixTurns(out.recipe.stages, row.outcome);
    out.byProbe = row.instruction.byProbe;
    const std::size_t last = out.recipe.stages.size() - 1;
    out.watched = row.watched.value_or(last);
    out.pullK = row.watched ? row.instruction.pullK : 0;
    // A last stage that nothing ends takes as long as the row says.
    auto& end = out.recipe.last().end;
    if (end.byGoal() && (!row.watched || !out.byProbe))
        end.afterS = row.outcome.pullS - row.outcome.lastStartS;
    if (out.watched < last)
        out.recipe.stages[out.watched].end.coreK = out.pullK;
    const double endS = out.watched < row.outcome.stages.size()
                            ? row.outcome.stages[out.watched].endS
                            : row.outcome.pullS;
    out.lookS = out.expectS = endS;
    if (row.window) {
        out.lookS = row.window->lookS;
        out.expectS = row.window->expectS;
        out.latestS = row.window->latestS;
        out.lnSd = row.window->lnSd;
    }
    out.peakK = row.outcome.peakK;
    out.darker = row.outcome.darker();
    out.paler = row.outcome.paler();
    return out;
}

std::string plannedJson(const PlannedCook& planned, const kitchen::Kitchen& kitchen) {
    Json out{{"format", "dynamet-planned-cook"},
             {"version", 1},
             {"recipe", Json::parse(recipeJson(planned.recipe, kitchen))},
             {"by_probe", planned.byProbe},
             {"pull_k", planned.pullK},
             {"watched", planned.watched},
             {"look_s", planned.lookS},
             {"expect_s", planned.expectS},
             {"peak_k", planned.peakK},
             {"darker", planned.darker},
             {"paler", planned.paler},
             {"ln_sd", planned.lnSd}};
    out["recipe"]["id"] = planned.recipe.id;
    if (planned.latestS)
        out["latest_s"] = *planned.latestS;
    return out.dump();
}

Result<PlannedCook> readPlanned(const std::string& text, const kitchen::Kitchen& kitchen) {
    std::string recipeText, recipeId;
    auto out = json::readStrictly(text, [&](const StrictJson& from) {
        PlannedCook planned;
        Json recipe = from.at("recipe").json();
        recipeId = from.at("recipe").textOr("id", "");
        recipe.erase("id");
        recipeText = recipe.dump();
        planned.byProbe = from.booleanOr("by_probe", true);
        planned.pullK = from.numberOr("pull_k", 0);
        planned.watched = static_cast<std::size_t>(std::max(0.0, from.numberOr("watched", 0)));
        planned.lookS = from.numberOr("look_s", 0);
        planned.expectS = from.numberOr("expect_s", 0);
        if (from.has("latest_s"))
            planned.latestS = from.at("latest_s").number();
        planned.peakK = from.numberOr("peak_k", 0);
        planned.darker = from.numberOr("darker", 0);
        planned.paler = from.numberOr("paler", 0);
        planned.lnSd = from.numberOr("ln_sd", planned.lnSd);
        return planned;
    });
    if (!out)
        return out;
    auto recipe = recipe::readRecipe(recipeText, kitchen);
    if (!recipe)
        return tl::unexpected(recipe.error());
    out->recipe = std::move(*recipe);
    out->recipe.id = recipeId;
    out->watched = std::min(out->watched, out->recipe.stages.size() - 1);
    return out;
}

PlannedCook asChanged(PlannedCook planned, const std::vector<Entry>& entries) {
    auto& stages = planned.recipe.stages;
    const Standing stands = standingOf(entries);
    const auto endAfter = [&](std::size_t kept) {
        if (kept == 0 || kept >= stages.size())
            return;
        stages.resize(kept);
        planned.watched = kept - 1;
        if (stages.back().end.coreK) { // from now on it is the goal's
            planned.pullK = *stages.back().end.coreK;
            stages.back().end = {};
        }
    };
    for (const Entry& entry : entries)
        if (entry.what == What::leftOut)
            endAfter(static_cast<std::size_t>(std::max(0.0, entry.value)));
    if (stands.pulled) // out of the heat: what was to come does not
        endAfter(stands.stage + 1);
    for (const Entry& entry : entries)
        if (entry.what == What::lasts && entry.value > 0)
            planned.recipe.last().end = {entry.value, std::nullopt};
    for (const Entry& entry : entries)
        if (entry.what == What::pullAt && entry.value > 0)
            planned.pullK = entry.value;
    return planned;
}

Result<Course> courseOf(const translate::Request& request, const PlannedCook& asPlanned,
                        const std::vector<Entry>& entries, double nowS) {
    Course out;
    const PlannedCook planned = asChanged(asPlanned, entries);
    const Standing stands = standingOf(entries);
    std::vector<recipe::Stage> stages = planned.recipe.stages;
    const Times times = timesOf(entries, stages.size());
    out.begun = stands.begun;
    out.pulled = stands.pulled;
    out.stage = std::min(stands.stage, stages.size() - 1);
    out.nowS = stands.begun ? std::max(0.0, nowS - stands.foodInS) : 0;
    out.pulledS = stands.pulled ? stands.pulledS - stands.foodInS : 0;
    for (std::size_t s = 0; s < stages.size(); ++s) {
        recipe::Stage& stage = stages[s];
        if (std::isnan(times.began[s]))
            continue;
        const double until = std::isnan(times.left[s]) ? nowS : times.left[s];
        StageSteps steps(request, stage, times.began[s], until);
        for (const Entry& entry : entries)
            if (entry.atS >= times.began[s] && entry.atS <= until)
                steps.take(entry);
        steps.finish();
        if (!std::isnan(times.left[s]))
            stage.end = {std::max(1.0, until - times.began[s]), std::nullopt};
        const bool over = !std::isnan(times.left[s]) && s + 1 < stages.size();
        if (over) // it waits as long as it did, or so far
            stage.waitS = std::max(
                0.0, (std::isnan(times.began[s + 1]) ? std::max(nowS, until) : times.began[s + 1]) -
                         until);
    }
    translate::Request asked = request;
    asked.recipe = planned.recipe;
    auto programme = programmeOfStages(asked, stages);
    if (!programme)
        return tl::unexpected(programme.error());
    out.programme = std::move(*programme);
    out.pullK = stages.back().end.byGoal() ? planned.pullK : 0;
    return out;
}

} // namespace dynamet::run
