// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// More pieces than a place holds: batches, crowding, and where finished ones wait.
#include "translate/room.h"
#include "translate/small_kitchen.h"
#include "translate/translate.h"
#include "words/translation_words.h"

#include <algorithm>
#include <gtest/gtest.h>
#include <numbers>

namespace {

using namespace dynamet;
using namespace dynamet::translate;
using namespace dynamet::translate::testing;

Request steaks(int pieces, double coversM2) {
    Request r = roastRequest();
    r.recipe.piece.food = *food::findFood("beef-lean");
    r.recipe.piece.thicknessM = 0.025;
    r.recipe.piece.pieces = pieces;
    r.recipe.piece.coversM2 = coversM2;
    const auto& hob = *findAppliance(r.kitchen, "hob");
    r.recipe.last().place = {"hob", *kitchen::parseSetting(hob.controls, "level=6;preheat=240C"),
                             "pan", "pan"};
    r.recipe.goal = {C(56), food::GoalMoment::peak, C(54), C(58), "medium rare"};
    return r;
}

Prepared prepared(const Request& request) {
    auto out = prepare(request);
    EXPECT_TRUE(out.has_value()) << out.error().message;
    return std::move(*out);
}
Row ownRow(const Prepared& p) {
    return solveRowAt(p, p.targets.front(), p.request.recipe.last().place.setting);
}

// A base of 24 cm is 452 cm²: three steaks of 120 cm² with gaps between them.
TEST(Room, APanHoldsWhatItsBaseHolds) {
    Request r = steaks(7, 0.012);
    for (auto& vessel : r.kitchen.vessels)
        vessel.baseDiameterM = 0.24;
    const auto room = roomAt(r.kitchen, r.recipe.piece, r.recipe.last().place);
    ASSERT_TRUE(room);
    EXPECT_NEAR(room->areaM2, std::numbers::pi * 0.12 * 0.12, 1e-9);
    EXPECT_EQ(room->fits, 3);
    EXPECT_EQ(room->together, 3);
    EXPECT_EQ(room->rounds, 3);
    EXPECT_NEAR(room->covered, 3 * 0.012 / room->areaM2, 1e-9);
    EXPECT_FALSE(roomAt(r.kitchen, steaks(1, 0).recipe.piece, r.recipe.last().place))
        << "nothing was said";
    EXPECT_FALSE(roomAt(r.kitchen, steaks(7, 0).recipe.piece, r.recipe.last().place))
        << "a slab's length is not known";
    EXPECT_EQ(roomAt(r.kitchen, steaks(1, 0.042).recipe.piece, r.recipe.last().place)->fits, 1)
        << "one may fill it";
    EXPECT_EQ(roomAt(r.kitchen, steaks(1, 0.06).recipe.piece, r.recipe.last().place)->fits, 0);
}

TEST(Room, TooLargeIsSaidAndNotSimulated) {
    Request r = steaks(1, 0);
    const Prepared p = prepared(r);
    Request large = r;
    large.recipe.piece.coversM2 = 0.9;
    const auto whole = prepare(large);
    ASSERT_TRUE(whole) << "where it was written the recipe says that it fits";
    const auto other = std::find_if(whole->targets.begin(), whole->targets.end(),
                                    [](const Target& t) { return t.applianceId != "hob"; });
    ASSERT_NE(other, whole->targets.end());
    const Row row = solveRow(*whole, *other);
    EXPECT_FALSE(row.reached);
    EXPECT_FALSE(row.held);
    EXPECT_NE(row.reason.message.find("larger than its cooking area"), std::string::npos)
        << row.reason.message;
}

// Crowded pans brown less and steam (common practice, no source).
TEST(Batches, ACrowdedPanBrownsLess) {
    const auto few = prepared(steaks(2, 0.006)), many = prepared(steaks(6, 0.006));
    EXPECT_GT(many.programme.last().covered, 2 * few.programme.last().covered);
    EXPECT_LT(many.outcome.darker(), few.outcome.darker());
}

TEST(Batches, SayHowManyWhereTheyWaitAndWhatItCosts) {
    const Request r = steaks(5, 0.012);
    const Prepared p = prepared(r);
    const Row row = ownRow(p);
    EXPECT_TRUE(std::any_of(row.warnings.begin(), row.warnings.end(),
                            [](const Finding& f) { return f.code == "batches"; }));
    const RowDetail detail = detailOf(p, row);
    ASSERT_TRUE(detail.room);
    EXPECT_EQ(detail.rounds.size(), static_cast<std::size_t>(detail.room->rounds));
    ASSERT_FALSE(detail.waiting.empty());
    const double waits = detail.waiting.front().waitS;
    EXPECT_NEAR(waits, (detail.room->rounds - 1) * (row.outcome.pullS + 60), 1);
    for (std::size_t i = 1; i < detail.waiting.size(); ++i)
        EXPECT_LE(detail.waiting[i - 1].distance, detail.waiting[i].distance);
    bool foil = false, warm = false;
    for (const Waiting& one : detail.waiting) {
        foil = foil || !one.place;
        warm = warm || one.place;
        if (one.place) {
            EXPECT_GT(one.outcome.weightLossShare, row.outcome.weightLossShare - 0.005)
                << "warmth dries";
        }
    }
    EXPECT_TRUE(foil);
    EXPECT_TRUE(warm) << "the small kitchen's oven goes down far enough";
    const auto lines = words::detailLines(detail, p, {});
    const auto has = [&](const char* what) {
        return std::any_of(lines.begin(), lines.end(), [&](const std::string& line) {
            return line.find(what) != std::string::npos;
        });
    };
    EXPECT_TRUE(has(" pieces at once on ")) << lines.front();
    EXPECT_TRUE(has("on a board under foil"));
    EXPECT_TRUE(has("Round 2: "));
}

// Food under foil gives off its heat with a time constant of tens of minutes: after a quarter of
// an hour a steak is clearly warm and clearly cooler (common practice, no source).
TEST(Waiting, UnderFoilItCoolsSlowly) {
    const Prepared p = prepared(steaks(1, 0));
    const Row row = ownRow(p);
    const auto programme = programmeOf(p.request, row);
    ASSERT_TRUE(programme);
    const auto at = [&](double seconds) {
        for (const Waiting& one : waitingPlaces(p, row, *programme, seconds))
            if (!one.place)
                return one.coreK;
        return 0.0;
    };
    EXPECT_LT(at(900), row.outcome.peakK - 3);
    EXPECT_GT(at(900), C(35));
    EXPECT_LT(at(1800), at(900));
}

} // namespace
