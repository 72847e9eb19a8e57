// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A kitchen is changed, retired and moved in its book; nothing of it is lost.
#include "book/book_folder.h"
#include "book/bundle/bundle.h"
#include "book/kitchen_store.h"
#include "book/recipe_store.h"
#include "book/site_rework.h"
#include "kitchen/catalogue.h"

#include <gtest/gtest.h>
#include <sstream>

namespace {

using namespace dynamet;
using namespace dynamet::book;
using book::testing::kWhen;

class OwnKitchen : public book::testing::BookFolder {
  protected:
    std::optional<Book> book;
    kitchen::Site site;
    kitchen::Appliance burner;

    void SetUp() override {
        BookFolder::SetUp();
        book.emplace(std::move(*Book::create(path(), kWhen)));
        site.id = "s";
        site.name = "Loft";
        ASSERT_TRUE(addSite(*book, site, kWhen));
        kitchen::Vessel pan = kitchen::commonVessels().front();
        pan.id = "pan";
        ASSERT_TRUE(addVessel(*book, pan, kWhen));
        burner = *kitchen::typicalAppliance(kitchen::ApplianceKind::gasHob);
        burner.id = "b";
        burner.name = "Burner";
        burner.siteId = "s";
        burner.standardVesselId = "pan";
        ASSERT_TRUE(addAppliance(*book, burner, kWhen));
    }
    /// A pan of water on full, logged on the way up.
    TestRecord waterTest() {
        TestRecord t;
        t.id = "t";
        t.applianceId = "b";
        t.protocol = "water-heat-up";
        t.setting = "flame=full;preheat=200C";
        t.zone = "pan";
        t.siteId = "s";
        t.vesselId = "pan";
        t.values = {{"water_kg", 1.5}, {"pot_kg", 2.1}, {"altitude_m", 0}, {"evaporated_kg", 0.02}};
        t.lidOn = false;
        RecordedChannel c{"water", "Probe", "°C", "", {}, {}, 0.1};
        for (int s = 0; s < 600; s += 5) {
            c.timeS.push_back(s);
            c.asRecorded.push_back(20 + s * 0.11);
        }
        t.channels.push_back(c);
        t.setStarted(kWhen);
        return t;
    }
};

TEST_F(OwnKitchen, SeveralPansAlikeAreKeptAndGoAlongToAnotherBook) {
    kitchen::Vessel pan = loadKitchen(*book)->vessels.front();
    EXPECT_EQ(pan.count, 1);
    pan.count = 3;
    ASSERT_TRUE(changeVessel(*book, pan));
    EXPECT_EQ(loadKitchen(*book)->vessels.front(), pan);
    std::stringstream bundle;
    ASSERT_TRUE(writeBundle(*book, bundle));
    Book other = *Book::create(path("other.dynamet"), kWhen);
    ASSERT_TRUE(takeIn(other, bundle));
    EXPECT_EQ(loadKitchen(other)->vessels.front(), pan);
    pan.count = 1;
    ASSERT_TRUE(changeVessel(*book, pan));
    EXPECT_EQ(loadKitchen(*book)->vessels.front(), pan);
}

TEST_F(OwnKitchen, ChangesAndRetirementsGoBothWays) {
    burner.name = "Back burner";
    burner.zones.push_back({"wok ring", false});
    ASSERT_TRUE(changeAppliance(*book, burner).has_value());
    EXPECT_EQ(loadKitchen(*book)->appliances.front(), burner);
    ASSERT_TRUE(withdrawAppliance(*book, "b", kWhen));
    EXPECT_TRUE(loadKitchen(*book)->appliances.empty());
    EXPECT_EQ(loadRetired(*book)->appliances.front(), burner);
    ASSERT_TRUE(withdrawAppliance(*book, "b", std::nullopt));
    EXPECT_TRUE(loadRetired(*book)->appliances.empty());
}

TEST_F(OwnKitchen, AnApplianceKeepsTheSettingsThatTestsRestOn) {
    ASSERT_TRUE(addTest(*book, waterTest(), kWhen));
    kitchen::Appliance changed = burner;
    changed.controls.front().labels.pop_back(); // "full" is gone
    const auto refused = changeAppliance(*book, changed);
    ASSERT_FALSE(refused.has_value());
    EXPECT_EQ(refused.error().code, Errc::refused);
    EXPECT_NE(refused.error().message.find("1 tests"), std::string::npos)
        << refused.error().message;
    EXPECT_EQ(loadKitchen(*book)->appliances.front(), burner) << "nothing is half done";
}

TEST_F(OwnKitchen, ASiteThatMovesTakesItsRatingsAlongAndBack) {
    const TestRecord test = waterTest();
    ASSERT_TRUE(addTest(*book, test, kWhen));
    const auto first = rating::reduce(inputOf(test, {}));
    ASSERT_TRUE(first.has_value()) << first.error().message;
    ASSERT_TRUE(saveReduction(*book, "t", *first, test.values, "", kWhen).has_value());
    kitchen::Site hills = site;
    hills.altitudeM = 1650;
    const auto moved = moveSite(*book, site, hills, kWhen);
    ASSERT_TRUE(moved.has_value()) << moved.error().message;
    EXPECT_EQ(moved->reductions.size(), 1u);
    EXPECT_EQ(loadTest(*book, "t")->values.at("altitude_m"), 1650);
    ASSERT_EQ(loadKitchen(*book)->rated.at("b").size(), 1u) << "one stands, not two";
    EXPECT_EQ(loadKitchen(*book)->rated.at("b").front().number.reductionId,
              moved->reductions.front());
    ASSERT_TRUE(putSite(*book, site, *moved, kWhen).has_value());
    EXPECT_EQ(loadTest(*book, "t")->values.at("altitude_m"), 0);
    EXPECT_NEAR(loadKitchen(*book)->rated.at("b").front().number.value,
                first->quantities.front().value, 1e-9);
    EXPECT_EQ(loadKitchen(*book)->sites.front(), site);
}

TEST_F(OwnKitchen, SeveralActionsAreAllOrNothing) {
    const auto failed = together(*book, [&]() -> Result<void> {
        kitchen::Site other = site;
        other.id = "other";
        if (const auto done = addSite(*book, other, kWhen); !done)
            return done;
        return addSite(*book, other, kWhen); // the same id again
    });
    EXPECT_FALSE(failed.has_value());
    EXPECT_EQ(loadKitchen(*book)->sites.size(), 1u);
}

TEST_F(OwnKitchen, ACopyIsABookOfItsOwnAndNeverWrittenOverAnother) {
    ASSERT_TRUE(copyBook(*book, path("copy.dynamet")).has_value());
    EXPECT_FALSE(copyBook(*book, path("copy.dynamet")).has_value());
    auto copy = Book::open(path("copy.dynamet"));
    ASSERT_TRUE(copy.has_value()) << copy.error().message;
    EXPECT_TRUE(copy->writable());
    EXPECT_EQ(loadKitchen(*copy)->appliances.size(), 1u);
}

} // namespace
