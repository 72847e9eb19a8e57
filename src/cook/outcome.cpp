// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cook/outcome.h"

#include "food/browning.h"

#include <algorithm>

namespace dynamet::cook {

double crustDistance(const Outcome& a, const Outcome& b) {
    return std::max(food::crustDistance(a.darker(), b.darker()),
                    food::crustDistance(a.paler(), b.paler()));
}

} // namespace dynamet::cook
