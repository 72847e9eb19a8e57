// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/translate.h"

#include "translate/holding.h"

#include "quantity/parse_duration.h"
#include "quantity/parse_measures.h"
#include "quantity/print.h"
#include "translate/cook_row.h"
#include "translate/room.h"
#include "translate/rule_of_thumb.h"
#include "translate/school_effects.h"
#include "translate/search.h"
#include "translate/warnings.h"
#include "translate/window.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::translate {
namespace {

/// What the cook says it is judged by; what its food is where nothing was said, or only what
/// another food could be judged by.
std::vector<food::Tolerance> judgedOf(const recipe::Recipe& recipe) {
    auto out = food::judgementOf(recipe.piece.food);
    const auto& chosen = recipe.goal.judgedBy;
    if (!chosen.empty())
        std::erase_if(out, [&](const food::Tolerance& t) {
            return std::find(chosen.begin(), chosen.end(), t.quality) == chosen.end();
        });
    return out.empty() ? food::judgementOf(recipe.piece.food) : out;
}

/// What a cook by the clock gave, as a goal for others; the band keeps its width.
recipe::Goal goalGiven(const recipe::Goal& asked, double peakK) {
    const double half = (asked.bandHighK - asked.bandLowK) / 2;
    return {peakK,        food::GoalMoment::peak,       peakK - half,
            peakK + half, "as the recipe's time gives", asked.judgedBy};
}

} // namespace

namespace {

constexpr double kLongCookS = 3600;
constexpr cook::Effort kLongCook{32, 0.2, 10};
/// Beside the full one: time 0.4 %, crust 2 %, rim 0.3 mm.
constexpr cook::Effort kWhatIf{32, 0.2, 10};

/// What the recipe gave is what counts, all that it is judged by.
void judgeByAll(Prepared& out) {
    const recipe::Recipe& recipe = out.request.recipe;
    out.judged = judgedOf(recipe);
    const auto own = cook::cookLike(recipe.piece, out.programme, {&out.quick, out.judged},
                                    recipe.last().end.afterS, cook::kQuick, out.tables);
    if (own)
        out.says = own->likeness.says;
}

} // namespace

Result<Prepared> prepare(const Request& asked, std::stop_token stop) {
    const Request request = withSchools(asked);
    if (request.moved && *request.moved >= request.recipe.stages.size())
        return fail(Errc::invalidArgument,
                    Finding{"no_such_stage",
                            {Number{static_cast<double>(request.recipe.stages.size())},
                             Number{static_cast<double>(*request.moved) + 1}}});
    auto programme = writtenProgramme(request);
    if (!programme)
        return tl::unexpected(programme.error().in("the recipe's own appliance"));
    Prepared out;
    out.request = request;
    out.programme = *programme;
    out.targets = allTargets(request);
    out.tables = cook::tablesFor(request.recipe.piece.food, pressurePa(programme->last().site));
    out.tables.stop = stop;
    const auto quick = cook::cookProgramme(request.recipe.piece, *programme, targetOf(request),
                                           cook::kQuick, out.tables);
    // A hand on a slider sees the same on fewer cells; what is written is cooked in full.
    if (request.writtenPiece)
        out.effort = kWhatIf;
    else if (quick && quick->pullS > kLongCookS)
        out.effort = kLongCook;
    auto outcome = cook::cookProgramme(request.recipe.piece, *programme, targetOf(request),
                                       out.effort, out.tables, true);
    if (!outcome)
        return tl::unexpected(outcome.error().in("the recipe where it was written"));
    out.outcome = std::move(*outcome);
    out.quick = quick.value_or(out.outcome);
    out.sketch = cook::cookProgramme(request.recipe.piece, *programme, targetOf(request), kSketch,
                                     out.tables)
                     .value_or(out.quick);
    if (stop.stop_requested())
        return fail(Errc::refused, Finding{"stopped"});
    out.tables.stop = {};
    if (request.recipe.endsByClock())
        out.request.recipe.goal = goalGiven(request.recipe.goal, out.outcome.peakK);
    if (request.recipe.endsByClock() && !request.moved) {
        judgeByAll(out);
        out.shifted = shiftedReference(out, stop);
    }
    useOwnTime(out, stop);
    return out;
}

