// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/ways.h"

#include "quantity/enum_words.h"
#include "translate/cook_row.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <limits>
#include <map>

namespace dynamet::translate {
namespace {

constexpr std::array<const char*, 9> kMethods{
    "straight",       "hot_then_slow",  "slow_then_hot",     "two_zones",        "zones_back",
    "sear_then_here", "here_then_sear", "cool_then_hot_oil", "covered_then_open"};

/// Fewer cells than a search's: every point is compared with the reference on the same grid.
constexpr cook::Effort kSketch{10, 0.8, 4, 3, 0.15};
constexpr int kMostLooks = 70;

/// What all points of a target share.
struct Sketch {
    const Prepared& prepared;
    cook::Outcome wanted; ///< the recipe's, on the sketch's grid
    std::vector<food::Tolerance> judged;

    static Result<Sketch> of(const Prepared& prepared) {
        const Request& request = prepared.request;
        auto wanted = cook::cookProgramme(request.recipe.piece, prepared.programme,
                                          targetOf(request), kSketch, prepared.tables);
        if (!wanted)
            return tl::unexpected(wanted.error());
        return Sketch{prepared, std::move(*wanted),
                      prepared.byLikeness() ? prepared.judged
                                            : food::judgementOf(request.recipe.piece.food)};
    }

    Result<Way> cooked(Method method, std::vector<recipe::Stage> stages, double guessS) const {
        const Request& request = prepared.request;
        auto programme = programmeOfStages(request, stages);
        if (!programme)
            return tl::unexpected(programme.error());
        programme->guessS = guessS;
        programme->longestS = std::max(7200.0, 5 * prepared.outcome.pullS);
        Way out;
        out.method = method;
        out.stages = std::move(stages);
        const recipe::FoodPiece& piece = request.recipe.piece;
        if (prepared.byLikeness()) {
            auto like = cook::cookLike(piece, *programme, {&wanted, judged}, guessS, kSketch,
                                       prepared.tables);
            if (!like)
                return tl::unexpected(like.error());
            out.outcome = std::move(like->outcome);
        } else {
            auto cook =
                cook::cookTo(piece, *programme, targetOf(request), kSketch, prepared.tables);
            if (!cook)
                return tl::unexpected(cook.error());
            out.outcome = std::move(*cook);
        }
        out.differences = differences(out.outcome, wanted, judged);
        out.distance = distanceOf(out.differences);
        return out;
    }
};

/// Looks at a grid from its middle and corners, then climbs by neighbours.
class Climb {
  public:
    Climb(const Sketch& sketch, const WayGrid& grid, std::stop_token stop)
        : sketch_(sketch), grid_(grid), stop_(std::move(stop)) {}

    std::optional<Way> best() {
        const std::array<std::size_t, 3> sizes{grid_.first.size(), grid_.last.size(),
                                               grid_.changeOver.size()};
        if (grid_.size() == 0)
            return std::nullopt;
        for (const double a : {0.2, 0.8})
            for (const double b : {0.2, 0.8})
                for (const double c : {0.25, 0.75})
                    look({place(a, sizes[0]), place(b, sizes[1]), place(c, sizes[2])});
        bool moved = true;
        while (moved && best_ && looks_ < kMostLooks && !stop_.stop_requested()) {
            moved = false;
            const auto at = at_;
            for (std::size_t d = 0; d < 3; ++d)
                for (const int step : {-1, 1, -2, 2}) {
                    auto next = at;
                    const auto to = static_cast<std::ptrdiff_t>(next[d]) + step;
                    if (to < 0 || to >= static_cast<std::ptrdiff_t>(sizes[d]))
                        continue;
                    next[d] = static_cast<std::size_t>(to);
                    moved = look(next) || moved;
                }
        }
        return best_;
    }
    long looks() const { return looks_; }

  private:
    static std::size_t place(double share, std::size_t size) {
        return std::min(size - 1, static_cast<std::size_t>(share * static_cast<double>(size)));
    }
    /// True where it is the best so far.
    bool look(std::array<std::size_t, 3> at) {
        if (!grid_.isOfItsKind(at[0], at[1]) || !seen_.emplace(at, true).second ||
            stop_.stop_requested())
            return false;
        ++looks_;
        auto way = sketch_.cooked(grid_.method, grid_.stagesAt(at[0], at[1], at[2]), guessS_);
        if (!way)
            return false;
        guessS_ = way->outcome.pullS - way->outcome.lastStartS;
        if (best_ && best_->distance <= way->distance)
            return false;
        best_ = std::move(*way);
        at_ = at;
        return true;
    }
    const Sketch& sketch_;
    const WayGrid& grid_;
    std::stop_token stop_;
    std::map<std::array<std::size_t, 3>, bool> seen_;
    std::optional<Way> best_;
    std::array<std::size_t, 3> at_{};
    double guessS_ = 0;
    int looks_ = 0;
};

} // namespace

const char* enumName(Method method) {
    return kMethods[static_cast<std::size_t>(method)];
}
std::optional<Method> methodOf(const std::string& word) {
    return enumOf<Method>(kMethods, word);
}

Result<Way> wayAt(const Prepared& prepared, const WayGrid& grid, std::size_t first,
                  std::size_t last, std::size_t changeOver) {
    if (!grid.isOfItsKind(first, last))
        return fail(Errc::invalidArgument, "this is another method");
    const auto sketch = Sketch::of(prepared);
    if (!sketch)
        return tl::unexpected(sketch.error());
    return sketch->cooked(grid.method, grid.stagesAt(first, last, changeOver), 0);
}

Ways waysOn(const Prepared& prepared, const Row& row, std::size_t most, std::stop_token stop) {
    const Target& target = row.target;
    Ways out;
    if (prepared.request.moved)
        return out;
    const auto sketch = Sketch::of(prepared);
    if (!sketch)
        return out;
    const auto grids = waysGrids(prepared, target);
    std::vector<Way> found;
    double straight = std::numeric_limits<double>::infinity();
    if (row.reached) {
        recipe::Stage stage;
        stage.place = placeOn(prepared.request, target, row.instruction.setting);
        if (auto way = sketch->cooked(Method::straight, {stage}, 0)) {
            straight = way->distance;
            found.push_back(std::move(*way));
        }
    }
    double nearest = std::numeric_limits<double>::infinity();
    for (const WayGrid& grid : grids) {
        Climb climb(*sketch, grid, stop);
        auto way = climb.best();
        out.solves += climb.looks();
        if (!way)
            continue;
        nearest = std::min(nearest, way->distance);
        found.push_back(std::move(*way));
    }
    std::stable_sort(found.begin(), found.end(),
                     [](const Way& a, const Way& b) { return a.distance < b.distance; });
    if (found.size() > most)
        found.resize(most);
    out.best = std::move(found);
    out.gain = std::isfinite(straight) && std::isfinite(nearest) ? straight - nearest
               : std::isfinite(nearest)                          ? nearest
                                                                 : 0;
    return out;
}

} // namespace dynamet::translate
