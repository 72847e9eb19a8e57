// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/dish_ways.h"

#include "numeric/statistics.h"
#include "plan/dish_hands.h"
#include "plan/reheat.h"
#include "plan/wait_curve.h"
#include "translate/room.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::plan {
namespace {

constexpr double kMinute = 60;
/// How long a wait is looked at beyond the shortest rest.
constexpr double kLongestWaitS = 75 * 60;
/// Between two batches on one place.
constexpr double kBatchGapS = 60;
/// To empty and wipe a pan before the next food goes in: common practice, no source.
constexpr int kEmptyMin = 3;
/// A warm place is worth heating where waiting costs so much less than under foil.
constexpr double kWorthWarming = 0.7;

int minutes(double seconds) {
    return static_cast<int>(std::lround(seconds / kMinute));
}

/// Per cent of a zone's room that the dish takes; all of it where nothing tells.
int demandOf(const translate::Request& request, const recipe::Place& place) {
    const auto* on = findAppliance(request.kitchen, place.applianceId);
    const auto& piece = request.recipe.piece;
    if (!on || isHob(on->kind))
        return 100;
    const double zone =
        on->capacityM2 / static_cast<double>(std::max<std::size_t>(1, on->zones.size()));
    const auto share = [](double of) {
        return std::clamp(static_cast<int>(std::ceil(100 * of)), 1, 100);
    };
    if (const auto* vessel = findVessel(request.kitchen, place.vesselId); vessel && zone > 0)
        return share(baseAreaM2(*vessel) / zone); // however little lies in it
    if (const auto room = translate::roomAt(request.kitchen, piece, place))
        return share(room->covered);
    const auto covers = recipe::coverOf(piece);
    return covers && zone > 0 ? share(*covers * piece.pieces / zone) : 100;
}

/// Time of the core between the limits until the shortest rest ends, tempering included.
double exposedS(const cook::Outcome& outcome, const recipe::Recipe& recipe,
                const SafetyLimits& limits) {
    double out = recipe.piece.startK > limits.coldK ? recipe.piece.temperedS : 0;
    const double until = outcome.pullS + recipe.rest.shortestS;
    for (std::size_t i = 1; i < outcome.samples.size(); ++i) {
        const auto& a = outcome.samples[i - 1];
        const auto& b = outcome.samples[i];
        const double core = (a.coreK + b.coreK) / 2;
        if (a.timeS < until && core > limits.coldK && core < limits.hotK)
            out += std::min(b.timeS, until) - a.timeS;
    }
    return out;
}

/// How a row compares with the best one, in hundredths of a noticed difference.
double unlike(const translate::Row& row) {
    return 100 *
           (row.likeness ? row.likeness->distance : row.crustDistance / translate::kSameCrust);
}

/// How long its face dries or takes salt ahead, in the refrigerator: common practice, no source.
int dryingOf(const recipe::FoodPiece& piece, const MenuDish& dish) {
    constexpr int kHours = 4;
    const bool ahead = piece.surface == recipe::SurfaceState::dried ||
                       piece.surface == recipe::SurfaceState::salted;
    return ahead && !dish.driedBefore && !dish.madeAhead ? kHours * 60 : 0;
}

/// Raw meat, fish and eggs: what they touched is washed before anything cooked meets it.
bool isRaw(const recipe::Recipe& recipe) {
    return food::officialMinimum(recipe.piece.food.foodClass, recipe.piece.form).has_value();
}

DishWay wayOf(const translate::Prepared& prepared, const translate::Row& row,
              const MenuDish& dish) {
    const recipe::FoodPiece& piece = prepared.request.recipe.piece;
    DishWay out;
    out.row = row;
    out.stages = stagesOf(prepared.request, row);
    out.reheats = dish.madeAhead;
    out.raw = isRaw(prepared.request.recipe) && !out.reheats;
    out.dries = dryingOf(piece, dish);
    out.tempersFrom = out.dries;
    out.foodInAt = out.tempersFrom + minutesUp(piece.temperedS) + kPrepareMin;
    std::vector<std::pair<double, double>> spans;
    for (const cook::StageOutcome& stage : row.outcome.stages)
        spans.emplace_back(stage.startS, stage.endS);
    spans.emplace_back(row.outcome.lastStartS, row.outcome.pullS);
    for (const auto& [from, to] : spans)
        out.straight.push_back({out.foodInAt + minutes(from),
                                out.foodInAt + std::max(minutes(from) + 1, minutesUp(to))});
    out.lnSd = row.window ? row.window->lnSd : 0.15;
    out.neverShare = row.window ? row.window->neverShare : 0;
    return out;
}

/// Batches on one place, one after another: the last stage goes on so much longer, as rated.
Result<void> addBatches(const translate::Prepared& prepared, const translate::Row& row,
                        DishWay& way, const std::stop_token& stop) {
    const auto room = translate::roomAt(prepared.request.kitchen, prepared.request.recipe.piece,
                                        way.stages.back().place);
    if (room && room->fits == 0)
        return fail(Errc::refused, "not even one piece fits");
    way.batches = room ? room->rounds : 1;
    if (way.batches < 2)
        return {};
    for (std::size_t s = 0; s + 1 < way.stages.size(); ++s) {
        const recipe::Place& place = way.stages[s].place;
        const auto before =
            translate::roomAt(prepared.request.kitchen, prepared.request.recipe.piece, place);
        const auto* on = findAppliance(prepared.request.kitchen, place.applianceId);
        if (before && before->rounds > 1)
            return fail(Errc::refused,
                        fmt::format("only {} of {} pieces fit in the {} at once, and all go on "
                                    "from there together",
                                    before->fits, prepared.request.recipe.piece.pieces,
                                    on ? on->name : place.applianceId));
    }
    const auto detail = detailOf(prepared, row, stop);
    if (detail.roundless || detail.rounds.empty())
        return fail(Errc::refused,
                    fmt::format("its {} batches could not be worked out", way.batches));
    double all = 0;
    for (const cook::Round& round : detail.rounds)
        all += round.outcome.pullS - round.outcome.lastStartS + kBatchGapS;
    way.straight.back().to = way.straight.back().from + minutesUp(all - kBatchGapS);
    if (!detail.waiting.empty())
        way.way.cost += static_cast<int>(std::lround(100 * detail.waiting.front().distance));
    return {};
}

/// Resources, settings and zones come later.
void addUses(const translate::Request& request, DishWay& way) {
    for (std::size_t s = 0; s < way.stages.size(); ++s) {
        Use use;
        use.from = way.straight[s].from;
        use.to = way.straight[s].to;
        use.demand = demandOf(request, way.stages[s].place);
        way.way.uses.push_back(use);
    }
    if (way.waitsIn) {
        Use use;
        use.demand = demandOf(request, *way.waitsIn);
        use.waits = true;
        way.way.uses.push_back(use);
    }
}

/// A rack, a lid or a board is shared; everything else holds one dish at a time. What is cooked in
/// a pot or a dish comes to the table in it.
void addHoldings(const translate::Request& request, DishWay& way) {
    for (const recipe::Stage& stage : way.stages) {
        const auto* vessel = findVessel(request.kitchen, stage.place.vesselId);
        using Kind = kitchen::VesselKind;
        if (!vessel || vessel->kind == Kind::rack || vessel->kind == Kind::lid ||
            vessel->kind == Kind::board)
            continue;
        const auto v = static_cast<std::size_t>(
            std::find(way.vessels.begin(), way.vessels.end(), vessel->id) - way.vessels.begin());
        if (v == way.vessels.size()) {
            way.vessels.push_back(vessel->id);
            way.heatsBefore.push_back(0);
            way.way.holdings.emplace_back();
        }
        Holding& holding = way.way.holdings[v];
        holding.untilServed = &stage == &way.stages.back() &&
                              (vessel->kind == Kind::pot || vessel->kind == Kind::dish);
    }
}

std::string rowName(const translate::Row& row, const kitchen::Kitchen& kitchen) {
    const auto* on = findAppliance(kitchen, row.target.applianceId);
    return on ? on->name : row.target.applianceId;
}

/// Ways of one row: each place where it may wait is one.
void addRow(const translate::Prepared& prepared, const translate::Row& row, double bestUnlike,
            const Menu& menu, const MenuDish& dish, DishWays& out, const std::stop_token& stop) {
    const translate::Request& request = prepared.request;
    const auto programme = programmeOf(request, row);
    const auto whole = fullOutcome(prepared, row, stop);
    if (!programme || !whole)
        return out.without.push_back(rowName(row, request.kitchen) +
                                     ": it could not be cooked again");
    DishWay base = wayOf(prepared, row, dish);
    base.exposure.cookS = exposedS(*whole, request.recipe, menu.limits);
    if (const auto ok = addBatches(prepared, row, base, stop); !ok)
        return out.without.push_back(rowName(row, request.kitchen) + ": " + ok.error().message);
    base.way.cost += std::max(0, static_cast<int>(std::lround(unlike(row) - bestUnlike)));
    base.way.shortestRest = minutesUp(request.recipe.rest.shortestS);
    const double longest = std::clamp(request.recipe.rest.longestS - request.recipe.rest.shortestS,
                                      kMinute, kLongestWaitS);
    auto curves = waitsOf(prepared, row, *programme, longest, stop);
    if (curves.empty())
        curves.push_back({{}, longest / 2, longest, 1, 2, 0, 0});
    for (const WaitCurve& curve : curves) {
        const auto* warm =
            curve.place ? findAppliance(request.kitchen, curve.place->applianceId) : nullptr;
        if (warm && ((!menu.siteId.empty() && warm->siteId != menu.siteId) ||
                     curve.shortD > kWorthWarming * curves.front().shortD))
            continue;
        DishWay way = base;
        way.waitsIn = curve.place;
        way.waitCosts = costsOf(curve, minutes(longest));
        way.exposure.safeUntilS = safeUntil(curve, whole->plateK, menu.limits.hotK);
        addUses(request, way);
        addHoldings(request, way);
        const int expected = way.straight.back().to;
        way.straightLookAt = row.window && row.window->expectS > 0
                                 ? expected - minutesUp(row.window->expectS - row.window->lookS)
                                 : expected;
        setSlack(way, 1);
        out.ways.push_back(std::move(way));
    }
}

} // namespace

