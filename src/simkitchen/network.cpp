// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "simkitchen/network.h"

#include <algorithm>
#include <cmath>

namespace simkitchen {
namespace {

constexpr double kStefanBoltzmann = 5.670374419e-8; // CODATA 2018
constexpr double kIce = 273.15;

double fourth(double celsius) {
    const double k = celsius + kIce;
    return k * k * k * k;
}

} // namespace

Network::Node Network::add(double joulePerK, double celsius) {
    capacity_.push_back(joulePerK);
    celsius_.push_back(celsius);
    power_.push_back(0);
    return capacity_.size() - 1;
}

std::size_t Network::conduct(Node a, Node b, double wattPerK) {
    conducts_.push_back({a, b, wattPerK});
    return conducts_.size() - 1;
}

std::size_t Network::radiate(Node a, Node b, double squareMetres) {
    radiates_.push_back({a, b, squareMetres});
    return radiates_.size() - 1;
}

void Network::flows(std::vector<double>& into) const {
    into = power_;
    for (const Path& p : conducts_) {
        const double flow = p.value * (celsius_[p.a] - celsius_[p.b]);
        into[p.a] -= flow;
        into[p.b] += flow;
    }
    for (const Path& p : radiates_) {
        const double flow =
            p.value * kStefanBoltzmann * (fourth(celsius_[p.a]) - fourth(celsius_[p.b]));
        into[p.a] -= flow;
        into[p.b] += flow;
    }
}

void Network::step(double seconds) {
    constexpr double kShare = 0.2; // of a lump's own time, for an explicit step
    std::vector<double> leaves(capacity_.size(), 0), into;
    for (const Path& p : conducts_)
        for (const Node n : {p.a, p.b})
            leaves[n] += p.value;
    for (const Path& p : radiates_)
        for (const Node n : {p.a, p.b})
            leaves[n] += 4 * p.value * kStefanBoltzmann *
                         std::pow(std::max(celsius_[p.a], celsius_[p.b]) + kIce, 3);
    double longest = seconds;
    for (std::size_t i = 0; i < capacity_.size(); ++i)
        if (leaves[i] > 0)
            longest = std::min(longest, kShare * capacity_[i] / leaves[i]);
    const int count = std::max(1, static_cast<int>(std::ceil(seconds / longest)));
    const double dt = seconds / count;
    for (int i = 0; i < count; ++i) {
        flows(into);
        for (std::size_t n = 0; n < celsius_.size(); ++n)
            celsius_[n] += dt * into[n] / capacity_[n];
    }
}

} // namespace simkitchen
