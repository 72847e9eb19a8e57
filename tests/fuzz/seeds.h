// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "fuzz/must.h"

#include <string>
#include <vector>

namespace dynamet::fuzz {

/// Inputs from which a target begins: what its reader takes, so that changes of them come past its
/// first line. Each target says its own; they are written to the folder DYNAMET_FUZZ_SEEDS before
/// the run looks for inputs.
std::vector<std::string> seeds();

/// All lines of a file of the tests' own (path from tests/).
std::vector<std::string> linesOf(const std::string& path);
std::string fileOf(const std::string& path);

} // namespace dynamet::fuzz
