// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <optional>
#include <string>
#include <vector>

namespace dynamet::food {

/// What is seen, heard or felt, with the temperatures it goes with, K. Wide, and from cook to cook;
/// common practice, no source (data/signs.json).
struct Sign {
    enum class At { core, face, fat } at = At::core;
    std::vector<std::string> foodClasses; ///< "*" = all
    std::string says;
    double lowK = 0, highK = 0;
};

/// The shipped signs, in their order; read once.
const std::vector<Sign>& shippedSigns();

/// Of a class of food at a temperature, those whose middle is nearest to it, at most `most`; only
/// those that hold it.
std::vector<Sign> signsAt(const std::string& foodClass, Sign::At at, double kelvin,
                          std::size_t most);

} // namespace dynamet::food
