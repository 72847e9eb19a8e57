// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/book.h"

#include <QUndoCommand>
#include <chrono>
#include <functional>
#include <vector>

namespace dynamet::app {

/// One change of the book that has been made, with the way back and the way there again. Each way
/// is one transaction; one that fails changes nothing and is told by `failure`.
class BookCommand : public QUndoCommand {
  public:
    using Step = std::function<Result<void>()>;
    BookCommand(const QString& words, Step back, Step again)
        : QUndoCommand(words), back_(std::move(back)), again_(std::move(again)) {}
    virtual bool touchesBook() const { return true; }
    void undo() override { run(back_); }
    /// The first time the change is in the book already.
    void redo() override {
        if (std::exchange(made_, true))
            run(again_);
    }
    /// Why the last way could not be gone; nothing after a success.
    const std::optional<Error>& failure() const { return failure_; }
    /// The next way is only noted: the stack is put back after a failure.
    void passNext() { pass_ = true; }

  protected:
    void goOnAs(const BookCommand& later) { again_ = later.again_; }

  private:
    void run(const Step& step) {
        if (std::exchange(pass_, false))
            return;
        const auto done = step();
        failure_ = done ? std::nullopt : std::optional(done.error());
    }
    Step back_, again_;
    bool made_ = false, pass_ = false;
    std::optional<Error> failure_;
};

/// A what-if that was moved: nothing of the book. Moves of one hand that follow one another at
/// once are one step.
class TriedCommand : public BookCommand {
  public:
    TriedCommand(const QString& words, QString hand, Step back, Step again)
        : BookCommand(words, std::move(back), std::move(again)), hand_(std::move(hand)) {}
    bool touchesBook() const override { return false; }
    int id() const override { return 1; }
    bool mergeWith(const QUndoCommand* later) override {
        const auto* next = dynamic_cast<const TriedCommand*>(later);
        if (!next || next->hand_ != hand_ || next->at_ - at_ > kOneMove)
            return false;
        goOnAs(*next);
        at_ = next->at_;
        return true;
    }

  private:
    using Clock = std::chrono::steady_clock;
    static constexpr std::chrono::milliseconds kOneMove{700};
    QString hand_;
    Clock::time_point at_ = Clock::now();
};

} // namespace dynamet::app
