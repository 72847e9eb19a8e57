// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/window_parts.h"

namespace dynamet::translate {

/// An observation of a cook's time that was taken as linear about the nominal inputs, made anew
/// about what is then believed, until that moves by less than a twentieth of its standard
/// deviation, four times at most. Where the time is straight in the inputs (as it nearly always is:
/// a power of the thickness) it comes back as it was, at the cost of two quick cooks.
evidence::Observation linearAgain(evidence::Observation seen, const evidence::Belief& before,
                                  const Timer& timer);

} // namespace dynamet::translate
