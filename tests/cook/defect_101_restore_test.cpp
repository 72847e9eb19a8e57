// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Coming back to a moment used to keep the kill rate of wherever the simulation had been: the first
// step after it counted too many log reductions.
#include "cook/pieces.h"
#include "cook/simulation.h"

#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::cook;
using namespace dynamet::cook::testing;

Simulation simulationOf(const recipe::FoodPiece& piece, const Programme& programme) {
    const Tables tables = tablesFor(piece.food, 101325);
    return *Simulation::create(piece, programme, kFull, tables.material, tables.vapour);
}

void expectSame(const Simulation::Moment& a, const Simulation::Moment& b) {
    EXPECT_EQ(a.logs, b.logs);
    EXPECT_EQ(a.crust, b.crust);
    EXPECT_EQ(a.raised, b.raised);
    EXPECT_EQ(a.dangerS, b.dangerS);
    EXPECT_EQ(a.corePeakK, b.corePeakK);
    EXPECT_EQ(a.state.kelvin, b.state.kelvin);
    EXPECT_EQ(a.state.waterLeft, b.state.waterLeft);
    EXPECT_EQ(a.state.timeS, b.state.timeS);
}

class Defect101 : public ::testing::TestWithParam<const char*> {};

TEST_P(Defect101, RestoreAndAdvanceIsAStraightRunToTheLastBit) {
    recipe::FoodPiece piece = slabOf(GetParam(), 24, 5);
    Programme programme;
    programme.last().field = ovenField(180, 15, 2500);
    Simulation simulation = simulationOf(piece, programme);
    std::vector<Simulation::Moment> kept;
    ASSERT_TRUE(simulation
                    .cookUntil(2400,
                               [&](const auto&) {
                                   kept.push_back(simulation.moment());
                                   return true;
                               })
                    .has_value());
    const Simulation::Moment straight = simulation.moment();
    ASSERT_GT(straight.logs.front(), 1) << "hot enough for the kills to count";
    ASSERT_GT(kept.size(), 20u);
    for (std::size_t i = 0; i < kept.size(); i += 7) {
        simulation.restore(kept[i]);
        ASSERT_TRUE(simulation.cookUntil(2400).has_value());
        expectSame(simulation.moment(), straight);
    }
}

INSTANTIATE_TEST_SUITE_P(Meats, Defect101,
                         ::testing::Values("beef-lean", "chicken-breast", "pork-sausage"),
                         [](const auto& at) {
                             std::string name = at.param;
                             std::erase(name, '-');
                             return name;
                         });

} // namespace
