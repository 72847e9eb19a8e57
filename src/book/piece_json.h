// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cook/programme.h"

#include <string>

namespace dynamet::book {

/// What the recipe's own columns do not say of a piece, as JSON; unknown words are left as they are
/// by default when read.
std::string pieceJson(const cook::FoodPiece& piece);
void readPieceJson(const std::string& json, cook::FoodPiece& piece);

} // namespace dynamet::book
