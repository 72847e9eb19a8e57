// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What each further protocol refuses, and that it says what to do about it.
#include "generator/fires.h"
#include "generator/liquids.h"
#include "generator/plates.h"
#include "rating/inputs/guide_text.h"
#include "rating/inputs/keyed_readings.h"
#include "rating/inputs/typed_values.h"
#include "rating/reduce.h"
#include "rating/series_of.h"

#include "words/say.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::rating;

void expectRefused(const TestInput& test, const std::string& wanted) {
    const auto found = reduce(test);
    ASSERT_FALSE(found.has_value()) << test.protocol;
    const std::string says = words::text(found.error(), {});
    EXPECT_NE(says.find(wanted), std::string::npos) << test.protocol << ": " << says;
}

Series flat(double celsius, int seconds) {
    Series s;
    for (int i = 0; i < seconds; ++i) {
        s.timeS.push_back(i);
        s.value.push_back(celsius + 273.15 + 0.05 * (i % 3));
    }
    return s;
}

TEST(Refusals, BoilOffWithNothingLost) {
    expectRefused({"boil-off", {}, {}, {{"start_kg", 2}, {"end_kg", 2}, {"boiled_s", 900}}},
                  "weigh less after");
    expectRefused({"boil-off", {}, {}, {{"start_kg", 2}, {"end_kg", 1.9}, {"boiled_s", 30}}},
                  "ten minutes");
}

TEST(Refusals, APlateThatNeverCooled) {
    TestInput test{"dry-preheat", {}, {}, {}};
    test.channels["plate"] = seriesOf(generator::heatAndCool({}, 500, 10, {}, 1).plate);
    expectRefused(test, "cooling");
    test.channels["plate"] = flat(80, 600);
    expectRefused(test, "rose by only");
}

TEST(Refusals, AMirrorIsNoSurfaceForAGun) {
    expectRefused({"surface-map", {}, {{"spot", {450, 452, 455}}}, {{"emissivity", 0.3}}},
                  "paint or tape");
    expectRefused({"surface-map", {}, {{"spot", {450}}}, {}}, "three spots");
    expectRefused({"surface-map", {}, {{"spot", {450, 452, 800}}}, {{"limit_C", 500}}}, "limit");
}

TEST(Refusals, ALoadThatWasNeverSetDown) {
    TestInput test{"load-dip", {}, {}, {}};
    test.channels = {{"plate", flat(220, 900)}, {"load", flat(22, 900)}};
    expectRefused(test, "never warmed");
    test.channels.erase("load");
    expectRefused(test, "role \"load\"");
}

TEST(Refusals, TwoBlocksThatAreTooSimilar) {
    const auto run = generator::blockInCavity({}, 180, {}, 1500, 5, {}, {}, 1);
    TestInput test{"block-pair", {}, {}, {{"emissivity_bright", 0.8}, {"emissivity_black", 0.95}}};
    test.channels = {{"bright", seriesOf(run.block)}, {"black", seriesOf(run.block)}};
    expectRefused(test, "too similar");
}

TEST(Refusals, AFaceThatHardlyWarmed) {
    TestInput test{"one-face-block", {}, {}, {}};
    test.channels["block"] = flat(30, 300);
    expectRefused(test, "rose by only");
    test.channels["block"] = seriesOf(generator::face({}, 420, 1200, {}, 2).block);
    test.values["limit_C"] = 300;
    expectRefused(test, "limit");
}

TEST(Refusals, AMapOfOneProbeOrOfAClimbingOven) {
    TestInput test{"cavity-map", {}, {}, {}};
    test.channels["middle"] = flat(180, 1800);
    expectRefused(test, "two probes");
    Series climbing = flat(20, 1800);
    for (std::size_t i = 0; i < climbing.size(); ++i)
        climbing.value[i] += 0.06 * static_cast<double>(i);
    test.channels = {{"middle", climbing}, {"upper", climbing}};
    expectRefused(test, "never settled");
}

TEST(Refusals, AFireThatIsStillAtItsPeak) {
    generator::Fire fire;
    fire.fuelKg = 9;
    TestInput test{"burn-down", {}, {}, {{"target_C", 250}}};
    test.channels["air"] = seriesOf(generator::burn(fire, 1500, 10, {}, 3).air);
    expectRefused(test, "log on");
    test.channels["air"] = seriesOf(generator::burn(fire, 18000, 10, {}, 3).air);
    test.values["target_C"] = 900;
    expectRefused(test, "never falls through");
    test.values = {{"target_C", 250}, {"limit_C", 300}};
    expectRefused(test, "limit");
}

