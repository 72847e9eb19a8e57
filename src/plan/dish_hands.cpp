// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/dish_hands.h"

#include <algorithm>
#include <cmath>

namespace dynamet::plan {
namespace {

constexpr int kServeMin = 2;
/// A stage in a pan or over coals that is so short keeps its cook there.
constexpr int kStaysForMin = 8;

class WorkList {
  public:
    explicit WorkList(std::vector<Work>& out) : out_(out) {}
    /// Adds work where hands are free; what is under way goes first.
    void add(Task task, int at, int lasts, std::size_t stage = 0) {
        for (bool free = false; !free;) {
            free = true;
            for (const Work& other : out_) {
                if (at >= other.hands.at + other.hands.lasts || other.hands.at >= at + lasts)
                    continue;
                if (task == Task::look || task == Task::turn)
                    return; // the cook is there anyway
                const int end = at + lasts;
                at = other.hands.at + other.hands.lasts;
                lasts = std::max(1, end - at);
                free = false;
            }
        }
        out_.push_back({task, {std::max(0, at), lasts, false}, stage});
    }

  private:
    std::vector<Work>& out_;
};

} // namespace

void addHands(DishWay& way) {
    way.work.clear();
    WorkList work(way.work);
    constexpr int kDryHandsMin = 5; // patted, salted, onto a rack
    if (way.dries > 0)
        work.add(Task::dry, 0, kDryHandsMin);
    if (way.foodInAt > way.tempersFrom + kPrepareMin)
        work.add(Task::takeOut, way.tempersFrom, 1);
    work.add(Task::putIn, way.foodInAt - kPrepareMin, kPrepareMin);
    const std::size_t last = way.stageSpans.size() - 1;
    const bool attended = way.row.instruction.turning == cook::Turning::often ||
                          way.row.instruction.turning == cook::Turning::rolled ||
                          way.stageSpans[last].to - way.stageSpans[last].from <= kStaysForMin;
    for (std::size_t s = 0; s < last; ++s) {
        const bool waits = way.stageSpans[s + 1].from > way.stageSpans[s].to + 1;
        if (waits)
            work.add(Task::leaveStage, way.stageSpans[s].to - 1, 1, s);
        work.add(Task::nextStage, way.stageSpans[s + 1].from - 1, 2, s + 1);
    }
    if (attended && way.expectedAt - way.stageSpans[last].from <= 3 * kStaysForMin) {
        const int from = std::max(way.foodInAt, way.stageSpans[last].from);
        work.add(Task::attend, from, std::max(1, way.expectedAt - 1 - from), last);
    } else if (std::isfinite(way.row.outcome.turnS) && way.batches == 1) {
        const int moved = way.row.outcome.turnS >= way.row.outcome.lastStartS
                              ? way.stageSpans[last].from - way.straight[last].from
                              : 0;
        const int at =
            way.foodInAt + moved + static_cast<int>(std::lround(way.row.outcome.turnS / 60));
        work.add(Task::turn, at, 1, last);
    }
    work.add(Task::pull, way.expectedAt - 1, 2, last);
    if (way.raw)
        work.add(Task::wash, way.foodInAt, 1);
    if (way.lookAt > way.stageSpans[last].from && way.lookAt < way.expectedAt)
        work.add(Task::look, way.lookAt, 1, last);
    std::stable_sort(way.work.begin(), way.work.end(),
                     [](const Work& a, const Work& b) { return a.hands.at < b.hands.at; });
    way.work.push_back({Task::serve, {kServeMin, kServeMin, true}, last});
    way.way.hands.clear();
    for (const Work& one : way.work)
        way.way.hands.push_back(one.hands);
}

} // namespace dynamet::plan
