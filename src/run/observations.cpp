// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/observations.h"

#include "numeric/random.h"

#include <algorithm>
#include <cmath>

namespace dynamet::run {
namespace {

/// Of a reading that is typed (whole degrees, a hand that hurries) and of a probe's.
constexpr double kTypedK = 0.7, kProbeK = 0.3;
/// What a model of a piece misses, and for how long it goes on missing it.
constexpr double kMissesK = 0.7, kMissesS = 900;
constexpr std::size_t kMostRead = 14;
constexpr double kSilentS = 60;

/// Evenly over time, the newest always with them.
std::vector<CoreReading> thinned(std::vector<CoreReading> all) {
    if (all.size() <= kMostRead)
        return all;
    std::vector<CoreReading> out;
    const double first = all.front().atS, last = all.back().atS;
    std::size_t at = 0;
    for (std::size_t i = 0; i < kMostRead; ++i) {
        const double when =
            first + (last - first) * static_cast<double>(i) / static_cast<double>(kMostRead - 1);
        while (at + 1 < all.size() && all[at].atS < when - 1e-9)
            ++at;
        if (out.empty() || all[at].atS > out.back().atS)
            out.push_back(all[at]);
    }
    return out;
}

} // namespace

Observations::Observations(const Question& question, const Course& course) {
    const Standing stands = standingOf(question.entries);
    if (!stands.begun)
        return;
    std::vector<CoreReading> probe, typed;
    for (const CoreReading& one : question.readings)
        if (one.atS >= 0 && one.atS <= course.nowS + 1)
            probe.push_back(one);
    std::vector<std::pair<double, bool>> trust; // from when on, is the probe trusted
    for (const Entry& entry : question.entries) {
        const double at = entry.atS - stands.foodInS;
        if (entry.what == What::reading && at >= 0)
            typed.push_back({at, entry.value, true});
        if (entry.what == What::probeOut)
            trust.emplace_back(at, entry.value > 0);
    }
    std::erase_if(probe, [&](const CoreReading& one) {
        bool trusted = true;
        for (const auto& [at, is] : trust)
            if (one.atS >= at)
                trusted = is;
        return !trusted;
    });
    distrusted_ = !trust.empty() && !trust.back().second;
    anyProbe_ = !question.readings.empty();
    silent_ = anyProbe_ && question.probeSilentS > kSilentS;
    used_ = thinned(std::move(probe));
    used_.insert(used_.end(), typed.begin(), typed.end());
    std::stable_sort(used_.begin(), used_.end(),
                     [](const auto& a, const auto& b) { return a.atS < b.atS; });
    build();
}

void Observations::build() {
    const auto n = static_cast<Eigen::Index>(used_.size());
    Eigen::MatrixXd r(n, n);
    for (Eigen::Index i = 0; i < n; ++i)
        for (Eigen::Index j = 0; j < n; ++j) {
            const CoreReading& a = used_[static_cast<std::size_t>(i)];
            const CoreReading& b = used_[static_cast<std::size_t>(j)];
            const double own = a.typed ? kTypedK : kProbeK;
            r(i, j) = kMissesK * kMissesK * std::exp(-std::abs(a.atS - b.atS) / kMissesS) +
                      (i == j ? own * own : 0);
        }
    if (n > 0)
        covariance_.compute(r);
}

ProbeState Observations::probe() const {
    if (!anyProbe_)
        return ProbeState::none;
    if (silent_)
        return ProbeState::lost;
    return newestDropped_ || distrusted_ ? ProbeState::misplaced : ProbeState::fine;
}

Result<void> Observations::dropImpossible(const Unknowns& unknowns, std::uint64_t seed,
                                          const std::stop_token& stop) {
    if (used_.empty())
        return {};
    constexpr int kCooks = 10;
    constexpr double kMarginK = 5;
    const auto n = static_cast<Eigen::Index>(unknowns.size());
    Random random(seed + 1);
    std::vector<double> low(used_.size(), 1e9), high(used_.size(), 0);
    for (int i = 0; i < kCooks; ++i) {
        Eigen::VectorXd y(n);
        for (Eigen::Index k = 0; k < n; ++k)
            y[k] = i == 0 ? 0 : 1.3 * random.normal();
        const auto passage = unknowns.pass(y, stop);
        if (stop.stop_requested())
            return fail(Errc::refused, "stopped");
        if (!passage) {
            if (i == 0)
                return tl::unexpected(passage.error());
            continue;
        }
        for (std::size_t r = 0; r < used_.size(); ++r) {
            const double core = passage->coreAt(used_[r].atS), face = passage->faceAt(used_[r].atS);
            low[r] = std::min({low[r], core, face});
            high[r] = std::max({high[r], core, face});
        }
    }
    std::vector<CoreReading> kept;
    for (std::size_t r = 0; r < used_.size(); ++r) {
        const bool possible =
            used_[r].kelvin > low[r] - kMarginK && used_[r].kelvin < high[r] + kMarginK;
        if (possible)
            kept.push_back(used_[r]);
        else
            ++dropped_;
        newestDropped_ = !possible;
    }
    used_ = std::move(kept);
    build();
    return {};
}

bool Observations::dropMisfits(const Passage& passage, double probeShare) {
    constexpr double kFarK = 5; // seven times what a model misses
    const Eigen::VectorXd r = residual(passage, probeShare);
    std::vector<CoreReading> kept;
    bool any = false;
    for (std::size_t i = 0; i < used_.size(); ++i) {
        const bool far = std::abs(r[static_cast<Eigen::Index>(i)]) > kFarK;
        any = any || far;
        if (!far)
            kept.push_back(used_[i]);
        if (i + 1 == used_.size() && !newestDropped_)
            newestDropped_ = far && !used_[i].typed;
    }
    if (!any || kept.empty())
        return false;
    dropped_ += used_.size() - kept.size();
    used_ = std::move(kept);
    build();
    return true;
}

Eigen::VectorXd Observations::residual(const Passage& passage, double probeShare) const {
    Eigen::VectorXd out(static_cast<Eigen::Index>(used_.size()));
    for (std::size_t i = 0; i < used_.size(); ++i) {
        const double core = passage.coreAt(used_[i].atS), face = passage.faceAt(used_[i].atS);
        out[static_cast<Eigen::Index>(i)] =
            core + probeShare * std::max(0.0, face - core) - used_[i].kelvin;
    }
    return out;
}

double Observations::misfit(const Eigen::VectorXd& r) const {
    return r.size() == 0 ? 0 : r.dot(covariance_.solve(r));
}

Eigen::MatrixXd Observations::weigh(const Eigen::MatrixXd& m) const {
    return covariance_.solve(m);
}

} // namespace dynamet::run
