// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "device/message.h"

#include <deque>

namespace dynamet::device {

/// How one channel is doing, by the clock of whoever listens, s.
enum class ChannelState {
    waiting, ///< nothing came yet
    live,
    stale, ///< nothing new for longer than it is used to
    open,  ///< it says that nothing is plugged in
    over,
    under
};
const char* enumName(ChannelState state);

/// Watches one channel: when something last came, and how often it usually does.
class ChannelWatch {
  public:
    void take(double nowS, const Value& value);
    ChannelState at(double nowS) const;
    /// The newest number; NaN before the first.
    double last() const { return last_; }
    /// Since the newest reading, s; infinite before the first.
    double ageS(double nowS) const;
    /// The usual time between two, s; 0 while it is not known.
    double usualS() const;

  private:
    std::deque<double> gaps_; ///< the newest, s
    double lastS_ = -1, last_ = 0;
    bool any_ = false;
    Gap gap_ = Gap::none;
};

} // namespace dynamet::device
