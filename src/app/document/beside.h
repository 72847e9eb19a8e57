// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QObject>
#include <condition_variable>
#include <deque>
#include <functional>
#include <mutex>
#include <thread>
#include <vector>

namespace dynamet::app {

/// Work beside the window: jobs on a few threads of their own, and what they hand over, which is
/// called in the window's thread. Everything crosses under one lock of the standard library, so
/// that a race detector sees both sides of it (it cannot look into Qt).
class Beside : public QObject {
    Q_OBJECT
  public:
    using Work = std::function<void()>;
    explicit Beside(std::size_t threads = 1, QObject* parent = nullptr);
    /// Waits for all jobs; what they hand over then is dropped.
    ~Beside() override;

    /// Begins a job as soon as a thread is free; the more urgent ones first, then in their order.
    void start(Work job, int urgency = 0);
    /// Forgets the jobs that have not begun.
    void clear();
    /// Waits for all jobs. Before what they use goes.
    void finish();
    /// From a job: is called soon in the window's thread, in the order of handing.
    void hand(Work then);

  private slots:
    void takeHanded();

  private:
    struct Job {
        Work work;
        int urgency;
    };
    void run();
    std::size_t most_;
    std::mutex lock_;
    std::condition_variable wake_, done_;
    std::deque<Job> jobs_;
    std::deque<Work> handed_;
    std::size_t running_ = 0;
    bool ends_ = false;
    std::vector<std::thread> threads_; ///< begun when they are needed
};

} // namespace dynamet::app
