// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "numeric/random.h"
#include "translate/time_surface.h"
#include "translate/window_parts.h"

namespace dynamet::translate {

/// Mean and covariance of the inputs' deviations and of what else moves ln(time), after all that
/// was seen.
struct Joint {
    std::vector<double> mean, factor; ///< [inputs + 1], and the covariance's lower factor
};

Joint jointOf(const evidence::Belief& belief, std::vector<evidence::Effects> forms,
              evidence::Effects rest);

/// Draws of all inputs jointly, with what else moves the time: cooked, until so many are enough to
/// say what the others would give.
class Draws {
  public:
    Draws(const Timer& timer, Joint joint, double ratio)
        : timer_(timer), joint_(std::move(joint)), ratio_(ratio), random_(timer.input->seed),
          inputs_(timer.inputs.size()) {}

    /// Times, infinite where the pull is not reached.
    std::vector<double> draw(const std::stop_token& stop);
    /// The same with other knowledge, where the cooks tell a surface.
    std::optional<std::vector<double>> drawWith(const Joint& other);

  private:
    void cook(std::size_t count, const std::stop_token& stop);
    std::vector<double> read(const Joint& joint);
    const Timer& timer_;
    Joint joint_;
    double ratio_;
    Random random_;
    std::size_t inputs_;
    std::vector<double> deviations_, plain_, times_;
    std::optional<TimeSurface> surface_;
};

} // namespace dynamet::translate
