// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/row.h"

#include <stop_token>

namespace dynamet::translate {

struct Prepared;

/// Finished pieces wait for those of later rounds: where, and what it costs.
struct Waiting {
    std::optional<recipe::Place> place; ///< none: on a board, under foil
    double waitS = 0;
    double coreK = 0; ///< as the wait ends
    cook::Outcome outcome;
    std::vector<cook::Difference> differences; ///< beside a piece that is eaten at once
    double distance = 0;                       ///< in just noticed differences
};

/// The row's first pieces after a wait of `waitS`: under foil, in a place that holds 60 to 80 °C at
/// some setting, in another zone of the same fire; the best of them first, at most three. Empty
/// where nothing could be simulated.
std::vector<Waiting> waitingPlaces(const Prepared& prepared, const Row& row,
                                   const cook::Programme& programme, double waitS,
                                   std::stop_token stop = {});

} // namespace dynamet::translate
