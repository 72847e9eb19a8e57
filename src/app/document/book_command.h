// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/book.h"

#include <QUndoCommand>
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

} // namespace dynamet::app