// The peak is read off the log within a couple of kelvins: its u says so with a target and without.
TEST(BurnDown, ThePeaksUncertaintyIsTheSameWithAndWithoutATarget) {
    generator::Fire fire;
    fire.fuelKg = 9;
    TestInput test{"burn-down", {}, {}, {{"target_C", 250}}};
    test.channels["air"] = seriesOf(generator::burn(fire, 18000, 10, {20, 1, 1, 1, 0.5}, 6).air);
    const auto with = reduce(test);
    test.values.clear();
    const auto without = reduce(test);
    ASSERT_TRUE(with.has_value() && without.has_value());
    EXPECT_EQ(with->quantities.front().name, "passes_s");
    EXPECT_EQ(without->quantities.front().name, "peak_K");
    EXPECT_EQ(without->quantities.size(), 4u);
    EXPECT_NEAR(find(*without, "peak_K")->u, find(*with, "peak_K")->u, 1e-9);
    EXPECT_GT(find(*without, "peak_K")->u, 2);
}

TEST(Refusals, CoalsWithoutTheirCounts) {
    expectRefused(
        {"coal-count", {}, {{"inside", {440, 450}}, {"under", {8}}, {"lid", {16, 12}}}, {}},
        "needs all three");
    expectRefused(
        {"coal-count", {}, {{"inside", {440, 1450}}, {"under", {8, 6}}, {"lid", {16, 12}}}, {}},
        "run 2");
}

TEST(Refusals, ABathWithoutItsSwitchOrItsWater) {
    TestInput test{"bath-loss", {}, {}, {{"water_kg", 12}}};
    test.channels["water"] = seriesOf(generator::heatVat({}, 2400, 200, 9000, 10, {}, 4).liquid);
    expectRefused(test, "needs off_s");
    test.values = {{"off_s", 2400}};
    expectRefused(test, "needs water_kg");
    test.values = {{"water_kg", 12}, {"off_s", 2400}};
    EXPECT_TRUE(reduce(test).has_value());
}

TEST(Refusals, OilThatIsTooCold) {
    generator::Vat vat;
    vat.oil = true;
    TestInput test{"oil-heat-up", {}, {}, {{"oil_kg", 3}}};
    test.channels["oil"] = seriesOf(generator::heatVat(vat, 1e9, 110, 7200, 2, {}, 5).liquid);
    expectRefused(test, "does not pass");
}

TEST(Refusals, AThermometerThatIsNotInTheBoil) {
    expectRefused({"instrument-check", {}, {{"ice", {273, 273}}, {"boil", {340, 341}}}, {}},
                  "really boil");
    expectRefused({"instrument-check", {}, {{"ice", {273}}, {"boil", {373, 373}}}, {}}, "twice");
}

TEST(Refusals, AnUnknownProtocolListsTheSixteen) {
    const auto found = reduce({"tea-leaves", {}, {}, {}});
    ASSERT_FALSE(found.has_value());
    for (const Protocol& p : allProtocols())
        EXPECT_NE(found.error().message.find(p.id), std::string::npos) << p.id;
    EXPECT_EQ(allProtocols().size(), 16u);
}

TEST(Guide, IsReadInTheReadersUnits) {
    const std::string said = "from 30 to 80 °C, past 85 °C, by at least 20 K; 250 g, 4 Kelvins";
    EXPECT_EQ(inReaderUnits(said, {}), said);
    EXPECT_EQ(inReaderUnits(said, {true, true}),
              "from 86 to 176 °F, past 185 °F, by at least 36 °F; 250 g, 4 Kelvins");
    for (const Protocol& p : allProtocols())
        for (const std::string& step : p.steps)
            EXPECT_EQ(inReaderUnits(step, {true, true}).find("°C"), std::string::npos) << step;
}

// Every page of the guide has the same parts; the program reads its steps from them.
TEST(Guide, EveryProtocolHasAWholePage) {
    for (const Protocol& p : allProtocols()) {
        EXPECT_FALSE(p.title.empty()) << p.id;
        EXPECT_FALSE(p.finds.empty()) << p.id;
        EXPECT_FALSE(p.needs.empty()) << p.id;
        EXPECT_GE(p.steps.size(), 4u) << p.id;
        EXPECT_FALSE(p.howLong.empty()) << p.id;
        EXPECT_FALSE(p.cautions.empty()) << p.id;
        EXPECT_FALSE(p.spoils.empty()) << p.id;
        EXPECT_FALSE(p.workedOut.empty()) << p.id;
        EXPECT_EQ(guidePage(p.id).rfind("# " + p.title, 0), 0u) << p.id;
    }
}

TEST(Keyed, CountsAndMinutesAreReadAsSuch) {
    const KeyedRole count{"under", "Coals under", KeyedKind::count, "", true};
    const KeyedRole age{"age", "Age", KeyedKind::minutes, "", false};
    const auto counts = parseKeyed(count, "8 6; 12", TemperatureUnit::celsius);
    ASSERT_TRUE(counts.has_value());
    EXPECT_EQ((*counts)[2].value, 12);
    EXPECT_DOUBLE_EQ((*parseKeyed(age, "20 25.5 min", TemperatureUnit::celsius))[1].value, 1530);
    const auto half = parseKeyed(count, "8 6.5", TemperatureUnit::celsius);
    ASSERT_FALSE(half.has_value());
    EXPECT_NE(half.error().message.find("Coals under: entry 2"), std::string::npos)
        << half.error().message;
    EXPECT_FALSE(parseKeyed(count, "-3", TemperatureUnit::celsius).has_value());
}

} // namespace
