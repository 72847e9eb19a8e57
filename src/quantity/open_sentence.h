// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/temperature.h"
#include "quantity/units.h"

#include <string>
#include <string_view>
#include <variant>
#include <vector>

namespace dynamet {

/// A length that a sentence speaks of, m.
struct Metres {
    double value = 0;
};
using Measure = std::variant<Temperature, KelvinDelta, Metres>;

/// A sentence whose temperatures and lengths are still open: what is said stands in the core, the
/// reader's units are put in where it is read.
class OpenSentence {
  public:
    OpenSentence() = default;
    /// Each "{}" of the pattern is one measure, in their order.
    OpenSentence(std::string_view pattern, std::vector<Measure> measures);
    bool empty() const { return text_.empty(); }
    /// The same with words in front.
    OpenSentence after(const std::string& words) const;
    /// With whole degrees and the lengths of recipes.
    std::string in(Units units) const;

  private:
    std::string text_; ///< a marker stands for each measure
    std::vector<Measure> measures_;
};

} // namespace dynamet
