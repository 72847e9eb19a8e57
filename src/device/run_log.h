// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "device/message.h"
#include "rating/inputs/protocols.h"
#include "rating/inputs/recorded_test.h"

#include <map>

namespace dynamet::device {

/// A channel of some instrument on the line.
struct ChannelId {
    std::string instrument; ///< the book's id, or the line's path where the book knows it not
    std::string channel;
    auto operator<=>(const ChannelId&) const = default;
};

/// What a cook marks while a test runs.
enum class Mark { doorOpened, doorShut, loadIn, loadOut, turned, weighed, set, note };
const char* enumName(Mark mark);
std::optional<Mark> markOf(const std::string& word);
struct Marked {
    double atS = 0;
    Mark mark = Mark::note;
    std::string words;
    bool operator==(const Marked&) const = default;
};

/// Values of a test that a mark tells, by name: "off_s" is when the heat was changed. Not those
/// that are asked for before it begins.
const std::vector<std::pair<std::string, Mark>>& markedValues();
/// What the marks of a run tell of those that its protocol has.
std::map<std::string, double> valuesOf(const std::vector<Marked>& marks,
                                       const rating::Protocol& protocol);

/// The readings of a run so far, on one clock that begins with it. Instruments with a clock of
/// their own are read by that: a line that stutters moves no reading.
class RunLog {
  public:
    /// Which channels belong to it, and what each measures there; what an instrument showed last
    /// before is where its clock stands now.
    RunLog(const std::map<ChannelId, std::string>& roles, std::map<ChannelId, ChannelSpec> specs);
    /// The instrument's clock at the start (its newest reading before).
    void clockStands(const std::string& instrument, double deviceS);
    /// Takes a reading that came `arrivedS` after the start. Returns what it added, by role.
    struct Added {
        std::string role;
        double timeS = 0, value = 0;
    };
    std::vector<Added> take(const std::string& instrument, double arrivedS, const Reading& reading);
    void mark(const Marked& marked) { marks_.push_back(marked); }
    /// Takes the newest mark back.
    bool unmark();
    const std::vector<Marked>& marks() const { return marks_; }
    /// As a test has them; roles in their order.
    std::vector<rating::RecordedChannel> channels() const;
    /// The newest reading's time, s.
    double lastS() const { return lastS_; }

  private:
    struct Kept {
        std::string role;
        ChannelSpec spec;
        std::string instrument;
        std::vector<double> timeS, value;
    };
    std::map<ChannelId, Kept> kept_;
    std::map<std::string, double> clockS_;  ///< of each instrument, at the start
    std::map<std::string, double> newestS_; ///< its newest reading, on the run's clock
    std::vector<Marked> marks_;
    double lastS_ = 0;
};

} // namespace dynamet::device
