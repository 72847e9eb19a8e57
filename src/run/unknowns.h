// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "run/forecast.h"
#include "translate/effects.h"

#include <Eigen/Dense>

namespace dynamet::run {

/// A cook's unknowns as independent standard normals: inputs of the cook, what else moves its time,
/// and how far the probe is off the middle. Seen by the forecast and its neighbours only.
class Unknowns {
  public:
    Unknowns(const Question& question, const Course& course);
    std::size_t size() const { return inputs_.size() + 2; }
    /// The cook with such unknowns.
    struct Off {
        recipe::FoodPiece piece;
        Course course;
        cook::Tables tables;
        double probeShare = 0; ///< of the way from core to face that the probe reads
    };
    Off at(const Eigen::VectorXd& y) const;
    Result<Passage> pass(const Eigen::VectorXd& y, const std::stop_token& stop,
                         bool whole = false) const;
    double probeShare(const Eigen::VectorXd& y) const;
    const Course& course() const { return course_; }
    /// Each input's deviation by its name, and what else moves ln(time).
    std::pair<std::map<std::string, double>, double> deviations(const Eigen::VectorXd& y) const;
    /// The cook with deviations that another course of it told.
    Off with(const std::map<std::string, double>& deviations, double restLn) const;

  private:
    std::vector<double> deviationsOf(const Eigen::VectorXd& y) const;
    Off off(std::vector<double> z, double restLn) const;
    const Question& question_;
    const Course& course_;
    std::vector<translate::Input> inputs_;
    std::vector<double> mean_, factor_; ///< [inputs + 1]
    double probeSd_ = 0;
    cook::Tables tables_;
};

} // namespace dynamet::run
