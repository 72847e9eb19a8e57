// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/narrow_spread.h"
#include "translate/small_kitchen.h"
#include "translate/window.h"

#include "numeric/cholesky.h"
#include "words/translation_words.h"
#include <chrono>
#include <cmath>

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::translate;
using namespace dynamet::translate::testing;

Prepared prepared(const Request& request) {
    auto p = prepare(request);
    EXPECT_TRUE(p.has_value()) << p.error().message;
    return *p;
}

Row rowFor(const Prepared& p, const std::string& id, const std::string& zone = "") {
    for (const Target& t : p.targets)
        if (t.applianceId == id && (zone.empty() || t.zone == zone)) {
            Row row = solveRow(p, t);
            addWindow(p, row);
            return row;
        }
    ADD_FAILURE() << "no target " << id;
    return {};
}

TEST(Translate, ItsOwnApplianceGivesTheRecipeBack) {
    const Prepared p = prepared(roastRequest());
    const Row row = rowFor(p, "still");
    ASSERT_TRUE(row.reached) << row.reason.message;
    EXPECT_EQ(settingText(p.request.kitchen.appliances[0].controls, row.instruction.setting),
              "oven=180C");
    EXPECT_NEAR(row.outcome.pullS, p.outcome.pullS, 2);
    EXPECT_LT(row.crustDistance, 0.02);
}

// What a slider shows first is the same cook as the search's own answer at that setting.
TEST(Translate, ARowAtAHeldSettingIsTheSameCook) {
    const Prepared p = prepared(roastRequest());
    const Row row = rowFor(p, "fan");
    const Row held = solveRowAt(p, row.target, row.instruction.setting);
    ASSERT_TRUE(held.reached) << held.reason.message;
    EXPECT_DOUBLE_EQ(held.outcome.pullS, row.outcome.pullS);
    EXPECT_DOUBLE_EQ(held.crustDistance, row.crustDistance);
    EXPECT_EQ(held.solves, 1);
    EXPECT_GT(row.solves, 20);
}

TEST(Translate, AFanOvenIsSetLowerForTheSameCrust) {
    const Prepared p = prepared(roastRequest());
    const Row row = rowFor(p, "fan");
    ASSERT_TRUE(row.reached);
    const double dial = std::get<double>(row.instruction.setting.values[0]);
    EXPECT_LT(dial, 180);
    EXPECT_GT(dial, 130);
    ASSERT_TRUE(row.rule.has_value());
    const std::string says = words::ruleWords(row, p.request.kitchen, {});
    EXPECT_EQ(says, "rule of thumb: 160 °C, the recipe's time");
}

TEST(Translate, WindowHoldsTheExpectedTimeAndOrdersItsEnds) {
    const Prepared p = prepared(roastRequest());
    for (const Target& t : p.targets) {
        Row row = solveRow(p, t);
        addWindow(p, row);
        if (!row.window)
            continue;
        EXPECT_LT(row.window->lookS, row.window->expectS) << t.applianceId;
        if (row.window->latestS) {
            EXPECT_GT(*row.window->latestS, row.window->expectS) << t.applianceId;
        }
    }
}

// definitions §5: with s ≈ 0.17 (an assumed oven) the window is about 12–24 for 17 min, rated about
// 14–21; physics §5: assumed ovens have sd 0.17–0.20 of ln(time).
TEST(Translate, AnAssumedOvenHasAWideWindowAndARatedOneANarrowerOne) {
    Request request = roastRequest();
    const Row assumed = rowFor(prepared(request), "still");
    rate(request.kitchen, "still", "oven=180C", kitchen::Term::air, C(180), 2);
    rate(request.kitchen, "still", "oven=180C", kitchen::Term::radiant, C(180), 4);
    rate(request.kitchen, "still", "oven=180C", kitchen::Term::hAir, 10, 0.8);
    const Row rated = rowFor(prepared(request), "still");
    EXPECT_GT(assumed.window->lnSd, 0.12);
    EXPECT_LT(assumed.window->lnSd, 0.24);
    EXPECT_LT(rated.window->lnSd, 0.85 * assumed.window->lnSd);
}

