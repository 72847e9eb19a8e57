// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/cook_words.h"

#include "quantity/parse_duration.h"
#include "quantity/print.h"
#include "words/stage_words.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::words {
namespace {

using run::Act;
using run::Due;
using run::Seen;
using run::What;

/// Half of a 95 % range of a temperature, whole degrees and one at least.
std::string plusMinus(const run::HeatRange& range, Units units) {
    const double half = (range.highK - range.lowK) / 2 * (units.fahrenheit ? 1.8 : 1);
    return fmt::format("± {}", std::max(1L, std::lround(half)));
}

std::string minutesOf(double seconds) {
    return printDuration(std::max(0.0, seconds));
}

std::string crustOf(double index) {
    return index < 0.5   ? "pale"
           : index < 1.5 ? "golden"
           : index < 3   ? "dark"
           : index < 5   ? "scorched"
                         : "black";
}

} // namespace

std::string RunClock::at(double s) const {
    const auto minute =
        static_cast<std::int64_t>(std::floor((static_cast<double>(beganMs) / 1000 + s) / 60)) +
        offsetMin;
    constexpr std::int64_t kDay = 24 * 60;
    const std::int64_t clock = (minute % kDay + kDay) % kDay;
    return fmt::format("{:02}:{:02}", clock / 60, clock % 60);
}

std::string inWords(double seconds) {
    constexpr double kNowS = 20;
    if (std::abs(seconds) < kNowS)
        return "now";
    if (!std::isfinite(seconds))
        return "not in sight";
    return seconds > 0 ? fmt::format("in {}", minutesOf(seconds))
                       : fmt::format("{} ago", minutesOf(-seconds));
}

std::string dueWords(const run::Move& move, const std::string& dish, bool now,
                     const run::PlannedCook& planned, const kitchen::Kitchen& kitchen,
                     Units units) {
    const std::string soon = now ? " now" : "";
    const auto place = [&](std::size_t stage) {
        return placeWords(
            kitchen, planned.recipe.stages[std::min(stage, planned.recipe.stages.size() - 1)].place,
            units);
    };
    switch (move.due) {
    case Due::start:
        return fmt::format("Put the {} in{}: {}", dish, soon, place(0));
    case Due::turn:
        return fmt::format("Turn the {}{}", dish, soon);
    case Due::look:
        return fmt::format("Look at the {}{}", dish, soon);
    case Due::leaveStage:
        return move.coreK > 0
                   ? fmt::format("Take the {} out at {}", dish, printDegrees(move.coreK, units))
                   : fmt::format("Take the {} out{}", dish, soon);
    case Due::nextStage:
        return fmt::format("{} goes on{}: {}", dish, soon, place(move.stage));
    case Due::pull:
        return move.coreK > 0 && planned.byProbe
                   ? fmt::format("Pull the {} at {}", dish, printDegrees(move.coreK, units))
                   : fmt::format("Pull the {}{}", dish, soon);
    case Due::overshoot:
        return fmt::format("Pull the {} sooner: at {}", dish, printDegrees(move.coreK, units));
    case Due::serve:
        return fmt::format("Serve the {}{}", dish, soon);
    case Due::probe:
        return fmt::format("Look after the probe of the {}", dish);
    }
    return dish;
}

std::string dueWindow(const run::Move& move, const RunClock& clock) {
    if (move.due == Due::probe)
        return "";
    if (!std::isfinite(move.atS))
        return fmt::format("not in sight; look from {}", clock.at(move.lowS));
    if (move.highS - move.lowS < 60)
        return "at " + clock.at(move.atS);
    if (move.due == Due::serve)
        return fmt::format("rested from {}; by {} at the latest", clock.at(move.lowS),
                           clock.at(move.highS));
    if (!std::isfinite(move.highS))
        return fmt::format("from {}, most likely {}; it may take much longer", clock.at(move.lowS),
                           clock.at(move.atS));
    return fmt::format("between {} and {}, most likely {}", clock.at(move.lowS),
                       clock.at(move.highS), clock.at(move.atS));
}