namespace {

/// The same kitchen with the cook's own air: its boiling point and its vapour tables.
Prepared atSiteOf(const Prepared& prepared, const Target& target, const std::stop_token& stop) {
    Prepared local = prepared;
    local.tables.stop = stop;
    if (const auto* site = lastSite(prepared.request, target))
        local.tables.vapour = std::make_shared<heat::Vapour>(pressurePa(*site));
    return local;
}

/// Core at which the watched stage is left; the end's where nothing is watched.
double leavingK(const Row& row) {
    const auto& stages = row.outcome.stages;
    return row.watched && *row.watched < stages.size() ? stages[*row.watched].leaveK
                                                       : row.outcome.pullK;
}

/// Cooks a row at its setting on the full grid and puts the words to it.
Row cooked(const Prepared& prepared, const Prepared& local, Row row, double guessS = 0) {
    auto programme = programmeOf(local.request, row);
    if (!programme) {
        row.reached = false;
        row.reason = programme.error();
        return row;
    }
    const cook::Outcome& like = row.reached ? row.outcome : prepared.outcome;
    programme->guessS = guessS;
    CookIdea idea{like.pullS - like.lastStartS};
    if (row.likeness)
        idea.slopes = row.likeness->slopes;
    auto cook = cookRow(local, local.request.recipe.piece, *programme, idea, local.tables,
                        effortOf(prepared, row));
    row.reached = cook.has_value();
    if (!cook) {
        row.reason = cook.error();
        return row;
    }
    row.outcome = std::move(cook->outcome);
    row.likeness = std::move(cook->likeness);
    row.solves += cook->solves;
    row.instruction.turning = programme->last().turning;
    row.instruction.byProbe =
        probeFits(local.request.recipe.piece) && (!row.likeness || row.likeness->coreLeads());
    row.instruction.lidOpen = placeOf(local.request, row).lidOpen;
    row.watched = watchedStage(*programme);
    row.crustDistance = crustDistance(row.outcome, prepared.outcome);
    row.instruction.pullK = printedPull(leavingK(row), prepared.request.units.fahrenheit);
    row.warnings = warningsFor(prepared, row, *programme);
    return row;
}

} // namespace

double printedPull(double kelvin, bool fahrenheit) {
    const Temperature t = Temperature::kelvin(kelvin);
    return fahrenheit ? Temperature::fahrenheit(std::round(t.fahrenheit())).kelvin()
                      : Temperature::celsius(std::round(t.celsius())).kelvin();
}

Result<cook::Programme> programmeOf(const Request& request, const Row& row) {
    return programmeFor(request, row.target, row.instruction.setting, row.instruction.stageS,
                        row.tried);
}
std::vector<recipe::Stage> stagesOf(const Request& request, const Row& row) {
    return stagesFor(request, row.target, row.instruction.setting, row.instruction.stageS,
                     row.tried);
}
recipe::Place placeOf(const Request& request, const Row& row) {
    return stagesOf(request, row)[request.moved.value_or(0)].place;
}
cook::Effort effortOf(const Prepared& prepared, const Row& row) {
    return row.tried.any() && prepared.effort.cells > kWhatIf.cells ? kWhatIf : prepared.effort;
}

namespace {

/// A row that cannot be: the place is gone or has no pan, it does not hold the food (its own recipe
/// says otherwise), or nothing tells when the food is done.
std::optional<Row> impossible(const Prepared& prepared, const Target& target) {
    const Request& request = prepared.request;
    const auto* on = findAppliance(request.kitchen, target.applianceId);
    const auto* zone = on ? findZone(*on, target.zone) : nullptr;
    const recipe::Place& from = movedFrom(request);
    const bool own = target.applianceId == from.applianceId && target.zone == from.zone;
    Row row;
    row.target = target;
    if (!zone) {
        row.reason = {Errc::notFound, "the appliance or its place is no longer in the book"};
    } else if (isHob(on->kind) && !findVessel(request.kitchen, target.vesselId)) {
        row.known = false;
        row.reason = {Errc::notFound, "it has no pan yet: choose one for it in Kitchen"};
    } else if (const auto room =
                   roomAt(request.kitchen, request.recipe.piece, placeOn(request, target, {}));
               room && room->fits == 0) {
        row.reason = {Errc::unsupported,
                      "one piece is larger than its cooking area, whose size stands in Kitchen"};
        row.held = false;
    } else if (!own) {
        row.reason = {Errc::unsupported,
                      whyNotHeld(request.recipe.piece, request.recipe.goal.coreK, *on, *zone)};
        row.held = row.reason.message.empty();
    }
    return row.reason.message.empty() ? std::nullopt : std::optional(row);
}

} // namespace