const char* enumName(Task task) {
    static constexpr const char* kNames[] = {"take_out", "put_in", "wash",        "look",
                                             "turn",     "attend", "leave_stage", "next_stage",
                                             "pull",     "serve",  "dry"};
    return kNames[static_cast<std::size_t>(task)];
}

double slackOf(const DishWay& way) {
    constexpr std::size_t kOver = 15; // minutes over which a wait's cost is looked at
    constexpr double kMost = 1.5;
    const std::size_t last = std::min(kOver, way.waitCosts.size() - 1);
    const double wait = last == 0 ? kLateHundredths
                                  : std::max(0.3, way.waitCosts[last] / static_cast<double>(last));
    const double share = kLateHundredths / (kLateHundredths + wait);
    return std::clamp(normalQuantile(share), 0.0, kMost);
}

void setSlack(DishWay& way, double share) {
    const double longer = std::exp(share * slackOf(way) * way.lnSd) - 1;
    const int most = static_cast<int>(way.waitCosts.size()) - 1;
    const auto slackFor = [&](int minutesLong, int left) {
        return std::clamp(static_cast<int>(std::ceil(minutesLong * longer - 1e-9)), 0, left);
    };
    const std::size_t last = way.straight.size() - 1;
    way.stageSpans = way.straight;
    const int before = last == 0 ? 0 : slackFor(way.straight[last].from - way.foodInAt, most);
    way.stageSpans[last].from += before;
    way.stageSpans[last].to += before;
    way.expectedAt = way.stageSpans[last].to;
    way.lookAt = std::max(way.straightLookAt + before, way.stageSpans[last].from);
    const int after = slackFor(way.straight[last].to - way.straight[last].from, most - before);
    way.way.readyAt = way.expectedAt + after;
    way.way.waitCost.assign(way.waitCosts.begin() + before + after, way.waitCosts.end());
    std::size_t stage = 0;
    for (Use& use : way.way.uses) {
        if (use.waits) {
            use.from = way.expectedAt + way.way.shortestRest;
            continue;
        }
        use.from = way.stageSpans[stage].from;
        use.to = stage == last ? way.way.readyAt
                               : way.stageSpans[stage].to + (stage + 1 == last ? before : 0);
        ++stage;
    }
    for (std::size_t v = 0; v < way.vessels.size(); ++v) {
        Holding& holding = way.way.holdings[v];
        bool met = false;
        for (std::size_t s = 0; s <= last; ++s) {
            if (way.stages[s].place.vesselId != way.vessels[v])
                continue;
            holding.from = met ? holding.from : way.way.uses[s].from - way.heatsBefore[v];
            holding.to = way.way.uses[s].to + kEmptyMin;
            met = true;
        }
    }
    addHands(way);
}

