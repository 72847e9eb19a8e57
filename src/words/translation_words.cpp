// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/translation_words.h"

#include "translate/holding.h"
#include "translate/school_effects.h"
#include "words/evidence_words.h"
#include "words/likeness_words.h"
#include "words/say.h"
#include "words/stage_words.h"
#include "words/tried_words.h"

#include "food/browning.h"
#include "food/safety.h"
#include "quantity/parse_duration.h"
#include "quantity/print.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <fmt/ranges.h>

namespace dynamet::words {

using namespace dynamet::translate;

std::string rowTitle(const Row& row, const kitchen::Kitchen& kitchen, Units units) {
    const auto* a = findAppliance(kitchen, row.target.applianceId);
    if (!a)
        return row.target.applianceId;
    std::string out = a->name;
    if (a->zones.size() > 1)
        out += " · " + row.target.zone;
    if (row.reached)
        out += " · " + settingLabel(a->controls, row.instruction.setting, units);
    return row.reached && row.instruction.lidOpen ? out + " · lid open" : out;
}

std::string pullAlone(const Row& row, Units units) {
    const std::string at = " at " + printDegrees(row.instruction.pullK, units);
    if (!row.instruction.byProbe)
        return row.likeness && !row.likeness->coreLeads() ? "by time and looks"
                                                          : "by time and colour: no probe fits";
    if (!row.watched)
        return "by the clock, core" + at;
    return row.lastByClock() ? fmt::format("leave stage {}{}", *row.watched + 1, at) : "pull" + at;
}

namespace {

/// ", turn at 12 min" where it is turned once in a cook of a single stage; ", roll often".
std::string turnWords(const Row& row, const std::string& between) {
    if (row.instruction.turning == cook::Turning::rolled)
        return between + "roll often";
    if (row.instruction.turning != cook::Turning::once || !std::isfinite(row.outcome.turnS) ||
        !row.outcome.stages.empty())
        return "";
    return between + "turn at " + printDuration(roundedDownTime(row.outcome.turnS));
}

} // namespace

std::string timeWords(const Row& row) {
    if (!row.watched)
        return "by the clock: " + printDuration(roundedDownTime(row.outcome.pullS)) + " in all";
    if (!row.window)
        return "window being computed";
    return windowWords(*row.window) + turnWords(row, "; ");
}

std::string pullWords(const Row& row, Units units) {
    return pullAlone(row, units) + turnWords(row, ", ");
}

namespace {

/// "1:05"
std::string clock(double seconds) {
    const long minutes = std::lround(seconds / 60);
    return fmt::format("{}:{:02}", minutes / 60, minutes % 60);
}

} // namespace

std::string windowWords(const Window& window) {
    const double last = window.latestS.value_or(window.expectS);
    if (window.lookS >= 300 && last < 3600 && window.latestS)
        return fmt::format("look {:.0f}, expect {:.0f}, latest {:.0f} min", window.lookS / 60,
                           window.expectS / 60, *window.latestS / 60);
    if (window.lookS >= 300 && window.latestS) // hours and minutes, the unit once
        return fmt::format("look {}, expect {}, latest {} h", clock(window.lookS),
                           clock(window.expectS), clock(*window.latestS));
    std::string out = fmt::format("look {}, expect {}", printDuration(window.lookS),
                                  printDuration(window.expectS));
    if (window.latestS)
        return out + ", latest " + printDuration(*window.latestS);
    return out + fmt::format("; {:.0f} % chance that it never gets there", 100 * window.neverShare);
}

std::string crustWords(const Row& row, const cook::Outcome& reference) {
    if (row.crustDistance < kSameCrust)
        return "same crust";
    return row.outcome.darker() < reference.darker() ? "paler" : "darker";
}

std::vector<std::string> detailLines(const Row& row, const Prepared& prepared, Units units) {
    std::vector<std::string> out;
    if (!row.reached) {
        out.push_back("Not reached: " + text(row.reason, units));
        return out;
    }
    if (row.tried.any())
        out.push_back(triedWords(row, prepared, units));
    if (row.likeness)
        out.push_back(decidesWords(row.likeness->says) + " " + likenessWords(*row.likeness));
    if (!row.instruction.byProbe && translate::probeFits(prepared.request.recipe.piece))
        out.push_back("No probe tells: the middle stands at about " +
                      printDegrees(row.outcome.peakK, units) + " by then. Go by time and looks.");
    else if (!row.instruction.byProbe)
        out.push_back("It is too thin for a probe: go by time and colour. The middle comes to "
                      "about " +
                      printDegrees(row.outcome.peakK, units) + ".");
    else if (row.lastByClock())
        out.push_back((row.outcome.stages.empty() ? "It goes by the clock; the core comes to "
                                                  : "The last stage goes by the clock; the core "
                                                    "comes to ") +
                      printDegrees(row.outcome.peakK, units) + ".");
    else
        out.push_back("Take it out when the probe reads " +
                      printDegrees(row.instruction.pullK, units) + ". It rises to " +
                      printDegrees(row.outcome.peakK, units) + " while it rests.");
    if (row.window) {
        out.push_back("Time from food in: " + windowWords(*row.window) + ".");
        if (const std::string used = usedWords(row, prepared); !used.empty())
            out.push_back(used);
        std::string causes;
        for (std::size_t i = 0; i < std::min<std::size_t>(3, row.window->causes.size()); ++i)
            causes += fmt::format("{}{} {:.0f} %", i ? ", " : "", row.window->causes[i].name,
                                  100 * row.window->causes[i].share);
        if (!causes.empty())
            out.push_back("Why the window is so wide: " + causes + ".");
        if (const auto narrower =
                narrowingLines(narrowingsOf(prepared, row), prepared.request.kitchen, units);
            !narrower.empty())
            out.push_back("What would narrow it: " + narrower.front() + ".");
    }
    std::string looks = fmt::format("Crust {} (recipe: {})", food::crustWord(row.outcome.darker()),
                                    food::crustWord(prepared.outcome.darker()));
    if (prepared.request.recipe.piece.food.losesJuice)
        looks += fmt::format(", grey rim {} (recipe: {})", printThin(row.outcome.rimM, units),
                             printThin(prepared.outcome.rimM, units));
    out.push_back(looks + ".");
    if (row.rule)
        out.push_back("By the " + ruleWords(row, prepared.request.kitchen, units) +
                      (row.rule->peakK
                           ? ", the core would come to " + printDegrees(*row.rule->peakK, units)
                           : "") +
                      ".");
    return out;
}

namespace {

/// "0.7 to 1.6, 3 % charred", of the darker face.
std::string unevennessOf(const cook::Outcome& o) {
    constexpr double kToldChar = 0.01;
    const std::size_t face = o.darkerFace();
    const double mean = o.browning[face], spread = o.crustSpread[face];
    std::string out = fmt::format("{} to {}", printFixed(std::max(0.0, mean - spread), 1),
                                  printFixed(mean + spread, 1));
    if (o.charred[face] > kToldChar)
        out += fmt::format(", {} % charred", printFixed(100 * o.charred[face], 0));
    return out;
}

std::string crispWords(const cook::Outcome& o) {
    constexpr double kSoft = 0.15, kALittle = 0.45, kColoured = 0.3;
    const double crisp = o.crisp();
    // What is dry but has no colour is leathery, not crisp.
    const bool little = crisp < kALittle || o.darker() < kColoured;
    const char* word = crisp < kSoft ? "soft" : little ? "a little" : "crisp";
    return fmt::format("{} ({})", word, printFixed(crisp, 2));
}

/// What ridges or bars left, of the face with most of them.
std::optional<std::string> markWords(const cook::Outcome& o) {
    const std::size_t face = o.markedShare[1] > o.markedShare[0] ? 1 : 0;
    if (o.markedShare[face] <= 0)
        return std::nullopt;
    return fmt::format("{} % of a face, {} ({})", printFixed(100 * o.markedShare[face], 0),
                       food::crustWord(o.markIndex[face]), printFixed(o.markIndex[face], 1));
}

} // namespace

std::vector<std::pair<std::string, std::string>> outcomeFacts(const Prepared& prepared,
                                                              Units units) {
    const cook::Outcome& o = prepared.outcome;
    const recipe::Goal& goal = prepared.request.recipe.goal;
    const food::Food& food = prepared.request.recipe.piece.food;
    std::vector<std::pair<std::string, std::string>> out{
        {"Core peak", printDegrees(o.peakK, units)},
        {"Pulled at", printDegrees(o.pullK, units)},
        {"Time there", printDuration(o.pullS)},
        {"Crust", fmt::format("{} ({})", food::crustWord(o.darker()), printFixed(o.darker(), 1))},
        {"Over the face", unevennessOf(o)},
        {"Crisp", crispWords(o)},
        {"Weight lost", (o.juiceU > 0 ? "" : "about ") +
                            printPlusMinus(o.weightLossShare * 100,
                                           2 * o.juiceU * 100 * food.composition.water, "%")},
        {"Danger time", printDuration(o.dangerS)}};
    if (const auto marks = markWords(o))
        out.emplace_back("Marks", *marks);
    if (food.losesJuice) {
        out.emplace_back("Grey rim", printThin(o.rimM, units));
        out.emplace_back(
            "Within the band",
            fmt::format("{} % of the cut",
                        printFixed(100 * evennessOf(o.section, goal.bandLowK, goal.bandHighK), 0)));
    }
    if (food.softening)
        out.emplace_back("Tenderness",
                         fmt::format("{} % softened", printFixed(100 * o.softened, 0)));
    if (food.rendering)
        out.emplace_back("Fat", fmt::format("{} % melted out", printFixed(100 * o.rendered, 0)));
    return out;
}

std::string reasonWords(const Row& row, Units units) {
    const char* verdict = !row.held    ? "not for this food: "
                          : !row.known ? "not known: "
                                       : "not reached: ";
    return verdict + text(row.reason, units);
}

std::vector<std::string> warningLines(const Row& row, const Prepared& prepared, Units units) {
    std::vector<std::string> out;
    const auto& piece = prepared.request.recipe.piece;
    for (const Finding& warning : row.warnings)
        out.push_back(warning.code == "below_minimum"
                          ? safetyWords(food::judgeSafety(piece.food, piece.form, row.outcome.peakK,
                                                          row.outcome.kills),
                                        units)
                          : say(warning, units));
    if (row.windowless)
        out.push_back(text(*row.windowless, units));
    return out;
}

std::string ruleWords(const Row& row, const kitchen::Kitchen& kitchen, Units units) {
    const auto* a = findAppliance(kitchen, row.target.applianceId);
    if (!a || !row.rule)
        return "";
    return fmt::format("rule of thumb: {}, {}", settingLabel(a->controls, row.rule->setting, units),
                       row.rule->timeFactor == 1  ? "the recipe's time"
                       : row.rule->timeFactor < 1 ? "a fifth less time"
                                                  : "a quarter more time");
}

namespace {

/// A limit is printed to the tenth: the official ones are whole °F.
std::string limitWords(double kelvin, Units units) {
    const Temperature t = Temperature::kelvin(kelvin);
    return units.fahrenheit ? fmt::format("{} °F", printFixed(t.fahrenheit(), 0))
                            : fmt::format("{} °C", printFixed(t.celsius(), 1));
}

/// Whether time has done what the minimum asks by temperature, organism by organism.
std::string byTimeWords(const food::SafetyVerdict& verdict, Units units) {
    std::string out;
    for (const auto& by : verdict.byTime)
        out += by.holdS == 0 ? fmt::format("; by time this cook gives {:.1f} log reductions of {}",
                                           by.logs, by.organism)
                             : fmt::format("; about {} at {} would give the same reduction of {}",
                                           printDuration(by.holdS),
                                           limitWords(verdict.peakK, units), by.organism);
    return out;
}

} // namespace

std::string safetyWords(const food::SafetyVerdict& verdict, Units units) {
    if (!verdict.minimum)
        return "no official minimum for this food; wash and cook as local codes say";
    const std::string rest = verdict.minimum->holdS > 0
                                 ? fmt::format(" + {} rest", printDuration(verdict.minimum->holdS))
                                 : "";
    const std::string limit = limitWords(verdict.minimum->kelvin, units) + rest;
    if (!verdict.below)
        return fmt::format("reaches the official {} ({}, {}); local codes decide", limit,
                           verdict.foodClass, food::enumName(verdict.form));
    std::string out =
        fmt::format("{} is below the official {} for {}, {}", limitWords(verdict.peakK, units),
                    limit, verdict.foodClass, food::enumName(verdict.form));
    out += byTimeWords(verdict, units);
    if (verdict.form != food::Form::intact)
        out += "; the inside of such a piece can carry bacteria";
    return out + ". Local codes or a licensed authority decide";
}

std::string safetyLine(const Prepared& prepared, Units units) {
    const auto& piece = prepared.request.recipe.piece;
    const auto verdict =
        food::judgeSafety(piece.food, piece.form, prepared.outcome.peakK, prepared.outcome.kills);
    return (verdict.below ? "! " : "") + safetyWords(verdict, units);
}

std::string referenceWords(const Request& request, Units units) {
    return fmt::format("{}", fmt::join(writtenStageLines(request, units), "\n"));
}

std::string pieceWords(const Request& request, Units units) {
    const recipe::FoodPiece& piece = request.recipe.piece;
    return fmt::format("{}, {}{}; {}", piece.food.name, printLength(piece.thicknessM, units.inches),
                       piece.food.losesJuice ? std::string(", ") + enumName(piece.form) : "",
                       request.recipe.endsByClock() ? "as far as its time takes it"
                                                    : request.recipe.goal.words);
}

std::string readWords(const Prepared& prepared) {
    const std::string decides = decidesWords(prepared.says);
    return fmt::format("core, {} ({}){}", food::phraseOf(prepared.request.recipe.goal.readAt),
                       prepared.request.recipe.goal.words, decides.empty() ? "" : ". " + decides);
}

std::string bookWords(const Prepared& prepared) {
    return fmt::format("House methods: {}.", schoolWords(prepared.request.schools));
}

CutWords cutWords(const cook::Outcome& o, const food::Food& food, Units units) {
    const char *first = food::crustWord(o.browning[0]), *second = food::crustWord(o.browning[1]);
    const std::string crust =
        std::string(first) == second ? first : fmt::format("{} and {}", first, second);
    return {fmt::format("core {}", printDegrees(o.peakK, units)), crust,
            food.losesJuice
                ? fmt::format("grey rim {} ({} % grey)", printThin(o.rimM, units),
                              printFixed(o.rimShare * 100, 0))
                : fmt::format("about {} % lighter", printFixed(o.weightLossShare * 100, 0))};
}

} // namespace dynamet::words
