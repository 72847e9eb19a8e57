// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "heat/piece_solver.h"

#include <string>
#include <vector>

namespace dynamet::formats {

/// One stage of a case: boundaries of the appliance's faces for a time, then perhaps a turn.
struct CaseStage {
    double durationS = 0;
    heat::FaceBoundary top, bottom;
    std::optional<heat::FaceBoundary> side; ///< without it a section's side sees what its top sees
    bool turnAfter = false;
};

/// A case of `dynamet-cli simulate` (docs/formats.md), in kelvin.
struct SimulateCase {
    heat::Piece piece;
    heat::Material material{heat::ConstantProperties{}};
    std::vector<CaseStage> stages;
    double reportEveryS = 30;
    double pressurePa = 101325;
    bool boiling = true;
};

/// Temperatures through the case, °C, at 0, every step and the end.
struct SimulateResult {
    std::vector<double> timeS, coreC, topC, bottomC, sideC, meanC;
};

/// Reads a case. parse: broken JSON; invalidArgument: an unknown key, a missing or impossible value
/// (wrong use).
Result<SimulateCase> readCase(const std::string& json);
Result<SimulateResult> runCase(const SimulateCase& input);
std::string resultJson(const SimulateResult& result);

} // namespace dynamet::formats
