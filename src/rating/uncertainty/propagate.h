// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/uncertainty/reduction.h"

#include <cstddef>
#include <functional>

namespace dynamet::rating {

/// What a protocol derives from a test, in a fixed order (SI).
using Derived = std::vector<double>;
inline constexpr std::size_t kEveryBatch = static_cast<std::size_t>(-1);

/// Joint uncertainty of derived values: covariances row-major, Type A and all of it.
struct Spread {
    Derived value;
    std::vector<double> typeA, all;
    double dof = 1e9;                        ///< of Type A
    std::vector<Contribution> contributions; ///< standard uncertainties of the first value
    double cov(std::size_t i, std::size_t j) const { return all[i * value.size() + j]; }
};

/// A Type B input: changes a test by `sign` standard uncertainties.
template <class Test>
struct Influence {
    std::string name;
    std::function<void(Test&, double sign)> shift;
};

/// A value moved by its own standard uncertainty, in its unit.
template <class Test>
Influence<Test> influenceOf(std::string name, double Test::*value, double Test::*u) {
    return {std::move(name), [=](Test& t, double s) { t.*value += s * t.*u; }};
}
/// A value moved by a relative standard uncertainty.
template <class Test>
Influence<Test> scaled(std::string name, double Test::*value, double Test::*u) {
    return {std::move(name), [=](Test& t, double s) { t.*value *= 1 + s * t.*u; }};
}
/// The same for a value that may be missing; add it only where it is there.
template <class Test>
Influence<Test> scaled(std::string name, std::optional<double> Test::*value, double Test::*u) {
    return {std::move(name), [=](Test& t, double s) { *(t.*value) *= 1 + s * t.*u; }};
}
/// All readings of a log off by one bias.
template <class Test>
Influence<Test> biased(std::string name, Series Test::*log, double Test::*u) {
    return {std::move(name), [=](Test& t, double s) {
                for (double& v : (t.*log).value)
                    v += s * t.*u;
            }};
}
/// All readings of a log off by a gain about 20 °C.
template <class Test>
Influence<Test> gained(std::string name, Series Test::*log, double Test::*u) {
    return {std::move(name), [=](Test& t, double s) {
                for (double& v : (t.*log).value)
                    v += s * t.*u * (v - 293.15);
            }};
}

Spread startSpread(const Derived& value);
/// Delete-one-batch jackknife over evaluations that each leave out one batch of readings: batches,
/// not single readings, because the residuals of a log hang together.
void addJackknife(Spread& spread, const std::vector<Derived>& without, std::size_t fitted);
/// Half the difference of an input's two sides as its uncertainty, and what the mean of both sides
/// is off the value as second-order correction (JCGM 101 would find the same by sampling).
void addInfluence(Spread& spread, const Derived& base, const std::string& name, const Derived& up,
                  const Derived& down);
/// A Type A uncertainty of one derived value, or their whole covariance, worked out elsewhere.
void addTypeA(Spread& spread, const std::vector<double>& covariance, double dof,
              const std::string& name);
void addTypeA(Spread& spread, std::size_t index, double u, double dof, const std::string& name);

/// Evaluates a test, each batch left out in turn, and each Type B input moved both ways (JCGM 100,
/// 5.1.3: numerical sensitivities). `evaluate(test, without)` returns Result<Derived>.
template <class Test, class Evaluate>
Result<Spread> spreadOf(const Test& test, const std::vector<Influence<Test>>& inputs,
                        std::size_t batches, std::size_t fitted, Evaluate evaluate) {
    const Result<Derived> base = evaluate(test, kEveryBatch);
    if (!base)
        return tl::unexpected(base.error());
    Spread out = startSpread(*base);
    std::vector<Derived> without;
    for (std::size_t b = 0; b < batches; ++b) {
        const Result<Derived> part = evaluate(test, b);
        if (!part)
            return tl::unexpected(part.error());
        without.push_back(*part);
    }
    if (batches > 0)
        addJackknife(out, without, fitted);
    for (const Influence<Test>& input : inputs) {
        Derived side[2];
        for (int s = 0; s < 2; ++s) {
            Test moved = test;
            input.shift(moved, s == 0 ? 1 : -1);
            const Result<Derived> at = evaluate(moved, kEveryBatch);
            if (!at)
                return tl::unexpected(at.error().in(input.name));
            side[s] = *at;
        }
        addInfluence(out, *base, input.name, side[0], side[1]);
    }
    return out;
}

/// Name and unit of a derived value that becomes a quantity.
struct QuantityName {
    const char* name;
    const char* unit;
};
/// The first `names.size()` derived values as quantities with their joint covariance.
void addQuantities(Reduction& out, const Spread& spread, const std::vector<QuantityName>& names);
/// A field number from a derived value, and its covariances with the ones that came before it.
void addFieldNumber(Reduction& out, const Spread& spread, std::size_t index, kitchen::FieldKey key,
                    std::vector<std::pair<std::size_t, kitchen::FieldKey>>& placed);

/// A series without the readings of one of `batches` equal stretches of time.
Series leaveOut(const Series& series, std::size_t batches, std::size_t batch);
/// Fit and residuals at the readings' times.
void addFit(Reduction& out, const Series& readings, const std::vector<double>& model);

} // namespace dynamet::rating
