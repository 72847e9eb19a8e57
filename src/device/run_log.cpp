// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "device/run_log.h"

#include "quantity/enum_words.h"

#include <algorithm>
#include <array>

namespace dynamet::device {
namespace {

constexpr std::array<const char*, 8> kMarks{"door_opened", "door_shut", "load_in", "load_out",
                                            "turned",      "weighed",   "set",     "note"};
/// An instrument's clock that jumps back or this far ahead was set anew: it is read by the
/// listener's from then on.
constexpr double kJumpS = 3600;

} // namespace

const char* enumName(Mark mark) {
    return kMarks[static_cast<std::size_t>(mark)];
}
std::optional<Mark> markOf(const std::string& word) {
    return enumOf<Mark>(kMarks, word);
}

const std::vector<std::pair<std::string, Mark>>& markedValues() {
    static const std::vector<std::pair<std::string, Mark>> all{{"off_s", Mark::set}};
    return all;
}

std::map<std::string, double> valuesOf(const std::vector<Marked>& marks,
                                       const rating::Protocol& protocol) {
    std::map<std::string, double> out;
    for (const auto& [name, mark] : markedValues())
        for (const Marked& one : marks)
            if (one.mark == mark && protocol.value(name))
                out.emplace(name, one.atS); // the first one
    return out;
}

RunLog::RunLog(const std::map<ChannelId, std::string>& roles,
               std::map<ChannelId, ChannelSpec> specs) {
    for (const auto& [id, role] : roles)
        if (!role.empty())
            kept_[id] = {role, specs[id], id.instrument, {}, {}};
}

void RunLog::clockStands(const std::string& instrument, double deviceS) {
    clockS_[instrument] = deviceS;
}

std::vector<RunLog::Added> RunLog::take(const std::string& instrument, double arrivedS,
                                        const Reading& reading) {
    double timeS = arrivedS;
    const auto newest = newestS_.find(instrument);
    if (reading.deviceS) {
        auto clock = clockS_.find(instrument);
        if (clock == clockS_.end())
            clock = clockS_.emplace(instrument, *reading.deviceS - arrivedS).first;
        timeS = *reading.deviceS - clock->second;
        const bool jumped =
            newest != newestS_.end() && (timeS < newest->second || timeS > newest->second + kJumpS);
        if (jumped) {
            clock->second = *reading.deviceS - arrivedS;
            timeS = arrivedS;
        }
    }
    std::vector<Added> out;
    if (timeS < 0 || (newest != newestS_.end() && timeS <= newest->second))
        return out; // from before the start, or said twice
    newestS_[instrument] = timeS;
    lastS_ = std::max(lastS_, timeS);
    for (const Value& value : reading.values) {
        const auto kept = kept_.find({instrument, value.channel});
        if (kept == kept_.end())
            continue;
        kept->second.timeS.push_back(timeS);
        kept->second.value.push_back(value.value);
        out.push_back({kept->second.role, timeS, value.value});
    }
    return out;
}

bool RunLog::unmark() {
    if (marks_.empty())
        return false;
    marks_.pop_back();
    return true;
}

std::vector<rating::RecordedChannel> RunLog::channels() const {
    std::vector<rating::RecordedChannel> out;
    for (const auto& [id, kept] : kept_) {
        rating::RecordedChannel channel;
        channel.role = kept.role;
        channel.name = kept.spec.name.empty() ? id.channel : kept.spec.name;
        channel.unit = kept.spec.unit;
        channel.instrumentId = kept.instrument;
        channel.timeS = kept.timeS;
        channel.asRecorded = kept.value;
        channel.resolution = kept.spec.resolution;
        out.push_back(std::move(channel));
    }
    return out;
}

} // namespace dynamet::device
