// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/inputs/test_reader.h"

namespace dynamet::rating {

// From roles and named values of a test (docs/formats.md) to each protocol's own struct, and
// through its reduction.
Result<Reduction> waterHeatUpFrom(const TestInput& test);
Result<Reduction> boilOffFrom(const TestInput& test);
Result<Reduction> dryPreheatFrom(const TestInput& test);
Result<Reduction> surfaceMapFrom(const TestInput& test);
Result<Reduction> loadDipFrom(const TestInput& test);
Result<Reduction> preheatFrom(const TestInput& test);
Result<Reduction> blockFrom(const TestInput& test);
Result<Reduction> blockPairFrom(const TestInput& test);
Result<Reduction> oneFaceBlockFrom(const TestInput& test);
Result<Reduction> zoneSweepFrom(const TestInput& test);
Result<Reduction> cavityMapFrom(const TestInput& test);
Result<Reduction> burnDownFrom(const TestInput& test);
Result<Reduction> coalCountFrom(const TestInput& test);
Result<Reduction> bathLossFrom(const TestInput& test);
Result<Reduction> oilHeatUpFrom(const TestInput& test);
Result<Reduction> instrumentCheckFrom(const TestInput& test);

} // namespace dynamet::rating
