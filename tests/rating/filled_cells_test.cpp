// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// The acceptance table of definitions §3 ("which test gives which parameter"): each cell that names
// a protocol is filled by it through the whole way, and each A stays assumed and says so.
#include "generator/fires.h"
#include "generator/liquids.h"
#include "generator/plates.h"
#include "kitchen/rated_field.h"
#include "rating/reduce.h"
#include "rating/series_of.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::rating;
using namespace dynamet::kitchen;
using enum ApplianceKind;

/// A test of each protocol, as the generator's appliances would give it.
TestInput exampleOf(const std::string& protocol) {
    TestInput t{protocol, {}, {}, {}};
    if (protocol == "water-heat-up") {
        t.channels["water"] = seriesOf(generator::heatPot({}, 88, 2, {}, 1).water);
        t.values = {{"water_kg", 1.5}, {"pot_kg", 1.2}};
    } else if (protocol == "boil-off") {
        t.values = {{"start_kg", 2.4}, {"end_kg", 2.1}, {"boiled_s", 900}};
    } else if (protocol == "dry-preheat") {
        t.channels["plate"] = seriesOf(generator::heatAndCool({}, 500, 1500, {}, 2).plate);
        t.values = {{"plate_kg", 1.9}, {"area_m2", 0.038}, {"off_s", 500}};
    } else if (protocol == "surface-map") {
        t.keyed["spot"] = {480, 484, 478, 490};
    } else if (protocol == "load-dip") {
        const auto run = generator::dip({}, 220, {}, 900, {}, {}, 3);
        t.channels = {{"plate", seriesOf(run.plate)}, {"load", seriesOf(run.load)}};
    } else if (protocol == "preheat") {
        t.channels["air"] =
            seriesOf(generator::preheat({}, 180, 4200, 5, {60, 0, 1, 0.1, 0.1}, 4).air);
        t.values = {{"set_C", 180}};
    } else if (protocol == "block" || protocol == "block-pair") {
        generator::Block bright, black;
        bright.emissivity = 0.1;
        const auto first =
            generator::blockInCavity({}, 180, black, 1500, 5, {}, {90, 0, 1, 0.1, 0.1}, 5);
        t.channels["air"] = seriesOf(first.air);
        t.channels[protocol == "block" ? "block" : "black"] = seriesOf(first.block);
        if (protocol == "block-pair")
            t.channels["bright"] = seriesOf(
                generator::blockInCavity({}, 180, bright, 1500, 5, {}, {90, 0, 1, 0.1, 0.1}, 5)
                    .block);
    } else if (protocol == "one-face-block") {
        t.channels["block"] = seriesOf(generator::face({}, 300, 900, {}, 6).block);
    } else if (protocol == "zone-sweep") {
        t.keyed = {{"probe", {470, 474, 468}}, {"thick", {490, 495, 489}}};
    } else if (protocol == "cavity-map") {
        for (const char* place : {"middle", "upper"})
            t.channels[place] =
                seriesOf(generator::preheat({}, 180, 4200, 5, {60, 0, 1, 0.1, 0.1}, 7).air);
    } else if (protocol == "burn-down") {
        generator::Fire fire;
        fire.fuelKg = 9;
        t.channels["air"] = seriesOf(generator::burn(fire, 18000, 10, {20, 0, 1, 1, 0.5}, 8).air);
        t.values = {{"target_C", 250}};
    } else if (protocol == "coal-count") {
        t.keyed = {{"under", {8, 6, 12}}, {"lid", {16, 12, 10}}, {"inside", {430, 390, 425}}};
        t.values = {{"iron_kg", 6}, {"half_s", 800}};
    } else if (protocol == "bath-loss") {
        t.channels["water"] = seriesOf(generator::heatVat({}, 2400, 200, 9600, 10, {}, 9).liquid);
        t.values = {{"water_kg", 12}, {"off_s", 2400}};
    } else if (protocol == "oil-heat-up") {
        generator::Vat vat;
        vat.oil = true;
        t.channels["oil"] = seriesOf(generator::heatVat(vat, 1e9, 185, 7200, 2, {}, 10).liquid);
        t.values = {{"oil_kg", 12}};
    }
    return t;
}

/// Keys of one cell, and the protocol that fills it.
struct Cell {
    const char* protocol;
    std::vector<const char*> keys;
    std::map<std::string, std::string> choices = {}; ///< beside the example's own
    const char* channelFrom = ""; ///< "air>plate": the example's channel under another role
};
struct Row {
    ApplianceKind kind;
    std::vector<Cell> cells;
    std::vector<const char*> assumed; ///< columns that hold an A
};

