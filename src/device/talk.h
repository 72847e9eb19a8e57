// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "device/line_buffer.h"
#include "device/message.h"
#include "device/plain_lines.h"
#include "device/scpi.h"

#include <map>

namespace dynamet::device {

/// How an instrument speaks: our lines, bare numbers, or bench instruments that are asked.
enum class Dialect { lines, plain, scpi };
const char* enumName(Dialect dialect);
std::optional<Dialect> dialectOf(const std::string& word);

/// How an instrument is connected; kept by the book's window, not by the book: paths are a
/// machine's own.
struct Connection {
    std::string path; ///< "/dev/ttyUSB0", or any other
    int baud = 115200;
    Dialect dialect = Dialect::lines;
    PlainLayout plain;
    ScpiSetup scpi;
    bool operator==(const Connection&) const = default;
};

/// One instrument's side of a talk: bytes in, messages out. A value; nothing of a port.
class Talk {
  public:
    explicit Talk(Connection connection);
    /// What is sent when the line opens, and again when it was silent; and each time a reading is
    /// due (empty for instruments that speak unasked).
    std::string opening() const;
    std::string asking() const;
    /// The line was opened again: what it said of itself stands until it says otherwise.
    void openedAgain();
    /// Messages in the order they came, however the bytes were cut.
    std::vector<Message> feed(std::string_view bytes);
    const std::optional<Hello>& hello() const { return hello_; }
    /// In the order they were named; of readings that nobody named, as they came.
    const std::vector<ChannelSpec>& channels() const { return channels_; }
    long readings() const { return readings_; }
    long unusable() const { return unusable_; }
    /// Nothing but unreadable bytes: another speed or another dialect.
    bool looksLikeWrongSpeed() const;

  private:
    Message read(const RawLine& line);
    void note(Message& message);
    Connection connection_;
    LineBuffer buffer_;
    std::optional<Hello> hello_;
    std::vector<ChannelSpec> channels_;
    long readings_ = 0, unusable_ = 0, unreadableInARow_ = 0;
};

} // namespace dynamet::device
