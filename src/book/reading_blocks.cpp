// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/reading_blocks.h"

#include "book/table_row.h"
#include "trace/packing.h"

#include <cmath>
#include <cstring>
#include <limits>

namespace dynamet::book {
namespace {

constexpr std::size_t kBlock = 3600;
constexpr std::int64_t kMostInBlock = 1 << 20; ///< of other writers too

SQLite::Exception damagedBlock(const std::string& why) {
    return SQLite::Exception("a block of readings is damaged: " + why, 11 /* SQLITE_CORRUPT */);
}

std::string asBytes(std::span<const double> values) {
    std::string out(values.size() * sizeof(double), '\0');
    std::memcpy(out.data(), values.data(), out.size());
    return out;
}

} // namespace

namespace {

void writeFrom(SQLite::Database& db, std::int64_t channelId, const RecordedChannel& channel,
               double scale, std::int64_t position) {
    std::vector<std::int64_t> times, readings;
    for (std::size_t from = 0; from < channel.timeS.size(); from += kBlock, ++position) {
        const std::size_t count = std::min(kBlock, channel.timeS.size() - from);
        const std::span<const double> values(channel.asRecorded.data() + from, count);
        times.clear();
        for (std::size_t i = 0; i < count; ++i)
            times.push_back(std::llround(channel.timeS[from + i] * 1000));
        const bool packed = channel.resolution > 0 && onGrid(values, scale, 0, readings);
        const std::string timeBytes = packIntegers(times);
        const std::string readingBytes = packed ? packIntegers(readings) : asBytes(values);
        insertRow(db, "reading_block",
                  {{"channel_id", channelId},
                   {"position", position},
                   {"reading_count", static_cast<std::int64_t>(count)},
                   {"coding", std::string(packed ? "delta_varint" : "float64")},
                   {"times_ms", Bytes{timeBytes}},
                   {"readings", Bytes{readingBytes}}});
    }
}

} // namespace

void writeReadings(SQLite::Database& db, std::int64_t channelId, const RecordedChannel& channel,
                   double scale) {
    writeFrom(db, channelId, channel, scale, 0);
}

void appendReadings(SQLite::Database& db, std::int64_t channelId, const RecordedChannel& later,
                    double scale) {
    SQLite::Statement next(
        db, "SELECT coalesce(max(position) + 1, 0) FROM reading_block WHERE channel_id=?");
    next.bind(1, channelId);
    next.executeStep();
    writeFrom(db, channelId, later, scale, next.getColumn(0).getInt64());
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
        const std::int64_t stated = s.getColumn(0).getInt64();
        if (stated < 0 || stated > kMostInBlock)
            throw damagedBlock("its count cannot be");
        const auto count = static_cast<std::size_t>(stated);
        const auto blob = [&s](int at) {
            const auto c = s.getColumn(at);
            return std::string_view(static_cast<const char*>(c.getBlob()),
                                    static_cast<std::size_t>(c.getBytes()));
        };
        for (std::int64_t ms : need(unpackIntegers(blob(2), count)))
            out.timeS.push_back(static_cast<double>(ms) / 1000);
        const std::string coding = s.getColumn(1).getString();
        if (coding == "float64") {
            if (blob(3).size() != count * sizeof(double))
                throw damagedBlock("it was cut off");
            std::vector<double> values(count);
            std::memcpy(values.data(), blob(3).data(), blob(3).size());
            out.asRecorded.insert(out.asRecorded.end(), values.begin(), values.end());
            continue;
        }
        if (coding != "delta_varint")
            throw damagedBlock("its coding \"" + coding + "\" is not known");
        for (std::int64_t steps : need(unpackIntegers(blob(3), count)))
            out.asRecorded.push_back(steps == kMissingReading
                                         ? std::numeric_limits<double>::quiet_NaN()
                                         : static_cast<double>(steps) * scale);
    }
}

} // namespace dynamet::book
