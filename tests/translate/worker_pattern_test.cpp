// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What the window's two worker threads do at once: rows, windows and details of one prepared
// translation, stopped in the middle by a new request. Run by the tsan preset as well.
#include "translate/small_kitchen.h"
#include "translate/window.h"

#include <gtest/gtest.h>
#include <mutex>
#include <thread>

namespace {

using namespace dynamet;
using namespace dynamet::translate;
using namespace dynamet::translate::testing;

TEST(WorkerPattern, TwoThreadsShareOnePreparedTranslation) {
    const Request request = roastRequest();
    const auto prepared = prepare(request);
    ASSERT_TRUE(prepared.has_value());
    const auto shared = std::make_shared<const Prepared>(*prepared);
    std::mutex mutex;
    std::size_t next = 0;
    std::vector<Row> rows;
    const auto work = [&] {
        while (true) {
            std::unique_lock lock(mutex);
            if (next >= shared->targets.size())
                return;
            const Target target = shared->targets[next++];
            lock.unlock();
            Row row = solveRow(*shared, target, {});
            addWindow(*shared, row, {});
            const RowDetail detail = detailOf(*shared, row, {});
            lock.lock();
            if (row.reached) {
                EXPECT_TRUE(detail.outcome.has_value());
            }
            rows.push_back(std::move(row));
        }
    };
    { const std::jthread one(work), two(work); }
    ASSERT_EQ(rows.size(), shared->targets.size());
    // In whatever order they came: each is what one thread alone finds.
    for (const Row& row : rows) {
        Row alone = solveRow(*shared, row.target, {});
        EXPECT_EQ(alone.reached, row.reached) << row.target.applianceId;
        EXPECT_EQ(alone.instruction.setting, row.instruction.setting) << row.target.applianceId;
    }
}

TEST(WorkerPattern, AStoppedRequestLetsBothThreadsGo) {
    const Request request = roastRequest();
    const auto prepared = prepare(request);
    ASSERT_TRUE(prepared.has_value());
    std::stop_source source;
    std::atomic<int> done = 0;
    const auto work = [&] {
        for (int round = 0; round < 1000 && !source.stop_requested(); ++round)
            for (const Target& target : prepared->targets) {
                Row row = solveRow(*prepared, target, source.get_token());
                if (!source.stop_requested())
                    addWindow(*prepared, row, source.get_token());
            }
        ++done;
    };
    const std::jthread one(work), two(work);
    std::this_thread::sleep_for(std::chrono::milliseconds(100));
    const auto again = prepare(request, source.get_token());
    EXPECT_TRUE(again.has_value());
    source.request_stop();
    const auto stopped = prepare(request, source.get_token());
    EXPECT_FALSE(stopped.has_value());
    for (int i = 0; i < 500 && done < 2; ++i)
        std::this_thread::sleep_for(std::chrono::milliseconds(20));
    EXPECT_EQ(done, 2);
}

} // namespace
