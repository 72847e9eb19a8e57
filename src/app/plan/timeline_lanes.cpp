// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/plan/timeline_lanes.h"

#include "app/look/palette.h"
#include "plan/plan_steps.h"
#include "words/plan_words.h"
#include "words/stage_words.h"

#include <algorithm>

namespace dynamet::app {
namespace {

constexpr double kZeroCelsiusK = 273.15, kRoomK = 293.15;
constexpr int kBeforeMin = 5, kAfterMin = 10;

/// Collects what stands in each lane.
class Collector {
  public:
    Collector(const PlanAnswer& answer, const kitchen::Kitchen& kitchen, Units units)
        : menu_(answer.menu), made_(*answer.made.found.plan), kitchen_(kitchen), units_(units),
          places_(menu_.places.size()), cooks_(menu_.menu.cooks.size()) {}

    TimelineLanes collect() {
        for (const plan::PlanStep& step : stepsOf(menu_, made_))
            addStep(step);
        for (std::size_t d = 0; d < made_.dishes.size(); ++d)
            addDish(d);
        TimelineLanes out;
        for (const std::size_t place : lineUpOrder()) {
            const auto* on = findAppliance(kitchen_, menu_.places[place].applianceId);
            finish(on ? toQt(on->name) : QString(), places_[place], out);
        }
        out.appliances = out.lanes.size();
        for (std::size_t c = 0; c < cooks_.size(); ++c)
            finish(toQt(menu_.menu.cooks[c]) + QStringLiteral("’s hands"), cooks_[c], out);
        out.serveMin = out.fromMin = out.toMin = menu_.menu.serveMin;
        for (const TimelineLane& lane : out.lanes)
            for (const TimelineItem& item : lane.items) {
                out.fromMin = std::min(out.fromMin, item.from);
                out.toMin = std::max(out.toMin, item.to);
            }
        out.fromMin -= kBeforeMin;
        out.toMin += kAfterMin;
        return out;
    }

  private:
    struct Lane {
        std::vector<TimelineItem> items;
        std::vector<std::pair<int, int>> looks; ///< minute, dish of the menu
    };

    TimelineItem itemOf(std::size_t dish, int from, int to, Fill fill) const {
        TimelineItem out;
        out.from = from;
        out.to = to;
        out.fill = fill;
        out.menuDish = static_cast<int>(menu_.ofMenu[dish]);
        out.colour = fill == Fill::hands ? look::ink() : look::quietInk();
        return out;
    }

    void addStep(const plan::PlanStep& step) {
        const bool heats = step.kind == plan::StepKind::heat;
        if (!heats && step.kind != plan::StepKind::hands)
            return;
        TimelineItem item = itemOf(step.dish, step.atMin, step.untilMin, Fill::hands);
        item.help = toQt(plan::clockText(step.atMin)) + QStringLiteral("  ") +
                    toQt(words::planStepWords(menu_, made_, step, kitchen_, units_));
        if (heats) {
            TimelineItem warming = item;
            warming.fill = Fill::heating;
            warming.colour = look::quietInk();
            places_[static_cast<std::size_t>(step.place)].items.push_back(warming);
            item.colour = look::quietInk();
            item.to = item.from + std::max(1, static_cast<int>(step.heats.handsS / 60));
        }
        cooks_[static_cast<std::size_t>(step.cook)].items.push_back(item);
    }

    QColor colourOf(const recipe::Place& at) const {
        const auto field =
            fieldAt(kitchen_, at.applianceId, at.setting, at.zone, at.vesselId, at.insertId);
        return field ? look::heatColour(representative(*field, kRoomK).kelvin - kZeroCelsiusK)
                     : look::reference();
    }

