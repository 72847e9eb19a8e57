// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/translate.h"

namespace dynamet::translate {

/// The setting of a target whose outcome is most like the reference: a coarse grid over everything
/// that can be set, then smaller steps along its numeric controls down to the dial's own step. A
/// row without window or warnings.
Row findBestSetting(const Prepared& prepared, const Target& target, std::stop_token stop);

} // namespace dynamet::translate
