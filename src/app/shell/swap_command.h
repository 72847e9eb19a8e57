// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/shell/document.h"

#include <QUndoCommand>

namespace dynamet::app {

/// A value of the book that was replaced: undo puts the old one back, redo the new one. The new one
/// is in the book when the command is pushed.
template <class Value>
class SwapCommand : public QUndoCommand {
  public:
    using Keep = Result<bool> (*)(book::Book&, const Value&);
    SwapCommand(Document& document, const QString& words, Value from, Value to, Keep keep)
        : QUndoCommand(words), document_(document), from_(std::move(from)), to_(std::move(to)),
          keep_(keep) {}
    void undo() override { put(from_); }
    void redo() override {
        if (!first_)
            put(to_);
        first_ = false;
    }

  private:
    void put(const Value& value) {
        if (const auto done = keep_(document_.book(), value); !done)
            document_.say(app::text(done.error().message));
        document_.reload();
    }
    Document& document_;
    Value from_, to_;
    Keep keep_;
    bool first_ = true;
};

} // namespace dynamet::app