const std::vector<Row>& table() {
    static const Cell plateMap{"surface-map", {"bottom.plate_K"}};
    static const Cell water{"water-heat-up", {"all.power_W"}};
    static const Cell empty{
        "dry-preheat",
        {"bottom.plate_flux_W_m2", "bottom.plate_loss_W_m2K", "bottom.plate_heat_capacity_J_m2K"}};
    static const Cell airLog{"preheat", {"all.air_K"}};
    static const Cell map{"cavity-map", {"all.air_K"}};
    static const Cell pair{"block-pair", {"all.air_K", "all.radiant_K", "all.h_air_W_m2K"}};
    static const Cell up{
        "one-face-block", {"top.radiant_K", "top.h_air_W_m2K"}, {{"heat_from", "above"}}};
    static const Cell down{"one-face-block", {"bottom.radiant_K"}, {{"heat_from", "below"}}};
    static const Cell probes{"zone-sweep", {"all.air_K", "all.radiant_K"}};
    static const Cell floorMap{"surface-map", {"bottom.plate_K"}};
    static const Cell deflector{"surface-map", {"bottom.radiant_K"}};
    static const std::vector<const char*> hob{"top.air_K", "top.h_air_W_m2K", "top.vapour_Pa",
                                              "bottom.contact_W_m2K"};
    static const std::vector<const char*> vapour{"all.vapour_Pa"};
    static const std::vector<Row> rows{
        {gasHob, {plateMap, water, empty}, hob},
        {portableBurner, {plateMap, water, empty}, hob},
        {radiantHob, {plateMap, water, empty}, hob},
        {solidPlateHob, {plateMap, water, empty}, hob},
        {inductionHob, {plateMap, water, empty}, hob},
        {griddle,
         {plateMap,
          empty,
          {"load-dip",
           {"bottom.plate_heat_capacity_J_m2K", "bottom.plate_flux_W_m2",
            "bottom.plate_loss_W_m2K"}},
          {"preheat", {"bottom.plate_set_K"}, {}, "air>plate"}},
         hob},
        {stillOven,
         {airLog,
          map,
          pair,
          up,
          floorMap,
          {"load-dip", {"bottom.plate_effusivity_W_s05_m2K"}, {{"material", "stone"}}}},
         vapour},
        {countertopOven, {airLog, map, pair, up, floorMap}, vapour},
        {fanOven, {airLog, map, pair, up, down}, vapour},
        {combiOven, {airLog, map, pair, up, down}, {}},
        {airFryer, {airLog, pair, up, down}, vapour},
        {woodOven,
         {probes, up, floorMap, {"burn-down", {"all.air_K"}}},
         {"all.h_air_W_m2K", "all.vapour_Pa"}},
        {ironOven,
         {{"coal-count", {"all.air_K", "all.loss_W_K"}},
          {"surface-map", {"top.radiant_K"}},
          {"boil-off", {"all.power_W"}}},
         {"all.h_air_W_m2K", "all.vapour_Pa"}},
        {gasGrill, {probes, down}, {"all.h_air_W_m2K", "all.vapour_Pa", "bottom.contact_W_m2K"}},
        {coalChimney, {down}, {"top.air_K", "bottom.air_K", "bottom.vapour_Pa"}},
        {charcoalKettle,
         {probes, pair, deflector, {"burn-down", {"all.air_K"}}},
         {"all.vapour_Pa", "bottom.contact_W_m2K"}},
        {coveredCeramicGrill, {probes, pair, deflector}, vapour},
        {pelletGrill, {probes, pair, deflector}, vapour},
        {waterBath,
         {{"preheat", {"all.liquid_K"}},
          {"cavity-map", {"all.liquid_K"}},
          {"bath-loss", {"all.power_W", "all.loss_W_K"}},
          {"block", {"all.h_liquid_W_m2K"}}},
         {}},
        {deepFryer,
         {{"oil-heat-up", {"all.power_W"}}, {"load-dip", {"bottom.plate_heat_capacity_J_m2K"}}},
         {"all.h_liquid_W_m2K"}}};
    return rows;
}

struct Oven {
    Appliance appliance;
    Place place;
    Setting setting;
};

Oven setUp(ApplianceKind kind) {
    Oven out;
    out.appliance = *typicalAppliance(kind);
    out.place.zone = out.appliance.zones.front().name;
    if (isHob(kind))
        out.place.vessel = Vessel{};
    out.setting = possibleSettings(out.appliance.controls, 6,
                                   40)[3 % possibleSettings(out.appliance.controls, 6, 40).size()];
    return out;
}

