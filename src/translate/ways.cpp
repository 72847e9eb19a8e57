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

constexpr int kMostLooks = 70;
/// Nothing is better than this by anything that a taster notices.
constexpr double kNear = 0.7;
constexpr std::size_t kMostSaid = 3;
constexpr std::size_t kFew = 2;        ///< methods: there is time to look closely at theirs
constexpr std::size_t kMostClimbs = 2; ///< methods that are worth more than a few looks

/// What all points of a target share.
struct Sketch {
    const Prepared& prepared;
    cook::Outcome wanted; ///< the recipe's, on the same grid
    std::vector<food::Tolerance> judged;
    cook::Effort effort = kSketch;

    /// As exactly as a row's search: for what is said in the end.
    Sketch closely() const { return {prepared, prepared.quick, judged, cook::kQuick}; }

    static Sketch of(const Prepared& prepared) {
        return Sketch{prepared, prepared.sketch,
                      prepared.byLikeness()
                          ? prepared.judged
                          : food::judgementOf(prepared.request.recipe.piece.food)};
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
            auto like = cook::cookLike(piece, *programme, {&wanted, judged}, guessS, effort,
                                       prepared.tables);
            if (!like)
                return tl::unexpected(like.error());
            out.outcome = std::move(like->outcome);
        } else {
            auto cook = cook::cookTo(piece, *programme, targetOf(request), effort, prepared.tables);
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
        : sketch_(sketch), grid_(grid),
          stop_(std::move(stop)), sizes_{grid.first.size(), grid.last.size(),
                                         grid.changeOver.size()} {}

    /// A few points, spread over the grid.
    const std::optional<Way>& begin(bool closely) {
        constexpr double kLow = 0.2, kHigh = 0.8, kEarly = 0.25, kLate = 0.75;
        if (grid_.size() > 0 && closely)
            for (const double a : {0.1, 0.5, 0.9})
                for (const double b : {0.1, 0.5, 0.9})
                    for (const double c : {0.1, 0.5, 0.9})
                        look({place(a, sizes_[0]), place(b, sizes_[1]), place(c, sizes_[2])});
        if (grid_.size() > 0)
            for (const auto& [a, b, c] : {std::array{kLow, kLow, kEarly},
                                          {kHigh, kHigh, kEarly},
                                          {kLow, kHigh, kLate},
                                          {kHigh, kLow, kLate}})
                look({place(a, sizes_[0]), place(b, sizes_[1]), place(c, sizes_[2])});
        return best_;
    }
    const std::optional<Way>& soFar() const { return best_; }
    /// Along one control after another, as long as that leads anywhere.
    const std::optional<Way>& best() {
        bool moved = true;
        while (moved && best_ && !isNear() && looks_ < kMostLooks && !stop_.stop_requested()) {
            moved = false;
            for (std::size_t d = 0; d < sizes_.size(); ++d)
                moved = (goAlong(d, 1) || goAlong(d, -1) || step(d, 2) || step(d, -2)) || moved;
        }
        return best_;
    }
    long looks() const { return looks_; }

  private:
    static std::size_t place(double share, std::size_t size) {
        return std::min(size - 1, static_cast<std::size_t>(share * static_cast<double>(size)));
    }
    bool isNear() const { return best_ && best_->distance < kNear; }
    bool step(std::size_t d, int by) {
        auto next = at_;
        const auto to = static_cast<std::ptrdiff_t>(next[d]) + by;
        if (to < 0 || to >= static_cast<std::ptrdiff_t>(sizes_[d]))
            return false;
        next[d] = static_cast<std::size_t>(to);
        return look(next);
    }
    bool goAlong(std::size_t d, int by) {
        bool moved = false;
        while (!isNear() && step(d, by))
            moved = true;
        return moved;
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
    std::array<std::size_t, 3> sizes_;
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
    return Sketch::of(prepared).cooked(grid.method, grid.stagesAt(first, last, changeOver), 0);
}

Ways waysOn(const Prepared& prepared, const Row& row, std::size_t most, std::stop_token stop) {
    const Target& target = row.target;
    Ways out;
    if (prepared.request.moved)
        return out;
    const Sketch sketch = Sketch::of(prepared);
    const auto grids = waysGrids(prepared, target);
    std::vector<Way> found;
    double straight = std::numeric_limits<double>::infinity();
    if (row.reached) {
        recipe::Stage stage;
        stage.place = placeOn(prepared.request, target, row.instruction.setting);
        if (auto way = sketch.cooked(Method::straight, {stage}, 0)) {
            straight = way->distance;
            found.push_back(std::move(*way));
        }
    }
    double nearest = std::numeric_limits<double>::infinity();
    std::vector<Climb> climbs;
    for (const WayGrid& grid : grids)
        climbs.emplace_back(sketch, grid, stop);
    const auto distanceOf = [](const std::optional<Way>& way) {
        return way ? way->distance : std::numeric_limits<double>::infinity();
    };
    std::vector<std::pair<double, Climb*>> begun;
    for (Climb& climb : climbs)
        begun.emplace_back(distanceOf(climb.begin(climbs.size() <= kFew)), &climb);
    std::stable_sort(begun.begin(), begun.end(),
                     [](const auto& a, const auto& b) { return a.first < b.first; });
    for (std::size_t i = 0; i < begun.size(); ++i) {
        Climb& climb = *begun[i].second;
        const std::optional<Way>& way = i < kMostClimbs ? climb.best() : climb.soFar();
        out.solves += climb.looks();
        nearest = std::min(nearest, distanceOf(way));
        if (way)
            found.push_back(*way);
    }
    std::stable_sort(found.begin(), found.end(),
                     [](const Way& a, const Way& b) { return a.distance < b.distance; });
    if (found.size() > most)
        found.resize(most);
    const Sketch closely = sketch.closely();
    for (std::size_t i = 0; i < std::min(found.size(), kMostSaid); ++i)
        if (auto way = closely.cooked(found[i].method, found[i].stages,
                                      found[i].outcome.pullS - found[i].outcome.lastStartS))
            found[i] = std::move(*way);
    out.best = std::move(found);
    out.gain = std::isfinite(straight) && std::isfinite(nearest) ? straight - nearest
               : std::isfinite(nearest)                          ? nearest
                                                                 : 0;
    return out;
}

} // namespace dynamet::translate
