// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A run in the book: kept as it comes, whole after a kill, a test like any other at its end.
#include "book/book_folder.h"
#include "book/kitchen_store.h"
#include "book/live_run_store.h"

#include <cmath>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::book;
using book::testing::kWhen;

class LiveRunTest : public book::testing::BookFolder {
  protected:
    Book begun() {
        auto book = Book::create(path(), kWhen);
        EXPECT_TRUE(book.has_value());
        kitchen::Site site;
        site.id = "s";
        site.name = "Loft";
        EXPECT_TRUE(addSite(*book, site, kWhen));
        kitchen::Appliance a = *kitchen::typicalAppliance(kitchen::ApplianceKind::stillOven);
        a.id = "a";
        a.name = "Oven";
        a.siteId = "s";
        EXPECT_TRUE(addAppliance(*book, a, kWhen));
        TestRecord t;
        t.id = "t";
        t.applianceId = "a";
        t.protocol = "block";
        t.setting = settingText(a.controls, kitchen::usualSetting(a.controls));
        t.zone = a.zones.front().name;
        t.siteId = "s";
        t.channels = {{"block", "left", "°C", "", {}, {}, 0.1},
                      {"air", "right", "°F", "", {}, {}, 0}};
        t.setStarted(kWhen);
        EXPECT_TRUE(beginRun(*book, t, kWhen));
        return std::move(*book);
    }
    static std::vector<LiveReading> moment(double timeS) {
        return {{0, timeS, 20 + timeS / 10}, {1, timeS, 70.123 + timeS}};
    }
};

TEST_F(LiveRunTest, EveryReadingIsThereAfterItsEnd) {
    Book book = begun();
    constexpr int kMoments = 1000; // more than wait at once
    for (int i = 0; i < kMoments; ++i)
        ASSERT_TRUE(appendRun(book, "t", moment(i)));
    ASSERT_TRUE(keepMarks(book, "t", {{12, "door_opened", ""}, {40, "note", "windy"}}));
    ASSERT_TRUE(endRun(book, "t", kWhen));
    const auto test = loadTest(book, "t");
    ASSERT_TRUE(test.has_value()) << test.error().message;
    for (const RecordedChannel& channel : test->channels) {
        ASSERT_EQ(channel.timeS.size(), static_cast<std::size_t>(kMoments));
        EXPECT_DOUBLE_EQ(channel.timeS.back(), kMoments - 1);
    }
    EXPECT_NEAR(test->channels[0].asRecorded[7], 20.7, 1e-9);
    EXPECT_DOUBLE_EQ(test->channels[1].asRecorded[7], 77.123);
    EXPECT_EQ(*loadMarks(book, "t"),
              (std::vector<TestMark>{{12, "door_opened", ""}, {40, "note", "windy"}}));
    EXPECT_TRUE(cutOffRuns(book)->empty());
}

TEST_F(LiveRunTest, ARunThatWasCutOffIsOfferedAndGoesOn) {
    {
        Book book = begun();
        for (int i = 0; i < 50; ++i)
            ASSERT_TRUE(appendRun(book, "t", moment(i)));
    }
    auto book = Book::open(path());
    ASSERT_TRUE(book.has_value());
    const auto runs = cutOffRuns(*book);
    ASSERT_EQ(runs->size(), 1u);
    EXPECT_EQ(runs->front().readings, 100);
    EXPECT_DOUBLE_EQ(runs->front().lastS, 49);
    ASSERT_TRUE(goOnWithRun(*book, "t"));
    EXPECT_EQ(cutOffRuns(*book)->front().readings, 100);
    ASSERT_TRUE(appendRun(*book, "t", moment(300)));
    ASSERT_TRUE(endRun(*book, "t", kWhen));
    const auto test = loadTest(*book, "t");
    EXPECT_EQ(test->channels[0].timeS.size(), 51u);
    EXPECT_DOUBLE_EQ(test->channels[0].timeS.back(), 300);
}

TEST_F(LiveRunTest, MissingReadingsStayMissing) {
    Book book = begun();
    ASSERT_TRUE(appendRun(book, "t", {{0, 0, 20}, {0, 1, std::nan("")}, {0, 2, 21}}));
    ASSERT_TRUE(endRun(book, "t", kWhen));
    EXPECT_TRUE(std::isnan(loadTest(book, "t")->channels[0].asRecorded[1]));
}

TEST_F(LiveRunTest, AWithdrawnRunIsNotOffered) {
    Book book = begun();
    ASSERT_TRUE(withdrawTest(book, "t", kWhen));
    EXPECT_TRUE(cutOffRuns(book)->empty());
}

} // namespace
