// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "device/channel_watch.h"

#include <algorithm>
#include <array>
#include <limits>
#include <vector>

namespace dynamet::device {
namespace {

constexpr std::array<const char*, 6> kStates{"waiting", "live", "stale", "open", "over", "under"};
constexpr std::size_t kRemembered = 9;
/// Late is what takes three times as long as usual, and never less than this.
constexpr double kLate = 3, kLeastLateS = 3, kUnknownLateS = 10;

} // namespace

const char* enumName(ChannelState state) {
    return kStates[static_cast<std::size_t>(state)];
}

void ChannelWatch::take(double nowS, const Value& value) {
    if (any_ && nowS > lastS_) {
        gaps_.push_back(nowS - lastS_);
        if (gaps_.size() > kRemembered)
            gaps_.pop_front();
    }
    any_ = true;
    lastS_ = nowS;
    gap_ = value.gap;
    last_ = value.gap == Gap::none ? value.value : std::numeric_limits<double>::quiet_NaN();
}

double ChannelWatch::usualS() const {
    if (gaps_.size() < 2)
        return 0;
    std::vector<double> sorted(gaps_.begin(), gaps_.end());
    const auto middle = sorted.begin() + static_cast<std::ptrdiff_t>(sorted.size() / 2);
    std::nth_element(sorted.begin(), middle, sorted.end());
    return *middle;
}

double ChannelWatch::ageS(double nowS) const {
    return any_ ? nowS - lastS_ : std::numeric_limits<double>::infinity();
}

ChannelState ChannelWatch::at(double nowS) const {
    if (!any_)
        return ChannelState::waiting;
    const double usual = usualS();
    const double late = usual > 0 ? std::max(kLeastLateS, kLate * usual) : kUnknownLateS;
    if (ageS(nowS) > late)
        return ChannelState::stale;
    switch (gap_) {
    case Gap::open:
        return ChannelState::open;
    case Gap::over:
        return ChannelState::over;
    case Gap::under:
        return ChannelState::under;
    case Gap::none:
        break;
    }
    return ChannelState::live;
}

} // namespace dynamet::device
