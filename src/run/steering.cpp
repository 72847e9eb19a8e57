// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/steering.h"

#include "kitchen/coals_added.h"
#include "kitchen/knobs.h"
#include "kitchen/open_lid.h"
#include "run/unknowns.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace dynamet::run {
namespace {

using kitchen::ApplianceKind;
using kitchen::HeatGroup;

constexpr std::array<const char*, 9> kSeen = {"pale",         "brown",          "too_dark",
                                              "black_edge",   "flare",          "white_ooze",
                                              "boiling_hard", "boiling_hardly", "smoke"};
/// Browning index that a look stands for (definitions §4: 1 golden, 2 dark, 3 scorched, 5 black).
std::optional<double> indexOf(Seen seen) {
    switch (seen) {
    case Seen::pale:
        return 0.3;
    case Seen::brown:
        return 1.3;
    case Seen::tooDark:
        return 3;
    case Seen::blackEdge:
        return 5;
    default:
        return std::nullopt;
    }
}
/// How far a simulated browning is trusted, and a look: ln.
constexpr double kModelLn = 0.69, kLookLn = 0.4;
/// A look moves a simulated browning by no more than that: it may be a patch.
constexpr double kMostMoved = 4;
constexpr double kSoft = 0.05;
/// One just noticed difference of a core, and of ln browning (definitions §4).
constexpr double kNoticedK = 1.5, kNoticedLn = 0.4;
constexpr double kScorched = 3;
constexpr double kCoolS = 300;

/// What would be tried from here.
struct Idea {
    Act act;
    std::vector<Entry> entries;
    std::optional<kitchen::Setting> setting = {};
    std::string zone = {};
    double forS = 0;
    int count = 0;
};

class Ideas {
  public:
    Ideas(const Question& question, const Course& course)
        : question_(question), course_(course),
          place_(course.programme.stages[course.stage].written.place),
          on_(findAppliance(question.request.kitchen, place_.applianceId)) {}

    std::vector<Idea> all(std::optional<Seen> seen) {
        add(Act::goOn);
        if (!on_ || course_.pulled || !course_.begun)
            return out_;
        const bool last = course_.stage + 1 == course_.programme.stages.size();
        if (last)
            add(Act::pullNow, {entry(What::pulled)});
        else
            add(Act::giveUpCrust, {entry(What::leftOut, static_cast<double>(course_.stage + 1))});
        const bool calm = seen != Seen::smoke && seen != Seen::flare;
        heat(-1, Act::lower);
        if (calm)
            heat(1, Act::higher);
        coals(calm);
        if (kitchen::hasLid(on_->kind)) {
            add(Act::openLid, {entry(What::opened)});
            add(Act::closeLid, {entry(What::shut)});
        }
        for (const kitchen::Zone& zone : on_->zones)
            if (zone.name != place_.zone && groupOf(on_->kind) != HeatGroup::waterAndOil) {
                add(Act::toZone, {entry(What::moved, 0, zone.name)});
                out_.back().zone = zone.name;
            }
        const bool air = groupOf(on_->kind) == HeatGroup::air;
        if (isCovered())
            add(Act::uncover, {entry(What::uncovered)});
        else if (air)
            add(Act::cover, {entry(What::covered, 0, "foil")});
        if (isHob(on_->kind) || on_->kind == ApplianceKind::griddle)
            add(Act::turn, {entry(What::turned)});
        if (groupOf(on_->kind) != HeatGroup::waterAndOil) {
            Entry back = entry(What::resumed);
            back.atS += kCoolS;
            add(Act::coolFirst, {entry(What::paused), back});
            out_.back().forS = kCoolS;
        }
        return out_;
    }

