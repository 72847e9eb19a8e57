// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/sheets.h"

#include "kitchen/dial.h"
#include "quantity/parse_duration.h"
#include "quantity/print.h"
#include "words/card_words.h"
#include "words/evidence_words.h"
#include "words/say.h"
#include "words/translation_words.h"

#include <algorithm>
#include <fmt/format.h>

namespace dynamet::words {
namespace {

using namespace dynamet::translate;

std::string cautionsOf(const Row& row, const Prepared& prepared, Units units) {
    std::string out;
    for (const std::string& line : warningLines(row, prepared, units))
        out += (out.empty() ? "" : "; ") + line;
    return out;
}

std::string cellWords(const kitchen::SheetCell& cell, Units units) {
    std::string out;
    if (cell.power)
        out = kitchen::powerWords(*cell.power);
    if (cell.shown)
        out += (out.empty() ? "" : ", ") + printTemperature(Temperature::kelvin(cell.shown->kelvin),
                                                            units.temperature(),
                                                            kitchen::halfWidthK(*cell.shown));
    if (out.empty())
        return cell.why ? text(*cell.why, units) : "not known";
    if (cell.measuredMs > 0)
        return out + ", " + dayWords(cell.measuredMs);
    const auto from = cell.power ? cell.power->provenance : cell.shown->provenance;
    return out + (from == kitchen::Provenance::interpolated ? " (between tests)" : " (assumed)");
}

} // namespace

Sheet fleetSheet(const Prepared& prepared, const std::vector<Row>& rows, Units units) {
    const Request& request = prepared.request;
    Sheet out;
    out.title = request.recipe.name;
    out.lead.push_back("Written for: " + referenceWords(request, units));
    out.lead.push_back(pieceWords(request, units) + "; " + knownWords(request.recipe.piece));
    for (std::string& line : ownTimeLines(prepared, units))
        out.lead.push_back(std::move(line));
    out.headers = {"Appliance and setting", "Pull at", "Look from", "Expect",
                   "At the latest",         "Crust",   "Mind",      "Heat"};
    for (const Row& row : rows) {
        const std::string title = rowTitle(row, request.kitchen, units);
        if (!row.reached) {
            out.rows.push_back({title, reasonWords(row, units), "", "", "", "", "", ""});
            continue;
        }
        const auto time = [](double s) { return printDuration(s); };
        const bool assumed =
            std::any_of(row.warnings.begin(), row.warnings.end(),
                        [](const Finding& f) { return f.code == "assumed_field"; });
        out.rows.push_back(
            {title, row.instruction.byProbe ? pullAlone(row, units) : "by time and looks",
             row.window ? time(row.window->lookS) : "not known",
             time(row.window ? row.window->expectS : row.outcome.pullS),
             row.window && row.window->latestS ? time(*row.window->latestS) : "not known",
             crustWords(row, prepared.outcome), cautionsOf(row, prepared, units),
             assumed ? "assumed" : "rated"});
    }
    out.notes.push_back(
        "The pull temperature leads; times are from food in, to look, to expect, and "
        "at the latest (95 % of cooks between the first and the last).");
    out.notes.push_back("Official minimums and local codes decide what is safe to serve.");
    return out;
}

Sheet ratingsSheet(const kitchen::Kitchen& kitchen, Units units) {
    constexpr double kTwoSided = 1.959963985;
    Sheet out;
    out.title = "Ratings";
    out.headers = {"Appliance",   "Setting", "Place", "Vessel",     "Quantity", "Value (SI)",
                   "± 95 % (SI)", "As read", "Day",   "Comes from", "Result"};
    for (const kitchen::Appliance& appliance : kitchen.appliances) {
        const auto rated = kitchen.rated.find(appliance.id);
        if (rated == kitchen.rated.end())
            continue;
        for (const kitchen::RatedNumber& one : rated->second) {
            const auto* vessel = findVessel(kitchen, one.vesselId);
            const double half = kTwoSided * one.number.u;
            const bool degrees = kitchen::isTemperature(one.number.key.term);
            out.rows.push_back(
                {appliance.name, settingLabel(appliance.controls, one.setting, units), one.zone,
                 vessel ? vessel->name : "", keyName(one.number.key),
                 fmt::format("{:.6g}", one.number.value), fmt::format("{:.3g}", half),
                 degrees ? printTemperature(Temperature::kelvin(one.number.value),
                                            units.temperature(), half)
                         : std::string(),
                 dayWords(one.measuredMs), "measured", one.number.reductionId});
        }
    }
    out.notes.push_back("± holds 95 of 100, and what may have drifted since that day.");
    return out;
}

Sheet wallSheet(const kitchen::Kitchen& kitchen, const kitchen::Appliance& appliance, Units units) {
    kitchen::SheetWith with;
    with.reader = units;
    const kitchen::RateSheet sheet = rateSheet(kitchen, appliance, with);
    Sheet out;
    out.title = appliance.name;
    if (const auto* site = findSite(kitchen, appliance.siteId))
        out.lead.push_back(std::string(kindName(appliance.kind)) + ", " + site->name);
    out.headers = {"Set to"};
    for (const std::string& zone : sheet.zones)
        out.headers.push_back(zone);
    for (std::size_t i = 0; i < sheet.settings.size(); ++i) {
        std::vector<std::string> row{sheet.labels[i]};
        for (const kitchen::SheetCell& cell : sheet.cells[i])
            row.push_back(cellWords(cell, units));
        out.rows.push_back(std::move(row));
    }
    out.notes.push_back("What it really gives there, ± at 95 %, and the day it was measured; "
                        "“between tests” is worked out from them, “assumed” is usual of its kind.");
    return out;
}

} // namespace dynamet::words
