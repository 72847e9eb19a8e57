// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "evidence/effects.h"

#include <cstddef>
#include <memory>
#include <optional>

namespace dynamet::evidence {

/// A time that was seen: ln(seen / what is expected with every unknown at 0), and how well it was
/// seen.
struct Observation {
    std::string id;   ///< unlike every other
    std::string says; ///< "the recipe's own 50 minutes"
    Effects effects;
    double lnDifference = 0;
    double u = 0;
    bool setAside = false; ///< by the cook: it counts for nothing
};

/// How an observation agrees with all others.
struct Agreement {
    std::string id;
    double lnExpected = 0; ///< of the difference, from all others
    double z = 0;          ///< how many standard deviations it lies off that
    bool absorbed = false; ///< false: set aside, or a misfit
};

/// Beyond so many standard deviations an observation is a misfit, and is not absorbed; from the
/// first on it is said.
inline constexpr double kSaid = 2, kMisfit = 3;

/// What is known of all unknowns once the observations are in: a Gaussian, conditioned on those
/// that fit; a pure function of them, whatever their order. An observation more than `kMisfit` from
/// what all others predict is left out, the largest first.
class Belief {
  public:
    Belief();
    Belief(std::vector<Block> blocks, std::vector<Observation> observations);
    /// Mean and covariance of ln(time) of such effects.
    double mean(const Effects& effects) const;
    double covariance(const Effects& a, const Effects& b) const;
    double variance(const Effects& effects) const { return covariance(effects, effects); }
    /// The same before any observation.
    double priorCovariance(const Effects& a, const Effects& b) const;
    /// In the order of the ids.
    const std::vector<Agreement>& agreements() const;
    const std::vector<Observation>& observations() const;
    const std::vector<Block>& blocks() const;
    /// The same with further blocks, of unknowns that no observation bears on yet.
    Belief withBlocks(const std::vector<Block>& blocks) const;
    /// The same with further blocks and observations.
    Belief with(std::vector<Block> blocks, std::vector<Observation> observations) const;

  private:
    struct State;
    std::shared_ptr<const State> state_;
};

} // namespace dynamet::evidence
