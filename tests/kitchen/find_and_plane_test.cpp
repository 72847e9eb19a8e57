// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/find_setting.h"
#include "kitchen/heat_plane.h"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::kitchen;

/// A grill with three burners, each rated alone on high in the indirect zone; and with two of them.
/// The figures of one grill as cooks rated it (common practice, no source): one burner high 86 °C
/// indirect, one more 160.
Kitchen ratedGrill() {
    Kitchen k;
    Site yard;
    yard.id = "s";
    k.sites.push_back(yard);
    Appliance a = *typicalAppliance(ApplianceKind::gasGrill);
    a.id = "g";
    a.siteId = "s";
    const auto put = [&](const char* setting, double celsius) {
        RatedNumber r;
        r.setting = *parseSetting(a.controls, setting);
        r.zone = "indirect";
        for (const Term term : {Term::air, Term::radiant}) {
            r.number = {{Face::all, term},    celsius + 273.15, 4,
                        Provenance::measured, setting,          "measured"};
            k.rated["g"].push_back(r);
        }
    };
    put("burners=high/off/off;lid=closed", 86);
    put("burners=off/high/off;lid=closed", 92);
    put("burners=off/off/high;lid=closed", 86);
    put("burners=high/high/off;lid=closed", 160);
    k.appliances.push_back(a);
    return k;
}

// "86 is too low there, add another on low": a setup nobody tested is found by adding burners up.
TEST(FindSettings, UntestedCombinationsComeByAddingUp) {
    const Kitchen k = ratedGrill();
    const auto found = findSettings(k, k.appliances[0], {{{"indirect", 413.15, 453.15}}});
    ASSERT_TRUE(found.has_value()) << found.error().message;
    ASSERT_FALSE(found->empty());
    EXPECT_EQ(settingText(k.appliances[0].controls, found->front().setting),
              "burners=high/high/off;lid=closed");
    EXPECT_GT(found->front().probability, 0.99);
    bool untested = false;
    for (const FoundSetting& f : *found)
        if (settingText(k.appliances[0].controls, f.setting) ==
            "burners=off/high/high;lid=closed") {
            untested = true;
            EXPECT_TRUE(f.addedUp);
            EXPECT_GT(f.zones[0].u, 4) << "wider than what was tested";
        }
    EXPECT_TRUE(untested);
    for (std::size_t i = 1; i < found->size(); ++i)
        EXPECT_GE((*found)[i - 1].probability, (*found)[i].probability);
}

TEST(FindSettings, ProbabilityIsTheNormalShareOfTheWish) {
    const Kitchen k = ratedGrill();
    const auto& grill = k.appliances[0];
    const auto field = fieldAt(
        k, "g", *parseSetting(grill.controls, "burners=high/high/off;lid=closed"), "indirect");
    const Representative shown = representative(*field, 295.15);
    // Everything above its own middle: one half of a symmetric distribution.
    const auto found = findSettings(k, grill, {{{"indirect", shown.kelvin, 1e4}}}, 0.2);
    ASSERT_TRUE(found.has_value());
    EXPECT_TRUE(std::any_of(found->begin(), found->end(), [&](const FoundSetting& f) {
        return settingText(grill.controls, f.setting) == "burners=high/high/off;lid=closed" &&
               std::abs(f.probability - 0.5) < 1e-6;
    }));
}

TEST(FindSettings, RefusesWhatCannotBeAsked) {
    const Kitchen k = ratedGrill();
    EXPECT_EQ(findSettings(k, k.appliances[0], {}).error().code, Errc::invalidArgument);
    EXPECT_EQ(findSettings(k, k.appliances[0], {{{"roof", 300, 400}}}).error().code,
              Errc::notFound);
    EXPECT_EQ(findSettings(k, k.appliances[0], {{{"indirect", 500, 400}}}).error().code,
              Errc::invalidArgument);
}

HeatField airField(double air, double h, double radiant, double view) {
    HeatField f;
    for (const auto& [term, value, u] : {std::tuple{Term::air, air, 5.0},
                                         {Term::hAir, h, 0.2 * h},
                                         {Term::radiant, radiant, 5.0},
                                         {Term::view, view, 0.0}})
        put(f, {{Face::all, term}, value, u, Provenance::measured, "r", ""});
    return f;
}

// A black wall at the air's own temperature: the effective temperature is that temperature, and the
// flux into a cold face is h ΔT + ε σ (T⁴ − T₀⁴), which the pair must give back (Incropera et al.,
// ch. 1).
TEST(HeatPlane, OneTemperatureGivesItselfAndTheFlux) {
    const auto mark = planeMark(airField(453.15, 12, 453.15, 0.9), 295);
    ASSERT_TRUE(mark.has_value());
    EXPECT_NEAR(mark->kelvin, 453.15, 1e-9);
    const double flux =
        12 * (453.15 - 313.15) + 0.9 * 5.670374e-8 * (std::pow(453.15, 4) - std::pow(313.15, 4));
    EXPECT_NEAR(mark->fluxW_m2, flux, 0.01);
    EXPECT_NEAR(mark->coefficient * (mark->kelvin - kColdFaceK), flux, 0.01);
    EXPECT_NEAR(coefficientFor(flux, mark->kelvin), mark->coefficient, 1e-9);
}

TEST(HeatPlane, TheEllipseComesFromTheFieldsCovariance) {
    HeatField f = airField(453.15, 12, 453.15, 0.9);
    const auto apart = planeMark(f, 295);
    f.covariances.push_back({{Face::all, Term::air}, {Face::all, Term::radiant}, 25});
    const auto together = planeMark(f, 295);
    EXPECT_GT(together->uKelvin, apart->uKelvin) << "errors that go together do not cancel";
    EXPECT_NEAR(together->uKelvin, 5, 0.6);
}

TEST(HeatPlane, APlateTakesHoldByContact) {
    HeatField f;
    for (const auto& [term, value] : {std::pair{Term::plate, 503.15}, {Term::contact, 400.0}})
        put(f, {{Face::bottom, term}, value, 1, Provenance::assumed, "", ""});
    const auto mark = planeMark(f, 295);
    EXPECT_NEAR(mark->kelvin, 503.15, 1e-9);
    EXPECT_NEAR(mark->coefficient, 400, 1e-9);
}

} // namespace
