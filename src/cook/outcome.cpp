// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cook/outcome.h"

#include "food/browning.h"

#include <algorithm>

namespace dynamet::cook {

double Outcome::crisp() const {
    constexpr double kHalfCrispM = 0.5e-3;
    const double dryM = dryLayerM[darkerFace()];
    return dryM / (dryM + kHalfCrispM);
}

double crustDistance(const Outcome& a, const Outcome& b) {
    return std::max(food::crustDistance(a.darker(), b.darker()),
                    food::crustDistance(a.paler(), b.paler()));
}

double evennessOf(const Section& section, double lowK, double highK) {
    double inside = 0;
    for (std::size_t x = 0; x < section.acrossM.size(); ++x)
        for (std::size_t y = 0; y < section.upM.size(); ++y)
            if (section.at(x, y) >= lowK && section.at(x, y) <= highK)
                inside += section.upShare[y] * section.acrossShare[x];
    return inside;
}

} // namespace dynamet::cook
