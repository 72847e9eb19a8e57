// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What an opened row shows beside its numbers.
#include "cook/rounds.h"
#include "translate/cook_row.h"
#include "translate/room.h"
#include "translate/waiting.h"

#include <algorithm>

namespace dynamet::translate {

Result<cook::Outcome> fullOutcome(const Prepared& prepared, const Row& row, std::stop_token stop) {
    const auto programme = programmeOf(prepared.request, row);
    if (!programme)
        return tl::unexpected(programme.error());
    return cook::cookFor(prepared.request.recipe.piece,
                         cook::withFixedTurn(*programme, row.outcome), row.outcome.pullS,
                         effortOf(prepared, row), tablesAt(prepared, *programme, stop), true);
}

namespace {

/// Rounds after the first, with the plate as they go on.
void addRounds(const Prepared& prepared, const Row& row, cook::Programme programme, RowDetail& out,
               std::stop_token stop) {
    constexpr double kGapS = 60; // to take one batch off and lay the next on
    constexpr int kMostRounds = 20;
    const Request& request = prepared.request;
    out.room = roomAt(request.kitchen, request.recipe.piece, programme.last().written.place);
    const int count = std::max(request.recipe.piece.rounds, out.room ? out.room->rounds : 1);
    if (count < 2)
        return;
    if (count > kMostRounds) {
        out.roundless = Error{Errc::unsupported, "that many batches are not worked out"};
        return;
    }
    const double lastS = row.outcome.pullS - row.outcome.lastStartS;
    out.waiting = waitingPlaces(prepared, row, programme, (count - 1) * (lastS + kGapS), stop);
    if (prepared.byLikeness()) // each batch for the row's own time
        programme.last().written.end.afterS = lastS;
    auto rounds = cook::cookRounds(request.recipe.piece, programme, targetOf(request), count, kGapS,
                                   prepared.effort, tablesAt(prepared, programme, stop));
    if (!rounds)
        out.roundless = rounds.error();
    else
        out.rounds = std::move(*rounds);
}

void addCompanions(const Prepared& prepared, const Row& row, const cook::Programme& programme,
                   RowDetail& out, std::stop_token stop) {
    const Request& request = prepared.request;
    const cook::Tables tables = tablesAt(prepared, programme, stop);
    auto thicknesses = request.recipe.piece.othersM;
    std::sort(thicknesses.begin(), thicknesses.end());
    for (double thickness : thicknesses) {
        recipe::FoodPiece piece = request.recipe.piece;
        piece.thicknessM = thickness;
        auto cook = cookRow(prepared, piece, programme,
                            {row.outcome.pullS - row.outcome.lastStartS}, tables, prepared.effort);
        out.companions.push_back(
            {thickness, cook ? Result<cook::Outcome>(std::move(cook->outcome))
                             : Result<cook::Outcome>(tl::unexpected(cook.error()))});
    }
}

} // namespace

RowDetail detailOf(const Prepared& prepared, const Row& row, std::stop_token stop) {
    RowDetail out;
    const auto programme = programmeOf(prepared.request, row);
    if (!row.reached || !programme)
        return out;
    if (auto outcome = fullOutcome(prepared, row, stop))
        out.outcome = std::move(*outcome);
    addRounds(prepared, row, *programme, out, stop);
    addCompanions(prepared, row, *programme, out, stop);
    return out;
}

} // namespace dynamet::translate
