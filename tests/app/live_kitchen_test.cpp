// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// The simulated kitchen is rated through the window's own instruments and runs; what is found is
// held against what is true there. It shares no code with what measures it.
#include "app/live/live_run.h"
#include "app/sim_kitchen.h"
#include "book/kitchen_store.h"
#include "rating/reduce.h"

#include <cmath>
#include <cstdio>

namespace {

using namespace dynamet;
using namespace dynamet::app;

constexpr book::When kNow{1795176000000, 0};

struct Found {
    std::string what;
    double z = 0;
};

/// A book of the simulated kitchen's appliances, its thermometer on the line.
struct Kitchen {
    QTemporaryDir folder;
    Document document{[] { return kNow; }};
    LineDesk desk;
    LiveRun run{document, desk};
    SimKitchen sim;
    std::vector<Found> found;

    explicit Kitchen(int seed) : sim(seed) {
        kitchen::Site site;
        site.id = "s";
        site.name = "practice kitchen";
        site.altitudeM = 150;
        EXPECT_TRUE(document.createNew(folder.filePath(QStringLiteral("b.dynamet")), site));
        using enum kitchen::ApplianceKind;
        for (const auto& [kind, id] : {std::pair{stillOven, "oven"},
                                       {inductionHob, "burner"},
                                       {waterBath, "bath"},
                                       {deepFryer, "fryer"},
                                       {gasGrill, "grill"},
                                       {charcoalKettle, "kettle"}}) {
            auto a = *kitchen::typicalAppliance(kind);
            a.id = a.name = id;
            a.siteId = document.kitchen().sites.front().id;
            EXPECT_TRUE(document.add(a).has_value());
        }
        KnownLine line;
        line.connection.path = sim.port("thermometer");
        desk.add(line);
        EXPECT_TRUE(QTest::qWaitFor([&] { return desk.channels().size() == 4; }, 20000));
    }
    book::TestRecord testOf(const char* appliance, const char* protocol) {
        const auto& a = *findAppliance(document.kitchen(), appliance);
        book::TestRecord test;
        test.applianceId = a.id;
        test.protocol = protocol;
        test.setting = settingText(a.controls, kitchen::usualSetting(a.controls));
        test.zone = a.zones.front().name;
        test.siteId = a.siteId;
        test.choices = rating::choicesOfKind(protocol, a.kind);
        test.lidOn = true;
        return test;
    }
    void plug(int channel, const char* point) {
        sim.say(QStringLiteral("plug thermometer %1 %2").arg(channel).arg(QLatin1String(point)));
    }
    void begin(const book::TestRecord& test, const std::map<int, std::string>& roles) {
        run.prepare(*rating::findProtocol(test.protocol), test);
        sim.say(QStringLiteral("run 3")); // so that the instruments say where their clocks stand
        ASSERT_TRUE(
            QTest::qWaitFor([&] { return desk.deviceClock(sim.port("thermometer")).has_value(); }));
        QTest::qWait(30);
        std::map<device::ChannelId, std::string> channels;
        for (const auto& [channel, role] : roles)
            channels[{sim.port("thermometer"), std::to_string(channel)}] = role;
        const auto begun = run.begin(channels);
        ASSERT_TRUE(begun.has_value()) << begun.error().message;
    }
    void goOn(int seconds) {
        sim.say(QStringLiteral("run %1").arg(seconds));
        QTest::qWait(30);
    }
    /// Ends the run and holds what it found against the truth: by quantity, in sigmas.
    void end(const std::map<std::string, double>& truths) {
        const auto test = run.stop();
        ASSERT_TRUE(test.has_value()) << test.error().message;
        const auto kept = loadTest(document.book(), test->id);
        ASSERT_TRUE(kept.has_value());
        EXPECT_EQ(kept->channels.front().timeS.size(), test->channels.front().timeS.size());
        auto read = *kept;
        read.values = test->values; // with what the marks tell
        const auto reduction =
            rating::reduce(rating::inputOf(read, document.kitchen().instruments));
        ASSERT_TRUE(reduction.has_value()) << test->protocol << ": " << reduction.error().message;
        for (const auto& [name, truth] : truths) {
            const rating::Quantity* quantity = nullptr;
            for (const rating::Quantity& q : reduction->quantities)
                if (q.name == name)
                    quantity = &q;
            ASSERT_NE(quantity, nullptr) << test->protocol << " " << name;
            const double z = (quantity->value - truth) / quantity->u;
            std::printf("%-14s %-20s %10.3f ± %8.3f  true %10.3f  %+.2f\n", test->protocol.c_str(),
                        name.c_str(), quantity->value, 2 * quantity->u, truth, z);
            found.push_back({test->protocol + " " + name, z});
        }
    }

