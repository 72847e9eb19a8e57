// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "plan/schedule.h"

namespace dynamet::plan {

/// Takes a few dishes out of a plan and puts each back where it costs least, again and again; a
/// dearer plan is gone on with less and less often. Ruin and recreate: Schrimpf, Schneider,
/// Stamm-Wilbrandt, Dueck, J. Comput. Phys. 159 (2000) 139; with the blinks of Christiaens and
/// Vanden Berghe, Transp. Sci. 54 (2020) 417. `out.plan` is where it begins and what it betters.
void recreate(const Problem& problem, const Effort& effort, Found& out, std::stop_token stop,
              const std::function<void(const Plan&)>& better);

} // namespace dynamet::plan
