// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "numeric/random.h"

#include <vector>

namespace dynamet {

/// Standard normal draws, one stratum each (Latin hypercube), [sample × input].
std::vector<double> stratifiedNormals(std::size_t samples, std::size_t inputs, Random& random);

} // namespace dynamet
