// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/request.h"

namespace dynamet::translate {

/// What a book's schools change in a request before anything is computed: rest open or tented,
/// pepper on the food or not. The others act in `programmeFor`, or are named only.
Request withSchools(Request request);
/// Turning where two faces meet different heat.
cook::Turning turningOf(const food::ChosenSchools& schools);
/// How much better a pressed or oiled face touches a plate than the typical one (docs/physics.md).
double contactFactor(const food::ChosenSchools& schools);
/// "turn once, rest open, salt right before, …": always named in results.
std::string schoolWords(const food::ChosenSchools& schools);

} // namespace dynamet::translate
