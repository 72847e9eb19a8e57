// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/translate.h"

#include <nlohmann/json_fwd.hpp>

namespace dynamet::formats {

/// A translation as it is kept (definitions §5): text, piece, goal, reference, spread, site, every
/// row with its setting, its numeric fields (reduction ids beside them) and its result.
nlohmann::json snapshotJson(const translate::Prepared& prepared,
                            const std::vector<translate::Row>& rows);

} // namespace dynamet::formats
