// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "food/juices.h"

#include "quantity/temperature.h"

#include <algorithm>
#include <cmath>

namespace dynamet::food {
namespace {

double held(double celsius) {
    return 0.745 - 0.345 / (1 + 30 * std::exp(-0.25 * (celsius - 52)));
}

} // namespace

double juiceLoss(double kelvin) {
    const double raw = held(5);
    return std::clamp(1 - held(kelvin - kZeroCelsiusK) / raw, 0.0, 1.0);
}

} // namespace dynamet::food
