// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/ways.h"

#include "kitchen/dial.h"
#include "kitchen/hob_use.h"
#include "quantity/enum_words.h"
#include "translate/cook_row.h"
#include "translate/holding.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <limits>
#include <map>

namespace dynamet::translate {
namespace {

using kitchen::ApplianceKind;
using kitchen::Setting;

constexpr std::array<const char*, 9> kMethods{
    "straight",       "hot_then_slow",  "slow_then_hot",     "two_zones",        "zones_back",
    "sear_then_here", "here_then_sear", "cool_then_hot_oil", "covered_then_open"};

/// Fewer cells than a search's: every point is compared with the reference on the same grid.
constexpr cook::Effort kSketch{10, 0.8, 4, 3, 0.15};
constexpr std::size_t kMostSettings = 7; ///< of a stage, evenly by their heat
constexpr int kMostLooks = 70;
constexpr double kSearsK = 453.15; ///< a plate cooler than 180 °C does not sear
constexpr double kSearMinutes[]{1, 2, 3, 5, 8, 12};
constexpr double kGentleMinutes[]{5, 10, 20, 40};
constexpr double kBelowGoalK[]{2, 4, 7, 11, 16, 24};

recipe::StageEnd afterMinutes(double minutes) {
    recipe::StageEnd out;
    out.afterS = 60 * minutes;
    return out;
}
recipe::StageEnd atCore(double kelvin) {
    recipe::StageEnd out;
    out.coreK = kelvin;
    return out;
}

/// How hot a place is at a setting: a pan as hot as the cook holds it, else what it is shown by.
double heatOf(const kitchen::Kitchen& kitchen, const kitchen::Appliance& appliance,
              const recipe::Place& place) {
    for (std::size_t i = 0; i < appliance.controls.size(); ++i)
        if (appliance.controls[i].kind == kitchen::ControlKind::preheat)
            if (const auto* held = std::get_if<double>(&place.setting.values[i]))
                return kitchen::dialTemperature(appliance.controls[i], *held).kelvin();
    const auto field =
        fieldAt(kitchen, place.applianceId, place.setting, place.zone, place.vesselId);
    return field ? representative(*field, 293.15).kelvin : 0;
}

/// A place at some of its settings from a heat on, cooler ones first; of those alike in heat the
/// one with the strongest burner.
std::vector<recipe::Stage> settingsAt(const kitchen::Kitchen& kitchen, recipe::Place place,
                                      double fromK = 0) {
    const auto* appliance = findAppliance(kitchen, place.applianceId);
    std::map<double, Setting> byHeat;
    for (const Setting& setting : possibleSettings(kitchen::settable(*appliance), 9, 120)) {
        place.setting = setting;
        const double heat = heatOf(kitchen, *appliance, place);
        if (heat < fromK)
            continue;
        const auto [at, fresh] = byHeat.emplace(heat, setting);
        if (!fresh &&
            kitchen::inputOf(*appliance, setting) > kitchen::inputOf(*appliance, at->second))
            at->second = setting;
    }
    std::vector<Setting> all;
    for (const auto& [heat, setting] : byHeat)
        all.push_back(setting);
    std::vector<recipe::Stage> out;
    const std::size_t count = std::min(kMostSettings, all.size());
    for (std::size_t i = 0; i < count; ++i) {
        place.setting = all[count > 1 ? i * (all.size() - 1) / (count - 1) : 0];
        recipe::Stage stage;
        stage.place = place;
        out.push_back(stage);
    }
    return out;
}

std::vector<recipe::StageEnd> minutes(std::span<const double> list) {
    std::vector<recipe::StageEnd> out;
    for (const double one : list)
        out.push_back(afterMinutes(one));
    return out;
}

/// Cores below the goal at which a gentle first stage is left.
std::vector<recipe::StageEnd> coresBelow(const Prepared& prepared) {
    const recipe::Recipe& recipe = prepared.request.recipe;
    std::vector<recipe::StageEnd> out;
    for (const double below : kBelowGoalK)
        if (const double at = recipe.goal.coreK - below; at > recipe.piece.startK + 3)
            out.push_back(atCore(at));
    return out;
}

bool isSearing(const kitchen::Appliance& appliance) {
    return isHob(appliance.kind) || appliance.kind == ApplianceKind::griddle ||
           appliance.kind == ApplianceKind::coalChimney;
}

/// The first place of the kitchen, other than the target's appliance, that sears what it can hold.
std::optional<recipe::Place> searingPlace(const Prepared& prepared, const Target& target) {
    const Request& request = prepared.request;
    for (const kitchen::Appliance& appliance : request.kitchen.appliances) {
        if (!isSearing(appliance) || appliance.id == target.applianceId)
            continue;
        const kitchen::Zone& zone = appliance.zones.front();
        const Target there{appliance.id, zone.name,
                           isHob(appliance.kind) ? appliance.standardVesselId : ""};
        if (isHob(appliance.kind) && there.vesselId.empty())
            continue;
        recipe::Place place;
        place.applianceId = there.applianceId;
        place.zone = there.zone;
        place.vesselId = there.vesselId;
        return place;
    }
    return std::nullopt;
}

bool holds(const Request& request, const kitchen::Appliance& appliance, const Target& target) {
    const auto* zone = findZone(appliance, target.zone);
    return zone &&
           whyNotHeld(request.recipe.piece, request.recipe.goal.coreK, appliance, *zone).empty();
}

bool canBeColoured(const food::Food& food) {
    return food.body == food::Body::solid;
}

recipe::Place placeOf(const Target& target) {
    recipe::Place out;
    out.applianceId = target.applianceId;
    out.zone = target.zone;
    out.vesselId = target.vesselId;
    return out;
}

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

std::vector<recipe::Stage> WayGrid::stagesAt(std::size_t firstAt, std::size_t lastAt,
                                             std::size_t over) const {
    std::vector<recipe::Stage> out{first[firstAt], last[lastAt]};
    out.front().end = changeOver[over];
    return out;
}

std::vector<WayGrid> waysGrids(const Prepared& prepared, const Target& target) {
    const Request& request = prepared.request;
    const kitchen::Kitchen& kitchen = request.kitchen;
    const auto* appliance = findAppliance(kitchen, target.applianceId);
    std::vector<WayGrid> out;
    if (!appliance || !holds(request, *appliance, target))
        return out;
    const food::Food& food = request.recipe.piece.food;
    const auto here = settingsAt(kitchen, placeOf(target));
    const auto sears = minutes(kSearMinutes);
    const auto below = coresBelow(prepared);
    const bool fryer = appliance->kind == ApplianceKind::deepFryer;
    const bool bath = appliance->kind == ApplianceKind::waterBath;
    if (fryer)
        out.push_back({Method::coolThenHotOil, here, here, sears, -1});
    if (!fryer && !bath && here.size() > 1) {
        out.push_back({Method::hotThenSlow, here, here, sears, 1});
        out.push_back({Method::slowThenHot, here, here, below, -1});
    }
    for (const kitchen::Zone& zone : appliance->zones) { // over the fire and beside it
        const auto* own = findZone(*appliance, target.zone);
        if (!own || zone.direct == own->direct || own->direct)
            continue;
        Target over = target;
        over.zone = zone.name;
        const auto fire = settingsAt(kitchen, placeOf(over));
        out.push_back({Method::twoZones, fire, here, sears});
        out.push_back({Method::zonesBack, here, fire, below});
        break;
    }
    if (const auto sear = searingPlace(prepared, target);
        sear && canBeColoured(food) && !isSearing(*appliance) && !fryer) {
        const auto hot = settingsAt(kitchen, *sear, kSearsK);
        if (!bath)
            out.push_back({Method::searThenHere, hot, here, sears});
        out.push_back({Method::hereThenSear, here, hot, below});
    }
    const bool plate = isSearing(*appliance) && appliance->kind != ApplianceKind::coalChimney;
    if (plate || food::seenFromAbove(food)) {
        auto covered = here;
        for (recipe::Stage& stage : covered)
            stage.handling.cover =
                food::seenFromAbove(food) ? recipe::Cover::foil : recipe::Cover::lid;
        if (!fryer && !bath)
            out.push_back(
                {Method::coveredThenOpen, covered, here, plate ? sears : minutes(kGentleMinutes)});
    }
    return out;
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
    const auto sketch = Sketch::of(prepared);
    const auto grids = waysGrids(prepared, target);
    if (!sketch || prepared.request.moved)
        return out;
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
