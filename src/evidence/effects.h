// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <vector>

namespace dynamet::evidence {

/// What one standard deviation of an unknown does to ln(time).
struct Effect {
    std::string unknown; ///< a name that is the same wherever the same thing is meant
    double lnTime = 0;
    std::string says = {}; ///< as a cook reads it: "thickness", "air temperature"
};
using Effects = std::vector<Effect>;

/// Unknowns that correlate: the numbers of one field. Those that stand in no block are independent.
struct Block {
    std::vector<std::string> unknowns;
    std::vector<double> correlations; ///< row-major
};

} // namespace dynamet::evidence
