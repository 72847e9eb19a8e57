// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/print.h"
#include "rating/report/doubts.h"

namespace dynamet::words {

/// What was found, in plain sentences.
std::string foundWords(const rating::Reduction& reduction, Units units);
/// The question that a doubt asks.
std::string doubtWords(const rating::Doubt& doubt, const kitchen::Appliance& appliance,
                       const kitchen::Setting& setting, Units units);
/// The numbers as a cook reads them: name and "value ± (95 %) unit".
std::vector<std::pair<std::string, std::string>> numberLines(const rating::Reduction& reduction,
                                                             TemperatureUnit unit);
/// Why the rate sheet shows another number than the test found: it merges air and walls as food
/// feels them, and with what else is known. Empty when the two agree within a degree.
std::string sheetWords(const rating::Reduction& reduction, const kitchen::Representative& sheet,
                       TemperatureUnit unit);
/// "Zone", "Power": what a cook calls a quantity of the book.
std::string quantityWords(const std::string& name);
/// A quantity's value as the number a chart shows, and its unit: points and differences in the
/// cook's unit, kilowatts and minutes where they read better.
double shownNumber(const std::string& name, const std::string& unit, double value,
                   TemperatureUnit temperature);
std::string shownUnit(const std::string& name, const std::string& unit,
                      TemperatureUnit temperature);
/// Shares of the variance, largest first, what is left over as "other".
std::vector<std::pair<std::string, double>>
varianceShares(const std::vector<rating::Contribution>& contributions, std::size_t most);

} // namespace dynamet::words
