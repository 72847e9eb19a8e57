// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/cook_row.h"

namespace dynamet::translate {

cook::CookTarget targetOf(const Request& request) {
    return {request.recipe.goal.coreK, request.recipe.goal.readAt};
}

cook::Tables tablesAt(const Prepared& prepared, const cook::Programme& programme,
                      const std::stop_token& stop) {
    return {prepared.tables.material,
            std::make_shared<heat::Vapour>(pressurePa(programme.last().site)), stop};
}

Result<RowCook> cookRow(const Prepared& prepared, const recipe::FoodPiece& piece,
                        const cook::Programme& programme, const CookIdea& idea,
                        const cook::Tables& tables, const cook::Effort& effort) {
    if (!prepared.byLikeness() || programme.endsByClock()) { // a time that is tried stands
        auto outcome =
            cook::cookProgramme(piece, programme, targetOf(prepared.request), effort, tables);
        if (!outcome)
            return tl::unexpected(outcome.error());
        return RowCook{std::move(*outcome), std::nullopt, 1};
    }
    const cook::Outcome& wanted = effort.cells <= kSketch.cells        ? prepared.sketch
                                  : effort.cells <= cook::kQuick.cells ? prepared.quick
                                                                       : prepared.outcome;
    auto like =
        cook::cookLike(piece, programme, {&wanted, prepared.judged, idea.enough, idea.slopes},
                       idea.guessS, effort, tables);
    if (!like)
        return tl::unexpected(like.error());
    return RowCook{std::move(like->outcome), std::move(like->likeness), like->solves};
}

} // namespace dynamet::translate
