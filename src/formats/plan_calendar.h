// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "plan/plan_steps.h"
#include "words/plan_words.h"

namespace dynamet::formats {

/// A day of the calendar.
struct Day {
    int year = 2026, month = 1, day = 1;
};
/// "2026-12-01"; parse else.
Result<Day> parseDay(const std::string& text);

/// A plan as iCalendar (RFC 5545): an event a step, in the wall clock's own time ("floating"), with
/// an alarm where hands are wanted. `day` is that of the serving.
std::string planCalendar(const plan::MenuProblem& menu, const plan::MenuPlan& plan, const Day& day,
                         const kitchen::Kitchen& kitchen, Units units);

} // namespace dynamet::formats