std::vector<std::string> forecastLines(const run::Forecast& forecast,
                                       const run::PlannedCook& planned, double nowS, Units units) {
    std::vector<std::string> out;
    const auto& pull = forecast.pull;
    if (pull.s < nowS - 1) // it is pulled: what the rest makes of it
        out.push_back(fmt::format("Rests to {} {} inside.",
                                  printDegrees(forecast.peak.kelvin, units),
                                  plusMinus(forecast.peak, units)));
    else if (!std::isfinite(pull.s))
        out.push_back("As it goes now it does not come there: more heat, or another goal.");
    else if (!std::isfinite(pull.highS))
        out.push_back(fmt::format("Pull {}, {} at the earliest; it may take much longer.",
                                  inWords(pull.s - nowS), minutesOf(pull.lowS - nowS)));
    else
        out.push_back(fmt::format("Pull {} ({} to {}).", inWords(pull.s - nowS),
                                  minutesOf(pull.lowS - nowS), minutesOf(pull.highS - nowS)));
    if (std::isfinite(pull.s) && pull.s >= nowS - 1)
        out.push_back(fmt::format("Then {} {} at its hottest, {} as it is served.",
                                  printDegrees(forecast.peak.kelvin, units),
                                  plusMinus(forecast.peak, units),
                                  printDegrees(forecast.plate.kelvin, units)));
    constexpr double kApartK = 0.8;
    if (forecast.pullK > 0 && planned.pullK > 0 && forecast.readings > 0 &&
        std::abs(forecast.pullK - planned.pullK) > kApartK)
        out.push_back(fmt::format("As it goes, {} at the pull gives what was asked ({} was "
                                  "planned).",
                                  printDegrees(forecast.pullK, units),
                                  printDegrees(planned.pullK, units)));
    if (forecast.readings == 0)
        out.push_back("No core was read yet: this is the plan. One reading is enough, at the turn "
                      "or at a look.");
    return out;
}

std::string minimumWords(const run::PlannedCook& planned, double peakK, Units units) {
    const recipe::FoodPiece& piece = planned.recipe.piece;
    const auto minimum = food::officialMinimum(piece.food.foodClass, piece.form);
    constexpr double kReachedK = 0.5;
    if (!minimum || peakK >= minimum->kelvin - kReachedK)
        return "";
    return fmt::format("! {} inside is below the official {} for it. Local codes or a licensed "
                       "authority decide.",
                       printDegrees(peakK, units), printDegrees(minimum->kelvin, units));
}

std::string probeWords(run::ProbeState state, Units) {
    switch (state) {
    case run::ProbeState::lost:
        return "! The probe says nothing any more. The forecast goes on without it and grows less "
               "sure; read the core by hand.";
    case run::ProbeState::misplaced:
        return "! The probe reads what no point of this piece can have: it slipped, or touches "
               "bone or pan. It is not believed; put it in the middle again.";
    default:
        return "";
    }
}

const char* seenWords(Seen seen) {
    switch (seen) {
    case Seen::pale:
        return "pale";
    case Seen::brown:
        return "brown";
    case Seen::tooDark:
        return "too dark";
    case Seen::blackEdge:
        return "black at the edge";
    case Seen::flare:
        return "flames";
    case Seen::whiteOoze:
        return "white beads";
    case Seen::boilingHard:
        return "boils hard";
    case Seen::boilingHardly:
        return "hardly boils";
    case Seen::smoke:
        return "fat smokes";
    }
    return "";
}

