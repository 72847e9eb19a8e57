// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "evidence/belief.h"

#include <Eigen/Dense>
#include <algorithm>
#include <cmath>
#include <cstdint>
#include <map>
#include <numeric>
#include <unordered_map>

namespace dynamet::evidence {
namespace {

/// Effects by number of the unknown, sorted.
using Number = std::int64_t;
using Sparse = std::vector<std::pair<Number, double>>;

double dot(const Sparse& a, const Sparse& b) {
    double out = 0;
    for (auto i = a.begin(), j = b.begin(); i != a.end() && j != b.end();) {
        if (i->first == j->first)
            out += (i++)->second * (j++)->second;
        else if (i->first < j->first)
            ++i;
        else
            ++j;
    }
    return out;
}

Sparse sorted(const std::map<Number, double>& from) {
    return {from.begin(), from.end()};
}

/// The names of the unknowns, and what correlates with what.
class Unknowns {
  public:
    void add(const std::vector<Block>& blocks) {
        for (const Block& block : blocks) {
            const bool known = std::any_of(
                block.unknowns.begin(), block.unknowns.end(),
                [&](const std::string& name) { return blockOf_.contains(number(name)); });
            if (known) // the same field twice: its first description holds
                continue;
            Members members;
            members.correlations = block.correlations;
            for (const std::string& name : block.unknowns)
                members.numbers.push_back(number(name));
            for (std::size_t i = 0; i < members.numbers.size(); ++i)
                blockOf_[members.numbers[i]] = {blocks_.size(), i};
            blocks_.push_back(std::move(members));
        }
    }

    static Sparse sparse(const Effects& effects) {
        std::map<Number, double> out;
        for (const Effect& effect : effects)
            out[number(effect.unknown)] += effect.lnTime;
        return sorted(out);
    }

    /// P h.
    Sparse spread(const Sparse& h) const {
        std::map<Number, double> out;
        for (const auto& [unknown, effect] : h) {
            const auto at = blockOf_.find(unknown);
            if (at == blockOf_.end()) {
                out[unknown] += effect;
                continue;
            }
            const Members& block = blocks_[at->second.first];
            const std::size_t n = block.numbers.size();
            for (std::size_t j = 0; j < n; ++j)
                if (const double c = block.correlations[at->second.second * n + j]; c != 0)
                    out[block.numbers[j]] += c * effect;
        }
        return sorted(out);
    }

  private:
    /// A name's own number: 64 bits of hash, so that two of a book's names do not meet.
    static Number number(const std::string& name) {
        return static_cast<Number>(std::hash<std::string>{}(name));
    }
    struct Members {
        std::vector<Number> numbers;
        std::vector<double> correlations;
    };
    std::unordered_map<Number, std::pair<std::size_t, std::size_t>> blockOf_;
    std::vector<Members> blocks_;
};

} // namespace

struct Belief::State {
    std::vector<Block> blocks;
    std::vector<Observation> observations;
    std::vector<Agreement> agreements;
    Unknowns unknowns;
    std::vector<Sparse> seen, spread; ///< of the absorbed ones: h and P h
    Eigen::LDLT<Eigen::MatrixXd> factor;
    Eigen::VectorXd weights;

    State(std::vector<Block> b, std::vector<Observation> o)
        : blocks(std::move(b)), observations(std::move(o)) {
        unknowns.add(blocks);
        std::sort(observations.begin(), observations.end(),
                  [](const Observation& x, const Observation& y) { return x.id < y.id; });
        std::vector<Sparse> h, ph;
        std::vector<std::size_t> in;
        for (std::size_t i = 0; i < observations.size(); ++i) {
            agreements.push_back({observations[i].id});
            h.push_back(Unknowns::sparse(observations[i].effects));
            ph.push_back(unknowns.spread(h.back()));
            if (!observations[i].setAside)
                in.push_back(i);
        }
        absorb(h, ph, in);
        for (std::size_t i = 0; i < observations.size(); ++i)
            if (!agreements[i].absorbed)
                foretell(i, h[i], ph[i]);
    }

