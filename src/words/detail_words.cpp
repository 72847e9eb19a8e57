// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "quantity/parse_duration.h"
#include "quantity/print.h"
#include "words/likeness_words.h"
#include "words/say.h"
#include "words/stage_words.h"
#include "words/translation_words.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::words {

using namespace dynamet::translate;

namespace {

std::string pullAndTime(const cook::Outcome& outcome, Units units) {
    return "pull at " + printDegrees(printedPull(outcome.pullK, units.fahrenheit), units) +
           ", about " + printDuration(roundedDownTime(outcome.pullS)) + ".";
}

std::string areaWords(double m2, bool inches) {
    constexpr double kInch = 0.0254;
    return inches ? printFixed(m2 / (kInch * kInch), 0) + " in²" : printFixed(1e4 * m2, 0) + " cm²";
}

/// How many of its pieces go together, round by round.
std::string roomWords(const Room& room, const recipe::FoodPiece& piece, Units units) {
    std::string out = fmt::format("{} of {} pieces at once on {}", room.together, piece.pieces,
                                  areaWords(room.areaM2, units.inches));
    if (room.rounds > 1)
        out += fmt::format(": {} batches, the last of {}", room.rounds,
                           piece.pieces - (room.rounds - 1) * room.fits);
    return out + fmt::format("; they cover {} % of it.", printFixed(100 * room.covered, 0));
}

std::string waitingWords(const Waiting& wait, const RowDetail& detail, const Prepared& prepared,
                         Units units) {
    constexpr double kMinute = 60, kSofter = 0.1;
    std::string differs = differenceWords(wait.differences);
    if (const auto than = differs.find(" than the recipe"); than != std::string::npos)
        differs.erase(than);
    if (detail.outcome && detail.outcome->crisp() - wait.outcome.crisp() > kSofter)
        differs += fmt::format("{}less crisp ({} for {})", differs.empty() ? "" : ", ",
                               printFixed(wait.outcome.crisp(), 2),
                               printFixed(detail.outcome->crisp(), 2));
    return fmt::format("{} wait {} for the last, {}: their core is then at {}; {}.",
                       detail.room ? fmt::format("The first {}", detail.room->together)
                                   : "The first ones",
                       printDuration(std::round(wait.waitS / kMinute) * kMinute),
                       wait.place ? "in " + placeWords(prepared.request.kitchen, *wait.place, units)
                                  : "on a board under foil",
                       printDegrees(wait.coreK, units),
                       differs.empty() ? "else nothing that is noticed has changed"
                                       : "beside one eaten at once " + differs);
}

/// In which order pieces of several thicknesses go on, so that all are done together.
std::optional<std::string> orderWords(const RowDetail& detail, const Prepared& prepared,
                                      Units units) {
    constexpr double kTold = 30;
    if (!detail.outcome)
        return std::nullopt;
    std::vector<std::pair<double, double>> all{
        {detail.outcome->pullS, prepared.request.recipe.piece.thicknessM}};
    for (const RowDetail::Companion& other : detail.companions) {
        if (!other.outcome)
            return std::nullopt;
        all.emplace_back(other.outcome->pullS, other.thicknessM);
    }
    std::sort(all.rbegin(), all.rend());
    if (all.size() < 2 || all.front().first - all.back().first < kTold)
        return std::nullopt;
    std::string out = "To be done together: ";
    for (const auto& [pullS, thickness] : all) {
        const double after = all.front().first - pullS;
        out += fmt::format("{}{} {}", after > 0 ? ", " : "", printLength(thickness, units.inches),
                           after > 0 ? "after " + printDuration(roundedDownTime(after))
                                     : std::string("first"));
    }
    return out + ".";
}

} // namespace

std::vector<std::string> detailLines(const RowDetail& detail, const Prepared& prepared,
                                     Units units) {
    std::vector<std::string> out;
    if (detail.room)
        out.push_back(roomWords(*detail.room, prepared.request.recipe.piece, units));
    if (detail.roundless)
        out.push_back("Rounds: " + text(*detail.roundless, units) + ".");
    for (std::size_t i = 1; i < detail.rounds.size(); ++i) {
        const cook::Round& round = detail.rounds[i];
        std::string line = fmt::format("Round {}: ", i + 1);
        if (std::isfinite(round.plateStartK))
            line +=
                "the plate is at " + printDegrees(round.plateStartK, units) + " as it goes on; ";
        out.push_back(line + pullAndTime(round.outcome, units));
    }
    for (const Waiting& wait : detail.waiting)
        out.push_back(waitingWords(wait, detail, prepared, units));
    for (const RowDetail::Companion& other : detail.companions)
        out.push_back("The piece of " + printLength(other.thicknessM, units.inches) + ": " +
                      (other.outcome ? pullAndTime(*other.outcome, units)
                                     : text(other.outcome.error(), units) + "."));
    if (const auto order = orderWords(detail, prepared, units))
        out.push_back(*order);
    return out;
}

} // namespace dynamet::words
