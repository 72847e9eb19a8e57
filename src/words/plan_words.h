// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "plan/giving_up.h"
#include "plan/plan_steps.h"
#include "words/sheets.h"

namespace dynamet::words {

/// The name of a dish of a menu: its recipe's.
std::string dishName(const plan::MenuProblem& menu, std::size_t dish);
/// "Put the Caraway pork loin in: Deck oven, 225 °C, middle", as a cook reads it.
std::string planStepWords(const plan::MenuProblem& menu, const plan::Plan& plan,
                          const plan::PlanStep& step, const kitchen::Kitchen& kitchen, Units units);
/// "as rated" or "usual for its kind": where a heating up's time comes from.
std::string heatSource(const plan::HeatUp& heats);
/// "92 of 100 such evenings serve every dish within its tolerance; the least sure is …".
std::string chanceWords(const plan::MenuProblem& menu, const plan::MenuPlan& plan);
/// Dishes that are long between cold and hot holding, or below an official minimum, each a line.
std::vector<std::string> clockLines(const plan::MenuProblem& menu, const plan::MenuPlan& plan,
                                    Units units);
/// Pans that dishes have one after another, each a line.
std::vector<std::string> panLines(const plan::MenuProblem& menu, const plan::MenuPlan& plan,
                                  const kitchen::Kitchen& kitchen);
/// "Both need the Deck oven: Pork loin at 225 °C, Celeriac at 180 °C." or what else stands in the
/// way.
std::string conflictWords(const plan::Menu& menu, const plan::Conflict& conflict,
                          const std::vector<std::string>& names, const kitchen::Kitchen& kitchen,
                          Units units);
/// What a button offers: "Celeriac 12 min later".
std::string concessionWords(const plan::Concession& concession,
                            const std::vector<std::string>& names, const kitchen::Kitchen& kitchen);
/// The plan to hang on the wall: when, who, what.
Sheet planSheet(const plan::MenuProblem& menu, const plan::MenuPlan& plan,
                const kitchen::Kitchen& kitchen, Units units);
/// Why a dish of the menu cannot be made here, in a line.
std::string impossibleWords(const plan::DishWays& dish, const std::string& name);

} // namespace dynamet::words
