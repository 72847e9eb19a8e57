// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <vector>

namespace dynamet::food {

/// How fast one organism dies in foods of some classes: log reductions = ∫ 10^((T − Tref)/z) dt /
/// D, nothing below `fromK`. SI; from data/organisms.json, each with its source.
struct Organism {
    std::string id, name;
    std::vector<std::string> foodClasses;
    double dSeconds = 0, atK = 0, zK = 0, fromK = 0;
    double targetLogs = 0; ///< what its source asks for
    std::string source;
};

/// The shipped organisms, in their order; read once.
const std::vector<Organism>& shippedOrganisms();
/// Those that count in a class of food, as indices into the shipped list.
std::vector<std::size_t> organismsOf(const std::string& foodClass);

/// Log reductions per second at a temperature.
double killRate(const Organism& organism, double kelvin);
/// Seconds at one temperature for so many log reductions; infinite where nothing is counted.
double holdTimeS(const Organism& organism, double kelvin, double logs);

} // namespace dynamet::food
