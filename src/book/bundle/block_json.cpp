// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/bundle/block_json.h"

#include "book/bundle/base64.h"
#include "quantity/result.h"
#include "trace/packing.h"

#include <cmath>
#include <cstring>

namespace dynamet::book {
namespace {

using nlohmann::json;

[[noreturn]] void damaged(const std::string& why) {
    throw Error{Errc::corruptData, "a block of readings is damaged: " + why};
}

std::string bytesOf(const json& row, const char* column) {
    return fromBase64(row.at(column).at("base64").get<std::string>());
}

json wholes(const std::string& packed, std::size_t count) {
    const auto numbers = unpackIntegers(packed, count);
    if (!numbers)
        damaged(numbers.error().message);
    json out = json::array();
    for (const std::int64_t one : *numbers)
        out.push_back(one == kMissingReading ? json() : json(one));
    return out;
}

std::string packedWholes(const json& array) {
    std::vector<std::int64_t> numbers;
    for (const json& one : array) {
        if (!one.is_null() && !one.is_number_integer())
            damaged("a whole number is none");
        numbers.push_back(one.is_null() ? kMissingReading : one.get<std::int64_t>());
    }
    return packIntegers(numbers);
}

} // namespace

json openBlock(json row) {
    const auto count = static_cast<std::size_t>(
        std::max<std::int64_t>(0, row.at("reading_count").get<std::int64_t>()));
    row["times_ms"] = wholes(bytesOf(row, "times_ms"), count);
    const std::string readings = bytesOf(row, "readings");
    if (row.at("coding") == "delta_varint") {
        row["readings"] = wholes(readings, count);
        return row;
    }
    if (readings.size() != count * sizeof(double))
        damaged("it is cut off");
    json out = json::array();
    for (std::size_t i = 0; i < count; ++i) {
        double value = 0;
        std::memcpy(&value, readings.data() + i * sizeof(double), sizeof(double));
        out.push_back(std::isfinite(value) ? json(value) : json());
    }
    row["readings"] = std::move(out);
    return row;
}

json packedBlock(json row) {
    const auto array = [&](const char* name) -> const json& {
        const auto at = row.find(name);
        if (at == row.end() || !at->is_array() || !row.contains("reading_count") ||
            row["reading_count"] != at->size())
            damaged(std::string("\"") + name + "\" does not have as many as it says");
        return *at;
    };
    const std::string times = packedWholes(array("times_ms"));
    std::string readings;
    if (row.value("coding", "") == "delta_varint") {
        readings = packedWholes(array("readings"));
    } else {
        for (const json& one : array("readings")) {
            if (!one.is_null() && !one.is_number())
                damaged("a reading is no number");
            const double value = one.is_null() ? NAN : one.get<double>();
            readings.append(reinterpret_cast<const char*>(&value), sizeof(double));
        }
    }
    row["times_ms"] = json{{"base64", base64(times)}};
    row["readings"] = json{{"base64", base64(readings)}};
    return row;
}

} // namespace dynamet::book
