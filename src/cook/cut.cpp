// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cook/cut.h"

#include <algorithm>
#include <cmath>

namespace dynamet::cook {
namespace {

constexpr double kStripOfSlab = 2.4;
constexpr double kRawBelowGreyingK = 20, kDriedK = 373.15;

struct Between {
    std::size_t low;
    double share;
};
Between between(const std::vector<double>& at, double place) {
    if (at.size() < 2 || place <= at.front())
        return {0, 0};
    if (place >= at.back())
        return {at.size() - 2, 1};
    const auto high = std::upper_bound(at.begin(), at.end(), place);
    const auto low = static_cast<std::size_t>(high - at.begin()) - 1;
    return {low, (place - at[low]) / (at[low + 1] - at[low])};
}

} // namespace

CutExtent extentOf(const Section& section) {
    if (!hasTwoFaces(section.shape))
        return {section.thicknessM, section.thicknessM, true};
    if (section.shape == heat::Shape::slab)
        return {kStripOfSlab * section.thicknessM, section.thicknessM, false};
    return {section.widthM, section.thicknessM, false};
}

double valueAt(const Section& section, const std::vector<double>& nodes, double acrossM,
               double upM) {
    const std::size_t n = section.upM.size();
    const bool round = !hasTwoFaces(section.shape);
    const Between up = between(section.upM, round ? std::hypot(acrossM, upM) : upM);
    const auto column = [&](std::size_t x) {
        const double low = nodes[x * n + up.low];
        return low + up.share * (nodes[x * n + std::min(up.low + 1, n - 1)] - low);
    };
    if (section.acrossM.size() < 2)
        return column(0);
    // A bone side begins at the left edge, everything else is mirrored about its middle.
    const double place = section.halved ? std::abs(acrossM) : acrossM + section.widthM / 2;
    const Between across = between(section.acrossM, place);
    const double left = column(across.low);
    return left + across.share * (column(across.low + 1) - left);
}

double donenessOf(double kelvin, double greyingK) {
    if (kelvin <= greyingK)
        return std::max(0.0, 1 - (greyingK - kelvin) / kRawBelowGreyingK);
    return 1 + (kelvin - greyingK) / (kDriedK - greyingK);
}

std::array<double, kCrustPlaces> crustAlong(double index, double spread) {
    // Middles of five equal parts of a normal distribution, in units of their own deviation.
    constexpr double kFar = 1.4634, kNear = 0.5988;
    constexpr std::array<double, 5> kParts{-kFar, -kNear, 0, kNear, kFar};
    constexpr std::array<std::size_t, kCrustPlaces> kOrder{2, 3, 4, 4, 3, 2, 1, 0, 0, 1,
                                                           2, 3, 4, 4, 3, 2, 1, 0, 0, 1};
    std::array<double, kCrustPlaces> out{};
    double over = 0; // what the palest would lack of nothing is taken from the others
    for (std::size_t i = 0; i < out.size(); ++i) {
        out[i] = index + spread * kParts[kOrder[i]];
        over += std::min(0.0, out[i]);
    }
    double positive = 0;
    for (double& place : out)
        positive += place = std::max(0.0, place);
    for (double& place : out)
        place *= positive > 0 ? std::max(0.0, 1 + over / positive) : 1;
    return out;
}

const Frame* frameAt(const std::vector<Frame>& frames, double timeS) {
    const Frame* out = frames.empty() ? nullptr : &frames.front();
    for (const Frame& frame : frames)
        if (frame.timeS <= timeS)
            out = &frame;
    return out;
}

} // namespace dynamet::cook
