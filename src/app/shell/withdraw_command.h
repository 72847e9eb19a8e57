// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/shell/document.h"

#include <QUndoCommand>

namespace dynamet::app {

/// Something that was added to the book: undo withdraws it, redo brings it back; nothing is
/// deleted.
class WithdrawCommand : public QUndoCommand {
  public:
    using Withdraw = std::function<Result<bool>(book::Book&, std::optional<book::When>)>;
    /// The thing is already in the book when the command is pushed.
    WithdrawCommand(Document& document, const QString& words, Withdraw withdraw)
        : QUndoCommand(words), document_(document), withdraw_(std::move(withdraw)) {}
    void undo() override { run(document_.now()); }
    void redo() override {
        if (first_)
            first_ = false;
        else
            run(std::nullopt);
    }

  private:
    void run(std::optional<book::When> when) {
        if (const auto done = withdraw_(document_.book(), when); !done)
            document_.say(app::text(done.error().message));
        document_.reload();
    }
    Document& document_;
    Withdraw withdraw_;
    bool first_ = true;
};

} // namespace dynamet::app