/// Variance of ln(time) by plain sampling with everything but one number known exactly.
double lnSdWith(double uFactor) {
    Request request = roastRequest();
    request.recipe.piece.food.waterU = 0;
    rate(request.kitchen, "fan", "oven=160C", kitchen::Term::air, C(160), 3 * uFactor);
    const Prepared p = prepared(request);
    const auto& fan = *findAppliance(request.kitchen, "fan");
    auto programme = programmeFor(request, {"fan", "middle", ""},
                                  *kitchen::parseSetting(fan.controls, "oven=160C"));
    for (auto& n : programme->last().field.numbers)
        if (n.key.term != kitchen::Term::air)
            n.u = 0;
    programme->last().field.covariances.clear();
    long solves = 0;
    const auto window = windowOf(
        {&request.recipe.piece, &*programme, C(60), C(70), spreadWith(0, 0, 0, 0), p.tables, 7},
        solves);
    return window->lnSd;
}

TEST(Translate, DoublingTheFieldsUncertaintyDoublesTheWindow) {
    const double once = lnSdWith(1), twice = lnSdWith(2);
    EXPECT_GT(once, 0.005);
    EXPECT_NEAR(twice / once, 2, 0.05);
}

TEST(Translate, SensitivitiesAndSamplingAgree) {
    Request request = roastRequest();
    const Prepared p = prepared(request);
    const auto& fan = *findAppliance(request.kitchen, "fan");
    auto programme = programmeFor(request, {"fan", "middle", ""},
                                  *kitchen::parseSetting(fan.controls, "oven=160C"));
    for (auto& n : programme->last().field.numbers)
        n.u *= 0.45; // narrow enough for sensitivities
    for (auto& c : programme->last().field.covariances)
        c.covariance *= 0.45 * 0.45;
    const FoodSpread narrow = spreadWith(0.02, 1.5, 0.2, 0.02);
    long solves = 0;
    const WindowInput input{&request.recipe.piece, &*programme, C(60), C(70), narrow, p.tables, 3};
    const auto fast = windowOf(input, solves);
    ASSERT_FALSE(fast->sampled) << fast->lnSd;
    // The same by plain sampling, drawn here.
    const auto inputs = inputsOf(*programme, narrow, request.recipe.piece);
    const auto factor = choleskyFactor(correlationsOf(inputs, *programme), inputs.size());
    std::vector<double> logs;
    std::uint64_t state = 12345;
    const auto normal =
        [&state] { // twelve even numbers, good to 3 σ: a generator of the test's own
            double sum = -6;
            for (int i = 0; i < 12; ++i) {
                state = state * 6364136223846793005ULL + 1442695040888963407ULL;
                sum += static_cast<double>(state >> 11) * 0x1.0p-53;
            }
            return sum;
        };
    for (int s = 0; s < 600; ++s) {
        std::vector<double> raw(inputs.size()), z(inputs.size(), 0.0);
        for (double& r : raw)
            r = normal();
        for (std::size_t i = 0; i < z.size(); ++i)
            for (std::size_t k = 0; k <= i; ++k)
                z[i] += factor[i * z.size() + k] * raw[k];
        const Deviated one = deviated(request.recipe.piece, *programme, inputs, z);
        const auto tables = cook::tablesFor(one.piece.food, 101325);
        logs.push_back(
            std::log(*cook::timeToReach(one.piece, one.programme, C(60), cook::kQuick, tables)) +
            0.02 * normal());
    }
    double sum = 0, squares = 0;
    for (double l : logs)
        sum += l;
    for (double l : logs)
        squares += std::pow(l - sum / 600, 2);
    EXPECT_NEAR(fast->lnSd / std::sqrt(squares / 599), 1, 0.1);
}