  private:
    Entry entry(What what, double value = 0, std::string words = {}) const {
        return {0, question_.nowS, what, value, std::move(words)};
    }
    void add(Act act, std::vector<Entry> entries = {}) {
        out_.push_back({act, std::move(entries)});
    }
    const recipe::Stage& written() const { return course_.programme.stages[course_.stage].written; }
    bool isCovered() const {
        bool out = written().handling.cover != recipe::Cover::none;
        for (const recipe::Step& step : written().handling.steps)
            if (step.atS <= stageS() &&
                (step.move == recipe::Move::cover || step.move == recipe::Move::uncover))
                out = step.move == recipe::Move::cover;
        return out;
    }
    /// Since this stage began.
    double stageS() const { return question_.nowS - standingOf(question_.entries).stageBeganS; }
    /// Coals that are counted: what burnt down is added, a fifth is taken away; another fire is fed
    /// where it is known to burn down.
    void coals(bool calm) {
        kitchen::Setting now = place_.setting;
        double sinceS = 0;
        for (const recipe::Step& step : written().handling.steps)
            if (step.move == recipe::Move::setTo && step.setting && step.atS <= stageS()) {
                now = *step.setting;
                sinceS = step.atS;
            }
        const int lie = coalsIn(*on_, now);
        if (lie == 0) {
            const auto& field = course_.programme.stages[course_.stage].field;
            if (calm && groupOf(on_->kind) == HeatGroup::coalsAndFlame && !field.curves.empty())
                add(Act::addCoals, {entry(What::coals)});
            return;
        }
        constexpr int kFew = 2, kFifth = 5;
        const auto& site = course_.programme.stages[course_.stage].site;
        const int some = std::max(kFew, lie / kFifth);
        if (calm) {
            const int more = std::max(some, coalsBurnt(*on_, now, stageS() - sinceS, site));
            add(Act::addCoals, {entry(What::coals, more)});
            out_.back().count = more;
        }
        add(Act::takeCoals, {entry(What::coals, -some)});
        out_.back().count = some;
    }
    /// The first knob a notch down or up: 20 K of a dial in degrees, else one mark.
    void heat(int way, Act act) {
        for (const kitchen::Knob& knob : knobsOf(on_->controls, place_.setting)) {
            const auto kind = on_->controls[knob.control].kind;
            if (kind == kitchen::ControlKind::lid || kind == kitchen::ControlKind::preheat ||
                kind == kitchen::ControlKind::coals)
                continue;
            const bool degrees = kind == kitchen::ControlKind::thermostat;
            const double notch =
                degrees ? std::max(knob.step, on_->controls[knob.control].unit == "F" ? 35.0 : 20.0)
                        : std::max(knob.step, (knob.high - knob.low) / 8);
            const auto to = turned(on_->controls, place_.setting, knob, knob.at + way * notch);
            if (to == place_.setting)
                continue;
            add(act, {entry(What::setTo, 0, settingText(on_->controls, to))});
            out_.back().setting = to;
            return;
        }
    }
    const Question& question_;
    const Course& course_;
    const recipe::Place& place_;
    const kitchen::Appliance* on_;
    std::vector<Idea> out_;
};

/// The cook with further entries, and with the last stage's time changed.
Result<Passage> tried(const Question& question, const Forecast& forecast,
                      const std::vector<Entry>& more, std::optional<double> lastS,
                      const std::stop_token& stop, double* pullK = nullptr) {
    Question asked = question;
    if (lastS)
        asked.planned.recipe.last().end = {*lastS, std::nullopt};
    std::vector<Entry> entries = question.entries;
    entries.insert(entries.end(), more.begin(), more.end());
    std::stable_sort(entries.begin(), entries.end(),
                     [](const auto& a, const auto& b) { return a.atS < b.atS; });
    auto likely = likelyOf(asked, forecast, entries, stop);
    if (!likely)
        return tl::unexpected(likely.error());
    const auto cook = [&] {
        return pass(likely->piece, likely->course, kForecastEffort, likely->tables, true);
    };
    auto out = cook();
    // Another heat carries over by another amount: it is pulled where the peak is what was asked.
    const recipe::Goal& goal = question.planned.recipe.goal;
    Course& course = likely->course;
    const double earliestK = out ? out->coreAt(course.nowS) : 0;
    if (out && std::isfinite(out->pullS) && course.pullK > 0 && !course.pulled &&
        goal.readAt == food::GoalMoment::peak) {
        course.pullK = std::max(earliestK, course.pullK + goal.coreK - out->peakK);
        out = cook();
    }
    if (pullK)
        *pullK = course.pulled ? 0 : course.pullK;
    return out;
}

double distanceOf(const PlannedCook& planned, double peakK, double darker) {
    const recipe::Goal& goal = planned.recipe.goal;
    const double wanted = goal.readAt == food::GoalMoment::peak ? goal.coreK : planned.peakK;
    const double core = (peakK - wanted) / kNoticedK;
    const double crust = std::log((darker + kSoft) / (planned.darker + kSoft)) / kNoticedLn;
    constexpr double kBlack = 6;
    const double scorched = std::clamp(darker - kScorched, 0.0, kBlack);
    return std::hypot(core, crust) + 2 * scorched;
}

/// The last stage's length that leaves the peak where it was asked for; none where even a moment is
/// too much.
std::optional<double> lengthFor(const Question& question, const Forecast& forecast,
                                const std::stop_token& stop) {
    const recipe::StageEnd& end = question.planned.recipe.last().end;
    if (end.afterS <= 0)
        return std::nullopt;
    constexpr double kShortestS = 10;
    const double goal = question.planned.recipe.goal.bandHighK;
    double low = kShortestS, high = end.afterS;
    const auto peak = [&](double s) {
        const auto passage = tried(question, forecast, {}, s, stop);
        return passage ? passage->peakK : INFINITY;
    };
    if (peak(high) <= goal || peak(low) > goal)
        return std::nullopt;
    for (int i = 0; i < 5; ++i) {
        const double middle = (low + high) / 2;
        (peak(middle) > goal ? high : low) = middle;
    }
    return low;
}

} // namespace

