// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Work beside the window: order, urgency, whose thread, and what is left when somebody goes.
#include "app/document/beside.h"

#include <QTest>
#include <QThread>
#include <atomic>
#include <gtest/gtest.h>

namespace dynamet::app {
namespace {

TEST(Beside, HandsOverInTheWindowsThreadAndInOrder) {
    Beside beside;
    std::vector<int> seen;
    for (int i = 0; i < 100; ++i)
        beside.start([&, i] {
            EXPECT_NE(QThread::currentThread(), qApp->thread());
            for (int part : {0, 1})
                beside.hand([&, i, part] {
                    EXPECT_EQ(QThread::currentThread(), qApp->thread());
                    seen.push_back(2 * i + part);
                });
        });
    ASSERT_TRUE(QTest::qWaitFor([&] { return seen.size() == 200; }));
    for (int i = 0; i < 200; ++i)
        EXPECT_EQ(seen[static_cast<std::size_t>(i)], i);
}

TEST(Beside, WhatIsUrgentComesFirstAndWhatIsForgottenNever) {
    Beside beside;
    std::atomic<bool> open{false};
    beside.start([&] {
        while (!open)
            QThread::yieldCurrentThread();
    });
    std::vector<int> order; // by one thread alone
    for (const int urgency : {0, 2, 1, 2})
        beside.start([&order, urgency] { order.push_back(urgency); }, urgency);
    open = true;
    beside.finish();
    EXPECT_EQ(order, (std::vector<int>{2, 2, 1, 0}));
    open = false;
    beside.start([&] {
        while (!open)
            QThread::yieldCurrentThread();
    });
    beside.start([&order] { order.push_back(9); });
    beside.clear();
    open = true;
    beside.finish();
    EXPECT_EQ(order.size(), 4u);
}

TEST(Beside, TwoWorkAtOnceAndNoMore) {
    Beside beside(2);
    std::atomic<int> now{0}, most{0}, done{0};
    for (int i = 0; i < 20; ++i)
        beside.start([&] {
            const int running = ++now;
            for (int seen = most; running > seen && !most.compare_exchange_weak(seen, running);)
                continue;
            QThread::msleep(5);
            --now;
            ++done;
        });
    beside.finish();
    EXPECT_EQ(done, 20);
    EXPECT_EQ(most, 2);
}

TEST(Beside, GoingWaitsForJobsAndDropsWhatTheyHandOver) {
    std::atomic<bool> worked{false};
    bool called = false;
    {
        Beside beside;
        beside.start([&] {
            QThread::msleep(20);
            worked = true;
            beside.hand([&] { called = true; });
        });
    }
    EXPECT_TRUE(worked);
    QCoreApplication::processEvents();
    EXPECT_FALSE(called);
}

// A dialog runs the window's events by itself: what was handed after it still comes, in its order.
TEST(Beside, ADialogThatOneOpensKeepsNoOtherBack) {
    Beside beside;
    std::vector<int> seen;
    bool came = false;
    beside.start([&] {
        beside.hand([&] {
            seen.push_back(1);
            came = QTest::qWaitFor([&] { return seen.size() == 3; }, 3000);
        });
        beside.hand([&] { seen.push_back(2); });
        beside.hand([&] { seen.push_back(3); });
    });
    ASSERT_TRUE(QTest::qWaitFor([&] { return seen.size() == 3; }));
    beside.finish();
    EXPECT_TRUE(came);
    EXPECT_EQ(seen, (std::vector<int>{1, 2, 3}));
}

TEST(Beside, WhatIsCalledMayLetGoOfItsOwner) {
    auto* beside = new Beside;
    int called = 0;
    beside->start([&, beside] {
        beside->hand([&, beside] {
            ++called;
            delete beside;
        });
        beside->hand([&] { ++called; });
    });
    beside->finish();
    ASSERT_TRUE(QTest::qWaitFor([&] { return called > 0; }));
    QCoreApplication::processEvents();
    EXPECT_EQ(called, 1);
}

} // namespace
} // namespace dynamet::app
