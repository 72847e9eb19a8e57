// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A kitchen of one's own: dials in their own unit, marks as they are written, what a pan weighs.
#include "kitchen/catalogue.h"
#include "kitchen/dial.h"
#include "kitchen/marks.h"
#include "kitchen/rate_sheet.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::kitchen;

Control ovenIn(const std::string& unit) {
    return markedIn(typicalAppliance(ApplianceKind::stillOven)->controls.front(), unit);
}

Site home() {
    Site out;
    out.id = out.name = "home";
    return out;
}

struct Typed {
    const char *unit, *text;
    double value;
};
class Dial : public ::testing::TestWithParam<Typed> {};
TEST_P(Dial, TakesWhatACookTypesInItsOwnUnit) {
    const auto value = parseDial(ovenIn(GetParam().unit), GetParam().text);
    ASSERT_TRUE(value.has_value()) << value.error().message;
    EXPECT_DOUBLE_EQ(*value, GetParam().value) << GetParam().text;
}
// 350 °F is gas 4, 180 °C is 356 °F, on the nearest step 355 (usual dial scale, from memory).
INSTANTIATE_TEST_SUITE_P(Cooks, Dial,
                         ::testing::Values(Typed{"F", "350", 350}, Typed{"F", "425 F", 425},
                                           Typed{"F", "350 °F", 350}, Typed{"F", "180 C", 355},
                                           Typed{"F", "gas 4", 355}, Typed{"C", "180", 180},
                                           Typed{"C", "137", 137}, Typed{"C", "350 F", 175},
                                           Typed{"gas", "6", 6}, Typed{"gas", "1/2", 0.5},
                                           Typed{"gas", "½", 0.5}, Typed{"gas", "gas mark 6", 6},
                                           Typed{"gas", "200 C", 6}));

TEST(DialDefect, AForeignNumberIsRefusedAndNeverTakenForAnother) {
    const auto cold = parseDial(ovenIn("C"), "425");
    ASSERT_FALSE(cold.has_value());
    EXPECT_NE(cold.error().message.find("80 °C to 250 °C"), std::string::npos)
        << cold.error().message;
    EXPECT_FALSE(parseDial(ovenIn("F"), "").has_value());
    EXPECT_FALSE(parseDial(ovenIn("F"), "hot").has_value());
    EXPECT_FALSE(parseDial(ovenIn("gas"), "12").has_value());
}

TEST(DialDefect, SheetRowsStandAtNumbersThatTheDialHas) {
    for (const auto& [unit, wanted] : {std::pair<std::string, std::string>{"F", "oven=350F"},
                                       {"gas", "oven=4gas"},
                                       {"C", "oven=175C"}}) {
        Appliance oven = *typicalAppliance(ApplianceKind::stillOven);
        oven.controls.front() = ovenIn(unit);
        std::vector<std::string> rows;
        for (const Setting& s : sheetSettings(oven, {}))
            rows.push_back(settingText(oven.controls, s));
        EXPECT_NE(std::find(rows.begin(), rows.end(), wanted), rows.end()) << unit;
        EXPECT_GE(rows.size(), 4u);
    }
}

TEST(DialDefect, LabelsAreTheDialsOwnWithTheReadersUnitBehind) {
    Appliance oven = *typicalAppliance(ApplianceKind::stillOven, TemperatureUnit::fahrenheit);
    const auto at = *parseSetting(oven.controls, "oven=350F");
    EXPECT_EQ(settingLabel(oven.controls, at, Units{true, true}), "350 °F");
    EXPECT_EQ(settingLabel(oven.controls, at, Units{}), "350 °F (177 °C)");
    EXPECT_EQ(settingLabel(oven.controls, at, Units{.gasMarks = true}), "350 °F (177 °C, gas 4)");
    // Above gas 9 there is no mark to say.
    EXPECT_EQ(settingLabel(oven.controls, *parseSetting(oven.controls, "oven=500F"),
                           Units{true, true, true}),
              "500 °F");
    oven.controls.front() = ovenIn("gas");
    EXPECT_EQ(settingLabel(oven.controls, *parseSetting(oven.controls, "oven=0.5gas")), "gas ½");
}

// A burner without a pan was shown at 0 K, "−460 °F".
TEST(SheetDefect, ABurnerWithoutAPanIsNotKnownAndSaysWhy) {
    Kitchen kitchen;
    kitchen.sites.push_back(home());
    Appliance burner = *typicalAppliance(ApplianceKind::gasHob);
    burner.id = burner.name = "burner";
    burner.siteId = "home";
    kitchen.appliances.push_back(burner);
    for (const auto& row : rateSheet(kitchen, burner).cells)
        for (const SheetCell& cell : row) {
            EXPECT_FALSE(cell.shown.has_value());
            ASSERT_TRUE(cell.why.has_value());
            EXPECT_EQ(cell.why->finding.code, "needs_vessel");
        }
    EXPECT_TRUE(combOf(kitchen, burner).empty());
}

