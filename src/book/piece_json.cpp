// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/piece_json.h"

#include <nlohmann/json.hpp>

namespace dynamet::book {

using nlohmann::json;

std::string pieceJson(const cook::FoodPiece& piece) {
    return json{{"width_m", piece.widthM},
                {"bone", word(piece.bone)},
                {"fat_cap_m", piece.fatCapM},
                {"surface", word(piece.surface)},
                {"tempered_s", piece.temperedS},
                {"seasonings", piece.seasonings},
                {"fat", piece.fat},
                {"others_m", piece.othersM},
                {"rounds", piece.rounds}}
        .dump();
}

void readPieceJson(const std::string& text, cook::FoodPiece& piece) {
    const json from = json::parse(text, nullptr, false);
    if (!from.is_object())
        return;
    piece.widthM = from.value("width_m", piece.widthM);
    piece.bone = heat::boneOf(from.value("bone", "")).value_or(piece.bone);
    piece.fatCapM = from.value("fat_cap_m", piece.fatCapM);
    piece.surface = cook::surfaceOf(from.value("surface", "")).value_or(piece.surface);
    piece.temperedS = from.value("tempered_s", piece.temperedS);
    piece.seasonings = from.value("seasonings", piece.seasonings);
    piece.rounds = from.value("rounds", piece.rounds);
    piece.othersM = from.value("others_m", piece.othersM);
    piece.fat = from.value("fat", piece.fat);
}

} // namespace dynamet::book