const char* enumName(Seen seen) {
    return kSeen[static_cast<std::size_t>(seen)];
}

std::optional<Seen> seenOf(const std::string& word) {
    const auto at = std::find(kSeen.begin(), kSeen.end(), word);
    if (at == kSeen.end())
        return std::nullopt;
    return static_cast<Seen>(at - kSeen.begin());
}

const char* enumName(Act act) {
    static constexpr const char* kNames[] = {
        "go_on",      "pull_now",     "turn",          "lower",     "higher",
        "open_lid",   "close_lid",    "to_zone",       "cover",     "uncover",
        "cool_first", "shorter_next", "give_up_crust", "add_coals", "take_coals"};
    return kNames[static_cast<std::size_t>(act)];
}

std::vector<Seen> seenAt(const kitchen::Appliance& on, const recipe::FoodPiece& piece) {
    const HeatGroup group = groupOf(on.kind);
    if (on.kind == ApplianceKind::waterBath)
        return {};
    std::vector<Seen> out;
    if (group == HeatGroup::waterAndOil)
        out = {Seen::pale,        Seen::brown,         Seen::tooDark,
               Seen::boilingHard, Seen::boilingHardly, Seen::smoke};
    else
        out = {Seen::pale, Seen::brown, Seen::tooDark, Seen::blackEdge};
    if (group == HeatGroup::coalsAndFlame)
        out.push_back(Seen::flare);
    if (piece.food.foodClass == "fish")
        out.push_back(Seen::whiteOoze);
    if (isHob(on.kind)) {
        out.push_back(Seen::smoke);
        out.push_back(Seen::boilingHard);
        out.push_back(Seen::boilingHardly);
    }
    return out;
}

