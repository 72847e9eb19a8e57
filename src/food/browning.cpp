// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "food/browning.h"

#include <algorithm>
#include <cmath>

namespace dynamet::food {

double browningRate(double crustK) {
    return 1.0 / 600 * std::exp(-75000.0 / 8.314 * (1 / crustK - 1 / 423.15));
}

const char* crustWord(double browning) {
    if (browning < 0.25)
        return "pale";
    if (browning < 0.7)
        return "lightly coloured";
    if (browning < 1.5)
        return "golden";
    if (browning < 3)
        return "dark";
    return browning < 5 ? "scorched" : "charred";
}

double crustDistance(double browning, double reference) {
    return std::abs(std::log((browning + 0.05) / (reference + 0.05)));
}

} // namespace dynamet::food