TEST(Translate, SwappingTwoFieldsSwapsTheRows) {
    Request request = roastRequest();
    // A second still oven; the two are rated apart, then the ratings change places.
    auto twin = request.kitchen.appliances[0];
    twin.id = "twin";
    request.kitchen.appliances.push_back(twin);
    const auto row = [&](double still, double other, const char* id) {
        Request r = request;
        rate(r.kitchen, "still", "oven=180C", kitchen::Term::air, C(180), 2);
        rate(r.kitchen, "twin", "oven=180C", kitchen::Term::air, C(still), 2);
        rate(r.kitchen, "fan", "oven=180C", kitchen::Term::air, C(other), 2);
        r.kitchen.appliances[1] = twin; // the "fan" place now holds the same kind
        r.kitchen.appliances[1].id = "fan";
        return rowFor(prepared(r), id);
    };
    const Row a = row(172, 195, "twin"), b = row(195, 172, "fan");
    EXPECT_EQ(a.instruction.setting, b.instruction.setting);
    EXPECT_NEAR(a.outcome.pullS, b.outcome.pullS, 1e-6);
    EXPECT_EQ(a.window->expectS, b.window->expectS);
}

TEST(Translate, SaysWhenItIsBelowTheOfficialMinimum) {
    Request request = roastRequest();
    request.recipe.goal = {C(58), food::GoalMoment::peak, C(56), C(60), "too low"};
    const Prepared p = prepared(request);
    const Row row = rowFor(p, "fan");
    ASSERT_FALSE(row.warnings.empty());
    EXPECT_EQ(row.warnings.front().code, "below_minimum");
    const auto lines = words::warningLines(row, p, {});
    EXPECT_NE(lines.front().find("62.8 °C"), std::string::npos) << lines.front();
    EXPECT_NE(lines.front().find("Local codes"), std::string::npos) << lines.front();
    EXPECT_NE(words::warningLines(row, p, {true, true}).front().find("145 °F"), std::string::npos);
}

TEST(Translate, PrintsThePullInWholeDegreesOfTheUnit) {
    Request request = roastRequest();
    request.units.fahrenheit = true;
    const Row row = rowFor(prepared(request), "still");
    const double f = Temperature::kelvin(row.instruction.pullK).fahrenheit();
    EXPECT_NEAR(f, std::round(f), 1e-9);
}

TEST(Translate, AllRowsComeRankedAndSpeedIsPrinted) {
    const Prepared p = prepared(roastRequest());
    const auto begin = std::chrono::steady_clock::now();
    const auto rows = translateAll(p);
    const double ms =
        std::chrono::duration<double, std::milli>(std::chrono::steady_clock::now() - begin).count();
    long solves = 0;
    for (const Row& row : rows) {
        solves += row.solves;
        printf("%-6s %-9s %s d %.2f rim %.1f t %.0f look %.0f latest %.0f s %.3f\n",
               row.target.applianceId.c_str(), row.target.zone.c_str(),
               row.reached ? "ok" : row.reason.message.c_str(), row.crustDistance,
               row.outcome.rimM * 1000, row.outcome.pullS, row.window ? row.window->lookS : 0,
               row.window ? row.window->latestS.value_or(-1) : 0,
               row.window ? row.window->lnSd : 0);
    }
    printf("%zu rows, %ld cooks, %.0f ms\n", rows.size(), solves, ms);
    for (std::size_t i = 1; i < rows.size(); ++i)
        EXPECT_FALSE(ranksBefore(rows[i], rows[i - 1], p.outcome));
}

// A request that nobody waits for any more lets go of its worker within a step of its cook.
TEST(Stop, EveryLongCallAsksForIt) {
    std::stop_source source;
    const Prepared p = prepared(roastRequest());
    const Row row = rowFor(p, "fan");
    ASSERT_TRUE(row.reached);
    EXPECT_TRUE(detailOf(p, row, source.get_token()).outcome.has_value());
    source.request_stop();
    const auto token = source.get_token();
    EXPECT_FALSE(prepare(roastRequest(), token).has_value());
    EXPECT_FALSE(fullOutcome(p, row, token).has_value());
    EXPECT_FALSE(detailOf(p, row, token).outcome.has_value());
    EXPECT_FALSE(solveRowAt(p, row.target, row.instruction.setting, 0, token).reached);
    EXPECT_FALSE(solveRow(p, row.target, token).reached);
    EXPECT_TRUE(prepare(roastRequest()).has_value()) << "and the next one is not stopped";
}

