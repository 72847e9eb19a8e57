// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/compare_words.h"

#include "quantity/parse_duration.h"
#include "quantity/print.h"
#include "words/amount.h"
#include "words/stage_words.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <functional>

namespace dynamet::words {
namespace {

constexpr const char* kUnknown = "–";

std::string apartK(double kelvin, Units units) {
    return units.fahrenheit ? fmt::format("{:.0f} °F", 1.8 * kelvin)
                            : fmt::format("{:.0f} K", kelvin);
}

std::string letter(std::size_t at) {
    return std::string(1, static_cast<char>('A' + at));
}

/// Numbers of all cooks, one a cook; NaN = not known.
using Numbers = std::vector<double>;
Numbers numbersOf(const std::vector<ComparedCook>& cooks,
                  const std::function<double(const ComparedCook&)>& read) {
    Numbers out;
    for (const ComparedCook& one : cooks)
        out.push_back(read(one));
    return out;
}
bool differ(const Numbers& all, double by) {
    double low = INFINITY, high = -INFINITY;
    for (const double one : all)
        if (std::isfinite(one)) {
            low = std::min(low, one);
            high = std::max(high, one);
        }
    return high - low > by;
}

double orNan(const std::optional<double>& value) {
    return value.value_or(NAN);
}

double pulledAfter(const ComparedCook& cook) {
    const auto stands = run::standingOf(cook.entries);
    return stands.pulled ? stands.pulledS - stands.foodInS : NAN;
}

double coreAtPull(const ComparedCook& cook) {
    return orNan(cook.judged.coreK ? cook.judged.coreK
                                   : run::coreAtPull(cook.entries, cook.readings));
}

double lossOf(const ComparedCook& cook) {
    const auto& judged = cook.judged;
    return judged.rawKg && judged.servedKg && *judged.rawKg > 0
               ? 1 - *judged.servedKg / *judged.rawKg
               : NAN;
}

} // namespace

std::vector<ComparedRow> comparedRows(const std::vector<ComparedCook>& cooks,
                                      const kitchen::Kitchen& kitchen, Units units) {
    std::vector<ComparedRow> out;
    const auto texts = [&](const char* says, bool confounder,
                           const std::function<std::string(const ComparedCook&)>& read) {
        ComparedRow row{says, {}, confounder};
        bool apart = false;
        for (const ComparedCook& one : cooks) {
            row.values.push_back(read(one));
            apart = apart || row.values.back() != row.values.front();
        }
        if (apart)
            out.push_back(std::move(row));
    };
    const auto numbers = [&](const char* says, bool confounder, double by,
                             const std::function<double(const ComparedCook&)>& read,
                             const std::function<std::string(double)>& print) {
        const Numbers all = numbersOf(cooks, read);
        if (!differ(all, by))
            return;
        ComparedRow row{says, {}, confounder};
        for (const double one : all)
            row.values.push_back(std::isfinite(one) ? print(one) : kUnknown);
        out.push_back(std::move(row));
    };
    const auto heat = [&](double k) { return printDegrees(k, units); };
    const auto time = [](double s) { return printDuration(s); };
    const auto percent = [](double share) { return fmt::format("{:.0f} %", 100 * share); };
    const auto length = [&](double m) { return printLength(m, units.inches); };
    const auto piece = [](const ComparedCook& one) -> const recipe::FoodPiece& {
        return one.planned.recipe.piece;
    };
    numbers(
        "began at", true, 1.5, [&](const auto& one) { return piece(one).startK; }, heat);
    numbers(
        "thickness", true, 0.0015, [&](const auto& one) { return piece(one).thicknessM; }, length);
    texts("face", true, [&](const auto& one) { return std::string(enumName(piece(one).surface)); });
    texts("food", true, [&](const auto& one) { return piece(one).food.name; });
    texts("cook", true, [&](const auto& one) { return one.person; });
    texts("where", false, [&](const auto& one) {
        return placeWords(kitchen, one.planned.recipe.last().place, units);
    });
    numbers(
        "heats", false, 0.5,
        [](const auto& one) { return static_cast<double>(one.planned.recipe.stages.size()); },
        [](double n) { return fmt::format("{:.0f}", n); });
    numbers("took", false, 60, pulledAfter, time);
    numbers("pulled at", false, 1, coreAtPull, heat);
    numbers(
        "hottest inside", false, 1,
        [](const auto& one) { return orNan(one.judged.peakK ? one.judged.peakK : one.peakK); },
        heat);
    numbers(
        "grey rim", false, 0.001, [](const auto& one) { return orNan(one.judged.rimM); }, length);
    numbers("weight lost", false, 0.015, lossOf, percent);
    std::stable_sort(out.begin(), out.end(), [](const ComparedRow& a, const ComparedRow& b) {
        return a.confounder && !b.confounder;
    });
    return out;
}

std::vector<std::string> confounderLines(const std::vector<ComparedCook>& cooks, Units units) {
    std::vector<std::string> out;
    if (cooks.size() < 2)
        return out;
    for (std::size_t i = 1; i < cooks.size(); ++i) {
        const recipe::FoodPiece& a = cooks.front().planned.recipe.piece;
        const recipe::FoodPiece& b = cooks[i].planned.recipe.piece;
        const double colder = a.startK - b.startK;
        if (std::abs(colder) > 1.5)
            out.push_back(fmt::format("{} started {} {} than A.", letter(i),
                                      apartK(std::abs(colder), units),
                                      colder > 0 ? "colder" : "warmer"));
        const double thicker = b.thicknessM - a.thicknessM;
        if (std::abs(thicker) > 0.0015)
            out.push_back(fmt::format("{} is {} {} than A.", letter(i),
                                      printLength(std::abs(thicker), units.inches),
                                      thicker > 0 ? "thicker" : "thinner"));
        if (a.surface != b.surface)
            out.push_back(fmt::format("{} was {}, A {}.", letter(i), enumName(b.surface),
                                      enumName(a.surface)));
        if (a.food.id != b.food.id)
            out.push_back(fmt::format("{} is another food.", letter(i)));
    }
    return out;
}

ScoreDots dotsOf(const std::vector<ComparedCook>& cooks) {
    ScoreDots out;
    const auto at = [](std::vector<std::string>& all, const std::string& name) {
        const auto index =
            static_cast<std::size_t>(std::find(all.begin(), all.end(), name) - all.begin());
        if (index == all.size())
            all.push_back(name);
        return index;
    };
    for (std::size_t c = 0; c < cooks.size(); ++c)
        for (const run::Score& one : cooks[c].judged.scores)
            out.dots.push_back(
                {c, at(out.qualities, one.quality), at(out.tasters, one.taster), one.points});
    return out;
}

Sheet compareSheet(const std::string& title, const std::vector<ComparedCook>& cooks,
                   const kitchen::Kitchen& kitchen, Units units) {
    Sheet out;
    out.title = title;
    for (const std::string& line : confounderLines(cooks, units))
        out.lead.push_back("! " + line + " It may be the reason.");
    out.headers = {""};
    for (std::size_t i = 0; i < cooks.size(); ++i)
        out.headers.push_back(letter(i) + "  " + cooks[i].name);
    for (const ComparedRow& row : comparedRows(cooks, kitchen, units)) {
        std::vector<std::string> cells{(row.confounder ? "! " : "") + row.says};
        cells.insert(cells.end(), row.values.begin(), row.values.end());
        out.rows.push_back(std::move(cells));
    }
    std::vector<std::string> qualities;
    for (const ComparedCook& cook : cooks)
        for (const run::ScoreSum& sum : sumsOf(cook.judged.scores))
            if (std::find(qualities.begin(), qualities.end(), sum.quality) == qualities.end())
                qualities.push_back(sum.quality);
    for (const std::string& quality : qualities) {
        std::vector<std::string> cells{quality};
        for (const ComparedCook& cook : cooks) {
            std::string text = kUnknown;
            for (const run::ScoreSum& sum : sumsOf(cook.judged.scores))
                if (sum.quality == quality)
                    text = sum.tasters > 1 ? fmt::format("{:.1f} ± {:.1f}", sum.mean, sum.spread)
                                           : fmt::format("{:.0f}", sum.mean);
            cells.push_back(std::move(text));
        }
        out.rows.push_back(std::move(cells));
    }
    for (std::size_t i = 0; i < cooks.size(); ++i) {
        const run::Judged& judged = cooks[i].judged;
        if (!judged.verdict.empty())
            out.notes.push_back(
                fmt::format("{}: {}{}", letter(i), judged.verdict,
                            judged.reason.empty() ? "" : " Because: " + judged.reason));
        if (!judged.nextTime.empty())
            out.notes.push_back(fmt::format("{}, next time: {}", letter(i), judged.nextTime));
    }
    out.notes.push_back("Scores are 1 to 9, mean ± spread of the tasters.");
    return out;
}

std::vector<std::string> scoreLines(const run::Judged& judged) {
    std::vector<std::string> out;
    for (const run::ScoreSum& one : sumsOf(judged.scores))
        out.push_back(one.tasters > 1
                          ? fmt::format("{} {:.1f} ± {:.1f} ({} tasters)", one.quality, one.mean,
                                        one.spread, one.tasters)
                          : fmt::format("{} {:.0f} (one taster)", one.quality, one.mean));
    return out;
}

} // namespace dynamet::words
