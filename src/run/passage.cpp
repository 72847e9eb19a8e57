// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/passage.h"

#include "cook/simulation.h"
#include "cook/stage_cooking.h"

#include <algorithm>
#include <cmath>

namespace dynamet::run {
namespace {

constexpr double kLongestStageS = 8 * 3600;

double between(const std::vector<double>& x, const std::vector<double>& y, double at) {
    if (x.empty())
        return NAN;
    const auto next = std::lower_bound(x.begin(), x.end(), at);
    if (next == x.begin())
        return y.front();
    if (next == x.end())
        return y.back();
    const auto i = static_cast<std::size_t>(next - x.begin());
    const double width = x[i] - x[i - 1];
    return width > 0 ? y[i - 1] + (y[i] - y[i - 1]) * (at - x[i - 1]) / width : y[i];
}

/// Steps through a course and keeps its curves.
class Walker {
  public:
    Walker(cook::Simulation& simulation, Passage& out) : simulation_(simulation), out_(out) {
        note();
    }

    /// Through the events until a time; where the core first passes `coreK` on the way.
    struct Stretch {
        double reachedS = std::numeric_limits<double>::infinity(), slope = 0;
    };
    Result<Stretch> go(double coreK, double atLeastS, double atMostS,
                       const std::vector<cook::Event>& events) {
        Stretch out;
        if (simulation_.solver().coreK() >= coreK)
            out.reachedS = simulation_.timeS();
        std::optional<cook::Simulation::Moment> before; // of the step that goes past the core
        std::size_t passed = 0;
        while (passed < events.size() && events[passed].atS < simulation_.timeS())
            cook::happen(simulation_, events[passed++]);
        while (true) {
            if (std::isfinite(out.reachedS) && simulation_.timeS() >= atLeastS)
                return exactly(out, std::max(out.reachedS, atLeastS), before);
            const double end = std::isfinite(out.reachedS) ? atLeastS : atMostS;
            const double next = passed < events.size() ? std::min(events[passed].atS, end) : end;
            const auto done = simulation_.cookUntil(next, [&](const heat::StepReport& step) {
                note();
                if (!std::isfinite(out.reachedS) && step.coreEndK >= coreK) {
                    out.reachedS = heat::crossingTime(step, coreK);
                    if (!std::isfinite(out.reachedS))
                        out.reachedS = step.endS;
                    out.slope = step.coreEndRate;
                }
                if (!std::isfinite(out.reachedS) && step.coreEndK > coreK - kNearK)
                    before = simulation_.moment();
                return !std::isfinite(out.reachedS) || step.endS < atLeastS;
            });
            if (!done)
                return tl::unexpected(done.error());
            if (simulation_.timeS() >= end - 1e-6 && next >= end - 1e-6)
                return out;
            if (*done && passed < events.size()) {
                cook::happen(simulation_, events[passed++]);
                before.reset();
            }
        }
    }

    void note() {
        const cook::Sample sample = simulation_.sample();
        out_.timeS.push_back(sample.timeS);
        out_.coreK.push_back(sample.coreK);
        out_.faceK.push_back(std::max(sample.topK, sample.bottomK));
    }

  private:
    static constexpr double kNearK = 8;
    /// Back to where the core was reached, where the last step went past it.
    Result<Stretch> exactly(const Stretch& stretch, double atS,
                            const std::optional<cook::Simulation::Moment>& before) {
        if (!before || simulation_.timeS() <= atS)
            return stretch;
        simulation_.restore(*before);
        while (!out_.timeS.empty() && out_.timeS.back() > atS) {
            out_.timeS.pop_back();
            out_.coreK.pop_back();
            out_.faceK.pop_back();
        }
        if (const auto done = simulation_.cookUntil(atS); !done)
            return tl::unexpected(done.error());
        note();
        return stretch;
    }
    cook::Simulation& simulation_;
    Passage& out_;
};

Result<void> rest(cook::Simulation& simulation, const cook::Programme& programme, Passage& out) {
    cook::Outcome outcome;
    cook::Recorder recorder;
    if (const auto done = restAfter(simulation, programme, outcome, &recorder); !done)
        return tl::unexpected(done.error());
    recorder.moveInto(outcome);
    for (const cook::Sample& sample : outcome.samples)
        if (sample.timeS > out.timeS.back()) {
            out.timeS.push_back(sample.timeS);
            out.coreK.push_back(sample.coreK);
            out.faceK.push_back(std::max(sample.topK, sample.bottomK));
        }
    out.peakK = outcome.peakK;
    out.plateK = outcome.plateK;
    outcome.pullS = out.pullS;
    out.outcome = std::move(outcome);
    return {};
}

} // namespace

double Passage::coreAt(double s) const {
    return between(timeS, coreK, s);
}
double Passage::faceAt(double s) const {
    return between(timeS, faceK, s);
}

Result<Passage> pass(const recipe::FoodPiece& piece, const Course& course,
                     const cook::Effort& effort, const cook::Tables& tables, bool whole) {
    const cook::Programme& programme = course.programme;
    auto made = cook::Simulation::create(piece, programme, effort, tables.material, tables.vapour);
    if (!made)
        return tl::unexpected(made.error());
    cook::Simulation& simulation = *made;
    simulation.stopOn(tables.stop);
    Passage out;
    Walker walker(simulation, out);
    for (std::size_t s = 0; s < programme.stages.size(); ++s) {
        const cook::Stage& stage = programme.stages[s];
        const bool last = s + 1 == programme.stages.size();
        const double began = simulation.timeS();
        simulation.beginStage(stage);
        const recipe::StageEnd& end = stage.written.end;
        const bool current = course.begun && !course.pulled && s == course.stage;
        const double coreK = last && end.byGoal() ? course.pullK : end.coreK.value_or(1e9);
        const double clockS = end.afterS > 0 ? began + end.afterS : began + kLongestStageS;
        const double least = current ? std::min(course.nowS, began + kLongestStageS) : began;
        const auto events = cook::eventsOf(cook::planOf(stage, stage.turnAtS), began,
                                           clockS - began, began + kLongestStageS);
        const double goal = end.afterS > 0 && !end.coreK ? 1e9 : coreK;
        auto went = walker.go(goal > 0 ? goal : 1e9, least, std::max(least, clockS), events);
        if (!went)
            return tl::unexpected(went.error());
        const bool byClock = goal >= 1e9 || (end.afterS > 0 && !std::isfinite(went->reachedS));
        const double endS = byClock ? clockS : went->reachedS;
        out.stageEndS.push_back(endS);
        if (!last) {
            if (!std::isfinite(endS)) { // it stays in this stage for as long as anyone would wait
                out.pullS = std::numeric_limits<double>::infinity();
                break;
            }
            if (stage.written.waitS <= 0)
                continue;
            simulation.beginRest({stage.written.waitTented, false, 0, stage.written.waitS},
                                 programme.last().site);
            const auto waited =
                simulation.cookUntil(simulation.timeS() + stage.written.waitS,
                                     [&](const auto&) { return walker.note(), true; });
            if (!waited)
                return tl::unexpected(waited.error());
            continue;
        }
        out.pullS = endS;
        out.slopeKPerS = went->slope;
    }
    if (std::isfinite(out.pullS))
        if (const auto done = rest(simulation, programme, out); !done)
            return tl::unexpected(done.error());
    if (whole && std::isfinite(out.pullS))
        simulation.fill(out.outcome);
    if (!std::isfinite(out.pullS)) {
        out.peakK = *std::max_element(out.coreK.begin(), out.coreK.end());
        out.plateK = out.coreK.back();
    }
    return out;
}

} // namespace dynamet::run
