// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "heat/piece_solver.h"

#include <gtest/gtest.h>

namespace dynamet::heat::testing {

inline double C(double celsius) {
    return celsius + 273.15;
}

inline std::shared_ptr<const Vapour> seaLevel() {
    return std::make_shared<Vapour>(101325.0);
}

inline PieceSolver solverFor(const Piece& piece, const Material& material,
                             const SolverOptions& options = {}) {
    auto solver = PieceSolver::create(piece, std::make_shared<Material>(material),
                                      std::make_shared<Vapour>(options.pressurePa), options);
    EXPECT_TRUE(solver.has_value());
    return std::move(*solver);
}

inline void run(PieceSolver& solver, double untilS) {
    const auto done = solver.advance(untilS);
    ASSERT_TRUE(done.has_value()) << done.error().message;
}

} // namespace dynamet::heat::testing
