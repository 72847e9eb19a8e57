// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "food/judgement.h"

#include "quantity/enum_words.h"

#include <array>

namespace dynamet::food {
namespace {

constexpr std::array<const char*, 6> kQualities{"core",   "mean",     "crust",
                                                "weight", "softness", "fat"};
constexpr double kCoreK = 1.5, kMeanK = 3, kCrustLn = 0.3, kSoftShare = 0.06, kFatShare = 0.08;
constexpr double kWeightShare = 0.03, kDryWeightShare = 0.01;

/// Does a hundredth of the weight make it chewy or brittle?
bool judgedByDryness(const Food& food) {
    return food.body == Body::dough || food.body == Body::batter || food.body == Body::baked ||
           food.crisp;
}

} // namespace

const char* enumName(Quality quality) {
    return kQualities[static_cast<std::size_t>(quality)];
}

std::optional<Quality> qualityOf(const std::string& word) {
    return enumOf<Quality>(kQualities, word);
}

std::vector<Tolerance> judgementOf(const Food& food) {
    std::vector<Tolerance> out{
        {Quality::core, kCoreK},
        {Quality::mean, kMeanK},
        {Quality::crust, kCrustLn},
        {Quality::weight, judgedByDryness(food) ? kDryWeightShare : kWeightShare}};
    if (food.softening)
        out.push_back({Quality::softness, kSoftShare});
    if (food.rendering)
        out.push_back({Quality::fat, kFatShare});
    return out;
}

} // namespace dynamet::food
