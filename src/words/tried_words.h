// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/translate.h"

namespace dynamet::words {

/// "Tried by hand: 180 °C, out after 40 min, never turned, pan lid on."; empty where nothing is.
std::string triedWords(const translate::Row& row, const translate::Prepared& prepared, Units units);

/// "never turned", "turned every 1 min"…
std::string turningWords(const recipe::Turning& turning, Units units);

/// "Pan lid on", "Lid shut", "Under foil"; empty where nothing can lie over the food.
std::string coverWords(translate::CoverThere cover);

} // namespace dynamet::words
