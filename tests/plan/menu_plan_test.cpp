// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Menus of real recipes in a small kitchen that nobody rated.
#include "formats/plan_calendar.h"
#include "plan/giving_up.h"
#include "plan/plan_steps.h"
#include "translate/small_kitchen.h"
#include "words/plan_words.h"

#include <algorithm>
#include <gtest/gtest.h>
#include <libical/ical.h>

namespace dynamet::plan {
namespace {

using namespace translate::testing;

translate::Request dishOf(const char* name, const char* setting, double thickM = 0.04) {
    translate::Request out = roastRequest();
    out.recipe.id = out.recipe.name = name;
    out.recipe.piece.thicknessM = thickM;
    out.recipe.last().place.setting =
        *kitchen::parseSetting(out.kitchen.appliances.front().controls, setting);
    return out;
}

struct Table {
    Menu menu;
    std::vector<Result<translate::Request>> requests;
    kitchen::Kitchen kitchen = smallKitchen();
    void add(const translate::Request& request, std::optional<translate::Target> place = {}) {
        MenuDish dish;
        dish.id = dish.recipeId = request.recipe.id;
        dish.place = place;
        menu.dishes.push_back(dish);
        requests.emplace_back(request);
    }
    std::vector<DishWays> ways() const {
        std::vector<DishWays> out;
        for (std::size_t d = 0; d < menu.dishes.size(); ++d)
            out.push_back(waysOf(menu.dishes[d], menu, requests[d]));
        return out;
    }
    MenuProblem problem() const { return problemOf(menu, kitchen, {}, ways()); }
    std::vector<std::string> names() const {
        std::vector<std::string> out;
        for (const auto& dish : menu.dishes)
            out.push_back(dish.id);
        return out;
    }
};

const translate::Target kOven{"still", "middle", ""};

std::string firstOf(const std::vector<std::string>& all) {
    return all.empty() ? "" : all.front();
}

TEST(MenuPlan, TwoRoastsThatWantOneOvenGoApartAndEveryStepIsThere) {
    Table table;
    table.add(dishOf("Hot roast", "oven=220C"), kOven);
    table.add(dishOf("Slow roast", "oven=140C"));
    MenuProblem problem = table.problem();
    ASSERT_EQ(problem.dishes.size(), 2u);
    const MenuPlan made = planMenu(problem);
    ASSERT_TRUE(made.found.plan);
    EXPECT_EQ(firstOf(broken(problem.problem, *made.found.plan)), "");
    const auto& placed = made.found.plan->dishes;
    const auto onOf = [&](std::size_t d) {
        return problem.dishes[d]
            .ways[static_cast<std::size_t>(placed[d].way)]
            .row.target.applianceId;
    };
    EXPECT_EQ(onOf(0), "still");
    EXPECT_NE(onOf(1), "still");
    std::vector<Task> tasks;
    for (const PlanStep& step : stepsOf(problem, *made.found.plan))
        if (step.kind == StepKind::hands && step.dish == 0)
            tasks.push_back(step.task);
    // Raw pork: what it touched is washed before anything else is touched (common practice).
    for (const Task task : {Task::putIn, Task::wash, Task::pull, Task::serve})
        EXPECT_NE(std::find(tasks.begin(), tasks.end(), task), tasks.end()) << enumName(task);
    EXPECT_LT(std::find(tasks.begin(), tasks.end(), Task::wash),
              std::find(tasks.begin(), tasks.end(), Task::pull));
}

TEST(MenuPlan, AMenuThatCannotBeSaysWhyAndEachThingGivenUpHelps) {
    Table table;
    table.add(dishOf("Hot roast", "oven=220C"), kOven);
    table.add(dishOf("Slow roast", "oven=140C"), kOven);
    table.menu.notBeforeMin = table.menu.serveMin - 100;
    MenuProblem problem = table.problem();
    const MenuPlan made = planMenu(problem);
    ASSERT_FALSE(made.found.plan);
    const Conflict conflict = conflictOf(problem);
    ASSERT_EQ(conflict.dishes.size(), 2u);
    EXPECT_EQ(conflict.applianceId, "still");
    const std::string words =
        words::conflictWords(table.menu, conflict, table.names(), table.kitchen, {});
    EXPECT_NE(words.find("Both need the still: Hot roast at 220 °C, Slow roast at 140 °C"),
              std::string::npos)
        << words;
    std::vector<DishWays> open(2);
    for (std::size_t d = 0; d < 2; ++d) {
        MenuDish free = table.menu.dishes[d];
        free.place.reset();
        open[d] = waysOf(free, table.menu, table.requests[d]);
    }
    const auto concessions = concessionsOf(problem, conflict, open, table.kitchen, {});
    ASSERT_FALSE(concessions.empty());
    bool elsewhere = false;
    for (const Concession& one : concessions) {
        elsewhere = elsewhere || one.what == GiveUp::elsewhere;
        Table after = table;
        after.menu = one.menu;
        if (one.what == GiveUp::without)
            after.requests.erase(after.requests.begin() + static_cast<std::ptrdiff_t>(one.dish));
        MenuProblem changed = after.problem();
        EXPECT_TRUE(planMenu(changed).found.plan)
            << words::concessionWords(one, table.names(), table.kitchen);
    }
    EXPECT_TRUE(elsewhere);
}

// Two dishes of one tray at one heat, in an oven that has room for both (201).
TEST(MenuPlan, Defect201TwoDishesAreNotInOnePanAtOnceUnlessThereAreTwo) {
    Table table;
    for (const char* name : {"First", "Second"}) {
        translate::Request request = dishOf(name, "oven=180C");
        kitchen::Vessel tray;
        tray.id = "tray";
        tray.name = "Tray";
        tray.kind = kitchen::VesselKind::tray;
        tray.baseDiameterM = 0.2;
        request.kitchen.vessels.push_back(tray);
        if (table.menu.dishes.empty())
            table.kitchen.vessels.push_back(tray);
        request.recipe.last().place.vesselId = "tray";
        request.kitchen.appliances.front().capacityM2 = 2;
        table.add(request, translate::Target{"still", "middle", "tray"});
        table.menu.dishes.back().earlyS = 1800;
    }
    const auto together = [&] {
        MenuProblem problem = table.problem();
        const MenuPlan made = planMenu(problem);
        EXPECT_TRUE(made.found.plan);
        EXPECT_EQ(problem.vessels, std::vector<std::string>{"tray"});
        EXPECT_EQ(firstOf(broken(problem.problem, *made.found.plan)), "");
        Span spans[2];
        for (std::size_t d = 0; d < 2; ++d) {
            const Placed& placed = made.found.plan->dishes[d];
            const auto& way = problem.dishes[d].ways[static_cast<std::size_t>(placed.way)];
            EXPECT_EQ(way.vessels, std::vector<std::string>{"tray"});
            spans[d] = spanOf(way.way.holdings.front(), placed);
        }
        return spans[0].from < spans[1].to && spans[1].from < spans[0].to;
    };
    EXPECT_FALSE(together());
    {
        MenuProblem problem = table.problem();
        const MenuPlan made = planMenu(problem);
        const auto lines = words::panLines(problem, made, table.kitchen);
        ASSERT_EQ(lines.size(), 1u);
        EXPECT_EQ(lines[0].rfind("One Tray for ", 0), 0u) << lines[0];
    }
    for (auto& request : table.requests)
        request->kitchen.vessels.back().count = 2;
    table.kitchen.vessels.back().count = 2;
    EXPECT_TRUE(together());
    table.kitchen.vessels.back().count = 1;
    // Time enough for each alone, and for both if they had a tray each.
    Conflict conflict;
    for (int before = 60; before <= 240 && conflict.dishes.size() != 2; before += 15) {
        table.menu.notBeforeMin = table.menu.serveMin - before;
        conflict = conflictOf(table.problem());
    }
    EXPECT_EQ(conflict.vesselId, "tray");
    EXPECT_EQ(words::conflictWords(table.menu, conflict, table.names(), table.kitchen, {})
                  .rfind("Both need the Tray at once.", 0),
              0u);
}

// A pan that is heated for the second dish is not under the first one then.
TEST(MenuPlan, APanIsWantedFromWhenItIsHeatedOnItsHob) {
    Table table;
    table.add(dishOf("Chops", "oven=180C", 0.02), translate::Target{"hob", "pan", "pan"});
    const MenuProblem problem = table.problem();
    ASSERT_EQ(problem.dishes.size(), 1u);
    EXPECT_EQ(problem.vessels, std::vector<std::string>{"pan"});
    const Way& way = problem.problem.dishes[0].ways.front();
    ASSERT_EQ(way.holdings.size(), 1u);
    const Use& use = way.uses.front();
    const int heats = problem.problem.resources[0].fromNow[static_cast<std::size_t>(use.setting)];
    EXPECT_GT(heats, 0);
    EXPECT_EQ(way.holdings[0].from, use.from - heats);
    EXPECT_GT(way.holdings[0].to, use.to) << "it is emptied and wiped";
}

TEST(MenuPlan, ChanceGrowsWithSlackAndWithTolerance) {
    Table table;
    table.add(dishOf("Roast", "oven=180C"), kOven);
    MenuProblem problem = table.problem();
    const auto chance = [&](double share) {
        setSlack(problem, share);
        const Found found = solve(problem.problem);
        return chanceOf(problem, *found.plan).all;
    };
    const double without = chance(0), with = chance(1);
    EXPECT_GT(with, without + 0.1);
    table.menu.dishes[0].lateS = 3600;
    problem = table.problem();
    EXPECT_GT(chance(0), 0.9);
}

TEST(MenuPlan, SafetyClockCountsTemperingTheCookAndTheWait) {
    Table table;
    translate::Request request = dishOf("Roast", "oven=180C");
    request.recipe.piece.temperedS = 2 * 3600; // common practice warns at 2 h
    table.add(request, kOven);
    MenuProblem problem = table.problem();
    const MenuPlan made = planMenu(problem);
    ASSERT_TRUE(made.found.plan);
    EXPECT_GT(made.clocks[0].exposedS, 2 * 3600);
    EXPECT_TRUE(made.clocks[0].warn);
    EXPECT_FALSE(made.clocks[0].over);
    const auto lines = words::clockLines(problem, made, {});
    ASSERT_EQ(lines.size(), 1u);
    EXPECT_NE(lines[0].find("Local codes decide"), std::string::npos);
    table.menu.limits.mostS = 7200;
    problem = table.problem();
    EXPECT_TRUE(planMenu(problem).clocks[0].over);
}

TEST(MenuPlan, AnOvenThatIsHotAlreadyIsNotWaitedFor) {
    Table table;
    table.add(dishOf("Roast", "oven=180C"), kOven);
    const MenuProblem cold = table.problem();
    const auto& way = cold.dishes[0].ways[0];
    table.menu.on = {{"still", way.stages[0].place.setting}};
    const MenuProblem hot = table.problem();
    EXPECT_GT(cold.problem.resources[0].fromNow[0], 10);
    EXPECT_EQ(hot.problem.resources[0].fromNow[0], 0);
}

std::vector<std::string> wordsOf(const Table& table, const MenuProblem& problem,
                                 const MenuPlan& made) {
    std::vector<std::string> out;
    for (const PlanStep& step : stepsOf(problem, *made.found.plan))
        out.push_back(words::planStepWords(problem, *made.found.plan, step, table.kitchen, {}));
    return out;
}

// Salting ahead takes hours in the refrigerator (common practice); the clock of danger does not run
// there, and a piece that was salted yesterday asks for nothing.
TEST(MenuPlan, APieceThatIsSaltedAheadBeginsHoursBefore) {
    Table table;
    translate::Request request = dishOf("Roast", "oven=180C");
    const auto base = waysOf({"1", "Roast", 0, "", kOven, 300, 300, {}}, table.menu, request);
    request.recipe.piece.surface = recipe::SurfaceState::salted;
    table.add(request, kOven);
    MenuProblem problem = table.problem();
    const MenuPlan made = planMenu(problem);
    ASSERT_TRUE(made.found.plan);
    const DishWay& way = problem.dishes[0].ways[0];
    EXPECT_EQ(way.foodInAt - base.ways[0].foodInAt, 4 * 60);
    EXPECT_NEAR(way.exposure.cookS, base.ways[0].exposure.cookS, 300);
    const auto lines = wordsOf(table, problem, made);
    EXPECT_EQ(lines.front(), "Salt the Roast and leave it open on a rack in the cold for 4 h");
    table.menu.notBeforeMin = table.menu.serveMin - 150;
    problem = table.problem();
    EXPECT_FALSE(planMenu(problem).found.plan) << "there is no time to salt it";
    table.menu.dishes[0].driedBefore = true;
    problem = table.problem();
    EXPECT_TRUE(planMenu(problem).found.plan);
}

// Reheating reaches 74 °C inside (FDA Food Code 2022, 3-403.11); nothing raw goes in.
TEST(MenuPlan, ADishMadeBeforeIsReheatedToTheCode) {
    Table table;
    table.add(dishOf("Roast", "oven=180C"));
    table.menu.dishes[0].madeAhead = true;
    MenuProblem problem = table.problem();
    ASSERT_EQ(problem.dishes.size(), 1u) << firstOf(problem.impossible[0].without);
    const MenuPlan made = planMenu(problem);
    ASSERT_TRUE(made.found.plan);
    EXPECT_GE(problem.dishes[0].ways[0].row.outcome.peakK, 347.15 - 0.3);
    const auto lines = wordsOf(table, problem, made);
    const auto says = [&](const char* part) {
        return std::any_of(lines.begin(), lines.end(), [&](const std::string& line) {
            return line.find(part) != std::string::npos;
        });
    };
    EXPECT_TRUE(says("goes in cold to be reheated"));
    EXPECT_FALSE(says("raw"));
    EXPECT_NE(words::clockLines(problem, made, {}).at(0).find("reheated to 74 °C"),
              std::string::npos);
}

TEST(MenuPlan, AKeptTranslationKeepsItsSetting) {
    Table table;
    table.add(dishOf("Roast", "oven=180C"), kOven);
    const MenuProblem best = table.problem();
    table.menu.dishes[0].setting =
        *kitchen::parseSetting(findAppliance(table.kitchen, "still")->controls, "oven=150C");
    const MenuProblem kept = table.problem();
    ASSERT_EQ(kept.dishes.size(), 1u);
    EXPECT_EQ(kept.dishes[0].ways[0].row.instruction.setting, *table.menu.dishes[0].setting);
    EXPECT_GT(kept.dishes[0].ways[0].expectedAt, best.dishes[0].ways[0].expectedAt);
}

// A bath does all pieces at once; the pan sears them in turn.
TEST(MenuPlan, BatchesOfTheLastStageOnlyTakeThatStageSeveralTimes) {
    Table table;
    translate::Request request = dishOf("Reverse sear", "oven=120C", 0.03);
    recipe::Stage sear = request.recipe.last();
    request.recipe.last().end.coreK = C(50);
    request.recipe.last().end.afterS = 0;
    const auto* hob = findAppliance(table.kitchen, "hob");
    sear.place = {"hob", kitchen::usualSetting(hob->controls), hob->zones.front().name, "pan"};
    sear.handling = {};
    request.recipe.stages.push_back(sear);
    request.recipe.piece.coversM2 = 0.015;
    request.recipe.piece.pieces = 1;
    const translate::Target pan{"hob", hob->zones.front().name, "pan"};
    table.add(request, pan);
    const MenuProblem one = table.problem();
    ASSERT_EQ(one.dishes.size(), 1u) << firstOf(one.impossible[0].without);
    table.menu.dishes[0].portions = 6;
    const MenuProblem six = table.problem();
    ASSERT_EQ(six.dishes.size(), 1u) << firstOf(six.impossible[0].without);
    const DishWay &a = one.dishes[0].ways[0], &b = six.dishes[0].ways[0];
    EXPECT_GT(b.batches, 1);
    const int first = a.straight.back().to - a.straight.back().from;
    const int all = b.straight.back().to - b.straight.back().from;
    EXPECT_GE(all, b.batches * (first - 2));
    EXPECT_NEAR(a.straight.front().to - a.straight.front().from,
                b.straight.front().to - b.straight.front().from, 3);
}

// A general reader of iCalendar (RFC 5545) finds every step where the plan has it.
TEST(PlanCalendar, IsReadBackByAGeneralReader) {
    Table table;
    table.add(dishOf("Roast", "oven=180C"), kOven);
    table.menu.serveMin = 20; // begins the day before
    MenuProblem problem = table.problem();
    const MenuPlan made = planMenu(problem);
    ASSERT_TRUE(made.found.plan);
    const std::string text = formats::planCalendar(problem, made, {2026, 3, 1}, table.kitchen, {});
    icalcomponent* calendar = icalparser_parse_string(text.c_str());
    ASSERT_NE(calendar, nullptr);
    EXPECT_EQ(icalcomponent_count_errors(calendar), 0);
    const auto steps = stepsOf(problem, *made.found.plan);
    EXPECT_EQ(icalcomponent_count_components(calendar, ICAL_VEVENT_COMPONENT),
              static_cast<int>(steps.size()));
    std::size_t at = 0;
    for (auto* event = icalcomponent_get_first_component(calendar, ICAL_VEVENT_COMPONENT); event;
         event = icalcomponent_get_next_component(calendar, ICAL_VEVENT_COMPONENT), ++at) {
        const icaltimetype when = icalcomponent_get_dtstart(event);
        const int minute = steps[at].atMin;
        EXPECT_EQ(when.hour * 60 + when.minute, (minute + 1440) % 1440);
        EXPECT_EQ(when.day, minute < 0 ? 28 : 1);
        EXPECT_EQ(std::string(icalcomponent_get_summary(event)),
                  words::planStepWords(problem, *made.found.plan, steps[at], table.kitchen, {}));
    }
    icalcomponent_free(calendar);
    EXPECT_FALSE(formats::parseDay("2026-02-30"));
    EXPECT_FALSE(formats::parseDay("tomorrow"));
    EXPECT_TRUE(formats::parseDay("2028-02-29"));
}

} // namespace
} // namespace dynamet::plan
