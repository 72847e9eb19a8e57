// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Methods: computed on what an appliance can do; the search misses nothing that a taster notices.
#include "translate/small_kitchen.h"
#include "words/way_words.h"

#include <algorithm>
#include <cmath>
#include <cstdio>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::translate;
using namespace dynamet::translate::testing;

Prepared preparedFor(const char* food, double thickM, double goalC) {
    Request r = roastRequest();
    r.recipe.piece.food = *food::findFood(food);
    r.recipe.piece.thicknessM = thickM;
    r.recipe.goal = {C(goalC), food::GoalMoment::peak, C(goalC - 2), C(goalC + 2), "so"};
    r.kitchen.appliances.push_back(*kitchen::typicalAppliance(kitchen::ApplianceKind::waterBath));
    r.kitchen.appliances.back().id = r.kitchen.appliances.back().name = "bath";
    r.kitchen.appliances.back().siteId = "home";
    auto out = prepare(r);
    EXPECT_TRUE(out) << (out ? "" : out.error().message);
    return *out;
}

Target on(const Prepared& p, const char* id, const char* zone = "") {
    for (const Target& t : p.targets)
        if (t.applianceId == id && (*zone == 0 || t.zone == zone))
            return t;
    ADD_FAILURE() << "no target " << id;
    return {};
}

const Way* wayOf(const Ways& ways, Method method) {
    for (const Way& way : ways.best)
        if (way.method == method)
            return &way;
    return nullptr;
}

// What the appliance cannot do is not offered; what it can is computed, thin pieces included.
TEST(Ways, OnlyWhatTheApplianceCanDo) {
    const Prepared p = preparedFor("beef-lean", 0.04, 55);
    const auto methods = [&](const Target& t) {
        std::vector<Method> out;
        for (const WayGrid& grid : waysGrids(p, t))
            out.push_back(grid.method);
        return out;
    };
    const auto has = [](const std::vector<Method>& all, Method one) {
        return std::find(all.begin(), all.end(), one) != all.end();
    };
    const auto oven = methods(on(p, "still"));
    EXPECT_TRUE(has(oven, Method::slowThenHot));
    EXPECT_TRUE(has(oven, Method::hereThenSear)) << "there is a hob beside it";
    EXPECT_FALSE(has(oven, Method::twoZones));
    const auto grill = methods(on(p, "grill", "indirect"));
    EXPECT_TRUE(has(grill, Method::twoZones));
    EXPECT_TRUE(has(grill, Method::zonesBack));
    const auto bath = methods(on(p, "bath"));
    EXPECT_EQ(bath, std::vector<Method>{Method::hereThenSear});
    const auto hob = methods(on(p, "hob"));
    EXPECT_TRUE(has(hob, Method::coveredThenOpen));
    EXPECT_FALSE(has(hob, Method::hereThenSear)) << "it sears itself";
    for (const char* word : {"straight", "slow_then_hot", "covered_then_open"})
        EXPECT_STREQ(enumName(*methodOf(word)), word);
}

// A bath alone has no colour (common practice, no source): searing after it comes nearer to a
// roast.
TEST(Ways, ABathIsSearedAfterwards) {
    const Prepared p = preparedFor("beef-lean", 0.04, 55);
    const Ways ways = waysOn(p, solveRow(p, on(p, "bath")));
    ASSERT_FALSE(ways.best.empty());
    EXPECT_EQ(ways.best.front().method, Method::hereThenSear);
    EXPECT_TRUE(ways.secondStageGains());
    EXPECT_NEAR(ways.best.front().outcome.peakK, C(55), 0.6);
    const auto lines = words::wayLines(ways, p, {});
    ASSERT_FALSE(lines.empty());
    EXPECT_NE(lines.front().find("until the core reads"), std::string::npos) << lines.front();
}

// A recipe carried to its own appliance needs no second stage, and is told so.
TEST(Ways, ASecondStageThatBuysNothingIsSaidTo) {
    const Prepared p = preparedFor("pork-loin", 0.04, 64);
    const Ways ways = waysOn(p, solveRow(p, on(p, "still")));
    EXPECT_FALSE(ways.secondStageGains());
    const auto lines = words::wayLines(ways, p, {});
    ASSERT_FALSE(lines.empty());
    EXPECT_NE(lines.front().find("buys nothing"), std::string::npos);
}

// Over twenty cases (food × target × method) an exhaustive look at the same dial positions finds
// nothing nearer by more than one just noticed difference.
TEST(Ways, AnExhaustiveGridFindsNothingATasterWouldNotice) {
    struct Case {
        const char* food;
        double thickM, goalC;
        const char* target;
        const char* zone;
    };
    int cases = 0;
    for (const Case& c : {Case{"beef-lean", 0.04, 55, "still", ""},
                          {"beef-lean", 0.025, 57, "grill", "indirect"},
                          {"pork-loin", 0.05, 63, "fan", ""},
                          {"chicken-breast", 0.03, 74, "hob", ""},
                          {"salmon", 0.028, 52, "still", ""},
                          {"beef-lean", 0.03, 55, "bath", ""}}) {
        const Prepared p = preparedFor(c.food, c.thickM, c.goalC);
        const Target target = on(p, c.target, c.zone);
        const Ways ways = waysOn(p, solveRow(p, target), 20);
        for (const WayGrid& grid : waysGrids(p, target)) {
            ++cases;
            double nearest = 1e9, own = 1e9; // on the same cells
            const Way* found = wayOf(ways, grid.method);
            for (std::size_t a = 0; a < grid.first.size(); ++a)
                for (std::size_t b = 0; b < grid.last.size(); ++b)
                    for (std::size_t x = 0; x < grid.changeOver.size(); ++x)
                        if (const auto way = wayAt(p, grid, a, b, x)) {
                            nearest = std::min(nearest, way->distance);
                            if (found && way->stages == found->stages)
                                own = way->distance;
                        }
            std::printf("%s %.0f mm on %s %s, %s: grid %.2f, found %.2f\n", c.food, 1e3 * c.thickM,
                        c.target, c.zone, enumName(grid.method), nearest, own);
            if (!found) {
                EXPECT_GT(nearest, 1e8) << "the grid has one";
                continue;
            }
            // The best two are looked for to the end; of the rest it is enough that none would have
            // been the best.
            const bool offered = found - ways.best.data() < 2;
            const double answer = offered ? own : ways.best.front().distance;
            EXPECT_LT(answer, nearest + 1) << c.food << ' ' << enumName(grid.method);
        }
    }
    EXPECT_GE(cases, 20);
}

} // namespace
