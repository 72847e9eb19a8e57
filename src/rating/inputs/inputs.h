// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/inputs/test_values.h"

namespace dynamet::rating {

// From roles and named values of a test (docs/formats.md) to each protocol's own struct, and
// through its reduction.
Result<Reduction> waterHeatUpFrom(const TestInput& test, TestValues& values);
Result<Reduction> boilOffFrom(const TestInput& test, TestValues& values);
Result<Reduction> dryPreheatFrom(const TestInput& test, TestValues& values);
Result<Reduction> surfaceMapFrom(const TestInput& test, TestValues& values);
Result<Reduction> loadDipFrom(const TestInput& test, TestValues& values);
Result<Reduction> preheatFrom(const TestInput& test, TestValues& values);
Result<Reduction> blockFrom(const TestInput& test, TestValues& values);
Result<Reduction> blockPairFrom(const TestInput& test, TestValues& values);
Result<Reduction> oneFaceBlockFrom(const TestInput& test, TestValues& values);
Result<Reduction> zoneSweepFrom(const TestInput& test, TestValues& values);
Result<Reduction> cavityMapFrom(const TestInput& test, TestValues& values);
Result<Reduction> burnDownFrom(const TestInput& test, TestValues& values);
Result<Reduction> coalCountFrom(const TestInput& test, TestValues& values);
Result<Reduction> bathLossFrom(const TestInput& test, TestValues& values);
Result<Reduction> oilHeatUpFrom(const TestInput& test, TestValues& values);
Result<Reduction> instrumentCheckFrom(const TestInput& test, TestValues& values);

/// The infrared settings of a surface map, for drawing its true temperatures too.
struct SurfaceMap;
SurfaceMap surfaceMapOf(const TestInput& test, TestValues& values);

} // namespace dynamet::rating
