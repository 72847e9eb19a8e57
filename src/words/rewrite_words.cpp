// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/rewrite_words.h"

#include "kitchen/dial.h"
#include "quantity/parse_duration.h"
#include "recipe/said.h"
#include "words/translation_words.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::words {
namespace {

using namespace dynamet::translate;
using kitchen::Appliance;
using kitchen::ApplianceKind;
using kitchen::HeatGroup;
using recipe_text::StageNumbers;

StageNumbers settingNumbers(const Appliance& on, const kitchen::Setting& setting, Units units) {
    StageNumbers out;
    for (std::size_t i = 0; i < on.controls.size(); ++i) {
        const kitchen::Control& control = on.controls[i];
        if (control.kind != kitchen::ControlKind::thermostat || !isTemperatureDial(control) ||
            !std::holds_alternative<double>(setting.values[i]))
            continue;
        out.heatK = dialTemperature(control, std::get<double>(setting.values[i])).kelvin();
        out.gasMarks =
            kitchen::nearestGasMark(control, Temperature::kelvin(*out.heatK)).has_value();
        out.dial = control.unit == "F" ? TemperatureUnit::fahrenheit : TemperatureUnit::celsius;
    }
    out.heatWords = settingLabel(on.controls, setting, units);
    return out;
}

/// Seconds from the stage's start to its end, and the core there, of an outcome.
void addCook(StageNumbers& out, const cook::Outcome& cook, std::size_t stage, std::size_t stages) {
    if (stage + 1 == stages) {
        out.timeS = cook.pullS - cook.lastStartS;
        out.endK = cook.pullK;
    } else if (stage < cook.stages.size()) {
        out.timeS = cook.stages[stage].endS - cook.stages[stage].startS;
        out.endK = cook.stages[stage].leaveK;
    }
}

/// On its own appliance, as it is set there, a recipe stays as it is written.
bool isOwn(const Row& row, const recipe::Stage& stage) {
    return row.target.applianceId == stage.place.applianceId &&
           row.target.zone == stage.place.zone && row.instruction.setting == stage.place.setting;
}

/// Its author's time goes over in proportion, so that it comes back the same; where what is known
/// here says otherwise, that is said beside it.
std::string timeNote(const Row& row, const Prepared& prepared, double wasS, double isS) {
    const recipe::WrittenTime& time = prepared.request.recipe.time;
    constexpr double kWorthSaying = 0.1;
    if (!time.said() || !row.window || wasS <= 0 || isS <= 0)
        return {};
    const double carried = std::sqrt(time.lowS * time.highS) * isS / wasS,
                 expected = row.window->expectS - row.outcome.lastStartS;
    if (std::abs(std::log(expected / carried)) < kWorthSaying)
        return {};
    return fmt::format("Its author's time becomes {} in proportion; by all that is known here "
                       "expect {}: {}.",
                       printDuration(60 * std::round(carried / 60)),
                       printDuration(60 * std::round(expected / 60)), windowWords(*row.window));
}

bool makesSmoke(const Appliance& a) {
    return groupOf(a.kind) == HeatGroup::coalsAndFlame && a.kind != ApplianceKind::gasGrill;
}

bool holdsSteam(const Appliance& a) {
    return a.kind == ApplianceKind::combiOven || a.kind == ApplianceKind::ironOven;
}

} // namespace

std::vector<std::string> notCarriedOver(const recipe::Recipe& recipe, const Appliance& from,
                                        const Appliance& to) {
    std::vector<std::string> out;
    const bool meat = recipe.piece.food.losesJuice;
    if (makesSmoke(from) && !makesSmoke(to))
        out.push_back(
            "Smoke is not carried over. Smoked salt or paprika, or wood chips in a covered "
            "pan outdoors first, come near it.");
    if (makesSmoke(to) && !makesSmoke(from))
        out.push_back("There it takes on smoke, which the recipe does not have: let the coals burn "
                      "clean and add no wood.");
    if (groupOf(from.kind) == HeatGroup::coalsAndFlame &&
        groupOf(to.kind) != HeatGroup::coalsAndFlame && meat)
        out.push_back(
            "Drippings do not burn on anything there: their taste is missing. A hot pan for "
            "the last minute, with some of the fat, comes near it.");
    if (isHob(from.kind) && !isHob(to.kind) && meat)
        out.push_back(
            "Nothing sticks to a pan there: make the sauce apart, from browned trimmings.");
    if (holdsSteam(from) && !holdsSteam(to))
        out.push_back(
            "Its steam is not carried over. A tray of boiling water for the first quarter "
            "of an hour, or a lid, comes near it.");
    if (holdsSteam(to) && !holdsSteam(from))
        out.push_back("It is moist in there: dry the face before, and uncover it for the last "
                      "minutes.");
    if (groupOf(from.kind) == HeatGroup::waterAndOil && from.kind == ApplianceKind::deepFryer &&
        to.kind != ApplianceKind::deepFryer)
        out.push_back(
            "There is no bath of fat there: brush or spray the face with some, or it stays "
            "dull.");
    return out;
}

