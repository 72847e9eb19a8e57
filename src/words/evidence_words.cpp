// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/evidence_words.h"

#include "kitchen/dial.h"
#include "quantity/parse_duration.h"
#include "quantity/print.h"
#include "rating/inputs/protocols.h"
#include "words/say.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::words {
namespace {

using namespace dynamet::translate;

std::string writtenWords(const recipe::WrittenTime& time) {
    return time.lowS == time.highS ? printDuration(time.lowS)
                                   : printDuration(time.lowS) + " to " + printDuration(time.highS);
}

/// "27–45 min", or with both units spelt where they are long.
std::string span(double lowS, double highS) {
    const auto whole = [](double s) { return std::fmod(s, 60) < 0.5; };
    if (highS < 2 * 3600 && whole(lowS) && whole(highS))
        return fmt::format("{:.0f}–{:.0f} min", lowS / 60, highS / 60);
    return printDuration(lowS) + " to " + printDuration(highS);
}

std::string explained(const Explanation& one, const Prepared& prepared, Units units) {
    switch (one.what) {
    case Explanation::What::thickness:
        return "a thickness of " + printLength(one.value, units.inches);
    case Explanation::What::start:
        return "a start at " +
               printTemperature(Temperature::kelvin(one.value), units.temperature());
    case Explanation::What::heat:
        break;
    }
    const auto* on =
        findAppliance(prepared.request.kitchen, prepared.request.recipe.last().place.applianceId);
    return fmt::format("the {} at {}", on ? on->name : "appliance",
                       printTemperature(Temperature::kelvin(one.value), units.temperature()));
}

std::string listed(const std::vector<std::string>& parts) {
    std::string out;
    for (std::size_t i = 0; i < parts.size(); ++i)
        out += (i == 0 ? "" : i + 1 == parts.size() ? " or " : ", ") + parts[i];
    return out;
}

} // namespace

std::vector<std::string> ownTimeLines(const Prepared& prepared, Units units) {
    std::vector<std::string> out;
    if (!prepared.ownTime)
        return out;
    const OwnTime& own = *prepared.ownTime;
    const std::string written = writtenWords(own.written);
    if (own.unused) {
        out.push_back(fmt::format("The author's {} tell nothing here: {}.", written,
                                  text(*own.unused, units)));
        return out;
    }
    const std::string expected = fmt::format("{} expected there ({})", printDuration(own.forecastS),
                                             span(own.forecastLowS, own.forecastHighS));
    if (own.written.setAside) {
        out.push_back(fmt::format("The author's {} are set aside; {}.", written, expected));
        return out;
    }
    if (own.absorbed && std::abs(own.z) < evidence::kSaid) {
        out.push_back(fmt::format("The author's {} are used; {} without them.", written, expected));
        return out;
    }
    if (own.absorbed) {
        out.push_back(fmt::format("The author's {} are used, though they hardly fit: {}. Look at "
                                  "thickness, start and setting once more.",
                                  written, expected));
        return out;
    }
    out.push_back(
        fmt::format("The author's {} do not fit and are not used: {}.", written, expected));
    std::vector<std::string> parts;
    for (const Explanation& one : own.explanations)
        parts.push_back(explained(one, prepared, units));
    if (!parts.empty())
        out.push_back("One of these alone would explain it: " + listed(parts) +
                      ". Correct what is wrong, or set the time aside.");
    else
        out.push_back(
            "No thickness, heat or start alone would explain it. Correct what is wrong, or "
            "set the time aside.");
    return out;
}

std::string usedWords(const Row& row, const Prepared& prepared) {
    if (!row.window || !row.window->without || !row.window->latestS)
        return {};
    const Window& w = *row.window;
    const std::string without = span(row.window->without->lookS, row.window->without->latestS);
    if (without == span(w.earlyS, *w.latestS))
        return {}; // nothing that a clock would show
    const std::string widths =
        fmt::format("without {{}} {}, with {{}} {}", span(w.without->lookS, w.without->latestS),
                    span(w.earlyS, *w.latestS));
    const bool own = prepared.ownTime && prepared.ownTime->absorbed &&
                     !prepared.ownTime->written.setAside && !prepared.ownTime->unused;
    const auto& seen = w.belief.observations();
    const bool byRecipes = std::all_of(seen.begin(), seen.end(),
                                       [](const auto& one) { return one.id.starts_with("time:"); });
    if (!own)
        return (byRecipes ? "What other recipes of it took is used: "
                          : "What was cooked here is used: ") +
               fmt::format(fmt::runtime(widths), "it", "it") + ".";
    return fmt::format("Your {} there are used: {}.", writtenWords(prepared.ownTime->written),
                       fmt::format(fmt::runtime(widths), "them", "them"));
}

std::vector<std::string> narrowingLines(const std::vector<Narrowing>& narrowings,
                                        const kitchen::Kitchen& kitchen, Units units) {
    std::vector<std::string> out;
    for (const Narrowing& one : narrowings) {
        std::string what;
        switch (one.way) {
        case Narrowing::Way::ruler:
            what = "lay a ruler on the piece";
            break;
        case Narrowing::Way::calipers:
            what = "measure the piece with calipers";
            break;
        case Narrowing::Way::probeStart:
            what = "read its start with a probe";
            break;
        case Narrowing::Way::rate: {
            const auto* on = findAppliance(kitchen, one.applianceId);
            const auto* test = rating::findProtocol(one.protocol);
            what = fmt::format("rate {} at {} (“{}”)", on ? on->name : "it",
                               on ? settingLabel(on->controls, one.setting, units) : "",
                               test ? test->title : one.protocol);
            break;
        }
        case Narrowing::Way::logCook:
            what = "log this cook, for the next one";
            break;
        }
        const double narrower =
            one.narrowerS < 90 ? one.narrowerS : 60 * std::round(one.narrowerS / 60);
        out.push_back(fmt::format("{}: {}, {} narrower", what, span(one.lookS, one.latestS),
                                  printDuration(narrower)));
    }
    return out;
}

std::string nextTestWords(const NextTest& test, const kitchen::Kitchen& kitchen, Units units) {
    const auto* on = findAppliance(kitchen, test.applianceId);
    const auto* how = rating::findProtocol(test.protocol);
    return fmt::format("{} at {}: “{}”, windows {} narrower over {}", on ? on->name : "",
                       on ? settingLabel(on->controls, test.setting, units) : "",
                       how ? how->title : test.protocol,
                       printDuration(60 * std::round(test.narrowerS / 60)),
                       test.recipes == 1 ? "one recipe" : fmt::format("{} recipes", test.recipes));
}

std::string knownWords(const recipe::FoodPiece& piece) {
    const char* thickness = piece.thicknessBy == recipe::KnownBy::eye     ? "by eye"
                            : piece.thicknessBy == recipe::KnownBy::ruler ? "by ruler"
                                                                          : "by calipers";
    return fmt::format("thickness {}, start {}", thickness,
                       piece.startProbed ? "by probe" : "by hand");
}

} // namespace dynamet::words