Row solveRow(const Prepared& prepared, const Target& target, std::stop_token stop) {
    if (const auto none = impossible(prepared, target))
        return *none;
    const Prepared local = atSiteOf(prepared, target, stop);
    Row row = findBestSetting(local, target, stop);
    return row.reached ? cooked(prepared, local, std::move(row)) : row;
}

Row solveRowAt(const Prepared& prepared, const Target& target, const kitchen::Setting& setting,
               double stageS, std::stop_token stop, double guessS) {
    if (const auto none = impossible(prepared, target))
        return *none;
    Row row;
    row.target = target;
    row.instruction.setting = setting;
    row.instruction.stageS = stageS;
    return cooked(prepared, atSiteOf(prepared, target, stop), std::move(row), guessS);
}

Row rowTried(const Prepared& prepared, const Row& row, const Tried& tried, std::stop_token stop) {
    if (const auto none = impossible(prepared, row.target))
        return *none;
    Row out;
    out.target = row.target;
    out.instruction.setting = tried.setting.value_or(row.instruction.setting);
    out.instruction.stageS = row.instruction.stageS;
    out.tried = tried;
    const double guess = row.reached ? row.outcome.pullS - row.outcome.lastStartS : 0;
    return cooked(prepared, atSiteOf(prepared, row.target, stop), std::move(out), guess);
}

void addWindow(const Prepared& prepared, Row& row, std::stop_token stop) {
    const auto programme = programmeOf(prepared.request, row);
    if (!row.reached || !programme || !row.watched)
        return;
    const cook::Programme fixed = upTo(cook::withFixedTurn(*programme, row.outcome), *row.watched);
    WindowInput input{&prepared.request.recipe.piece,
                      &fixed,
                      row.instruction.pullK,
                      prepared.request.recipe.goal.bandHighK,
                      spreadOf(prepared.request.priors, prepared.request.recipe.piece),
                      tablesAt(prepared, *programme, stop),
                      prepared.request.seed};
    input.names = namesOf(prepared.request, fixed, "this");
    input.belief = &prepared.belief;
    if (row.likeness && !row.instruction.byProbe) {
        input.like = cook::LikeGoal{&prepared.quick, prepared.judged};
        input.reference = &prepared.shifted;
    }
    input.effort = effortOf(prepared, row);
    input.guessS = row.outcome.pullS - row.outcome.lastStartS;
    if (programme->endsByClock() ||
        input.like) // what comes after the watched stage decides the peak
        input.bandHighK.reset();
    auto window = windowOf(input, row.solves, stop);
    if (!window) {
        row.windowless = window.error();
        return;
    }
    row.window = std::move(*window);
    if (!prepared.request.moved && prepared.request.recipe.stages.size() == 1 && !row.tried.any())
        row.rule = ruleOfThumb(prepared, row.target);
}

std::vector<Row> translateAll(const Prepared& prepared, std::stop_token stop) {
    std::vector<Row> rows;
    for (const Target& target : prepared.targets) {
        rows.push_back(solveRow(prepared, target, stop));
        addWindow(prepared, rows.back(), stop);
    }
    std::stable_sort(rows.begin(), rows.end(), [&](const Row& a, const Row& b) {
        return ranksBefore(a, b, prepared.outcome);
    });
    return rows;
}

bool ranksBefore(const Row& a, const Row& b, const cook::Outcome& reference) {
    if (a.reached != b.reached)
        return a.reached;
    if (!a.reached)
        return false;
    // By the clock the core is not exact: rows are told apart to two kelvins.
    const auto coreStep = [&](const Row& r) {
        return r.lastByClock() ? std::floor(std::abs(r.outcome.peakK - reference.peakK) / 2) : 0.0;
    };
    if (coreStep(a) != coreStep(b))
        return coreStep(a) < coreStep(b);
    if (a.likeness && b.likeness)
        return std::floor(a.likeness->distance) != std::floor(b.likeness->distance)
                   ? a.likeness->distance < b.likeness->distance
                   : a.outcome.pullS < b.outcome.pullS;
    const double stepA = std::floor(a.crustDistance / 0.2),
                 stepB = std::floor(b.crustDistance / 0.2);
    if (stepA != stepB)
        return stepA < stepB;
    // Rims are told apart to half a millimetre.
    const double rimA = std::floor(std::abs(a.outcome.rimM - reference.rimM) / 5e-4);
    const double rimB = std::floor(std::abs(b.outcome.rimM - reference.rimM) / 5e-4);
    if (rimA != rimB)
        return rimA < rimB;
    return a.outcome.pullS < b.outcome.pullS;
}

} // namespace dynamet::translate
