// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"
#include "quantity/units.h"

#include <string>

namespace dynamet::words {

/// The sentence of a finding in the reader's units; its bare text where nobody wrote one.
std::string say(const Finding& finding, Units units);
/// An error in the reader's units.
std::string text(const Error& error, Units units);
/// The pattern of a code, "{}" for each measure; nullptr when nobody wrote one.
const char* patternOf(const std::string& code);

} // namespace dynamet::words
