// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/look/cut_palette.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace dynamet::app::look {
namespace {

struct Stop {
    double at;
    QColor colour;
};

template <std::size_t N>
QColor along(const std::array<Stop, N>& stops, double at) {
    const double held = std::clamp(at, stops.front().at, stops.back().at);
    std::size_t i = 0;
    while (i + 2 < N && held > stops[i + 1].at)
        ++i;
    const double share = (held - stops[i].at) / (stops[i + 1].at - stops[i].at);
    const auto mix = [share](int a, int b) {
        return static_cast<int>(std::lround(std::lerp(a, b, share)));
    };
    const QColor &a = stops[i].colour, &b = stops[i + 1].colour;
    return {mix(a.red(), b.red()), mix(a.green(), b.green()), mix(a.blue(), b.blue())};
}

const std::array<Stop, 5> kMeat{{{0.0, {0x6e, 0x1f, 0x33}},
                                 {0.45, {0xb0, 0x4a, 0x58}},
                                 {0.9, {0xd9, 0x96, 0x96}},
                                 {1.05, {0xc9, 0xb8, 0xa8}},
                                 {2.0, {0xe4, 0xd8, 0xc4}}}};
const std::array<Stop, 4> kOther{{{0.0, {0x6f, 0x86, 0x62}},
                                  {0.6, {0xa9, 0xb0, 0x7c}},
                                  {1.0, {0xd6, 0xcb, 0x95}},
                                  {2.0, {0xee, 0xe4, 0xc6}}}};
const std::array<Stop, 6> kCrust{{{0.0, {0xee, 0xe2, 0xcc}},
                                  {0.3, {0xdf, 0xc0, 0x8c}},
                                  {1.0, {0xb0, 0x74, 0x2e}},
                                  {2.0, {0x70, 0x3f, 0x18}},
                                  {3.5, {0x38, 0x20, 0x12}},
                                  {6.0, {0x12, 0x0e, 0x0c}}}};

} // namespace

QColor cutColour(double doneness, bool meat) {
    return meat ? along(kMeat, doneness) : along(kOther, doneness);
}

QColor crustColour(double browning) {
    return along(kCrust, browning);
}

} // namespace dynamet::app::look
