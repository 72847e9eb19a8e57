// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "simkitchen/instrument.h"

#include <cmath>
#include <cstdio>

namespace simkitchen {
namespace {

constexpr double kGainAbout = 20;

std::string number(double value, double step) {
    char text[40];
    const int digits = step >= 1 ? 0 : step >= 0.1 ? 1 : step >= 0.01 ? 2 : 4;
    std::snprintf(text, sizeof text, "%.*f", digits, value);
    return text;
}

/// The sum of the bytes in two hex digits behind a star, then the end of the line.
std::string summed(const std::string& text) {
    unsigned sum = 0;
    for (const char c : text)
        sum += static_cast<unsigned char>(c);
    char tail[8];
    std::snprintf(tail, sizeof tail, "*%02X\r\n", sum & 0xffU);
    return text + tail;
}

std::string scpiNumber(const Shown& shown) {
    if (shown.words == "over")
        return "+9.90000000E+37";
    if (shown.words == "under")
        return "-9.90000000E+37";
    if (!shown.words.empty())
        return "+9.91000000E+37";
    char text[40];
    std::snprintf(text, sizeof text, "%+.8E", shown.value);
    return text;
}

} // namespace

void follow(Channel& channel, double truth, double seconds) {
    if (std::isnan(truth) || std::isnan(channel.lagged) || channel.sensing.lagS <= 0)
        channel.lagged = truth;
    else
        channel.lagged +=
            (truth - channel.lagged) * (1 - std::exp(-seconds / channel.sensing.lagS));
}

Shown shown(const Channel& channel, std::mt19937_64& random) {
    const Sensing& s = channel.sensing;
    std::uniform_real_distribution<double> share(0, 1);
    std::normal_distribution<double> noise(0, 1);
    const bool missing = share(random) < s.dropsOut;
    const double is =
        kGainAbout + s.gain * (channel.lagged - kGainAbout) + s.offset + s.noise * noise(random);
    if (std::isnan(channel.lagged) || missing)
        return {0, "open"};
    if (is > s.high)
        return {0, "over"};
    if (is < s.low)
        return {0, "under"};
    return {s.step > 0 ? std::round(is / s.step) * s.step : is, ""};
}

std::string helloLines(const Instrument& instrument) {
    std::string out = summed("dynamet-line 1 " + instrument.kind + " " + instrument.serial + " " +
                             instrument.name);
    for (const Channel& c : instrument.channels)
        out +=
            summed("channel " + c.key + " " + c.unit + " " + number(c.sensing.step, 0.001) + " " +
                   number(c.sensing.low, 1) + " " + number(c.sensing.high, 1) + " " + c.name);
    return out;
}

std::string identity(const Instrument& instrument) {
    return "Simulated," + instrument.name + "," + instrument.serial + ",1\n";
}

std::string readingLine(const Instrument& instrument, double nowS, std::mt19937_64& random) {
    std::string out = instrument.scpi ? "" : "r " + number(nowS, 0.001);
    for (const Channel& channel : instrument.channels) {
        const Shown is = shown(channel, random);
        if (instrument.scpi)
            out += (out.empty() ? "" : ",") + scpiNumber(is);
        else
            out += " " + channel.key + "=" +
                   (is.words.empty() ? number(is.value, channel.sensing.step) : is.words);
    }
    return instrument.scpi ? out + "\n" : summed(out);
}

} // namespace simkitchen
