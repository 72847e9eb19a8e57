// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/live/connections.h"
#include "app/live/serial_link.h"
#include "device/channel_watch.h"
#include "device/run_log.h"
#include "quantity/print.h"

#include <memory>

namespace dynamet::app {

/// All instruments on their lines, and how each of their channels is doing.
class LineDesk : public QObject {
    Q_OBJECT
  public:
    explicit LineDesk(QObject* parent = nullptr);
    /// Opens what was connected before, once.
    void openKnown();
    /// Connects another one, or the same path anew.
    enum class Keep { yes, thisTime };
    void add(const KnownLine& line, Keep keep = Keep::yes);
    void forget(const std::string& path);
    struct Line {
        KnownLine known;
        std::unique_ptr<SerialLink> link;
        Keep keep = Keep::yes;
    };
    const std::vector<Line>& lines() const { return lines_; }
    bool isEmpty() const { return lines_.empty(); }
    /// What a line is called: by itself, else by its path.
    static QString nameOf(const Line& line);
    /// In words: "talking", "unplugged: …", "nothing that can be read: another speed?".
    static QString stateWords(const Line& line);
    /// Every channel that can be read now; the instrument is the line's path.
    struct Channel {
        device::ChannelId id;
        device::ChannelSpec spec;
        std::string lineName, role; ///< as it was last used
        bool chosen = false;        ///< by the cook, if only not to be used
        device::ChannelState state;
        double value = 0, ageS = 0;
    };
    std::vector<Channel> channels() const;
    /// "182.4 °C", "open", "! nothing for 12 s".
    static QString valueWords(const Channel& channel, const Units& units);
    void remember(const device::ChannelId& id, const std::string& role);
    /// The book's instrument behind a line; empty for none.
    std::string instrumentOf(const std::string& path) const;
    /// The newest time of an instrument's own clock.
    std::optional<double> deviceClock(const std::string& path) const;
    double nowS() const { return static_cast<double>(clock_.elapsed()) / 1000; }

  signals:
    void reading(const std::string& path, const dynamet::device::Reading& reading, double arrivedS);
    void changed();

  private:
    void take(const std::string& path, const device::Reading& reading, double arrivedS);
    std::vector<KnownLine> known() const;
    QElapsedTimer clock_;
    std::vector<Line> lines_;
    std::map<device::ChannelId, device::ChannelWatch> watches_;
    std::map<std::string, double> deviceS_;
    bool opened_ = false;
};

} // namespace dynamet::app
