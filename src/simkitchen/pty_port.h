// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <string_view>

namespace simkitchen {

/// A pseudo terminal that stands for a serial port, reached through a link in a folder. While
/// nobody has it open nothing is kept for later, as on a real line.
class PtyPort {
  public:
    /// The port is not there (`isThere`) when the system gives none.
    explicit PtyPort(std::string link);
    ~PtyPort();
    PtyPort(PtyPort&& other) noexcept;
    PtyPort& operator=(PtyPort&&) = delete;
    PtyPort(const PtyPort&) = delete;
    bool isThere() const { return master_ >= 0; }
    int descriptor() const { return master_; }
    const std::string& link() const { return link_; }
    /// Pulled out, and put in again: a new terminal behind the same link.
    void unplug();
    void plug();
    /// Puts a whole line on its way; false where it was left out because nobody listens or reads.
    bool say(std::string_view line);
    /// Sends what waits. How much still waits, bytes.
    std::size_t flush();
    /// What came, up to the last whole line; in lines without their ends.
    std::string hear();

  private:
    bool isOpenElsewhere() const;
    std::string link_, waiting_, heard_;
    int master_ = -1;
};

} // namespace simkitchen
