// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/card_words.h"

#include "words/sign_words.h"
#include "words/stage_words.h"

#include <algorithm>
#include <chrono>
#include <fmt/format.h>

namespace dynamet::words {
namespace {

using namespace dynamet::translate;

/// Where the heat of the row's place was measured, and when last.
std::string heatWords(const Row& row, const kitchen::Kitchen& kitchen) {
    const auto* on = findAppliance(kitchen, row.target.applianceId);
    const auto rated = kitchen.rated.find(row.target.applianceId);
    std::int64_t newest = 0;
    int numbers = 0;
    if (rated != kitchen.rated.end())
        for (const kitchen::RatedNumber& number : rated->second)
            if (number.zone == row.target.zone) {
                ++numbers;
                newest = std::max(newest, number.measuredMs);
            }
    const std::string name = on ? on->name : "This appliance";
    if (numbers == 0)
        return name + " is not rated: its heat is what is typical of its kind.";
    return fmt::format("{} was rated here, last on {}.", name, dayWords(newest));
}

} // namespace

std::string dayWords(std::int64_t unixMs) {
    const std::chrono::sys_days day{std::chrono::floor<std::chrono::days>(
        std::chrono::sys_time<std::chrono::milliseconds>{std::chrono::milliseconds{unixMs}})};
    const std::chrono::year_month_day date{day};
    return fmt::format("{}-{:02}-{:02}", static_cast<int>(date.year()),
                       static_cast<unsigned>(date.month()), static_cast<unsigned>(date.day()));
}

ConversionCard cardOf(const Row& row, const Prepared& prepared, const RowDetail* detail,
                      Units units) {
    const Request& request = prepared.request;
    ConversionCard out;
    out.recipe = request.recipe.name;
    out.source = referenceWords(request, units);
    out.piece = pieceWords(request, units);
    out.target = rowTitle(row, request.kitchen, units);
    out.pull = row.reached ? pullWords(row, units) : reasonWords(row, units);
    if (row.window)
        out.times = windowWords(*row.window);
    out.stages = rowStageLines(row, prepared, units);
    out.notes = detailLines(row, prepared, units);
    out.signs = signLines(row, prepared, units);
    if (detail)
        for (std::string& line : detailLines(*detail, prepared, units))
            out.notes.push_back(std::move(line));
    out.cautions = warningLines(row, prepared, units);
    if (row.reached)
        for (std::string& line : rowCautions(row, prepared))
            out.cautions.push_back(std::move(line));
    out.provenance.push_back(heatWords(row, request.kitchen));
    return out;
}

} // namespace dynamet::words
