// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What a run and a comparison say, in the reader's units.
#include "run/roast.h"
#include "words/compare_words.h"
#include "words/cook_picture.h"
#include "words/cook_words.h"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>

namespace dynamet::words {
namespace {

using namespace run::testing;
using run::Due;
using run::What;

constexpr Units kFahrenheit{true, true, false};
// 2026-03-28 23:30 UTC; in the night after it clocks in Europe go from 2 to 3 (EU directive
// 2000/84).
constexpr std::int64_t kBeforeSummerTime = 1774740600000;

TEST(RunClock, GoesOverMidnightAndKeepsItsZone) {
    const RunClock clock{kBeforeSummerTime, 60};
    EXPECT_EQ(clock.at(0), "00:30");
    EXPECT_EQ(clock.at(2 * 3600), "02:30") << "the offset it began with";
    EXPECT_EQ(clock.at(-3600), "23:30");
    EXPECT_EQ((RunClock{kBeforeSummerTime, -420}).at(59), "16:30");
}

TEST(CookWords, TimesAsACookSaysThem) {
    EXPECT_EQ(inWords(0), "now");
    EXPECT_EQ(inWords(-15), "now");
    EXPECT_EQ(inWords(360), "in 6 min");
    EXPECT_EQ(inWords(-180), "3 min ago");
    EXPECT_EQ(inWords(INFINITY), "not in sight");
}

TEST(CookWords, AWindowIsAClockWithItsEnds) {
    const RunClock clock{0, 0};
    run::Move move{Due::pull, 0, 3600, 3300, 4200, 0, 330};
    EXPECT_EQ(dueWindow(move, clock), "between 00:55 and 01:10, most likely 01:00");
    move.highS = INFINITY;
    EXPECT_NE(dueWindow(move, clock).find("may take much longer"), std::string::npos);
    move.atS = INFINITY;
    EXPECT_NE(dueWindow(move, clock).find("not in sight"), std::string::npos);
    EXPECT_EQ(dueWindow({Due::start, 0, 60, 60, 60, 0, 0}, clock), "at 00:01");
}

TEST(CookWords, TheSentenceSpeaksTheReadersDegrees) {
    const Roast roast;
    const auto planned = roast.question().planned;
    const run::Move pull{Due::pull, 0, 0, 0, 0, 0, C(60)};
    EXPECT_EQ(dueWords(pull, "roast", true, planned, roast.request.kitchen, {}),
              "Pull the roast at 60 °C");
    EXPECT_EQ(dueWords(pull, "roast", true, planned, roast.request.kitchen, kFahrenheit),
              "Pull the roast at 140 °F");
    EXPECT_EQ(
        dueWords({Due::turn, 0, 0, 0, 0, 0, 0}, "roast", true, planned, roast.request.kitchen, {}),
        "Turn the roast now");
    EXPECT_NE(
        dueWords({Due::start, 0, 0, 0, 0, 0, 0}, "roast", false, planned, roast.request.kitchen, {})
            .find("still, 180 °C"),
        std::string::npos);
}

TEST(CookWords, EveryEntryAndEverySightHasWords) {
    const RunClock clock{0, 0};
    for (int i = 0; i <= static_cast<int>(What::probeOut); ++i) {
        run::Entry entry{1, 60, static_cast<What>(i), 300, "foil"};
        if (entry.what == What::saw)
            entry.words = "flare";
        const std::string words = entryWords(entry, clock, kFahrenheit);
        EXPECT_TRUE(words.starts_with("00:01  ")) << words;
        EXPECT_GT(words.size(), 8u) << i;
        EXPECT_EQ(words.find("°C"), std::string::npos) << words;
    }
    for (int i = 0; i <= static_cast<int>(run::Seen::smoke); ++i)
        EXPECT_STRNE(seenWords(static_cast<run::Seen>(i)), "");
}

// FSIS: poultry 165 °F (73.9 °C), whole cuts of pork 145 °F with a rest.
TEST(CookWords, AnOfficialMinimumThatIsNotReachedIsSaid) {
    const Roast roast;
    auto planned = roast.question().planned;
    EXPECT_EQ(minimumWords(planned, C(64), {}), "");
    EXPECT_NE(minimumWords(planned, C(55), {}).find("below the official 63 °C"), std::string::npos)
        << minimumWords(planned, C(55), {});
    planned.recipe.piece.food = *food::findFood("chicken-thigh");
    EXPECT_NE(minimumWords(planned, C(64), kFahrenheit).find("below the official 165 °F"),
              std::string::npos);
}

TEST(CookWords, ForecastsSayWhatIsExpectedAndHowSure) {
    const Roast roast;
    run::Question question = roast.question();
    const auto before = forecastOf(question);
    ASSERT_TRUE(before);
    auto lines = forecastLines(*before, question.planned, 0, {});
    EXPECT_TRUE(lines.front().starts_with("Pull in ")) << lines.front();
    EXPECT_NE(lines.back().find("No core was read yet"), std::string::npos);
    question.entries.push_back({2, 3000, What::pulled, 0, ""});
    question.nowS = 3100;
    const auto after = forecastOf(question);
    ASSERT_TRUE(after);
    lines = forecastLines(*after, question.planned, 3100, kFahrenheit);
    EXPECT_TRUE(lines.front().starts_with("Rests to ")) << lines.front();
    EXPECT_NE(lines.front().find("°F"), std::string::npos);
}

TEST(CookPicture, IsInTheReadersDegreesOverMinutes) {
    const Roast roast;
    run::Question question = roast.question();
    question.nowS = 600;
    question.readings = roast.readings(1, 600, 60);
    const auto forecast = forecastOf(question);
    ASSERT_TRUE(forecast);
    const auto c =
        pictureOf(question.planned, question.entries, question.readings, *forecast, 600, {});
    const auto f = pictureOf(question.planned, question.entries, question.readings, *forecast, 600,
                             kFahrenheit);
    ASSERT_EQ(c.read.size(), f.read.size());
    EXPECT_EQ(c.nowMin, 10);
    for (std::size_t i = 0; i < c.read.size(); ++i)
        EXPECT_NEAR(f.read[i], c.read[i] * 1.8 + 32, 1e-9);
    for (std::size_t i = 0; i < c.middle.size(); ++i) {
        EXPECT_LE(c.low[i], c.middle[i] + 1e-9);
        EXPECT_GE(c.high[i], c.middle[i] - 1e-9);
    }
    EXPECT_LT(*c.pullFromMin, *c.pullUntilMin);
}

ComparedCook cookOf(const Roast& roast, double startC, double thicknessM, const char* person) {
    ComparedCook out;
    out.name = "roast";
    out.person = person;
    out.planned = roast.question().planned;
    out.planned.recipe.piece.startK = C(startC);
    out.planned.recipe.piece.thicknessM = thicknessM;
    out.entries = {{1, 0, What::foodIn, 0, ""}, {2, 2400, What::pulled, 0, ""}};
    return out;
}

// One started colder: said first, as the likely reason (common practice, no source).
TEST(Compare, ConfoundersComeFirstAndOnlyWhatDiffersIsListed) {
    const Roast roast;
    std::vector<ComparedCook> cooks = {cookOf(roast, 7, 0.04, "Ann"),
                                       cookOf(roast, -2, 0.04, "Ann")};
    cooks[0].judged.rawKg = 1;
    cooks[0].judged.servedKg = 0.8;
    auto rows = comparedRows(cooks, roast.request.kitchen, {});
    ASSERT_EQ(rows.size(), 1u);
    EXPECT_EQ(rows[0].says, "began at");
    EXPECT_TRUE(rows[0].confounder);
    const auto lines = confounderLines(cooks, {});
    ASSERT_EQ(lines.size(), 1u);
    EXPECT_EQ(lines[0], "B started 9 K colder than A.");
    EXPECT_EQ(confounderLines(cooks, kFahrenheit)[0], "B started 16 °F colder than A.");
    cooks[1].judged.rawKg = 1;
    cooks[1].judged.servedKg = 0.7;
    cooks[1].entries[1].atS = 3000;
    rows = comparedRows(cooks, roast.request.kitchen, {});
    ASSERT_EQ(rows.size(), 3u);
    EXPECT_EQ(rows[1].says, "took");
    EXPECT_EQ(rows[2].values, (std::vector<std::string>{"20 %", "30 %"}));
    EXPECT_TRUE(confounderLines({cooks[0]}, {}).empty());
}

TEST(Compare, DotsKeepEveryTasterApart) {
    const Roast roast;
    std::vector<ComparedCook> cooks = {cookOf(roast, 7, 0.04, "Ann"),
                                       cookOf(roast, 7, 0.04, "Ben")};
    cooks[0].judged.scores = {{"Ann", "crust", 8}, {"Ben", "crust", 4}, {"Ann", "smoke", 2}};
    cooks[1].judged.scores = {{"Ben", "crust", 6}};
    const ScoreDots dots = dotsOf(cooks);
    EXPECT_EQ(dots.qualities, (std::vector<std::string>{"crust", "smoke"}));
    EXPECT_EQ(dots.tasters, (std::vector<std::string>{"Ann", "Ben"}));
    ASSERT_EQ(dots.dots.size(), 4u);
    EXPECT_EQ(dots.dots[3].cook, 1u);
    EXPECT_EQ(dots.dots[3].taster, 1u);
    const Sheet sheet = compareSheet("Trial", cooks, roast.request.kitchen, {});
    const auto crust = std::find_if(sheet.rows.begin(), sheet.rows.end(),
                                    [](const auto& row) { return row.front() == "crust"; });
    ASSERT_NE(crust, sheet.rows.end());
    EXPECT_EQ((*crust)[1], "6.0 ± 2.8"); // the sample's deviation of 8 and 4
    EXPECT_EQ((*crust)[2], "6");
    for (const auto& row : sheet.rows)
        EXPECT_EQ(row.size(), sheet.headers.size());
}

} // namespace
} // namespace dynamet::words