Result<Reduction> reductionFor(const Cell& cell, ApplianceKind kind) {
    TestInput test = exampleOf(cell.protocol);
    test.choices = cell.choices;
    test.choices.merge(choicesOfKind(cell.protocol, kind));
    if (const std::string from = cell.channelFrom; !from.empty()) {
        const auto at = from.find('>');
        auto node = test.channels.extract(from.substr(0, at));
        node.key() = from.substr(at + 1);
        test.channels.insert(std::move(node));
    }
    return reduce(test);
}

HeatField fieldWith(const Oven& oven, const std::vector<const Reduction*>& reductions) {
    std::vector<RatedNumber> rated;
    for (const Reduction* reduction : reductions)
        for (FieldNumber number : reduction->fieldNumbers) {
            number.reductionId = reduction->protocol;
            RatedNumber r;
            r.setting = oven.setting;
            r.zone = oven.place.zone;
            r.vesselId = oven.place.vessel ? oven.place.vessel->id : "";
            r.number = number;
            rated.push_back(r);
        }
    const auto field = ratedField(oven.appliance, oven.setting, oven.place, rated);
    EXPECT_TRUE(field.has_value()) << field.error().message;
    return field.value_or(HeatField{});
}

TEST(Table, EachCellThatNamesAProtocolIsFilledByIt) {
    for (const Row& row : table()) {
        const Oven oven = setUp(row.kind);
        for (const Cell& cell : row.cells) {
            const auto reduction = reductionFor(cell, row.kind);
            ASSERT_TRUE(reduction.has_value())
                << enumName(row.kind) << ", " << cell.protocol << ": " << reduction.error().message;
            const HeatField field = fieldWith(oven, {&*reduction});
            for (const char* key : cell.keys) {
                const FieldNumber* number = find(field, *fieldKey(key));
                ASSERT_NE(number, nullptr)
                    << enumName(row.kind) << ", " << cell.protocol << ": " << key;
                EXPECT_EQ(number->provenance, Provenance::measured)
                    << enumName(row.kind) << ", " << cell.protocol << ": " << key;
                EXPECT_EQ(number->reductionId, cell.protocol) << enumName(row.kind) << ": " << key;
                EXPECT_GT(number->u, 0) << enumName(row.kind) << ": " << key;
            }
        }
    }
}

TEST(Table, EachAStaysAssumedThoughEverythingElseWasMeasured) {
    for (const Row& row : table()) {
        const Oven oven = setUp(row.kind);
        std::vector<Result<Reduction>> all;
        for (const Cell& cell : row.cells)
            all.push_back(reductionFor(cell, row.kind));
        std::vector<const Reduction*> pointers;
        for (const auto& reduction : all)
            pointers.push_back(&*reduction);
        const HeatField field = fieldWith(oven, pointers);
        for (const char* key : row.assumed) {
            const FieldNumber* number = find(field, *fieldKey(key));
            ASSERT_NE(number, nullptr) << enumName(row.kind) << ": " << key;
            EXPECT_EQ(number->provenance, Provenance::assumed) << enumName(row.kind) << ": " << key;
            EXPECT_NE(number->from, "measured") << enumName(row.kind) << ": " << key;
        }
    }
}

// A combi oven must measure its humidity: a wet wick beside the probe (definitions §3).
TEST(Table, ACombiOvensHumidityComesFromTheWetProbe) {
    TestInput test = exampleOf("preheat");
    Series wet = test.channels.at("air");
    for (double& k : wet.value)
        k = std::min(k, 343.15);
    test.channels["wet"] = wet;
    const auto reduction = reduce(test);
    ASSERT_TRUE(reduction.has_value()) << reduction.error().message;
    const HeatField field = fieldWith(setUp(combiOven), {&*reduction});
    const FieldNumber* vapour = find(field, {Face::all, Term::vapour});
    ASSERT_NE(vapour, nullptr);
    EXPECT_EQ(vapour->provenance, Provenance::measured);
    // Steam tables: saturation at 70 °C is 31.2 kPa; less 6.62e-4 · 101325 Pa · (dry − wet).
    const double dry = reduction->quantities.front().value;
    EXPECT_NEAR(vapour->value, 31200 - 6.62e-4 * 101325 * (dry - 343.15), 150);
}

// The floor of an oven, an iron oven's lid and a deflector are not what the sheet shows a setting
// by.
TEST(Table, AFloorsTemperatureIsNotTheOvens) {
    const Oven vault = setUp(woodOven);
    const auto map = reductionFor({"surface-map", {}}, woodOven);
    const HeatField plain = fieldWith(vault, {}), mapped = fieldWith(vault, {&*map});
    EXPECT_EQ(representative(plain, 295).kelvin, representative(mapped, 295).kelvin);
}

} // namespace
