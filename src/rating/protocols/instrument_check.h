// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/instrument.h"
#include "rating/uncertainty/reduction.h"

namespace dynamet::rating {

/// A thermometer held into ice and into boiling water, and perhaps moved from one to the air. SI.
struct InstrumentCheck {
    std::vector<double> iceK, boilK; ///< as read
    double pressurePa = 101325;
    std::optional<Series> step; ///< from the boil into air, for its speed
    double uIceK = 0.1, uBoilK = 0.2, uPressurePa = 150;
    double resolutionK = 0.1;
};

/// The calibration that a check is worth from a moment on; invalidArgument for another reduction.
Result<kitchen::Calibration> calibrationFrom(const Reduction& check, const std::string& id,
                                             std::int64_t validFromMs);
/// Offset at ice (K), gain (true per read), standard uncertainty of a corrected reading (K), the
/// offset at the boil, and with a step the response time in air (s). Refused: fewer than two
/// readings at a point, a gain off by more than a tenth.
Result<Reduction> reduceInstrumentCheck(const InstrumentCheck& test);

} // namespace dynamet::rating
