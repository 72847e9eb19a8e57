// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/uncertainty/reduction.h"
#include "translate/row.h"

#include <nlohmann/json_fwd.hpp>

namespace dynamet::formats {

/// A reduction as `dynamet-cli rate --json` prints it (docs/schemas/rate.schema.json).
nlohmann::json reductionJson(const rating::Reduction& reduction);
/// The outcome of a cook, SI and °C.
nlohmann::json outcomeJson(const cook::Outcome& outcome);
/// A row of a translation (docs/schemas/translate.schema.json).
nlohmann::json rowJson(const translate::Row& row, const kitchen::Kitchen& kitchen);
/// The heat field a row was computed with, number by number.
nlohmann::json fieldJson(const kitchen::HeatField& field);
/// {"error": {code, text, line?}}.
nlohmann::json errorJson(const Error& error);

} // namespace dynamet::formats