    void rateOven() {
        plug(1, "oven block");
        plug(2, "oven air");
        sim.say(QStringLiteral("set oven dial 180"));
        const auto truth = sim.truths(QStringLiteral("oven"));
        auto preheat = testOf("oven", "preheat");
        preheat.values["set_C"] = 180;
        preheat.values["pressure_Pa"] = 99500;
        begin(preheat, {{2, "air"}});
        goOn(5400);
        end({{"air_K", truth.at("preheat air_K")}});
        auto block = testOf("oven", "block");
        block.values = {{"mass_kg", 0.30}, {"area_m2", 0.0150}, {"emissivity", 0.95}};
        begin(block, {{1, "block"}, {2, "air"}});
        sim.say(QStringLiteral("put oven block"));
        goOn(2700);
        end({{"effective_K", truth.at("block effective_K")},
             {"h_total_W_m2K", truth.at("block h_total_W_m2K")}});
        sim.say(QStringLiteral("take oven block"));
        sim.say(QStringLiteral("set oven dial 0"));
    }
    void rateBurner() {
        plug(1, "burner water");
        auto water = testOf("burner", "water-heat-up");
        water.values = {{"water_kg", 1.6}, {"pot_kg", 1.25}, {"ambient_C", 21}};
        sim.say(QStringLiteral("put burner water"));
        sim.say(QStringLiteral("set burner dial 5"));
        begin(water, {{1, "water"}});
        const auto truth = sim.truths(QStringLiteral("burner"));
        goOn(620);
        end({{"net_power_W", truth.at("water-heat-up net_power_W")}});
        sim.say(QStringLiteral("put burner plate"));
        sim.say(QStringLiteral("set burner dial 2"));
        goOn(120);
        plug(1, "burner plate");
        auto dry = testOf("burner", "dry-preheat");
        dry.values = {
            {"plate_kg", 2.4}, {"plate_c_J_kgK", 470}, {"area_m2", 0.062}, {"ambient_C", 21}};
        sim.say(QStringLiteral("put burner plate"));
        begin(dry, {{1, "plate"}});
        const auto heats = sim.truths(QStringLiteral("burner"));
        goOn(480);
        run.mark(device::Mark::set);
        sim.say(QStringLiteral("set burner dial 0"));
        goOn(1500);
        end({{"plate_flux_W_m2", heats.at("dry-preheat plate_flux_W_m2") / 0.062}});
    }
    void rateVats() {
        plug(1, "bath liquid");
        auto bath = testOf("bath", "bath-loss");
        bath.values = {{"water_kg", 12}, {"ambient_C", 21}};
        sim.say(QStringLiteral("put bath liquid"));
        sim.say(QStringLiteral("set bath dial 100"));
        begin(bath, {{1, "water"}});
        const auto truth = sim.truths(QStringLiteral("bath"));
        goOn(2400);
        run.mark(device::Mark::set);
        sim.say(QStringLiteral("set bath dial 0"));
        goOn(7200);
        end({{"net_power_W", truth.at("bath-loss net_power_W")},
             {"loss_W_K", truth.at("bath-loss loss_W_K")}});
        plug(1, "fryer liquid");
        auto oil = testOf("fryer", "oil-heat-up");
        oil.values = {{"oil_kg", 3}, {"ambient_C", 21}};
        sim.say(QStringLiteral("put fryer liquid"));
        sim.say(QStringLiteral("set fryer dial 190"));
        begin(oil, {{1, "oil"}});
        goOn(780);
        end({{"net_power_W", sim.truths(QStringLiteral("fryer")).at("oil-heat-up net_power_W")}});
        sim.say(QStringLiteral("set fryer dial 0"));
    }
    void rateFires() {
        plug(1, "grill left");
        plug(2, "grill right");
        sim.say(QStringLiteral("set grill left 6"));
        const auto grill = sim.truths(QStringLiteral("grill"));
        for (const auto& [channel, side] : {std::pair{1, "left"}, {2, "right"}}) {
            begin(testOf("grill", "zone-sweep"), {{channel, "probe"}});
            goOn(5400);
            end({{"operative_K", grill.at(std::string("zone-sweep ") + side + " operative_K")}});
        }
        plug(1, "kettle grate");
        auto down = testOf("kettle", "burn-down");
        down.values = {{"ambient_C", 21}, {"limit_C", 900}};
        sim.say(QStringLiteral("set kettle coals 60"));
        const auto kettle = sim.truths(QStringLiteral("kettle"));
        begin(down, {{1, "air"}});
        goOn(4 * 3600);
        end({{"peak_K", kettle.at("burn-down peak_K")}, {"peak_s", kettle.at("burn-down peak_s")}});
    }
};

TEST(LiveKitchen, RatingAllOfItFindsTheHiddenTruth) {
    std::vector<Found> all;
    for (const int seed : {1, 2, 3}) {
        Kitchen kitchen(seed);
        kitchen.rateOven();
        kitchen.rateBurner();
        kitchen.rateVats();
        kitchen.rateFires();
        all.insert(all.end(), kitchen.found.begin(), kitchen.found.end());
    }
    int within = 0;
    for (const Found& one : all) {
        within += std::abs(one.z) <= 2 ? 1 : 0;
        EXPECT_LE(std::abs(one.z), 3.5) << one.what;
    }
    std::printf("%d of %zu within k = 2\n", within, all.size());
    EXPECT_EQ(all.size(), 36u);
    EXPECT_GE(within, 0.9 * static_cast<double>(all.size()));
}

} // namespace
