// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/translate.h"

namespace dynamet::words {

/// "slow, then hot": how a cook calls the method.
std::string methodWords(translate::Method method);
/// The ways of a target, a sentence each, nearest first; whether a second stage buys anything
/// leads. Empty where there is only one way.
std::vector<std::string> wayLines(const translate::Ways& ways, const translate::Prepared& prepared,
                                  Units units);

} // namespace dynamet::words