Result<RewrittenRecipe> rewrittenFor(const Row& row, const Prepared& prepared) {
    const Request& request = prepared.request;
    const recipe::Recipe& recipe = request.recipe;
    const auto* to = findAppliance(request.kitchen, row.target.applianceId);
    const auto* from = findAppliance(request.kitchen, movedFrom(request).applianceId);
    if (!to || !from || !row.reached)
        return fail(Errc::refused, Finding{"row_not_reached"});
    RewrittenRecipe out;
    out.before = out.after.text = recipe.text;
    recipe_text::ReadWith with;
    with.kitchen = &request.kitchen;
    with.applianceId = recipe.last().place.applianceId;
    with.corrections = recipe.corrections;
    auto read = recipe_text::recipeFrom(recipe.name, recipe.text, with);
    if (!read)
        return tl::unexpected(read.error());
    const std::size_t stages = recipe.stages.size();
    const bool straight = !request.moved && stages > 1;
    if (straight)
        return fail(Errc::refused,
                    Finding{"rewrite_straight", {Number{static_cast<double>(stages)}}});
    if (read->recipe.stages.size() != stages) {
        out.understood = false;
        out.notes.push_back(fmt::format(
            "The text says {} of heat where the recipe has {}: it is left as it is.",
            read->recipe.stages.size() == 1 ? "one stage"
                                            : fmt::format("{} stages", read->recipe.stages.size()),
            stages));
    } else {
        std::vector<StageNumbers> was, is;
        for (std::size_t i = 0; i < stages; ++i) {
            const recipe::Stage& stage = recipe.stages[i];
            const auto* on = findAppliance(request.kitchen, stage.place.applianceId);
            was.push_back(on ? settingNumbers(*on, stage.place.setting, request.units)
                             : StageNumbers{});
            addCook(was.back(), prepared.outcome, i, stages);
            if (stage.end.afterS > 0)
                was.back().timeS = stage.end.afterS;
            is.push_back(was.back());
            if ((request.moved && i != *request.moved) || isOwn(row, stage))
                continue;
            is.back() = settingNumbers(*to, row.instruction.setting, request.units);
            addCook(is.back(), row.outcome, i, stages);
        }
        // A core that is read after the rest is the same everywhere.
        const bool peakAlone =
            recipe.goal.readAt != food::GoalMoment::pull &&
            std::none_of(read->bound.begin(), read->bound.end(),
                         [](const auto& b) { return b.part == recipe_text::Part::goalCore; });
        if (peakAlone && recipe.last().end.byGoal())
            is.back().endK = was.back().endK;
        out.after = recipe_text::rewritten(*read, was, is);
        if (std::string note = timeNote(row, prepared, was.back().timeS, is.back().timeS);
            !note.empty())
            out.notes.push_back(std::move(note));
    }
    if (to->id != from->id) {
        const std::string text = recipe::smallLetters(recipe.text);
        const bool named = text.find(recipe::smallLetters(from->name)) != std::string::npos;
        if (named)
            out.notes.push_back(fmt::format("Where it says “{}”, read {}.",
                                            recipe::smallLetters(from->name), to->name));
        for (const char* word : {"oven", "grill", "pan", "skillet", "bath", "fryer"})
            if (!named && text.find(word) != std::string::npos &&
                recipe::smallLetters(to->name + kindName(to->kind)).find(word) ==
                    std::string::npos) {
                out.notes.push_back(fmt::format("Where it says “{}”, read {}.", word, to->name));
                break;
            }
        for (std::string& line : notCarriedOver(recipe, *from, *to))
            out.notes.push_back(std::move(line));
    }
    return out;
}

} // namespace dynamet::words
