// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <limits>
#include <random>
#include <string>
#include <vector>

namespace simkitchen {

/// What lies between a truth and what is shown: lag, offset, gain, noise, steps, limits, and now
/// and then nothing at all.
struct Sensing {
    double lagS = 4, offset = 0, gain = 1, noise = 0.1, step = 0.1;
    double low = -50, high = 300;
    double dropsOut = 0; ///< chance that a reading is missing
};

/// One channel: where it is plugged in, and how it reads.
struct Channel {
    std::string key, name, unit = "C";
    Sensing sensing;
    std::string appliance, point; ///< empty = open
    double lagged = std::numeric_limits<double>::quiet_NaN();
};

/// An instrument on a line of its own.
struct Instrument {
    std::string id, kind, name, serial;
    bool scpi = false;
    double everyS = 1;
    std::vector<Channel> channels;
    bool plugged = true;
    double nextS = 0;
};

/// What a channel shows of a truth; words ("open", "over", "under") where it shows no number.
struct Shown {
    double value = 0;
    std::string words;
};
/// Lets a channel follow for a while, then reads it.
void follow(Channel& channel, double truth, double seconds);
Shown shown(const Channel& channel, std::mt19937_64& random);

/// The lines an instrument says: hello and channels, a reading at its own time, an answer.
std::string helloLines(const Instrument& instrument);
std::string readingLine(const Instrument& instrument, double nowS, std::mt19937_64& random);
std::string identity(const Instrument& instrument);

} // namespace simkitchen