// With food in it a pan over a full burner holds some 200 °C, over a low one it simmers (common
// practice, no source); an empty one would have been shown at 900 °C.
TEST(SheetDefect, ABurnerWithAPanShowsItsPowerAndAHeatThatPansHave) {
    Kitchen kitchen;
    kitchen.sites.push_back(home());
    Vessel pan = commonVessels().front();
    pan.id = "pan";
    kitchen.vessels.push_back(pan);
    Appliance burner = *typicalAppliance(ApplianceKind::gasHob);
    burner.id = burner.name = "burner";
    burner.siteId = "home";
    burner.standardVesselId = "pan";
    const RateSheet sheet = rateSheet(kitchen, burner);
    ASSERT_GE(sheet.cells.size(), 5u);
    for (const auto& row : sheet.cells) {
        ASSERT_TRUE(row.front().shown && row.front().power);
        EXPECT_GT(row.front().shown->kelvin, 273.15 + 80);
        EXPECT_LT(row.front().shown->kelvin, 273.15 + 320);
    }
    EXPECT_GT(sheet.cells.back().front().power->value, 800);
}

TEST(Marks, AreReadAsTheyAreWrittenAndGoBothWays) {
    const auto marks =
        marksFrom("low 15 %, medium 50 %, full", ControlKind::level, TemperatureUnit::celsius);
    ASSERT_TRUE(marks.has_value()) << marks.error().message;
    EXPECT_EQ((*marks)[1], (Label{"medium", 0.5}));
    EXPECT_EQ((*marks)[2], (Label{"full", 1.0}));
    Control control;
    control.kind = ControlKind::level;
    control.labels = *marks;
    EXPECT_EQ(marksLine(control, TemperatureUnit::celsius), "low 15 %, medium 50 %, full 100 %");
    const auto nine = marksFrom("1-9", ControlKind::level, TemperatureUnit::celsius);
    ASSERT_TRUE(nine.has_value());
    ASSERT_EQ(nine->size(), 9u);
    EXPECT_EQ(nine->back().number, 1.0);
    EXPECT_LT(*nine->front().number, 0.1);
    const auto vents =
        marksFrom("quarter 240 F, open 450 F", ControlKind::vent, TemperatureUnit::celsius);
    ASSERT_TRUE(vents.has_value()) << vents.error().message;
    EXPECT_NEAR(*vents->front().number, 115.6, 0.1);
}

TEST(Marks, RefuseWhatIsNone) {
    const auto bad = [](const char* line, ControlKind kind) {
        return marksFrom(line, kind, TemperatureUnit::celsius).has_value();
    };
    EXPECT_FALSE(bad("", ControlKind::level));
    EXPECT_FALSE(bad("low, low", ControlKind::level));
    EXPECT_FALSE(bad("low 150 %", ControlKind::level));
    EXPECT_FALSE(bad("open", ControlKind::vent)) << "its usual temperature is missing";
    EXPECT_FALSE(bad("a/b, c", ControlKind::level)) << "settings are written with these signs";
    EXPECT_FALSE(namesFrom("left, left", 8).has_value());
}

// A cast iron pan of 26 cm weighs about 2.4 kg, an aluminium one of 28 cm about 1 kg (common
// practice, no source).
TEST(Catalogue, PansWeighWhatPansWeigh) {
    const auto massOf = [](const std::string& name) {
        for (const Vessel& v : commonVessels())
            if (v.name == name)
                return v.massKg;
        return 0.0;
    };
    EXPECT_NEAR(massOf("Iron pan 26 cm"), 2.2, 0.5);
    EXPECT_NEAR(massOf("Non-stick pan 28 cm"), 0.75, 0.35);
    EXPECT_NEAR(massOf("Enamelled casserole 26 cm"), 3.6, 1.3);
}

TEST(Catalogue, EveryInstrumentCanBeUsedAsItStands) {
    for (const Instrument& i : commonInstruments()) {
        EXPECT_FALSE(i.name.empty());
        EXPECT_GT(i.accuracy, 0) << i.name;
        if (i.damageLimit) {
            EXPECT_GT(*i.damageLimit, *i.highLimit) << i.name;
        }
    }
}

// "off" typed as a knob's only mark read beyond the end of the list (found by fuzzing).
TEST(Defect165, AKnobThatIsOnlyOffIsRefused) {
    const auto marks = marksFrom("off", ControlKind::burners, TemperatureUnit::celsius);
    ASSERT_FALSE(marks.has_value());
    EXPECT_NE(marks.error().message.find("other marks"), std::string::npos);
    EXPECT_TRUE(marksFrom("off, on", ControlKind::burners, TemperatureUnit::celsius).has_value());
}

} // namespace
