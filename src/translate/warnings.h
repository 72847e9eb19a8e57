// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/translate.h"

namespace dynamet::translate {

/// What a cook must be told of a reached row, gravest first.
std::vector<Finding> warningsFor(const Prepared& prepared, const Row& row,
                                 const cook::Programme& programme);

} // namespace dynamet::translate
