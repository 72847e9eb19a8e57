// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "trace/packing.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet {

std::string packIntegers(std::span<const std::int64_t> values) {
    std::string out;
    std::int64_t before = 0;
    for (std::int64_t value : values) {
        // The sign for a missing reading is so far off that differences run over, both ways.
        const auto delta = static_cast<std::int64_t>(static_cast<std::uint64_t>(value) -
                                                     static_cast<std::uint64_t>(before));
        before = value;
        auto coded =
            (static_cast<std::uint64_t>(delta) << 1) ^ static_cast<std::uint64_t>(delta >> 63);
        while (coded >= 0x80) {
            out += static_cast<char>((coded & 0x7f) | 0x80);
            coded >>= 7;
        }
        out += static_cast<char>(coded);
    }
    return out;
}

Result<std::vector<std::int64_t>> unpackIntegers(std::string_view packed, std::size_t count) {
    std::vector<std::int64_t> out;
    out.reserve(std::min(count, packed.size())); // a number takes a byte at least
    std::uint64_t coded = 0;
    int shift = 0;
    std::uint64_t value = 0; // damaged differences may run over
    for (char c : packed) {
        const auto byte = static_cast<unsigned char>(c);
        if (shift > 63)
            return fail(Errc::corruptData, "a block of readings is damaged");
        coded |= static_cast<std::uint64_t>(byte & 0x7f) << shift;
        shift += 7;
        if (byte & 0x80)
            continue;
        const auto half = static_cast<std::int64_t>(coded >> 1);
        value += static_cast<std::uint64_t>((coded & 1) ? ~half : half);
        out.push_back(static_cast<std::int64_t>(value));
        coded = 0;
        shift = 0;
    }
    if (shift != 0 || out.size() != count)
        return fail(Errc::corruptData,
                    fmt::format("a block of readings holds {} of {} numbers", out.size(), count));
    return out;
}

bool onGrid(std::span<const double> values, double scale, double offset,
            std::vector<std::int64_t>& out) {
    out.clear();
    for (double value : values) {
        if (!std::isfinite(value)) {
            out.push_back(kMissingReading);
            continue;
        }
        const double steps = (value - offset) / scale;
        if (std::abs(steps - std::round(steps)) > 1e-6 || std::abs(steps) > 1e15)
            return false;
        out.push_back(std::llround(steps));
    }
    return true;
}

} // namespace dynamet
