// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Blocks of readings: any bytes are refused or read, what was packed comes back, logs with anything
// in them are screened and searched.
#include "fuzz/seeds.h"
#include "trace/packing.h"
#include "trace/pyramid.h"
#include "trace/screen.h"
#include "trace/settled.h"

#include <cstring>
#include <tuple>

using namespace dynamet;

std::vector<std::string> fuzz::seeds() {
    std::vector<std::int64_t> ramp, wild{0, -1, INT64_MAX, INT64_MIN, 7};
    for (std::int64_t i = 0; i < 40; ++i)
        ramp.push_back(1000 + 25 * i);
    const std::vector<double> values{293.15, 294, 300, 320, 360, 420, 430, 431, 431, 431, 431, 430};
    std::string raw(values.size() * 8, 0);
    std::memcpy(raw.data(), values.data(), raw.size());
    return {packIntegers(ramp), packIntegers(wild), raw, std::string(80, '\x50') + "\x40\x41"};
}

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    if (size < 8)
        return 0;
    const std::string_view bytes = textOf(data, size);
    std::ignore = unpackIntegers(bytes, size);
    std::ignore = unpackIntegers(bytes, size / 2);
    std::vector<std::int64_t> whole(size / 8);
    std::memcpy(whole.data(), data, whole.size() * 8);
    const auto back = unpackIntegers(packIntegers(whole), whole.size());
    MUST(back.has_value() && *back == whole);
    Series log;
    std::vector<double> values(size / 8);
    std::memcpy(values.data(), data, values.size() * 8);
    for (std::size_t i = 0; i < values.size(); ++i) {
        log.timeS.push_back(static_cast<double>(i) * 5);
        log.value.push_back(values[i]);
    }
    if (log.empty())
        return 0;
    const Screened screened = screenReadings(log);
    MUST(screened.series.size() == log.size());
    Series warm;
    for (std::size_t i = 0; i < size; ++i) {
        warm.timeS.push_back(static_cast<double>(i) * 5);
        warm.value.push_back(290 + data[i]);
    }
    screenReadings(warm);
    findFall(warm);
    findDip(warm, 2);
    if (const auto settled = findSettled(warm, {}))
        MUST(settled->fromS <= settled->atS && settled->atS <= warm.timeS.back());
    return 0;
}
