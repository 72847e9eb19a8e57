// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/inputs/protocols.h"
#include "rating/uncertainty/reduction.h"

#include <map>

namespace dynamet::rating {

/// A test as the book and the command line hold it: protocol, channels by role ("water", "air",
/// "block", "plate"), keyed readings by role ("probe", "dial"), named values in SI
/// (docs/formats.md).
struct TestInput {
    std::string protocol;
    std::map<std::string, Series> channels;           ///< K
    std::map<std::string, std::vector<double>> keyed; ///< K, s or counts
    std::map<std::string, double> values;             ///< in the unit of each name
    std::map<std::string, std::string> choices = {};  ///< by name, a word of its descriptor
    bool lid = true;
    bool forcedFlow = false;
};

/// Runs the protocol. notFound for an unknown protocol, invalidArgument for a missing role or an
/// unknown value, else whatever the protocol refuses.
Result<Reduction> reduce(const TestInput& test);

} // namespace dynamet::rating
