// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A case to be simulated, as JSON: read within its bounds or refused; never run here.
#include "formats/simulate_case.h"
#include "fuzz/must.h"

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    const auto read = dynamet::formats::readCase(std::string(textOf(data, size)));
    MUST(read.has_value() || !read.error().message.empty());
    return 0;
}
