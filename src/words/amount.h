// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/finding.h"
#include "quantity/units.h"

namespace dynamet::words {

/// A result with its ±: points and differences in the reader's degrees, large numbers in kilo.
std::string amountWords(const Estimate& estimate, Units units);

} // namespace dynamet::words
