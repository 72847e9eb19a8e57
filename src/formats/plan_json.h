// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "plan/giving_up.h"
#include "words/plan_words.h"

namespace dynamet::formats {

/// A plan for other programs; docs/schemas/plan.schema.json.
std::string planJson(const plan::MenuProblem& menu, const plan::MenuPlan& plan,
                     const kitchen::Kitchen& kitchen, Units units);
/// Why there is none, and what may be given up; the same schema.
std::string noPlanJson(const plan::MenuProblem& menu, const plan::Conflict& conflict,
                       const std::vector<plan::Concession>& concessions,
                       const std::vector<std::string>& names, const kitchen::Kitchen& kitchen,
                       Units units);

} // namespace dynamet::formats
