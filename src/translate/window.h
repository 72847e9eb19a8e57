// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cook/likeness.h"
#include "translate/effects.h"
#include "translate/row.h"

#include <optional>
#include <stop_token>

namespace dynamet::translate {

/// Below this sd of ln(time) the window comes from sensitivities, above it from sampling.
inline constexpr double kSensitivityLimit = 0.15;

/// The recipe's own cook with one input off to either side: what a goal that its time gave becomes.
struct ShiftedReference {
    Input input;
    cook::Outcome up, down;
};
struct Shifted {
    std::vector<ShiftedReference> byInput;
    std::vector<evidence::Block> blocks;
    std::string way; ///< of heating, where it was written
};

struct WindowInput {
    const recipe::FoodPiece* piece;
    const cook::Programme* programme; ///< with its turns fixed
    double pullK = 0;                 ///< as printed
    /// Top of the doneness band of the peak; none where the pull does not decide the peak.
    std::optional<double> bandHighK;
    FoodSpread spread;
    cook::Tables tables;
    std::uint64_t seed = 1;
    int samples = 256; ///< 0 = by sensitivities alone
    /// Where time and looks lead: the time at which the cook is most like this one, sought from
    /// `guessS` of the last stage on.
    std::optional<cook::LikeGoal> like = std::nullopt;
    double guessS = 0;
    cook::Effort effort = cook::kFull; ///< of the time that is expected
    CookNames names = {};
    const evidence::Belief* belief = nullptr; ///< none = nothing was seen
    const Shifted* reference = nullptr;       ///< where time and looks lead
};

/// The time at which the core first reaches the printed pull temperature, over all inputs drawn
/// jointly (definitions §5). `solves` counts cooks.
Result<Window> windowOf(const WindowInput& input, long& solves, std::stop_token stop = {});

} // namespace dynamet::translate
