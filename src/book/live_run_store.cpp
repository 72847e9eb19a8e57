// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/live_run_store.h"

#include "book/keyed_rows.h"
#include "book/reading_blocks.h"
#include "book/table_row.h"

#include <algorithm>
#include <cstring>

namespace dynamet::book {
namespace {

using SQLite::Database;
using SQLite::Statement;

constexpr std::size_t kReadingBytes = sizeof(std::uint32_t) + 2 * sizeof(double);
/// So many moments wait before they become a block.
constexpr int kMostWaiting = 300;

std::string packed(const std::vector<LiveReading>& readings) {
    std::string out;
    out.reserve(readings.size() * kReadingBytes);
    const auto put = [&](const auto& value) {
        char bytes[sizeof value];
        std::memcpy(bytes, &value, sizeof value);
        out.append(bytes, sizeof value);
    };
    for (const LiveReading& r : readings) {
        put(r.channel);
        put(r.timeS);
        put(r.value);
    }
    return out;
}

/// A batch that was cut off counts as far as it is whole.
std::vector<LiveReading> unpacked(std::string_view bytes) {
    std::vector<LiveReading> out;
    for (; bytes.size() >= kReadingBytes; bytes.remove_prefix(kReadingBytes)) {
        LiveReading r;
        const char* at = bytes.data();
        std::memcpy(&r.channel, at, sizeof r.channel);
        std::memcpy(&r.timeS, at + sizeof r.channel, sizeof r.timeS);
        std::memcpy(&r.value, at + sizeof r.channel + sizeof r.timeS, sizeof r.value);
        out.push_back(r);
    }
    return out;
}

std::vector<LiveReading> waiting(Database& db, const std::string& testId) {
    Statement s(db, "SELECT readings FROM live_batch WHERE test_id=? ORDER BY position");
    s.bind(1, testId);
    std::vector<LiveReading> out;
    while (s.executeStep()) {
        const auto c = s.getColumn(0);
        const auto more = unpacked(
            {static_cast<const char*>(c.getBlob()), static_cast<std::size_t>(c.getBytes())});
        out.insert(out.end(), more.begin(), more.end());
    }
    return out;
}

/// What waits becomes blocks of its channels.
void settle(Database& db, const std::string& testId) {
    struct Kept {
        std::int64_t id;
        double scale, resolution;
    };
    std::vector<Kept> channels;
    Statement c(db, "SELECT id, scale, resolution FROM channel WHERE test_id=? ORDER BY id");
    c.bind(1, testId);
    while (c.executeStep())
        channels.push_back(
            {c.getColumn(0).getInt64(), c.getColumn(1).getDouble(), c.getColumn(2).getDouble()});
    const auto readings = waiting(db, testId);
    for (std::size_t i = 0; i < channels.size(); ++i) {
        RecordedChannel later;
        later.resolution = channels[i].resolution;
        for (const LiveReading& r : readings)
            if (r.channel == i) {
                later.timeS.push_back(r.timeS);
                later.asRecorded.push_back(r.value);
            }
        if (later.timeS.empty())
            continue;
        appendReadings(db, channels[i].id, later, channels[i].scale);
        Statement count(db, "UPDATE channel SET reading_count = reading_count + ? WHERE id = ?");
        count.bind(1, static_cast<std::int64_t>(later.timeS.size()));
        count.bind(2, channels[i].id);
        count.exec();
    }
    Statement gone(db, "DELETE FROM live_batch WHERE test_id=?"); // they are in the blocks now
    gone.bind(1, testId);
    gone.exec();
}

template <class Value, class Read>
Result<std::vector<Value>> all(Book& book, Read read) {
    std::vector<Value> out;
    try {
        read(book.database(), out);
    } catch (const SQLite::Exception& exception) {
        return tl::unexpected(book.failed(exception));
    }
    return out;
}

} // namespace

Result<void> beginRun(Book& book, const TestRecord& test, const When& when) {
    return together(book, [&]() -> Result<void> {
        if (auto added = addTest(book, test, when); !added)
            return added;
        return inTransaction(book, [&](Database& db) {
            insertRow(db, "live_run", {{"test_id", test.id}, {"begun_at_ms", when.utcMs}});
        });
    });
}

Result<void> appendRun(Book& book, const std::string& testId,
                       const std::vector<LiveReading>& readings) {
    if (readings.empty())
        return {};
    return inTransaction(book, [&](Database& db) {
        Statement next(db, "SELECT coalesce(max(position) + 1, 0), count(*) FROM live_batch "
                           "WHERE test_id=?");
        next.bind(1, testId);
        next.executeStep();
        const std::string bytes = packed(readings);
        insertRow(db, "live_batch",
                  {{"test_id", testId},
                   {"position", next.getColumn(0).getInt64()},
                   {"readings", Bytes{bytes}}});
        if (next.getColumn(1).getInt() >= kMostWaiting)
            settle(db, testId);
    });
}

Result<void> keepMarks(Book& book, const std::string& testId, const std::vector<TestMark>& marks) {
    return inTransaction(book, [&](Database& db) {
        Statement old(db, "DELETE FROM test_mark WHERE test_id=?");
        old.bind(1, testId);
        old.exec();
        for (std::size_t i = 0; i < marks.size(); ++i)
            insertRow(db, "test_mark",
                      {{"test_id", testId},
                       {"position", static_cast<std::int64_t>(i)},
                       {"at_s", marks[i].atS},
                       {"mark", marks[i].mark},
                       {"words", marks[i].words}});
    });
}

Result<std::vector<TestMark>> loadMarks(Book& book, const std::string& testId) {
    return all<TestMark>(book, [&](Database& db, std::vector<TestMark>& out) {
        Statement s(db,
                    "SELECT at_s, mark, words FROM test_mark WHERE test_id=? ORDER BY position");
        s.bind(1, testId);
        while (s.executeStep())
            out.push_back({s.getColumn(0).getDouble(), s.getColumn(1).getString(),
                           s.getColumn(2).getString()});
    });
}

Result<void> keepKeyed(Book& book, const std::string& testId,
                       const std::map<std::string, std::vector<KeyedReading>>& keyed) {
    return inTransaction(book, [&](Database& db) {
        Statement old(db, "DELETE FROM keyed_reading WHERE test_id=?");
        old.bind(1, testId);
        old.exec();
        insertKeyed(db, testId, keyed);
    });
}

Result<void> endRun(Book& book, const std::string& testId, const When& when) {
    return inTransaction(book, [&](Database& db) {
        settle(db, testId);
        Statement ended(db, "UPDATE live_run SET ended_at_ms=? WHERE test_id=?");
        ended.bind(1, when.utcMs);
        ended.bind(2, testId);
        ended.exec();
    });
}

Result<void> goOnWithRun(Book& book, const std::string& testId) {
    return inTransaction(book, [&](Database& db) {
        settle(db, testId);
        Statement open(db, "UPDATE live_run SET ended_at_ms=NULL WHERE test_id=?");
        open.bind(1, testId);
        open.exec();
    });
}

Result<std::vector<CutOffRun>> cutOffRuns(Book& book) {
    return all<CutOffRun>(book, [&](Database& db, std::vector<CutOffRun>& out) {
        Statement s(db, "SELECT t.id, t.appliance_id, t.protocol, r.begun_at_ms FROM live_run r "
                        "JOIN test t ON t.id = r.test_id WHERE r.ended_at_ms IS NULL "
                        "AND t.withdrawn_at_ms IS NULL ORDER BY r.begun_at_ms DESC");
        while (s.executeStep()) {
            CutOffRun run{s.getColumn(0).getString(),
                          s.getColumn(1).getString(),
                          s.getColumn(2).getString(),
                          s.getColumn(3).getInt64(),
                          0,
                          0};
            Statement blocks(db, "SELECT coalesce(sum(reading_count), 0) FROM channel WHERE "
                                 "test_id=?");
            blocks.bind(1, run.testId);
            blocks.executeStep();
            run.readings = blocks.getColumn(0).getInt64();
            Statement typed(db, "SELECT count(*) FROM keyed_reading WHERE test_id=?");
            typed.bind(1, run.testId);
            typed.executeStep();
            run.readings += typed.getColumn(0).getInt64();
            const auto late = waiting(db, run.testId);
            run.readings += static_cast<std::int64_t>(late.size());
            for (const LiveReading& r : late)
                run.lastS = std::max(run.lastS, r.timeS);
            out.push_back(std::move(run));
        }
    });
}

} // namespace dynamet::book