// A cook turns the flame down when the pan is there: what stands on a strong burner does not char
// for its strength (it did: index 0.7 to 10 from 25 to 50 kW/m²).
TEST(Hob, Defect173ThePanIsHeldByTheCookWhateverTheBurner) {
    Request r;
    r.kitchen = smallKitchen();
    r.recipe.piece.food = *food::findFood("beef-lean");
    r.recipe.piece.thicknessM = 0.035;
    r.recipe.piece.startK = C(5);
    r.recipe.last().end.afterS = 420;
    std::vector<double> browned;
    for (const char* setting : {"level=8;preheat=230C", "level=9;preheat=230C"}) {
        r.recipe.last().place = {
            "hob", *kitchen::parseSetting(findAppliance(r.kitchen, "hob")->controls, setting),
            "pan", "pan"};
        const auto prepared = prepare(r);
        ASSERT_TRUE(prepared) << prepared.error().message;
        EXPECT_LT(prepared->outcome.hottestTouchK, C(245));
        browned.push_back(prepared->outcome.darker());
    }
    EXPECT_GT(browned[0], 0.3);
    EXPECT_LT(browned[1], 2.5) << "brown, not scorched";
    EXPECT_LT(browned[1], 1.3 * browned[0]);
}

/// What a row's hob takes away from its cook, by code.
std::vector<std::string> hobFindings(const kitchen::HobLimits& limits, const char* setting,
                                     double* hottestK = nullptr) {
    Request r = roastRequest();
    auto& hob = *std::find_if(r.kitchen.appliances.begin(), r.kitchen.appliances.end(),
                              [](const auto& a) { return a.id == "hob"; });
    hob.hob = limits;
    r.recipe.piece.food = *food::findFood("beef-lean");
    r.recipe.piece.thicknessM = 0.03;
    r.recipe.last().place = {"hob", *kitchen::parseSetting(hob.controls, setting),
                             hob.zones.front().name, "pan"};
    r.recipe.goal = {C(55), food::GoalMoment::peak, C(53), C(57), "pink"};
    const Prepared p = prepared(r);
    const Row row = rowFor(p, "hob");
    EXPECT_TRUE(row.reached) << row.reason.message;
    if (hottestK)
        *hottestK = row.outcome.hottestTouchK;
    std::vector<std::string> out;
    for (const Finding& warning : row.warnings)
        if (warning.code == "boost_ends" || warning.code == "pan_limited" ||
            warning.code == "shares_power")
            out.push_back(warning.code);
    return out;
}

// A hob's boost ends after minutes, its limiter stops the pan, zones share their power (common
// practice, no source): the cook respects it and the row names it.
TEST(Hob, ItsOwnLimitsAreRespectedAndNamed) {
    using Codes = std::vector<std::string>;
    EXPECT_EQ(hobFindings({}, "level=9;preheat=240C"), Codes{});
    double free = 0, limited = 0;
    EXPECT_EQ(hobFindings({120, 0, 0}, "level=9;preheat=240C", &free), Codes{"boost_ends"});
    EXPECT_EQ(hobFindings({120, 0, 0}, "level=8;preheat=240C"), Codes{}) << "no boost";
    EXPECT_EQ(hobFindings({0, C(190), 0}, "level=9;preheat=240C", &limited), Codes{"pan_limited"});
    EXPECT_GT(free, C(230));
    EXPECT_LT(limited, C(193));
    EXPECT_EQ(hobFindings({0, 0, 3000}, "level=9;preheat=240C"), Codes{"shares_power"});
    EXPECT_EQ(hobFindings({0, 0, 3000}, "level=4;preheat=240C"), Codes{});
}

} // namespace
