// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "recipe/handling.h"

#include <array>

namespace dynamet::recipe {

/// How a move is written; of those with the same move the first one is how it is said back.
struct Spelling {
    const char* words;
    Move move;
    Cover cover = Cover::none;
};
inline constexpr std::array<Spelling, 29> kSpellings{{{"quarter turn", Move::quarterTurn},
                                                      {"turn crosswise", Move::quarterTurn},
                                                      {"shake", Move::shake},
                                                      {"roll", Move::shake},
                                                      {"toss", Move::shake},
                                                      {"press", Move::press},
                                                      {"baste", Move::baste},
                                                      {"spoon over", Move::baste},
                                                      {"off the heat", Move::offHeat},
                                                      {"off heat", Move::offHeat},
                                                      {"lid on", Move::cover, Cover::lid},
                                                      {"cover", Move::cover, Cover::lid},
                                                      {"dome on", Move::cover, Cover::dome},
                                                      {"foil on", Move::cover, Cover::foil},
                                                      {"lid off", Move::uncover},
                                                      {"dome off", Move::uncover},
                                                      {"foil off", Move::uncover},
                                                      {"uncover", Move::uncover},
                                                      {"open the lid", Move::openLid},
                                                      {"lid up", Move::openLid},
                                                      {"close the lid", Move::closeLid},
                                                      {"lid down", Move::closeLid},
                                                      {"open the door", Move::openDoor},
                                                      {"door open", Move::openDoor},
                                                      {"heat off", Move::setTo},
                                                      {"burner off", Move::setTo},
                                                      {"turn it off", Move::setTo},
                                                      {"switch off", Move::setTo},
                                                      {"turn", Move::turnOver}}};

} // namespace dynamet::recipe
