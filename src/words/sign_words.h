// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/translate.h"

namespace dynamet::words {

/// What tells without a probe when a row is done, each with the temperatures it goes with: "juice
/// runs clear at the thickest place (68 to 80 °C)". What is seen first leads; empty for a row that
/// is not reached.
std::vector<std::string> signLines(const translate::Row& row, const translate::Prepared& prepared,
                                   Units units);
/// The same of a piece that is left at a core on an appliance, its darker face of an index.
std::vector<std::string> signsOf(const food::Food& food, double darker, double pullK,
                                 const kitchen::Appliance* on, Units units);

} // namespace dynamet::words
