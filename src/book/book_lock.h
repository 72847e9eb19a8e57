// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <utility>

namespace dynamet::book {

/// The right to write a book: a lock beside its name and one on the file itself (by device and
/// inode, in the machine's lock folder), so that neither another name of the file nor a deleted
/// lock lets a second writer in. Never opens the book: closing it would drop SQLite's own locks.
class BookLock {
  public:
    enum class State { none, held, elsewhere, impossible };
    BookLock() = default;
    static BookLock take(const std::string& path);
    ~BookLock();
    BookLock(BookLock&& other) noexcept { swap(other); }
    BookLock& operator=(BookLock&& other) noexcept {
        swap(other);
        return *this;
    }
    State state() const { return state_; }

  private:
    void swap(BookLock& other) noexcept {
        std::swap(beside_, other.beside_);
        std::swap(byFile_, other.byFile_);
        std::swap(state_, other.state_);
    }
    int beside_ = -1, byFile_ = -1;
    State state_ = State::none;
};

} // namespace dynamet::book
