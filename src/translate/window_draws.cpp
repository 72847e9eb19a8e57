// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/window_draws.h"

#include "numeric/cholesky.h"
#include "numeric/stratified.h"

#include <cmath>

namespace dynamet::translate {
namespace {

constexpr std::size_t kPilot = 48, kRead = 4096;

/// Deviations [input], and what else moves ln(time), of a row of independent normals.
std::vector<double> drawn(const Joint& joint, const double* row) {
    std::vector<double> z = joint.mean;
    for (std::size_t i = 0; i < z.size(); ++i)
        for (std::size_t k = 0; k <= i; ++k)
            z[i] += joint.factor[i * z.size() + k] * row[k];
    return z;
}

} // namespace

Joint jointOf(const evidence::Belief& belief, std::vector<evidence::Effects> forms,
              evidence::Effects rest) {
    forms.push_back(std::move(rest));
    const std::size_t n = forms.size();
    Joint out;
    std::vector<double> covariance(n * n);
    for (std::size_t i = 0; i < n; ++i) {
        out.mean.push_back(belief.mean(forms[i]));
        for (std::size_t j = 0; j <= i; ++j)
            covariance[i * n + j] = covariance[j * n + i] = belief.covariance(forms[i], forms[j]);
    }
    out.factor = choleskyFactor(covariance, n);
    return out;
}

std::vector<double> Draws::draw(const std::stop_token& stop) {
    const auto all = static_cast<std::size_t>(timer_.input->samples);
    cook(std::min(kPilot, all), stop);
    if (stop.stop_requested())
        return times_;
    surface_ = timeSurface(deviations_, plain_);
    if (surface_)
        return read(joint_);
    if (all > kPilot)
        cook(all - kPilot, stop);
    return times_;
}

std::optional<std::vector<double>> Draws::drawWith(const Joint& other) {
    return surface_ ? std::optional(read(other)) : std::nullopt;
}

void Draws::cook(std::size_t count, const std::stop_token& stop) {
    const auto normals = stratifiedNormals(count, inputs_ + 1, random_);
    for (std::size_t s = 0; s < count && !stop.stop_requested(); ++s) {
        auto z = drawn(joint_, &normals[s * (inputs_ + 1)]);
        const double rest = z.back();
        z.pop_back();
        plain_.push_back(timer_.at(z, kDraw) * ratio_);
        deviations_.insert(deviations_.end(), z.begin(), z.end());
        times_.push_back(plain_.back() * std::exp(rest));
    }
}

std::vector<double> Draws::read(const Joint& joint) {
    std::vector<double> out;
    const auto normals = stratifiedNormals(kRead, inputs_ + 2, random_);
    for (std::size_t s = 0; s < kRead; ++s) {
        const double* row = &normals[s * (inputs_ + 2)];
        auto z = drawn(joint, row);
        const double rest = z.back() + surface_->leftOver * row[inputs_ + 1];
        z.pop_back();
        out.push_back(std::exp(surface_->at(z) + rest));
    }
    return out;
}

} // namespace dynamet::translate
