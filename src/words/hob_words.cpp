// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/hob_words.h"

#include "kitchen/rate_sheet.h"
#include "quantity/parse_duration.h"

#include <cmath>
#include <fmt/format.h>

namespace dynamet::words {

std::string hobLine(const kitchen::FieldNumber& power, const std::optional<double>& litreS,
                    const std::string& holds, double lastsS) {
    if (lastsS > 0)
        return fmt::format("{} for {}, then less · boils a litre in {}", powerWords(power),
                           printDuration(lastsS),
                           litreS ? printDuration(std::round(*litreS / 10) * 10) : "no time");
    const std::string litre =
        litreS ? "boils a litre in " + printDuration(std::round(*litreS / 10) * 10)
               : "boils no litre";
    return fmt::format("{} · {} · holds {}", powerWords(power), litre, holds);
}

} // namespace dynamet::words
