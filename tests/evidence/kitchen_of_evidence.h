// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "evidence/belief.h"
#include "evidence/priors.h"

#include <cmath>
#include <map>
#include <random>
#include <string>

namespace dynamet::evidence::testing {

/// A 40 mm piece, d ln(time) / d ln(thickness) = 1.5, worked out by hand (design, evidence §7): a
/// start 4 K off is 5 % of the time, the moisture supply 6.6 %, a rated field 3 %.
struct Cook {
    std::string id = "cook";
    std::string recipe = "recipe", food = "food", way = "air", field = "oven";
    double fieldLn = 0.03;
    double thicknessLn = kByRuler, startK = kStartByHandK;
};

inline constexpr double kThicknessPower = 1.5, kStartLnPerK = 0.05 / 4, kMoistureLn = 0.066;

inline Effects effectsOf(const Cook& c) {
    const Priors p;
    return {{"shape:" + c.recipe, kThicknessPower * p.shape},
            {"food:" + c.food, p.foodLn},
            {"moisture:" + c.food, kMoistureLn},
            {"way:" + c.food + ":" + c.way, p.foodWayLn},
            {"model:" + c.way, p.wayLn},
            {"model", p.modelLn},
            {"field:" + c.field, c.fieldLn},
            {"thickness:" + c.id, kThicknessPower * c.thicknessLn},
            {"start:" + c.id, kStartLnPerK * c.startK},
            {"cook:" + c.id, p.cookLn}};
}

/// A kitchen as it really is: every unknown is drawn once, when it is first asked for.
class Truth {
  public:
    explicit Truth(std::uint64_t seed) : random_(seed) {}
    double of(const std::string& unknown) {
        const auto known = values_.find(unknown);
        return known != values_.end() ? known->second : values_[unknown] = normal_(random_);
    }
    void set(const std::string& unknown, double value) { values_[unknown] = value; }
    double lnTime(const Effects& effects) {
        double out = 0;
        for (const Effect& one : effects)
            out += one.lnTime * of(one.unknown);
        return out;
    }
    double drawn() { return normal_(random_); }

  private:
    std::mt19937_64 random_;
    std::normal_distribution<double> normal_;
    std::map<std::string, double> values_;
};

/// A cook that was logged to a hundredth of its time, or a recipe's single figure.
inline Observation seen(Truth& truth, const Cook& cook, double u = 0.01) {
    const Effects effects = effectsOf(cook);
    return {cook.id, cook.id, effects, truth.lnTime(effects) + u * truth.drawn(), u};
}

} // namespace dynamet::evidence::testing
