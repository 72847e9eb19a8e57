// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "numeric/nearest_point.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <numeric>

namespace dynamet {
namespace {

constexpr double kFirstStep = 0.1, kLongestStep = 0.7;
/// Slopes are read between points at least so far apart (closer ones are noise), and near enough to
/// be of this place.
constexpr double kLeastSpan = 0.02, kNearSpan = 0.06;

struct Point {
    double at = 0;
    std::vector<double> residuals;
};

double product(const std::vector<double>& a, const std::vector<double>& b) {
    return std::inner_product(a.begin(), a.end(), b.begin(), 0.0);
}

std::vector<double> slopesBetween(const Point& a, const Point& b) {
    std::vector<double> out(a.residuals.size());
    for (std::size_t i = 0; i < out.size(); ++i)
        out[i] = (b.residuals[i] - a.residuals[i]) / (b.at - a.at);
    return out;
}

const Point* neighbourOf(const Point& point, const std::vector<Point>& all) {
    const Point* out = nullptr;
    double span = std::numeric_limits<double>::infinity();
    for (const Point& other : all)
        if (const double d = std::abs(other.at - point.at); d >= kLeastSpan && d < span) {
            out = &other;
            span = d;
        }
    return out;
}

} // namespace

double NearestPoint::distance() const {
    return std::sqrt(product(residuals, residuals));
}

Result<NearestPoint>
nearestPoint(const std::function<Result<std::vector<double>>(double)>& residualsAt,
             const NearestSearch& search) {
    std::vector<Point> seen;
    const auto look = [&](double at) -> Result<void> {
        auto residuals = residualsAt(at);
        if (!residuals)
            return tl::unexpected(residuals.error());
        seen.push_back({at, std::move(*residuals)});
        return {};
    };
    const auto best = [&seen]() -> const Point& {
        return *std::min_element(seen.begin(), seen.end(), [](const Point& a, const Point& b) {
            return product(a.residuals, a.residuals) < product(b.residuals, b.residuals);
        });
    };
    const auto inside = [&](double at) { return std::clamp(at, search.low, search.high); };
    if (auto done = look(inside(search.start)); !done)
        return tl::unexpected(done.error());
    const double first = inside(search.start + kFirstStep);
    if (auto done = look(first > search.start ? first : inside(search.start - kFirstStep)); !done)
        return tl::unexpected(done.error());
    std::vector<double> slopes(seen.front().residuals.size());
    while (static_cast<int>(seen.size()) < search.mostCalls) {
        const Point now = best();
        const Point* other = neighbourOf(now, seen);
        if (!other)
            break;
        slopes = slopesBetween(now, *other);
        const double steep = product(slopes, slopes);
        double step = steep > 1e-12 ? -product(slopes, now.residuals) / steep : kLongestStep;
        step = std::clamp(step, -kLongestStep, kLongestStep);
        double next = inside(now.at + step);
        if (std::abs(next - now.at) < search.tolerance) {
            if (std::abs(other->at - now.at) <= kNearSpan)
                break;
            next = inside(now.at + (next >= now.at ? kFirstStep / 2 : -kFirstStep / 2));
        }
        const bool known = std::any_of(seen.begin(), seen.end(), [&](const Point& p) {
            return std::abs(p.at - next) < search.tolerance / 2;
        });
        if (known) { // it goes to and fro: halve the way between
            next = (now.at + other->at) / 2;
            if (std::abs(next - now.at) < search.tolerance)
                break;
        }
        if (auto done = look(next); !done)
            return tl::unexpected(done.error());
    }
    const Point& found = best();
    if (const Point* other = neighbourOf(found, seen))
        slopes = slopesBetween(found, *other);
    return NearestPoint{found.at, found.residuals, slopes};
}

} // namespace dynamet