std::string actionWords(const run::Action& action, const run::PlannedCook& planned,
                        const kitchen::Kitchen& kitchen, double nowS, Units units) {
    const auto& place = planned.recipe.last().place;
    const auto* on = findAppliance(kitchen, place.applianceId);
    const auto to = [&] {
        return on && action.setting ? settingLabel(on->controls, *action.setting, units)
                                    : std::string();
    };
    std::string what;
    switch (action.act) {
    case Act::goOn:
        what = "Go on as it is";
        break;
    case Act::pullNow:
        what = "Pull it now";
        break;
    case Act::turn:
        what = "Turn it now";
        break;
    case Act::lower:
        what = fmt::format("Lower: {}", to());
        break;
    case Act::higher:
        what = fmt::format("Higher: {}", to());
        break;
    case Act::openLid:
        what = "Lid open";
        break;
    case Act::closeLid:
        what = "Lid shut";
        break;
    case Act::toZone:
        what = fmt::format("Over to {}", action.zone);
        break;
    case Act::cover:
        what = "Foil over it";
        break;
    case Act::uncover:
        what = "Cover off";
        break;
    case Act::coolFirst:
        what = fmt::format("Off the heat for {}, then back", minutesOf(action.forS));
        break;
    case Act::shorterNext:
        what = fmt::format("The last heat only {}", minutesOf(action.forS));
        break;
    case Act::giveUpCrust:
        what = "Leave the last heat out, give up its crust";
        break;
    case Act::addCoals:
        what = action.count > 0 ? fmt::format("Add {} lit coals", action.count)
                                : std::string("Feed the fire as it was");
        break;
    case Act::takeCoals:
        what = fmt::format("Take {} coals away", action.count);
        break;
    }
    if (action.act != Act::pullNow && !std::isfinite(action.pullS))
        return what + "\nit does not get there";
    const std::string then =
        action.act == Act::pullNow
            ? std::string()
            : fmt::format("pull {}{}: ", inWords(action.pullS - nowS),
                          action.pullK > 0 ? " at " + printDegrees(action.pullK, units)
                                           : std::string());
    std::string out = fmt::format("{}\n{}{} inside, {}", what, then,
                                  printDegrees(action.peakK, units), crustOf(action.darker));
    if (!action.peakKept) {
        const recipe::Goal& goal = planned.recipe.goal;
        const bool over = action.peakK > goal.bandHighK;
        const double by = over ? action.peakK - goal.bandHighK : goal.bandLowK - action.peakK;
        out += fmt::format("; {} {} what was asked",
                           printDifference(KelvinDelta{by}, units.temperature()),
                           over ? "over" : "under");
    }
    return out;
}

std::string entryWords(const run::Entry& entry, const RunClock& clock, Units units) {
    const auto said = [&]() -> std::string {
        switch (entry.what) {
        case What::foodIn:
            return "in";
        case What::stageOn:
            return fmt::format("stage {} begins", std::lround(entry.value) + 1);
        case What::stageLeft:
            return "taken out";
        case What::reading:
            return printDegrees(entry.value, units) + " inside";
        case What::turned:
            return "turned";
        case What::opened:
            return entry.value > 0 ? fmt::format("opened for {}", minutesOf(entry.value))
                                   : "opened";
        case What::shut:
            return "shut";
        case What::moved:
            return "moved to " + entry.words;
        case What::setTo:
            return "set to " + entry.words;
        case What::coals:
            return entry.value == 0 ? std::string("fire fed")
                                    : fmt::format("{} coals {}", std::lround(std::abs(entry.value)),
                                                  entry.value > 0 ? "added" : "taken away");
        case What::basted:
            return "basted";
        case What::covered:
            return "covered";
        case What::uncovered:
            return "cover off";
        case What::paused:
            return "off the heat";
        case What::resumed:
            return "back on the heat";
        case What::pulled:
            return "pulled";
        case What::served:
            return "served";
        case What::saw: {
            const auto seen = run::seenOf(entry.words);
            return std::string("seen: ") + (seen ? seenWords(*seen) : entry.words.c_str());
        }
        case What::weighed:
            return fmt::format("{:.0f} g", 1000 * entry.value);
        case What::note:
            return entry.words;
        case What::lasts:
            return fmt::format("the last heat only {}", minutesOf(entry.value));
        case What::leftOut:
            return "the last heat is left out";
        case What::pullAt:
            return fmt::format("pull at {}", printDegrees(entry.value, units));
        case What::takenBack:
            return "one entry taken back";
        case What::probeOut:
            return entry.value > 0 ? "probe is in again" : "probe not believed";
        }
        return "";
    };
    return clock.at(entry.atS) + "  " + said();
}

} // namespace dynamet::words
