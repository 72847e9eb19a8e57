// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "numeric/nearest_point.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <limits>
#include <numeric>
#include <optional>

namespace dynamet {
namespace {

constexpr double kFirstStep = 0.1, kLongestStep = 0.7;
constexpr double kFlat = 1e-12;  ///< squared slopes that tell nothing
constexpr double kCloseBy = 2.5; ///< tolerances within which known slopes are taken at their word
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

/// To where the slopes say the residuals are shortest, bounded.
double stepFrom(const Point& now, const std::vector<double>& slopes) {
    const double steep = product(slopes, slopes);
    const double step = steep > kFlat ? -product(slopes, now.residuals) / steep : kLongestStep;
    return std::clamp(step, -kLongestStep, kLongestStep);
}

/// How short the residuals can become, by the slopes.
double promiseOf(const Point& now, const std::vector<double>& slopes) {
    const double steep = product(slopes, slopes), along = product(slopes, now.residuals);
    const double left =
        product(now.residuals, now.residuals) - (steep > kFlat ? along * along / steep : 0);
    return std::sqrt(std::max(left, 0.0));
}

/// Lowest place of the parabola through three points; nothing where it has none.
std::optional<double> lowestOf(const Point& left, const Point& now, const Point& right) {
    const auto height = [](const Point& p) { return product(p.residuals, p.residuals); };
    const double a = now.at - left.at, b = right.at - now.at;
    const double up = (height(right) - height(now)) / b, down = (height(now) - height(left)) / a;
    const double bend = (up - down) / (a + b);
    return bend > 0 ? std::optional(now.at - (up * a + down * b) / (a + b) / (2 * bend))
                    : std::nullopt;
}

/// Between the neighbours of the best point, where it has one on either side: by the parabola, kept
/// well inside them.
std::optional<double> bracketed(const Point& now, const std::vector<Point>& all) {
    const Point *left = nullptr, *right = nullptr;
    for (const Point& p : all) {
        if (p.at < now.at && (!left || p.at > left->at))
            left = &p;
        if (p.at > now.at && (!right || p.at < right->at))
            right = &p;
    }
    if (!left || !right)
        return std::nullopt;
    constexpr double kEdge = 0.1;
    const double a = now.at - left->at, b = right->at - now.at;
    const double at = lowestOf(*left, now, *right).value_or(now.at + (a > b ? -a : b) / 2);
    return std::clamp(at, left->at + kEdge * a, right->at - kEdge * b);
}

/// A downhill step made longer where the last three points bend less than their slopes say (the
/// goal itself is out of reach).
double lengthened(double step, const std::vector<Point>& all) {
    const std::size_t n = all.size();
    std::array<Point, 3> last{all[n - 3], all[n - 2], all[n - 1]};
    const double from = last[2].at;
    std::sort(last.begin(), last.end(), [](const auto& a, const auto& b) { return a.at < b.at; });
    const auto lowest = lowestOf(last[0], last[1], last[2]);
    const double longest = std::min(3 * std::abs(step), kLongestStep);
    if (!lowest || (*lowest - from) * step <= 0)
        return step;
    return std::copysign(std::min(std::abs(*lowest - from), longest), step);
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
    std::vector<double> slopes(seen.front().residuals.size());
    double second = inside(search.start + kFirstStep);
    if (second <= search.start)
        second = inside(search.start - kFirstStep);
    if (search.slopes.size() == slopes.size()) {
        slopes = search.slopes;
        const double step = stepFrom(seen.front(), slopes);
        if (std::abs(step) < kCloseBy * search.tolerance)
            return NearestPoint{seen.front().at, seen.front().residuals, slopes};
        if (std::abs(step) < kFirstStep)
            second =
                inside(search.start + std::copysign(std::max(std::abs(step), kLeastSpan), step));
    }
    if (auto done = look(second); !done)
        return tl::unexpected(done.error());
    while (static_cast<int>(seen.size()) < search.mostCalls) {
        const Point& now = best();
        const Point* other = neighbourOf(now, seen);
        if (!other)
            break;
        slopes = slopesBetween(now, *other);
        if (seen.size() > 2 && promiseOf(now, slopes) > search.enough)
            break;
        double step = stepFrom(now, slopes);
        if (seen.size() > 2 && seen.back().at == now.at)
            step = lengthened(step, seen);
        double next = inside(now.at + step);
        if (seen.back().at != now.at) // the last step led nowhere
            next = bracketed(now, seen).value_or(next);
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