    /// Everything that fits: the worst misfit is left out, and all is told anew.
    void absorb(const std::vector<Sparse>& h, const std::vector<Sparse>& ph,
                std::vector<std::size_t> in) {
        const auto count = static_cast<Eigen::Index>(in.size());
        Eigen::MatrixXd all(count, count);
        Eigen::VectorXd allY(count);
        for (Eigen::Index i = 0; i < count; ++i) {
            const std::size_t a = in[static_cast<std::size_t>(i)];
            for (Eigen::Index j = 0; j <= i; ++j)
                all(i, j) = all(j, i) = dot(h[a], ph[in[static_cast<std::size_t>(j)]]);
            const double u = observations[a].u;
            all(i, i) += u * u + 1e-18;
            allY(i) = observations[a].lnDifference;
        }
        std::vector<Eigen::Index> left(in.size()); // rows that are still in
        std::iota(left.begin(), left.end(), 0);
        for (;;) {
            const auto n = static_cast<Eigen::Index>(in.size());
            const Eigen::MatrixXd k = all(left, left);
            const Eigen::VectorXd y = allY(left);
            factor.compute(k);
            weights = n > 0 ? Eigen::VectorXd(factor.solve(y)) : y;
            // What all others say of each (leave one out, in closed form).
            const Eigen::VectorXd inverse = inverseDiagonal(n);
            double worst = kMisfit;
            std::optional<std::size_t> out;
            for (Eigen::Index i = 0; i < n; ++i) {
                const std::size_t a = in[static_cast<std::size_t>(i)];
                Agreement& one = agreements[a];
                one.absorbed = true;
                one.z = weights(i) / std::sqrt(inverse(i));
                one.lnExpected = y(i) - weights(i) / inverse(i);
                if (std::abs(one.z) > worst) {
                    worst = std::abs(one.z);
                    out = static_cast<std::size_t>(i);
                }
            }
            if (!out) {
                seen.clear();
                spread.clear();
                for (const std::size_t a : in) {
                    seen.push_back(h[a]);
                    spread.push_back(ph[a]);
                }
                return;
            }
            agreements[in[*out]].absorbed = false;
            in.erase(in.begin() + static_cast<std::ptrdiff_t>(*out));
            left.erase(left.begin() + static_cast<std::ptrdiff_t>(*out));
        }
    }

    /// Of the inverse of what was factored, only its diagonal: from L⁻¹ alone.
    Eigen::VectorXd inverseDiagonal(Eigen::Index n) const {
        if (n == 0)
            return {};
        Eigen::MatrixXd l = factor.transpositionsP() * Eigen::MatrixXd::Identity(n, n);
        factor.matrixL().solveInPlace(l);
        const Eigen::VectorXd inverseD = factor.vectorD().cwiseInverse();
        return l.cwiseAbs2().transpose() * inverseD;
    }

    Eigen::VectorXd onSeen(const Sparse& form) const {
        Eigen::VectorXd out(static_cast<Eigen::Index>(spread.size()));
        for (std::size_t i = 0; i < spread.size(); ++i)
            out(static_cast<Eigen::Index>(i)) = dot(form, spread[i]);
        return out;
    }

    void foretell(std::size_t at, const Sparse& h, const Sparse& ph) {
        const Eigen::VectorXd c = onSeen(h);
        const Observation& one = observations[at];
        const double expected = c.size() > 0 ? c.dot(weights) : 0;
        double variance = dot(h, ph) + one.u * one.u;
        if (c.size() > 0)
            variance -= c.dot(factor.solve(c));
        agreements[at].lnExpected = expected;
        agreements[at].z = (one.lnDifference - expected) / std::sqrt(std::max(1e-18, variance));
    }
};

Belief::Belief() : Belief({}, {}) {}

Belief::Belief(std::vector<Block> blocks, std::vector<Observation> observations)
    : state_(std::make_shared<const State>(std::move(blocks), std::move(observations))) {}

double Belief::mean(const Effects& effects) const {
    const Eigen::VectorXd c = state_->onSeen(Unknowns::sparse(effects));
    return c.size() > 0 ? c.dot(state_->weights) : 0;
}

double Belief::priorCovariance(const Effects& a, const Effects& b) const {
    return dot(Unknowns::sparse(a), state_->unknowns.spread(Unknowns::sparse(b)));
}

double Belief::covariance(const Effects& a, const Effects& b) const {
    const Eigen::VectorXd ca = state_->onSeen(Unknowns::sparse(a)),
                          cb = state_->onSeen(Unknowns::sparse(b));
    return priorCovariance(a, b) - (ca.size() > 0 ? ca.dot(state_->factor.solve(cb)) : 0);
}

const std::vector<Agreement>& Belief::agreements() const {
    return state_->agreements;
}
const std::vector<Observation>& Belief::observations() const {
    return state_->observations;
}
const std::vector<Block>& Belief::blocks() const {
    return state_->blocks;
}

Belief Belief::withBlocks(const std::vector<Block>& blocks) const {
    auto state = std::make_shared<State>(*state_);
    state->unknowns.add(blocks);
    state->blocks.insert(state->blocks.end(), blocks.begin(), blocks.end());
    Belief out;
    out.state_ = std::move(state);
    return out;
}

Belief Belief::with(std::vector<Block> blocks, std::vector<Observation> observations) const {
    std::vector<Block> allBlocks = state_->blocks;
    std::vector<Observation> all = state_->observations;
    std::move(blocks.begin(), blocks.end(), std::back_inserter(allBlocks));
    std::move(observations.begin(), observations.end(), std::back_inserter(all));
    return {std::move(allBlocks), std::move(all)};
}

} // namespace dynamet::evidence
