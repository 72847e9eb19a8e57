// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What a test may carry is declared once: ranges, choices and what is required hold for the form,
// the command line and the book alike.
#include "rating/inputs/keyed_readings.h"
#include "rating/inputs/recorded_test.h"
#include "rating/inputs/test_reader.h"
#include "rating/inputs/typed_values.h"
#include "rating/series_of.h"
#include "words/say.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::rating;
constexpr auto kC = TemperatureUnit::celsius;

const Protocol& water() {
    return *findProtocol("water-heat-up");
}

TEST(Descriptor, EveryUsualValueIsInsideItsOwnRange) {
    for (const Protocol& protocol : allProtocols())
        for (const ValueSpec& spec : protocol.values) {
            SCOPED_TRACE(protocol.id + " " + spec.name);
            EXPECT_FALSE(spec.label.empty());
            if (spec.kind == ValueKind::choice) {
                EXPECT_GE(spec.choices.size(), 2u);
                continue;
            }
            EXPECT_LT(spec.low, spec.high);
            EXPECT_TRUE(spec.usual.empty() ? spec.optional
                                           : parseValue(spec, spec.usual, kC).has_value());
            EXPECT_TRUE(
                checkRange(spec, spec.fallback.value_or(spec.low * spec.siPerUnit)).has_value());
        }
}

TEST(Descriptor, ARequiredValueIsAskedForByName) {
    TestInput test{"water-heat-up", {}, {}, {}};
    test.channels["water"] = seriesOf(generator::heatPot({}, 88, 2, {}, 1).water);
    const auto found = reduce(test);
    ASSERT_FALSE(found.has_value());
    EXPECT_EQ(found.error().message, "water-heat-up needs water_kg (Water)");
}

// A pot that weighs less than nothing, an emissivity above one, a dial of the sun.
TEST(Descriptor, Defect128RefusesWhatIsOutsideItsRange) {
    struct Case {
        const char* protocol;
        const char* name;
        double value;
    };
    for (const Case& c : {Case{"water-heat-up", "water_kg", -1.5},
                          {"water-heat-up", "pot_kg", -1},
                          {"block", "emissivity", 1.7},
                          {"preheat", "altitude_m", 12000},
                          {"preheat", "set_C", 1e308},
                          {"block", "mass_kg", NAN},
                          {"coal-count", "wind_m_s", -3},
                          {"zone-sweep", "waited_s", -60}}) {
        const ValueSpec& spec = *findProtocol(c.protocol)->value(c.name);
        const auto ok = checkRange(spec, c.value);
        ASSERT_FALSE(ok.has_value()) << c.protocol << " " << c.name;
        EXPECT_NE(ok.error().message.find(spec.label), std::string::npos);
        TestInput test{c.protocol, {}, {}, {{c.name, c.value}}};
        const auto found = reduce(test);
        ASSERT_FALSE(found.has_value());
        EXPECT_EQ(found.error().code, Errc::invalidArgument);
    }
}

TEST(Descriptor, ARangeIsToldInTheReadersUnits) {
    const auto ok = checkRange(*water().value("ambient_C"), 90);
    ASSERT_FALSE(ok.has_value());
    EXPECT_EQ(words::text(ok.error(), {}), "Room: 90 °C is outside −40 °C to 60 °C");
    EXPECT_EQ(words::text(ok.error(), {true, true}), "Room: 194 °F is outside −40 °F to 140 °F");
}

TEST(Descriptor, ReadsWhatACookTypes) {
    struct Case {
        const char* name;
        const char* typed;
        double value;
    };
    for (const Case& c : {Case{"water_kg", "1,650", 1.65},
                          {"water_kg", "3 lb", 1.3608},
                          {"water_kg", "1.5 kg", 1.5},
                          {"ambient_C", "72F", 22.222},
                          {"energy_J", "0.35 kWh", 1.26e6},
                          {"evaporated_kg", "0", 0}}) {
        const auto read = parseValue(*water().value(c.name), c.typed, kC);
        ASSERT_TRUE(read.has_value()) << c.typed << ": " << read.error().message;
        EXPECT_NEAR(*read, c.value, 2e-4 * std::max(1.0, c.value)) << c.typed;
    }
    for (const char* typed : {"", "-20", "two", "1500 mm", "inf", "1e999"})
        EXPECT_FALSE(parseValue(*water().value("water_kg"), typed, kC).has_value()) << typed;
}

TEST(Descriptor, AnOptionalValueMayStayEmptyAndNoughtMeansNone) {
    const auto read = readTyped(water(), {{"energy_J", ""}, {"gas_m3", "0"}}, kC);
    ASSERT_TRUE(read.has_value()) << read.error().message;
    EXPECT_FALSE(read->values.contains("energy_J"));
    TestInput test{"water-heat-up", {}, {}, read->values};
    test.channels["water"] = seriesOf(generator::heatPot({}, 88, 2, {}, 1).water);
    test.values["water_kg"] = 1.5;
    const auto found = reduce(test);
    ASSERT_TRUE(found.has_value()) << found.error().message;
    EXPECT_EQ(find(*found, "efficiency"), nullptr) << "no energy was measured";
}

TEST(Descriptor, ChoicesAreWords) {
    const Protocol& face = *findProtocol("one-face-block");
    EXPECT_EQ(readNamed(face, {{"heat_from", "above"}})->choices.at("heat_from"), "above");
    const auto wrong = readNamed(face, {{"heat_from", "1"}});
    ASSERT_FALSE(wrong.has_value());
    EXPECT_NE(wrong.error().message.find("below, above"), std::string::npos);
    TestInput test{"one-face-block", {}, {}, {{"heat_from", 1.0}}};
    EXPECT_NE(reduce(test).error().message.find("in words"), std::string::npos);
}

// A knob that names no temperature has no set-point: nothing is reported against 180.
TEST(Descriptor, Defect129NoSetPointUnlessTheDialHasOne) {
    EXPECT_TRUE(usualText(*findProtocol("preheat")->value("set_C"), kC).empty());
    TestInput test{"preheat", {}, {}, {}};
    test.channels["air"] =
        seriesOf(generator::preheat({}, 180, 4200, 5, {60, 0, 1, 0.1, 0.1}, 4).air);
    const auto found = reduce(test);
    ASSERT_TRUE(found.has_value()) << found.error().message;
    EXPECT_EQ(find(*found, "offset_K"), nullptr);
}

TEST(RecordedTest, ReadingsAreCorrectedOnceAndTheProbesOwnErrorGoesIn) {
    kitchen::Instrument probe;
    probe.id = "p";
    probe.kind = kitchen::InstrumentKind::probe;
    probe.calibrations.push_back({});
    probe.calibrations.back().validFromMs = 0;
    probe.calibrations.back().offset = 2;
    RecordedTest test;
    test.protocol = "preheat";
    test.instrumentId = "p";
    test.startedMs = 1000;
    test.channels.push_back({"air", "Oven", "°F", "", {0, 5}, {212, 392}, 1});
    const TestInput input = inputOf(test, {probe});
    EXPECT_NEAR(input.channels.at("air").value[1] - input.channels.at("air").value[0], 100, 0.5);
    EXPECT_NE(input.channels.at("air").value[0], 373.15);
    EXPECT_TRUE(input.values.contains("u_bias_K"));
    test.startedMs = -1; // before the calibration
    EXPECT_NEAR(inputOf(test, {probe}).channels.at("air").value[0], 373.15, 1e-9);
}

} // namespace