DishWays waysOf(const MenuDish& dish, const Menu& menu, const Result<translate::Request>& asked,
                std::stop_token stop) {
    DishWays out;
    out.dishId = dish.id;
    if (!asked) {
        out.failed = asked.error();
        return out;
    }
    translate::Request request = dish.madeAhead ? reheated(*asked, menu) : *asked;
    if (dish.portions > 0)
        request.recipe.piece.pieces = dish.portions;
    if (request.recipe.stages.size() > 1 && !request.moved) // the others stay as they were written
        request.moved = request.recipe.stages.size() - 1;
    auto prepared = prepare(request, stop);
    if (!prepared) {
        out.failed = prepared.error();
        return out;
    }
    out.prepared = std::make_shared<const translate::Prepared>(std::move(*prepared));
    const kitchen::Kitchen& kitchen = out.prepared->request.kitchen;
    std::vector<translate::Row> rows;
    for (const translate::Target& target : out.prepared->targets) {
        const auto* on = findAppliance(kitchen, target.applianceId);
        if (!on || (!menu.siteId.empty() && on->siteId != menu.siteId) ||
            (dish.place && !(*dish.place == target)))
            continue;
        translate::Row row = dish.place && dish.setting
                                 ? solveRowAt(*out.prepared, target, *dish.setting, 0, stop)
                                 : solveRow(*out.prepared, target, stop);
        if (stop.stop_requested())
            return out;
        if (row.reached)
            rows.push_back(std::move(row));
        else
            out.without.push_back(on->name + ": " + row.reason.message);
    }
    std::stable_sort(rows.begin(), rows.end(), [&](const auto& a, const auto& b) {
        return ranksBefore(a, b, out.prepared->outcome);
    });
    // Of one appliance its best place alone: the others stand in its way.
    std::vector<translate::Row> best;
    for (translate::Row& row : rows)
        if (best.size() < kMostRows && std::none_of(best.begin(), best.end(), [&](const auto& one) {
                return one.target.applianceId == row.target.applianceId;
            }))
            best.push_back(std::move(row));
    const double least = best.empty() ? 0 : unlike(best.front());
    for (translate::Row& row : best) {
        addWindow(*out.prepared, row, stop);
        if (stop.stop_requested())
            return out;
        addRow(*out.prepared, row, least, menu, dish, out, stop);
    }
    std::stable_sort(out.ways.begin(), out.ways.end(),
                     [](const DishWay& a, const DishWay& b) { return a.way.cost < b.way.cost; });
    return out;
}

} // namespace dynamet::plan
