// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A recipe's text goes to another appliance and back, through real rows.
#include "recipe_text/filled.h"
#include "translate/small_kitchen.h"
#include "words/evidence_words.h"
#include "words/rewrite_words.h"

#include <cmath>
#include <gtest/gtest.h>

namespace dynamet::words {
namespace {

using namespace translate;
using namespace translate::testing;

struct Written {
    recipe::Recipe recipe;
    Prepared prepared;
};

Written writtenFor(const std::string& text, const std::string& on) {
    const auto kitchen = smallKitchen();
    recipe_text::ReadWith with;
    with.kitchen = &kitchen;
    with.applianceId = on;
    auto read = recipe_text::recipeFrom("Loin", text, with);
    EXPECT_TRUE(read) << (read ? "" : read.error().message);
    read->recipe.id = "text";
    Request request = roastRequest();
    request.recipe = read->recipe;
    auto prepared = prepare(request);
    EXPECT_TRUE(prepared) << text << ": " << (prepared ? "" : prepared.error().message);
    return {read->recipe, *prepared};
}

std::string sentTo(const Written& from, const std::string& to) {
    const auto& kitchen = from.prepared.request.kitchen;
    const auto* on = findAppliance(kitchen, to);
    Row row = solveRow(from.prepared, {to, on->zones.front().name, isHob(on->kind) ? "pan" : ""});
    addWindow(from.prepared, row);
    EXPECT_TRUE(row.reached) << to << ": " << row.reason.message;
    const auto out = rewrittenFor(row, from.prepared);
    EXPECT_TRUE(out) << (out ? "" : out.error().message);
    return out ? out->after.text : "";
}

double dialOf(const recipe::Recipe& recipe) {
    return std::get<double>(recipe.last().place.setting.values[0]);
}

double timeOf(const recipe::Recipe& recipe) {
    return recipe.endsByClock() ? recipe.last().end.afterS
                                : std::sqrt(recipe.time.lowS * recipe.time.highS);
}

class ThereAndBack : public ::testing::TestWithParam<const char*> {};

TEST_P(ThereAndBack, SettingsAreWithinADialStepAndTimesWithinATenth) {
    const Written first = writtenFor(GetParam(), "still");
    const std::string there = sentTo(first, "fan");
    EXPECT_NE(there, GetParam());
    const Written second = writtenFor(there, "fan");
    const std::string back = sentTo(second, "still");
    const Written third = writtenFor(back, "still");
    const auto& dial = findAppliance(first.prepared.request.kitchen, "still")->controls.front();
    EXPECT_NEAR(dialOf(third.recipe), dialOf(first.recipe), dial.step + 1e-9) << there << "\n"
                                                                              << back;
    EXPECT_NEAR(timeOf(third.recipe) / timeOf(first.recipe), 1, 0.1) << there << "\n" << back;
}

INSTANTIATE_TEST_SUITE_P(
    Texts, ThereAndBack,
    ::testing::Values(
        "Take the pork loin, 4 cm thick, straight from the refrigerator. Roast at 180 °C for 45 "
        "minutes.",
        "Take the pork loin, 4 cm thick, straight from the refrigerator. Roast at 160 °C until the "
        "core reads 62 °C, about 55 minutes. Rest 10 minutes.",
        "Take the salmon, 25 mm thick, from the fridge. Bake at 200 °C for 12 to 15 minutes.",
        "Take the chicken breast, 30 mm thick, fridge-cold. Bake in a moderately hot oven for 25 "
        "minutes."));

TEST(Rewritten, OnItsOwnApplianceEveryTextStaysAsItIs) {
    for (const char* text :
         {"Take the pork loin, 4 cm thick. Roast at 180 °C for 45 minutes.",
          "Take the pork loin, 4 cm thick. Roast at 160 °C until the core reads 62 °C, about 80 "
          "minutes."}) {
        const Written own = writtenFor(text, "still");
        const auto& still = *findAppliance(own.prepared.request.kitchen, "still");
        Row row = solveRowAt(own.prepared, {"still", still.zones.front().name, ""},
                             own.recipe.last().place.setting);
        addWindow(own.prepared, row);
        const auto out = rewrittenFor(row, own.prepared);
        ASSERT_TRUE(out);
        EXPECT_EQ(out->after.text, text);
        EXPECT_TRUE(out->after.changes.empty());
    }
}

// Defect 190: a core that is read after the rest was changed to the pull of another appliance.
TEST(Rewritten, Defect190ACoreAfterTheRestIsTheSameEverywhere) {
    const Written own =
        writtenFor("Take the pork loin, 4 cm thick. Roast at 220 °C until it reads 65 "
                   "°C at its heart after resting.",
                   "still");
    EXPECT_EQ(own.recipe.goal.readAt, food::GoalMoment::peak);
    EXPECT_NEAR(own.recipe.goal.coreK, C(65), 1e-9);
    EXPECT_NE(sentTo(own, "fan").find("65 °C at its heart after resting"), std::string::npos);
    const Written both =
        writtenFor("Take the pork loin, 4 cm thick. Roast at 220 °C. Pull it at 57 "
                   "°C; it will rise to 65 °C.",
                   "still");
    const std::string there = sentTo(both, "grill");
    EXPECT_NE(there.find("rise to 65 °C"), std::string::npos) << there;
}

TEST(Rewritten, SaysWhatCannotBeCarriedOverAndWhatCooksDo) {
    const Written grilled = writtenFor(
        "Grill the chicken breast, 30 mm thick, over direct heat for 15 minutes.", "grill");
    const auto* hob = findAppliance(grilled.prepared.request.kitchen, "hob");
    Row row = solveRow(grilled.prepared, {"hob", hob->zones.front().name, "pan"});
    const auto out = rewrittenFor(row, grilled.prepared);
    ASSERT_TRUE(out) << out.error().message;
    std::string notes;
    for (const std::string& line : out->notes)
        notes += line + "\n";
    EXPECT_NE(notes.find("Drippings"), std::string::npos) << notes;
    kitchen::Appliance coals = *kitchen::typicalAppliance(kitchen::ApplianceKind::charcoalKettle);
    const auto smoke = notCarriedOver(grilled.recipe, coals, *hob);
    ASSERT_FALSE(smoke.empty());
    EXPECT_NE(smoke.front().find("Smoke"), std::string::npos);
    EXPECT_TRUE(notCarriedOver(grilled.recipe, *hob, *hob).empty());
}

TEST(Evidence, IsSaidAsACookWouldSayIt) {
    Written own =
        writtenFor("Take the pork loin, 4 cm thick. Roast at 180 °C until the core reads 62 "
                   "°C, about 95 minutes.",
                   "still");
    const auto lines = ownTimeLines(own.prepared, {});
    ASSERT_EQ(lines.size(), own.prepared.ownTime->absorbed ? 1u : 2u);
    EXPECT_NE(lines[0].find("1 h 35 min"), std::string::npos) << lines[0];
    EXPECT_NE(lines[0].find("expected there"), std::string::npos) << lines[0];
    EXPECT_EQ(knownWords(own.recipe.piece), "thickness by eye, start by hand");
}

} // namespace
} // namespace dynamet::words
