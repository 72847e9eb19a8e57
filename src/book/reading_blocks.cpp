// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/reading_blocks.h"

#include "trace/packing.h"

#include <cmath>
#include <cstring>
#include <limits>

namespace dynamet::book {
namespace {

constexpr std::size_t kBlock = 3600;

std::string asBytes(std::span<const double> values) {
    std::string out(values.size() * sizeof(double), '\0');
    std::memcpy(out.data(), values.data(), out.size());
    return out;
}

} // namespace

void writeReadings(SQLite::Database& db, std::int64_t channelId, const RecordedChannel& channel,
                   double scale) {
    SQLite::Statement s(db,
                        "INSERT INTO reading_block(channel_id, position, reading_count, coding, "
                        "times_ms, readings) VALUES (?,?,?,?,?,?)");
    std::vector<std::int64_t> times, readings;
    for (std::size_t from = 0, position = 0; from < channel.timeS.size();
         from += kBlock, ++position) {
        const std::size_t count = std::min(kBlock, channel.timeS.size() - from);
        const std::span<const double> values(channel.asRecorded.data() + from, count);
        times.clear();
        for (std::size_t i = 0; i < count; ++i)
            times.push_back(std::llround(channel.timeS[from + i] * 1000));
        const bool packed = channel.resolution > 0 && onGrid(values, scale, 0, readings);
        const std::string timeBytes = packIntegers(times);
        const std::string readingBytes = packed ? packIntegers(readings) : asBytes(values);
        s.bind(1, channelId);
        s.bind(2, static_cast<int>(position));
        s.bind(3, static_cast<int>(count));
        s.bind(4, packed ? "delta_varint" : "float64");
        s.bind(5, timeBytes.data(), static_cast<int>(timeBytes.size()));
        s.bind(6, readingBytes.data(), static_cast<int>(readingBytes.size()));
        s.exec();
        s.reset();
    }
}

void readReadings(SQLite::Database& db, std::int64_t channelId, double scale,
                  RecordedChannel& out) {
    SQLite::Statement s(
        db, "SELECT reading_count,coding,times_ms,readings FROM reading_block WHERE channel_id=? "
            "ORDER BY position");
    s.bind(1, channelId);
    const auto need = [](auto result) {
        if (!result)
            throw SQLite::Exception(result.error().message, 11 /* SQLITE_CORRUPT */);
        return std::move(*result);
    };
    while (s.executeStep()) {
        const auto count = static_cast<std::size_t>(s.getColumn(0).getInt());
        const auto blob = [&s](int at) {
            const auto c = s.getColumn(at);
            return std::string_view(static_cast<const char*>(c.getBlob()),
                                    static_cast<std::size_t>(c.getBytes()));
        };
        for (std::int64_t ms : need(unpackIntegers(blob(2), count)))
            out.timeS.push_back(static_cast<double>(ms) / 1000);
        if (s.getColumn(1).getString() == "float64") {
            std::vector<double> values(count);
            std::memcpy(values.data(), blob(3).data(),
                        std::min(blob(3).size(), count * sizeof(double)));
            out.asRecorded.insert(out.asRecorded.end(), values.begin(), values.end());
            continue;
        }
        for (std::int64_t steps : need(unpackIntegers(blob(3), count)))
            out.asRecorded.push_back(steps == kMissingReading
                                         ? std::numeric_limits<double>::quiet_NaN()
                                         : static_cast<double>(steps) * scale);
    }
}

} // namespace dynamet::book
