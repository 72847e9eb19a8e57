// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recipe_text/filled.h"

#include "quantity/parse_duration.h"
#include "recipe/said.h"
#include "recipe_text/piece_said.h"
#include "recipe_text/stage_places.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::recipe_text {
namespace {

using namespace recipe;
using kitchen::Appliance;
using enum BindingKind;

/// A hand's breadth with and without the thumb, m; common practice, no source.
constexpr double kHandM = 0.09;

class Filling {
  public:
    Filling(std::string name, const std::string& text, const ReadWith& with)
        : with_(with), text_(text) {
        out_.recipe.name = std::move(name);
        out_.recipe.text = text;
        out_.recipe.corrections = with.corrections;
        out_.bindings = corrected(bindingsIn(text, with.scale), text, with.corrections);
        out_.recipe.stages.clear();
    }

    Result<Filled> fill() {
        PieceSaid said = pieceSaid(out_.recipe.name, text_, out_.bindings);
        out_.recipe.piece = std::move(said.piece);
        out_.asked = std::move(said.asked);
        weightKg_ = said.weightKg;
        for (std::size_t i = 0; i < out_.bindings.size(); ++i)
            if (const auto done = take(i); !done)
                return tl::unexpected(done.error());
        if (out_.recipe.stages.empty())
            if (const auto begun = begin(out_.bindings.size()); !begun)
                return tl::unexpected(begun.error());
        settleEnds();
        askForTheRest();
        return std::move(out_);
    }

  private:
    Stage& stage() { return out_.recipe.stages.back(); }
    const Appliance& on() const {
        return *findAppliance(*with_.kitchen, out_.recipe.stages.back().place.applianceId);
    }
    void ask(Asked::What what, std::string question, std::string taken) {
        out_.asked.push_back({what, std::move(question), std::move(taken)});
    }
    void bind(std::size_t binding, Part part, double share = 1) {
        out_.bound.push_back({binding, out_.recipe.stages.size() - 1, part, share});
    }

    /// A new stage for the words at a binding.
    Result<void> begin(std::size_t at) {
        const std::size_t place = at < out_.bindings.size() ? out_.bindings[at].begin : 0;
        if (resting_ && !out_.recipe.stages.empty()) { // it stood between two heats
            stage().waitS = out_.recipe.rest.shortestS;
            stage().waitTented = out_.recipe.rest.tented;
            out_.recipe.rest = {};
            resting_ = false;
        }
        const Stage* before = out_.recipe.stages.empty() ? nullptr : &out_.recipe.stages.back();
        auto made =
            placeSaid(text_, place, at < out_.bindings.size() ? &out_.bindings[at] : nullptr,
                      before ? &before->place : nullptr, *with_.kitchen, with_.applianceId);
        if (!made)
            return tl::unexpected(made.error());
        Stage next;
        next.place = made->place;
        out_.recipe.stages.push_back(next);
        if (made->guessed && out_.recipe.stages.size() == 1)
            ask(Asked::What::appliance, "Which appliance was it written for?", on().name);
        heated_ = false;
        return {};
    }

    bool hasEnd() {
        return !out_.recipe.stages.empty() && (stage().end.afterS > 0 || stage().end.coreK);
    }

    Result<void> take(std::size_t i) {
        const Binding& b = out_.bindings[i];
        switch (b.kind) {
        case temperature:
        case level:
            return takeHeat(i);
        case duration:
            return takeTime(i);
        case core:
            return takeCore(i);
        default:
            break;
        }
        if (out_.recipe.stages.empty()) {
            early_.push_back(i);
            return {};
        }
        takeOther(i);
        return {};
    }

    Result<void> takeHeat(std::size_t i) {
        const Binding& b = out_.bindings[i];
        // "200 °C (180 °C fan) / 400 °F / gas 6": one heat.
        const bool same = i > 0 && lastHeat_ == i - 1 && sameHeat(text_, out_.bindings[i - 1], b);
        if (same) {
            lastHeat_ = i;
            bind(i, Part::heat);
            const bool fanOven = on().kind == kitchen::ApplianceKind::fanOven ||
                                 on().kind == kitchen::ApplianceKind::airFryer;
            if (b.low && b.fan && fanOven)
                setDial(on(), stage().place.setting, Temperature::kelvin(middleOf(b)));
            return {};
        }
        if (isPanAndFlame(i)) { // "the pan comes to 220 °C; flame at medium"
            const auto there =
                placeSaid(text_, b.begin, &b, &stage().place, *with_.kitchen, with_.applianceId);
            if (there && there->place.applianceId != stage().place.applianceId) {
                const Binding& first = out_.bindings[*lastHeat_];
                stage().place = there->place;
                setHeatSaid(on(), stage().place.setting, first);
            }
        } else if (out_.recipe.stages.empty() || heated_ || hasEnd()) {
            if (const auto begun = begin(i); !begun)
                return begun;
        }
        if (!setHeatSaid(on(), stage().place.setting, b))
            ask(Asked::What::heat,
                fmt::format("{} has no such setting as “{}”: which one is it?", on().name, b.text),
                settingLabel(on().controls, stage().place.setting));
        heated_ = true;
        lastHeat_ = i;
        bind(i, Part::heat);
        takeEarly();
        return {};
    }

