// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "run/unknowns.h"

namespace dynamet::run {

/// The core readings of a cook that a forecast rests on, thinned, with how they err: each by its
/// own, and together by what a model of a piece misses for a while. Seen by the forecast only.
class Observations {
  public:
    Observations(const Question& question, const Course& course);
    bool empty() const { return used_.empty(); }
    std::size_t size() const { return used_.size(); }
    std::size_t dropped() const { return dropped_; }
    double newestS() const { return used_.empty() ? 0 : used_.back().atS; }
    ProbeState probe() const;
    /// Leaves out what no point of the piece can have, in any of some cooks that are believed.
    Result<void> dropImpossible(const Unknowns& unknowns, std::uint64_t seed,
                                const std::stop_token& stop);
    /// Leaves out what lies far off the fitted cook; were there any?
    bool dropMisfits(const Passage& passage, double probeShare);
    /// What is expected less what was read, K.
    Eigen::VectorXd residual(const Passage& passage, double probeShare) const;
    double misfit(const Eigen::VectorXd& residual) const; ///< χ²
    /// Times the inverse covariance of the readings.
    Eigen::MatrixXd weigh(const Eigen::MatrixXd& m) const;

  private:
    void build();
    std::vector<CoreReading> used_;
    std::size_t dropped_ = 0;
    bool anyProbe_ = false, newestDropped_ = false, silent_ = false, distrusted_ = false;
    Eigen::LDLT<Eigen::MatrixXd> covariance_;
};

} // namespace dynamet::run
