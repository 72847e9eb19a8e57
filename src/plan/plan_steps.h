// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "plan/menu_plan.h"

namespace dynamet::plan {

enum class StepKind { heat, hands, rest, waitWarm };

/// One thing of a plan, in the order of the day; minutes of the wall clock of the serving's day
/// (negative: the day before).
struct PlanStep {
    StepKind kind = StepKind::hands;
    int atMin = 0, untilMin = 0;
    std::size_t dish = 0;
    int cook = 0;
    Task task = Task::putIn;     ///< of hands
    std::size_t stage = 0;       ///< of hands
    int place = -1, setting = 0; ///< of what is heated
    HeatUp heats;                ///< of what is heated
};

/// All of it: heating up, hands, rests, waits; by time.
std::vector<PlanStep> stepsOf(const MenuProblem& menu, const Plan& plan);

} // namespace dynamet::plan
