// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/inputs/recorded_test.h"

#include "quantity/parse_measures.h"

#include <cmath>
#include <optional>

namespace dynamet::rating {
namespace {

/// NaN for a unit that nobody knows: no reading, never one in °C.
double toKelvin(double value, const std::string& unit) {
    if (unit == "°F")
        return Temperature::fahrenheit(value).kelvin();
    if (unit == "°C")
        return Temperature::celsius(value).kelvin();
    return unit == "K" ? value : std::nan("");
}

std::optional<double> kgPer(const std::string& unit) {
    for (const char* known : {"g", "kg", "oz", "lb"})
        if (unit == known)
            return parseMassKg("1 " + unit).value();
    return std::nullopt;
}

void addChannels(const RecordedTest& test, const std::vector<kitchen::Instrument>& instruments,
                 TestInput& out) {
    const kitchen::Instrument* common = findInstrument(instruments, test.instrumentId);
    for (const RecordedChannel& channel : test.channels) {
        const kitchen::Instrument* own = findInstrument(instruments, channel.instrumentId);
        Series series{channel.timeS, {}};
        const auto kg = kgPer(channel.unit);
        for (double v : channel.asRecorded)
            series.value.push_back(
                kg ? v * *kg
                   : corrected(own ? own : common, test.startedMs, toKelvin(v, channel.unit)));
        out.channels[channel.role] = std::move(series);
    }
}

/// An instrument's check takes its readings as they were shown.
void addKeyed(const RecordedTest& test, const Protocol* protocol,
              const kitchen::Instrument* instrument, TestInput& out) {
    const bool asShown = test.protocol == "instrument-check";
    for (const auto& [role, readings] : test.keyed)
        for (const KeyedReading& reading : readings) {
            const bool temperature = !protocol || isTemperature(*protocol, role);
            out.keyed[role].push_back(temperature && !asShown
                                          ? corrected(instrument, test.startedMs, reading.value)
                                          : reading.value);
        }
}

/// What the instrument knows of itself stands in where nothing was typed.
void addInstrument(const RecordedTest& test, const Protocol& protocol,
                   const kitchen::Instrument& instrument, TestInput& out) {
    if (protocol.value("u_bias_K") && calibrationAt(instrument, test.startedMs))
        out.values.emplace("u_bias_K", readingUncertainty(instrument, test.startedMs));
    if (protocol.value("band_low_um") && instrument.kind == kitchen::InstrumentKind::infrared) {
        out.values.emplace("band_low_um", instrument.bandLowUm);
        out.values.emplace("band_high_um", instrument.bandHighUm);
    }
}

} // namespace

bool isLogUnit(const std::string& unit) {
    return unit == "°C" || unit == "°F" || unit == "K" || kgPer(unit).has_value();
}

TestInput inputOf(const RecordedTest& test, const std::vector<kitchen::Instrument>& instruments) {
    TestInput out;
    out.protocol = test.protocol;
    out.values = test.values;
    out.choices = test.choices;
    out.lid = test.lidOn.value_or(true);
    out.forcedFlow = test.fanOn.value_or(false);
    const kitchen::Instrument* instrument = findInstrument(instruments, test.instrumentId);
    const Protocol* protocol = findProtocol(test.protocol);
    addChannels(test, instruments, out);
    addKeyed(test, protocol, instrument, out);
    if (protocol && instrument)
        addInstrument(test, *protocol, *instrument, out);
    return out;
}

} // namespace dynamet::rating