    /// On a hob a temperature is the pan's and a level the flame's: both are of one stage.
    bool isPanAndFlame(std::size_t i) {
        return !out_.recipe.stages.empty() && heated_ && !hasEnd() && kitchen::isHob(on().kind) &&
               lastHeat_ && out_.bindings[*lastHeat_].kind != out_.bindings[i].kind;
    }

    void takeEarly() {
        for (const std::size_t i : early_)
            takeOther(i);
        early_.clear();
    }

    double secondsOf(const Binding& b) const {
        if (b.perWeight)
            return weightKg_ ? b.perWeight->sPerKg * *weightKg_ + b.perWeight->overS : 0;
        return b.low ? middleOf(b) * (b.perSide ? 2 : 1) : 0;
    }

    Result<void> takeTime(std::size_t i) {
        const Binding& b = out_.bindings[i];
        if (preheats(text_, b))
            return {};
        const double s = secondsOf(b);
        if (b.perWeight && s <= 0) {
            ask(Asked::What::until, fmt::format("How heavy is it? “{}” needs a weight.", b.text),
                "the goal decides");
            return {};
        }
        if (out_.recipe.stages.empty())
            if (const auto begun = begin(i); !begun)
                return begun;
        takeEarly();
        const bool behindCore = stage().end.coreK.has_value();
        if (behindCore && !sameSentence(i)) // the next thing that is done
            if (const auto begun = begin(i); !begun)
                return begun;
        const bool written = behindCore && sameSentence(i); // "until 52 °C, about 40 minutes"
        bind(i, written ? Part::writtenTime : Part::time);
        spans_.resize(out_.recipe.stages.size());
        const double side = b.perSide ? 2 : 1;
        spans_.back().first += b.low ? *b.low * side : s;
        spans_.back().second += b.high ? *b.high * side : s;
        if (written)
            return {};
        if (b.perSide) {
            stage().handling.turning = {TurnWhen::half, 0, 0};
        } else if (stage().end.afterS > 0 && turned_) {
            stage().handling.turning = {TurnWhen::after, stage().end.afterS, 0};
            turned_ = false;
        }
        stage().end.afterS += s;
        return {};
    }

    /// Does a sentence hold both the core that ends the stage and this?
    bool sameSentence(std::size_t i) const {
        for (std::size_t k = i; k-- > 0;)
            if (out_.bindings[k].kind == core)
                return text_
                           .substr(out_.bindings[k].end,
                                   out_.bindings[i].begin - out_.bindings[k].end)
                           .find(". ") == std::string::npos;
        return false;
    }

    Result<void> takeCore(std::size_t i) {
        if (out_.recipe.stages.empty())
            if (const auto begun = begin(i); !begun)
                return begun;
        takeEarly();
        const Binding& b = out_.bindings[i];
        if (!b.low)
            return {};
        if (isAfterRest(text_, b)) { // "65 °C at its heart after resting"
            goal_ = middleOf(b);
            goalAt_ = food::GoalMoment::peak;
            if (stage().end.afterS > 0)
                stage().end.coreK.reset();
            bind(i, Part::goalCore);
            return {};
        }
        if (stage().end.coreK) { // "pull at 52 °C; it will rise to 55 °C"
            goal_ = middleOf(b);
            goalAt_ = food::GoalMoment::peak;
            bind(i, Part::goalCore);
            return {};
        }
        stage().end.coreK = middleOf(b);
        coreBand_ = {*b.low, *b.high};
        bind(i, Part::endCore);
        return {};
    }

    void takeOther(std::size_t i) {
        const Binding& b = out_.bindings[i];
        const std::string words = smallLetters(b.text);
        const auto has = [&](const char* part) { return words.find(part) != std::string::npos; };
        Handling& handling = stage().handling;
        switch (b.kind) {
        case rest:
            if (b.low)
                out_.recipe.rest.shortestS = middleOf(b);
            resting_ = true;
            bind(i, Part::rest);
            break;
        case turn:
            turned_ = true;
            if (b.low && *b.low >= 5)
                handling.turning = {TurnWhen::every, *b.low, 0};
            else if (has("once") || has("half"))
                handling.turning = {TurnWhen::half, 0, 0};
            bind(i, Part::turn);
            break;
        case lid:
            takeLid(has);
            break;
        case cover:
            if (resting_ || isOfRest(text_, b))
                out_.recipe.rest.tented = true;
            else if (!has("remove") && !has("unwrap") && !has("take off") && !has("paper"))
                handling.cover = Cover::foil;
            break;
        case zone: {
            const std::string there = zoneOf(on(), words, stage().place.zone);
            if (there != stage().place.zone && hasEnd()) { // "then move them to the cool side"
                Stage next;
                next.place = stage().place;
                out_.recipe.stages.push_back(next);
                turned_ = false;
            }
            stage().place.zone = there;
            break;
        }
        case height:
            if (groupOf(on().kind) == kitchen::HeatGroup::coalsAndFlame)
                stage().place.heightM = b.low ? middleOf(b) : kHandM;
            break;
        case doneness:
            takeDoneness(words);
            break;
        default:
            break;
        }
    }

