// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recipe/handling.h"

#include "quantity/enum_words.h"

#include <array>

namespace dynamet::recipe {
namespace {

constexpr std::array<const char*, 4> kCovers{"none", "lid", "dome", "foil"};
constexpr std::array<const char*, 7> kTurns{"as_usual", "never", "after",  "at_core",
                                            "half",     "every", "leaving"};
constexpr std::array<const char*, 13> kMoves{
    "set_to", "to_zone", "quarter_turn", "shake",     "press",     "baste",    "off_heat",
    "cover",  "uncover", "open_lid",     "close_lid", "open_door", "turn_over"};

} // namespace

const char* enumName(Cover cover) {
    return kCovers[static_cast<std::size_t>(cover)];
}
std::optional<Cover> coverOf(const std::string& word) {
    return enumOf<Cover>(kCovers, word);
}

const char* enumName(TurnWhen when) {
    return kTurns[static_cast<std::size_t>(when)];
}
std::optional<TurnWhen> turnWhenOf(const std::string& word) {
    return enumOf<TurnWhen>(kTurns, word);
}

const char* enumName(Move move) {
    return kMoves[static_cast<std::size_t>(move)];
}
std::optional<Move> moveOf(const std::string& word) {
    return enumOf<Move>(kMoves, word);
}

} // namespace dynamet::recipe
