// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "device/talk.h"

#include "device/line_protocol.h"
#include "device/words_of.h"
#include "quantity/enum_words.h"

#include <algorithm>
#include <array>

namespace dynamet::device {
namespace {

constexpr std::array<const char*, 3> kDialects{"lines", "plain", "scpi"};
constexpr std::array<const char*, 7> kFaults{"not_a_line", "bad_sum",         "too_long",
                                             "bad_number", "unknown_channel", "other_columns",
                                             "not_text"};
constexpr long kUnreadable = 8; ///< in a row
/// Without a line's end, so many bytes at a wrong speed are enough to say so.
constexpr std::size_t kEndless = 300;

} // namespace

const char* enumName(Dialect dialect) {
    return kDialects[static_cast<std::size_t>(dialect)];
}
std::optional<Dialect> dialectOf(const std::string& word) {
    return enumOf<Dialect>(kDialects, word);
}
const char* enumName(Fault fault) {
    return kFaults[static_cast<std::size_t>(fault)];
}

Talk::Talk(Connection connection) : connection_(std::move(connection)) {
    if (connection_.dialect == Dialect::scpi)
        channels_ = connection_.scpi.channels;
    else if (connection_.dialect == Dialect::plain)
        channels_ = connection_.plain.channels;
}

std::string Talk::opening() const {
    switch (connection_.dialect) {
    case Dialect::lines:
        return std::string(kAskHello);
    case Dialect::plain:
        return "";
    case Dialect::scpi:
        return "*IDN?\n";
    }
    return "";
}

std::string Talk::asking() const {
    return connection_.dialect == Dialect::scpi ? connection_.scpi.query + "\n" : "";
}

void Talk::openedAgain() {
    buffer_ = {};
    unreadableInARow_ = 0;
}

Message Talk::read(const RawLine& line) {
    if (line.tooLong)
        return Unusable{isText(line.text) ? Fault::tooLong : Fault::notText,
                        beginningOf(line.text)};
    switch (connection_.dialect) {
    case Dialect::lines:
        return readLine(line.text);
    case Dialect::plain:
        return readPlain(connection_.plain, line.text);
    case Dialect::scpi:
        return hello_ ? readScpi(connection_.scpi, line.text) : readIdentity(line.text);
    }
    return Unusable{};
}

/// Keeps what it says of itself; readings of channels that it did not name are told from noise.
void Talk::note(Message& message) {
    if (const auto* hello = std::get_if<Hello>(&message)) {
        if (hello_ != *hello && connection_.dialect == Dialect::lines)
            channels_.clear(); // another instrument on the same line
        hello_ = *hello;
    } else if (const auto* channel = std::get_if<ChannelSpec>(&message)) {
        const auto known = std::find_if(channels_.begin(), channels_.end(),
                                        [&](const auto& c) { return c.key == channel->key; });
        if (known == channels_.end())
            channels_.push_back(*channel);
        else
            *known = *channel;
    } else if (const auto* reading = std::get_if<Reading>(&message)) {
        const bool known =
            std::all_of(reading->values.begin(), reading->values.end(), [&](const Value& value) {
                return std::any_of(channels_.begin(), channels_.end(),
                                   [&](const auto& c) { return c.key == value.channel; });
            });
        if (!known)
            message = Unusable{Fault::unknownChannel, reading->values.front().channel};
    }
    if (const auto* unusable = std::get_if<Unusable>(&message)) {
        ++unusable_;
        unreadableInARow_ = unusable->fault == Fault::notText ? unreadableInARow_ + 1 : 0;
        return;
    }
    unreadableInARow_ = 0;
    readings_ += std::holds_alternative<Reading>(message) ? 1 : 0;
}

std::vector<Message> Talk::feed(std::string_view bytes) {
    std::vector<Message> out;
    for (const RawLine& line : takeLines(buffer_, bytes)) {
        out.push_back(read(line));
        note(out.back());
    }
    return out;
}

bool Talk::looksLikeWrongSpeed() const {
    return unreadableInARow_ >= kUnreadable ||
           (buffer_.rest.size() >= kEndless && !isText(buffer_.rest));
}

} // namespace dynamet::device
