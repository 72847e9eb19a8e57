// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/reduce.h"

#include <set>

namespace dynamet::rating {

/// Hands out a test's named values and remembers which were asked for, so that a misspelt one is
/// refused.
class TestValues {
  public:
    explicit TestValues(const TestInput& test) : test_(test) {}
    double read(const std::string& name, double fallback);
    /// Typed in °C, handed out in K.
    double kelvin(const std::string& name, double fallbackC);
    /// nullopt when it is missing or 0, which a form's empty field stands for.
    std::optional<double> ifGiven(const std::string& name);
    /// The same for a temperature typed in °C, K.
    std::optional<double> kelvinIfGiven(const std::string& name);
    /// Air pressure from pressure_Pa, else from altitude_m, else standard.
    double pressurePa();
    /// Energy that went in, J, from the electricity meter, the gas meter or weighed fuel.
    std::optional<double> inputEnergyJ();
    /// invalidArgument when a value was given that the protocol does not know.
    Result<void> checkAllUsed() const;

  private:
    const TestInput& test_;
    std::set<std::string> asked_;
};

/// Reduces a test once all its values are known to be the protocol's.
template <class Test>
Result<Reduction> reduced(const TestValues& values, const Test& test,
                          Result<Reduction> (*reduce)(const Test&)) {
    if (const auto ok = values.checkAllUsed(); !ok)
        return tl::unexpected(ok.error());
    return reduce(test);
}

/// The channel of a role; nullptr when the test has none.
const Series* channelOf(const TestInput& test, const std::string& role);
/// Keyed readings of a role; empty when there are none.
std::vector<double> keyedOf(const TestInput& test, const std::string& role);
/// "needs a column with the role …".
tl::unexpected<Error> missingRole(const TestInput& test, const std::string& role);

} // namespace dynamet::rating