    void addDish(std::size_t d) {
        const plan::Placed& placed = made_.dishes[d];
        const plan::DishWay& way = menu_.dishes[d].ways[static_cast<std::size_t>(placed.way)];
        const QString name = toQt(words::dishName(menu_, d));
        const int begun = menu_.baseMin + placed.start;
        std::size_t stage = 0, last = 0;
        for (const plan::Use& use : way.way.uses) {
            const plan::Span span = spanOf(use, placed);
            Lane& lane = places_[static_cast<std::size_t>(use.resource)];
            TimelineItem item = itemOf(d, menu_.baseMin + span.from, menu_.baseMin + span.to,
                                       use.waits ? Fill::wait : Fill::cooking);
            item.words = name;
            if (use.waits) {
                item.help = name + QStringLiteral(" waits here");
                lane.items.push_back(item);
                continue;
            }
            last = static_cast<std::size_t>(use.resource);
            const recipe::Place& at = way.stages[stage].place;
            item.colour = colourOf(at);
            item.help = name + QStringLiteral(": ") + toQt(words::placeWords(kitchen_, at, units_));
            item.pinned = menu_.menu.dishes[menu_.ofMenu[d]].beginsS.has_value();
            const int sure = begun + way.stageSpans[stage].to;
            if (sure < item.to) {
                TimelineItem soft = item;
                soft.from = sure;
                soft.fill = Fill::soft;
                lane.items.push_back(soft);
                item.to = sure;
            }
            lane.items.push_back(item);
            ++stage;
        }
        for (const plan::Work& work : way.work)
            if (work.task == plan::Task::look)
                places_[last].looks.emplace_back(menu_.baseMin + spanOf(work.hands, placed).from,
                                                 static_cast<int>(menu_.ofMenu[d]));
        const int off = begun + way.expectedAt, rested = off + way.way.shortestRest;
        const int served = menu_.baseMin + placed.served;
        TimelineItem rest = itemOf(d, off, rested, Fill::rest);
        rest.help = name + QStringLiteral(" rests");
        places_[last].items.push_back(rest);
        if (way.waitsIn || served <= rested)
            return;
        TimelineItem wait = itemOf(d, rested, served, Fill::wait);
        wait.help = name + QStringLiteral(" waits under foil");
        places_[last].items.push_back(wait);
    }

    std::vector<std::size_t> lineUpOrder() const {
        std::vector<std::size_t> out(places_.size());
        for (std::size_t i = 0; i < out.size(); ++i)
            out[i] = i;
        const auto rank = [&](std::size_t place) {
            const auto& all = kitchen_.appliances;
            const auto at = std::find_if(all.begin(), all.end(), [&](const auto& one) {
                return one.id == menu_.places[place].applianceId;
            });
            return at == all.end()
                       ? std::pair(0, at - all.begin())
                       : std::pair(static_cast<int>(groupOf(at->kind)), at - all.begin());
        };
        std::stable_sort(out.begin(), out.end(),
                         [&](std::size_t a, std::size_t b) { return rank(a) < rank(b); });
        return out;
    }

    /// What overlaps stands under one another; what belongs to a dish stays in its row.
    static void finish(const QString& name, Lane& lane, TimelineLanes& out) {
        if (lane.items.empty())
            return;
        TimelineLane made;
        made.name = name;
        std::stable_sort(lane.items.begin(), lane.items.end(),
                         [](const auto& a, const auto& b) { return a.from < b.from; });
        std::vector<std::vector<std::pair<int, int>>> taken;
        std::map<int, std::size_t> rowOf;
        const auto free = [&](std::size_t row, const TimelineItem& item) {
            return std::none_of(taken[row].begin(), taken[row].end(), [&](const auto& other) {
                return item.from < other.second && other.first < item.to;
            });
        };
        for (TimelineItem& item : lane.items) {
            const bool own = item.fill != Fill::hands && item.fill != Fill::heating;
            if (own && rowOf.contains(item.menuDish))
                item.row = rowOf[item.menuDish];
            else if (item.fill != Fill::hands)
                while (item.row < taken.size() && !free(item.row, item))
                    ++item.row;
            if (own)
                rowOf[item.menuDish] = item.row;
            if (item.row >= taken.size())
                taken.resize(item.row + 1);
            taken[item.row].emplace_back(item.from, item.to);
            made.rows = std::max(made.rows, item.row + 1);
        }
        for (const auto& [minute, dish] : lane.looks)
            made.looks.emplace_back(minute, rowOf.contains(dish) ? rowOf[dish] : 0);
        made.items = std::move(lane.items);
        out.lanes.push_back(std::move(made));
    }

    const plan::MenuProblem& menu_;
    const plan::Plan& made_;
    const kitchen::Kitchen& kitchen_;
    Units units_;
    std::vector<Lane> places_, cooks_;
};

} // namespace

TimelineLanes lanesOf(const PlanAnswer& answer, const kitchen::Kitchen& kitchen, Units units) {
    if (!answer.made.found.plan)
        return {};
    return Collector(answer, kitchen, units).collect();
}

} // namespace dynamet::app
