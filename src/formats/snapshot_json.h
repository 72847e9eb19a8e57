// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/translate.h"

#include <nlohmann/json_fwd.hpp>
#include <optional>

namespace dynamet::formats {

/// A translation as it is kept (definitions §5): text, piece, goal, reference, spread, site, every
/// row with its setting, its numeric fields (reduction ids beside them) and its result.
nlohmann::json snapshotJson(const translate::Prepared& prepared,
                            const std::vector<translate::Row>& rows);

/// What a kept translation says of one place: enough to lay it beside today's.
struct KeptRow {
    std::string appliance, zone, setting;
    bool reached = false;
    double pullK = 0;
    std::optional<double> expectS; ///< of its window
};
/// The rows of a kept snapshot; corruptData when it is none.
Result<std::vector<KeptRow>> keptRows(const std::string& snapshot);

} // namespace dynamet::formats
