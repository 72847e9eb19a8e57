// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// The catalogue of common vessels, so that nobody needs to know a heat capacity: against handbook
// values, and against what such vessels weigh on a scale.
#include "kitchen/catalogue.h"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>
#include <set>

namespace {

using namespace dynamet::kitchen;

struct Handbook {
    const char* material;
    double densityKgM3, specificHeatJPerKgK, tolerance;
};
class MaterialTable : public ::testing::TestWithParam<Handbook> {};
TEST_P(MaterialTable, AgreesWithTheHandbook) {
    const Handbook book = GetParam();
    const Material& m = materialOf(book.material);
    ASSERT_EQ(m.id, book.material);
    EXPECT_NEAR(m.densityKgM3 / book.densityKgM3, 1, book.tolerance);
    EXPECT_NEAR(m.specificHeatJPerKgK / book.specificHeatJPerKgK, 1, book.tolerance);
}
// Incropera and DeWitt, Fundamentals of Heat and Mass Transfer, tables A.1 and A.3 at 300 K: pure
// aluminium 2702 and 903, pure copper 8933 and 385, AISI 304 7900 and 477, plain carbon steel 7854
// and 434, Pyrex 2225 and 835. Grey cast iron 7200 and 460: CRC Handbook. All from memory.
INSTANTIATE_TEST_SUITE_P(
    Materials, MaterialTable,
    ::testing::Values(Handbook{"aluminium", 2702, 903, 0.01}, Handbook{"copper", 8933, 385, 0.01},
                      Handbook{"stainless", 7900, 477, 0.06}, Handbook{"steel", 7854, 434, 0.1},
                      Handbook{"glass", 2225, 835, 0.01}, Handbook{"cast-iron", 7200, 460, 0.03}),
    [](const auto& at) {
        std::string out = at.param.material;
        std::replace(out.begin(), out.end(), '-', '_');
        return out;
    });

TEST(Materials, EveryOneIsPossible) {
    std::set<std::string> ids;
    for (const Material& m : materials()) {
        EXPECT_TRUE(ids.insert(m.id).second) << m.id;
        EXPECT_GT(m.densityKgM3, 1000) << m.name;
        EXPECT_GT(m.specificHeatJPerKgK, 300) << m.name;
        EXPECT_LT(m.specificHeatJPerKgK, 4186) << m.name << " would hold more heat than water";
        EXPECT_GT(m.emissivity, 0) << m.name;
        EXPECT_LE(m.emissivity, 1) << m.name;
    }
    EXPECT_EQ(materialOf("cast iron").id, "cast-iron") << "by its name too";
    EXPECT_EQ(materialOf("unobtainium").id, "steel");
}

const Vessel& named(const std::string& name) {
    for (const Vessel& v : commonVessels())
        if (v.name == name)
            return v;
    ADD_FAILURE() << name;
    return commonVessels().front();
}

// Weights on the scale, common practice, no source: good to a quarter, as usualMassKg promises a
// fifth and pans of one size differ.
struct Weighed {
    const char* name;
    double kg;
};
class VesselMass : public ::testing::TestWithParam<Weighed> {};
TEST_P(VesselMass, IsThatOfTheScale) {
    EXPECT_NEAR(named(GetParam().name).massKg / GetParam().kg, 1, 0.25)
        << named(GetParam().name).massKg;
}
INSTANTIATE_TEST_SUITE_P(
    Scale, VesselMass,
    ::testing::Values(Weighed{"Iron pan 20 cm", 1.35}, Weighed{"Iron pan 26 cm", 2.3},
                      Weighed{"Steel pan 28 cm", 1.5}, Weighed{"Steel pan 24 cm", 1.1},
                      Weighed{"Non-stick pan 28 cm", 0.8}, Weighed{"Stockpot 24 cm", 2.3},
                      Weighed{"Glass dish", 1.3}),
    [](const auto& at) {
        std::string out = at.param.name;
        std::replace(out.begin(), out.end(), ' ', '_');
        std::replace(out.begin(), out.end(), '-', '_');
        return out;
    });

TEST(UsualMass, OfABareDiscIsItsVolumeTimesItsDensity) {
    const VesselForm disc{"disc", "disc", VesselKind::pan, 0, 0};
    const Material& steel = materialOf("steel");
    EXPECT_NEAR(usualMassKg(disc, steel, 0.2, 0.004), M_PI * 0.01 * 0.004 * 7850, 1e-9);
}

TEST(LikelyForm, IsFoundAgainFromSizeAndMass) {
    EXPECT_EQ(vesselForms()[likelyForm(named("Stockpot 24 cm"))].id, "stockpot");
    EXPECT_EQ(vesselForms()[likelyForm(named("Saucepan 18 cm"))].id, "saucepan");
    EXPECT_EQ(vesselForms()[likelyForm(named("Glass dish"))].id, "dish");
    EXPECT_EQ(vesselForms()[likelyForm(Vessel{})].kind, Vessel{}.kind);
}

TEST(UsualMass, GrowsWithEverySize) {
    for (const VesselForm& form : vesselForms()) {
        if (form.kind == VesselKind::rack)
            continue;
        const Material& m = materialOf("stainless");
        EXPECT_LT(usualMassKg(form, m, 0.2, 0.003), usualMassKg(form, m, 0.24, 0.003)) << form.name;
        EXPECT_LT(usualMassKg(form, m, 0.2, 0.003), usualMassKg(form, m, 0.2, 0.005)) << form.name;
    }
}

TEST(CommonVessels, NeverOutlastTheirMaterial) {
    for (const Vessel& v : commonVessels()) {
        const Material& m = materialOf(v.material);
        EXPECT_EQ(v.highestTemperatureK.has_value(), m.highestTemperatureK.has_value()) << v.name;
        EXPECT_EQ(v.specificHeatJPerKgK, m.specificHeatJPerKgK) << v.name;
        EXPECT_TRUE(v.id.empty()) << "an id is given when it is added";
    }
    // Non-stick coatings are not to be heated much over 230 to 260 °C (common practice, no source).
    EXPECT_LE(*named("Non-stick pan 24 cm").highestTemperatureK, 273.15 + 260);
}

} // namespace