    template <class Has>
    void takeLid(const Has& has) {
        const bool open = has("off") || has("open") || has("uncover") || has("lift") ||
                          has("remove") || has("raise") || has("up");
        const bool ofGrill = groupOf(on().kind) == kitchen::HeatGroup::coalsAndFlame;
        if (ofGrill)
            stage().place.lidOpen = open;
        else if (kitchen::isHob(on().kind) || !stage().place.vesselId.empty())
            stage().handling.cover = open ? Cover::none : Cover::lid;
    }

    void takeDoneness(const std::string& words) {
        for (const food::DonenessScale& scale : with_.scales)
            for (const food::DonenessLevel& one :
                 levelsOf(scale, out_.recipe.piece.food.foodClass)) {
                std::string plain = words;
                std::replace(plain.begin(), plain.end(), '-', ' ');
                if (plain.find(one.name) == std::string::npos || one.name.size() < level_.size())
                    continue;
                level_ = one.name;
                goalByLevel_ = goalOf(scale, one);
            }
    }

    /// Which core is the goal, and what a time beside it says.
    void settleEnds() {
        Recipe& r = out_.recipe;
        Stage& last = r.stages.back();
        for (std::size_t i = 0; i + 1 < r.stages.size(); ++i)
            if (r.stages[i].end.byGoal())
                r.stages[i].end.afterS = 0;
        std::optional<double> core = goal_ ? goal_ : last.end.coreK;
        const auto moment = goal_ ? goalAt_ : food::GoalMoment::pull;
        if (core) {
            constexpr double kHalfBandK = 2;
            const double low = coreBand_.first, high = coreBand_.second;
            const bool range = !goal_ && high > low;
            r.goal = {*core,
                      moment,
                      range ? low : *core - kHalfBandK,
                      range ? high : *core + kHalfBandK,
                      "as written",
                      {}};
        } else if (goalByLevel_) {
            r.goal = *goalByLevel_;
            core = r.goal.coreK;
        }
        if (!core)
            return;
        last.end.coreK.reset();
        spans_.resize(r.stages.size());
        if (spans_.back().first > 0) { // the time is what it took
            r.time = {spans_.back().first, spans_.back().second};
            last.end.afterS = 0;
            for (Bound& one : out_.bound)
                if (one.stage + 1 == r.stages.size() && one.part == Part::time)
                    one.part = Part::writtenTime;
        }
    }

    void askForTheRest() {
        Recipe& r = out_.recipe;
        const Stage& last = r.last();
        const bool anyHeat = std::any_of(out_.bound.begin(), out_.bound.end(),
                                         [](const Bound& b) { return b.part == Part::heat; });
        if (!anyHeat)
            ask(Asked::What::heat, fmt::format("How hot is {} set?", on().name),
                settingLabel(on().controls, last.place.setting));
        const bool goal = r.goal.words == "as written" || goalByLevel_;
        if (last.end.byGoal() && !goal)
            ask(Asked::What::until, "Until when does it cook?", "a middle doneness of its food");
        if (last.end.byGoal() && !goal)
            r.goal = usualGoal(r.piece.food);
        for (std::size_t i = 0; i + 1 < r.stages.size(); ++i)
            if (r.stages[i].end.byGoal()) {
                r.stages[i].end.afterS = 600;
                ask(Asked::What::until, fmt::format("How long does stage {} take?", i + 1),
                    "10 min");
            }
        for (Bound& one : out_.bound)
            if (one.part == Part::time || one.part == Part::writtenTime) {
                double sum = 0;
                for (const Bound& other : out_.bound)
                    if (other.stage == one.stage && other.part == one.part)
                        sum += secondsOf(out_.bindings[other.binding]);
                one.share = sum > 0 ? secondsOf(out_.bindings[one.binding]) / sum : 1;
            }
    }

    Goal usualGoal(const food::Food& food) const {
        for (const food::DonenessScale& scale : with_.scales) {
            const auto levels = levelsOf(scale, food.foodClass);
            if (!levels.empty())
                return goalOf(scale, levels[levels.size() / 2]);
        }
        return {};
    }

    const ReadWith& with_;
    std::string text_;
    Filled out_;
    std::vector<std::size_t> early_; ///< said before there is a stage
    std::optional<std::size_t> lastHeat_;
    std::optional<double> weightKg_, goal_;
    food::GoalMoment goalAt_ = food::GoalMoment::pull;
    std::optional<Goal> goalByLevel_;
    std::string level_;
    std::pair<double, double> coreBand_;
    std::vector<std::pair<double, double>> spans_; ///< of each stage's times, s
    bool heated_ = false, turned_ = false, resting_ = false;
};

} // namespace

Result<Filled> recipeFrom(const std::string& name, const std::string& text, const ReadWith& with) {
    return Filling(name, text, with).fill();
}

} // namespace dynamet::recipe_text