Result<std::vector<Action>> actionsFor(const Question& question, const Forecast& forecast,
                                       std::optional<Seen> seen, const std::stop_token& stop,
                                       std::size_t most) {
    const auto course =
        courseOf(question.request, question.planned, question.entries, question.nowS);
    if (!course)
        return tl::unexpected(course.error());
    double moved = 1; // browning by what is seen
    if (seen && indexOf(*seen)) {
        std::vector<Entry> now = {{0, question.nowS, What::pulled, 0, ""}};
        if (const auto passage = tried(question, forecast, now, {}, stop)) {
            const double share = kModelLn * kModelLn / (kModelLn * kModelLn + kLookLn * kLookLn);
            const double is = passage->outcome.darker() + kSoft;
            moved = std::clamp(std::exp(share * std::log((*indexOf(*seen) + kSoft) / is)),
                               1 / kMostMoved, kMostMoved);
        }
    }
    const bool hot = seen == Seen::flare || seen == Seen::smoke || seen == Seen::boilingHard;
    std::vector<Action> out;
    const auto take = [&](const Idea& idea, const Passage& passage, double pullK) {
        Action one;
        constexpr double kOtherK = 0.8; // worth another number
        one.pullK = pullK;
        one.act = idea.act;
        one.entries = idea.entries;
        one.setting = idea.setting;
        one.zone = idea.zone;
        one.forS = idea.forS;
        one.count = idea.count;
        if (pullK > 0 && std::abs(pullK - course->pullK) > kOtherK)
            one.entries.push_back({0, question.nowS, What::pullAt, pullK, ""});
        one.pullS = passage.pullS;
        const double left = std::max(0.0, passage.pullS - course->nowS);
        const double before = std::max(1.0, forecast.pull.s - course->nowS);
        one.lowS = course->nowS + left * std::max(0.0, forecast.pull.lowS - course->nowS) / before;
        one.highS = course->nowS + left * (forecast.pull.highS - course->nowS) / before;
        one.peakK = passage.peakK;
        one.darker = passage.outcome.darker() * moved;
        one.noticed = distanceOf(question.planned, one.peakK, one.darker);
        if (!std::isfinite(one.pullS))
            one.noticed += 50;
        if (hot && (idea.act == Act::goOn || idea.act == Act::turn))
            one.noticed += 5; // what is seen goes on
        const recipe::Goal& goal = question.planned.recipe.goal;
        constexpr double kRawK = 4;
        if (one.act == Act::pullNow && one.peakK < goal.bandLowK - kRawK)
            return; // nobody serves that
        one.peakKept = one.peakK >= goal.bandLowK - 0.5 && one.peakK <= goal.bandHighK + 0.5;
        out.push_back(std::move(one));
    };
    for (const Idea& idea : Ideas(question, *course).all(seen)) {
        double pullK = 0;
        const auto passage = tried(question, forecast, idea.entries, {}, stop, &pullK);
        if (stop.stop_requested())
            return fail(Errc::refused, "stopped");
        if (passage)
            take(idea, *passage, pullK);
    }
    const bool more = course->stage + 1 < course->programme.stages.size();
    if (more && course->begun && !course->pulled)
        if (const auto lastS = lengthFor(question, forecast, stop))
            if (const auto passage = tried(question, forecast, {}, lastS, stop))
                take({Act::shorterNext,
                      {{0, question.nowS, What::lasts, *lastS, ""}},
                      {},
                      {},
                      *lastS,
                      0},
                     *passage, 0);
    if (out.empty())
        return fail(Errc::refused, "nothing could be simulated from here");
    std::stable_sort(out.begin(), out.end(),
                     [](const auto& a, const auto& b) { return a.noticed < b.noticed; });
    const auto goOn =
        std::find_if(out.begin(), out.end(), [](const auto& one) { return one.act == Act::goOn; });
    if (goOn != out.end() && static_cast<std::size_t>(goOn - out.begin()) >= most)
        std::rotate(out.begin() + static_cast<std::ptrdiff_t>(most) - 1, goOn, goOn + 1);
    if (out.size() > most)
        out.resize(most);
    return out;
}

} // namespace dynamet::run
