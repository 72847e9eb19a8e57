// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "heat/geometry.h"

#include <boost/math/special_functions/bessel.hpp>
#include <cmath>
#include <functional>
#include <numbers>

/// Transient conduction in one dimension as a full Fourier series (Carslaw & Jaeger 1959; Incropera
/// et al., ch. 5).
namespace dynamet::heat::testing {

inline double bisect(const std::function<double(double)>& f, double low, double high) {
    const bool rising = f(high) > 0;
    for (int i = 0; i < 200; ++i) {
        const double mid = (low + high) / 2;
        ((f(mid) > 0) == rising ? high : low) = mid;
    }
    return (low + high) / 2;
}

inline double eigenvalue(Shape shape, double bi, int n) {
    using std::numbers::pi;
    if (shape == Shape::slab)
        return bisect([bi](double z) { return z * std::sin(z) - bi * std::cos(z); }, (n - 1) * pi,
                      (n - 0.5) * pi);
    if (shape == Shape::sphere)
        return bisect([bi](double z) { return std::sin(z) * (1 - bi) - z * std::cos(z); },
                      (n - 1) * pi + 1e-9, n * pi);
    const auto f = [bi](double z) {
        return z * boost::math::cyl_bessel_j(1, z) - bi * boost::math::cyl_bessel_j(0, z);
    };
    double low = 1e-9;
    for (int i = 0;; low += 0.1)
        if (f(low) * f(low + 0.1) <= 0 && ++i == n)
            return bisect(f, low, low + 0.1);
}

inline double coefficient(Shape shape, double z) {
    if (shape == Shape::slab)
        return 4 * std::sin(z) / (2 * z + std::sin(2 * z));
    if (shape == Shape::sphere)
        return 4 * (std::sin(z) - z * std::cos(z)) / (2 * z - std::sin(2 * z));
    const double j0 = boost::math::cyl_bessel_j(0, z), j1 = boost::math::cyl_bessel_j(1, z);
    return 2 / z * j1 / (j0 * j0 + j1 * j1);
}

/// Dimensionless excess at relative radius r (0 core, 1 face).
inline double series(Shape shape, double bi, double fourier, double r) {
    double sum = 0;
    for (int n = 1; n <= 40; ++n) {
        const double z = eigenvalue(shape, bi, n);
        double form = std::cos(z * r);
        if (shape == Shape::sphere)
            form = r == 0 ? 1 : std::sin(z * r) / (z * r);
        if (shape == Shape::cylinder)
            form = boost::math::cyl_bessel_j(0, z * r);
        sum += coefficient(shape, z) * std::exp(-z * z * fourier) * form;
    }
    return sum;
}

} // namespace dynamet::heat::testing
