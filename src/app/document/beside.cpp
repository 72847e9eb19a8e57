// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/document/beside.h"

#include <algorithm>
#include <utility>

namespace dynamet::app {

Beside::Beside(std::size_t threads, QObject* parent) : QObject(parent), most_(threads) {}

Beside::~Beside() {
    finish();
    {
        const std::lock_guard held(lock_);
        ends_ = true;
    }
    wake_.notify_all();
    for (std::thread& thread : threads_)
        thread.join();
}

void Beside::start(Work job, int urgency) {
    const std::lock_guard held(lock_);
    const auto at = std::find_if(jobs_.begin(), jobs_.end(),
                                 [&](const Job& other) { return other.urgency < urgency; });
    jobs_.insert(at, {std::move(job), urgency});
    if (threads_.size() < most_ && threads_.size() < running_ + jobs_.size())
        threads_.emplace_back([this] { run(); });
    wake_.notify_one();
}

void Beside::clear() {
    std::deque<Job> forgotten; // let go of outside the lock: they hold values of all kinds
    const std::lock_guard held(lock_);
    forgotten.swap(jobs_);
}

void Beside::finish() {
    std::unique_lock held(lock_);
    done_.wait(held, [this] { return jobs_.empty() && running_ == 0; });
}

void Beside::run() {
    std::unique_lock held(lock_);
    while (true) {
        wake_.wait(held, [this] { return ends_ || !jobs_.empty(); });
        if (jobs_.empty())
            return;
        Work work = std::move(jobs_.front().work);
        jobs_.pop_front();
        ++running_;
        held.unlock();
        work();
        work = nullptr;
        held.lock();
        --running_;
        if (jobs_.empty() && running_ == 0)
            done_.notify_all();
    }
}

void Beside::hand(Work then) {
    {
        const std::lock_guard held(lock_);
        handed_.push_back(std::move(then));
    }
    QMetaObject::invokeMethod(this, "takeHanded", Qt::QueuedConnection);
}

/// One for each that was handed, so that a dialog that one opens does not keep the next ones back.
void Beside::takeHanded() {
    Work then;
    {
        const std::lock_guard held(lock_);
        then = std::move(handed_.front());
        handed_.pop_front();
    }
    then();
}

} // namespace dynamet::app
