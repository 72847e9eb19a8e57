// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/run_words.h"

#include "quantity/print.h"
#include "rating/inputs/guide_text.h"
#include "words/rating_words.h"

#include <cmath>
#include <fmt/format.h>

namespace dynamet::words {

std::string clockWords(double seconds) {
    const long s = std::lround(std::floor(std::max(0.0, seconds)));
    return s >= 3600 ? fmt::format("{}:{:02}:{:02}", s / 3600, s / 60 % 60, s % 60)
                     : fmt::format("{}:{:02}", s / 60, s % 60);
}

std::string measuredWords(const rating::Protocol& protocol, const std::string& applianceId,
                          const std::string& setting, const std::string& zone,
                          const kitchen::Kitchen& kitchen, Units units) {
    const auto* on = findAppliance(kitchen, applianceId);
    if (!on)
        return protocol.title;
    std::string out = on->name;
    if (const auto at = kitchen::parseSetting(on->controls, setting))
        out += ", " + settingLabel(on->controls, *at, units);
    if (on->zones.size() > 1)
        out += ", " + zone;
    return out + ": " + protocol.title;
}

std::string stepWords(const rating::Protocol& protocol, std::size_t step, bool running, bool over,
                      Units units) {
    std::string out =
        fmt::format("{}  {}", step + 1, rating::inReaderUnits(protocol.steps[step], units));
    if (over)
        out += running ? "  That is done: stop the log." : "";
    return out;
}

std::string markWords(device::Mark mark, double atS) {
    std::string word = enumName(mark);
    for (char& c : word)
        if (c == '_')
            c = ' ';
    return word + " at " + clockWords(atS);
}

SoFar soFarOf(const rating::Reduction& reduction) {
    constexpr double kRough = 1.0 / 3, kRoomK = 293.15;
    if (reduction.quantities.empty())
        return SoFar::known;
    const rating::Quantity& first = reduction.quantities.front();
    const double size = std::abs(first.unit == "K" ? first.value - kRoomK : first.value);
    const double half = halfWidth95(first);
    return half > size ? SoFar::nothing : half > kRough * size ? SoFar::rough : SoFar::known;
}

std::string soFarWords(const rating::Reduction& reduction, Units units) {
    if (reduction.quantities.empty())
        return foundWords(reduction, units);
    switch (soFarOf(reduction)) {
    case SoFar::nothing:
        return "Not known yet: let it run on.";
    case SoFar::rough:
        return "Only roughly so far: " + foundWords(reduction, units);
    case SoFar::known:
        break;
    }
    return "So far: " + foundWords(reduction, units);
}

std::string whenWords(const std::optional<SettleForecast>& settles, bool settled, bool enough,
                      SoFar soFar) {
    constexpr double kMinute = 60;
    if (enough)
        return "More time buys nothing: half as much again would make it less than a twentieth "
               "surer.";
    if (settled)
        return soFar == SoFar::known
                   ? "It has settled."
                   : "It no longer drifts; a whole swing or two more make it sure.";
    if (!settles)
        return "";
    const double minutes = settles->inS / kMinute, u = 2 * settles->uS / kMinute;
    return fmt::format("Settles in about {:.0f} min (± {:.0f}).", std::max(1.0, minutes),
                       std::max(1.0, std::ceil(u)));
}

namespace {

std::optional<Temperature> temperatureOf(double value, const std::string& unit) {
    return unit == "°C"   ? std::optional(Temperature::celsius(value))
           : unit == "°F" ? std::optional(Temperature::fahrenheit(value))
           : unit == "K"  ? std::optional(Temperature::kelvin(value))
                          : std::nullopt;
}

} // namespace

std::string readingWords(const device::ChannelSpec& spec, double value, Units units) {
    const int digits = spec.resolution >= 1 ? 0 : spec.resolution >= 0.1 ? 1 : 2;
    const auto is = temperatureOf(value, spec.unit);
    if (!is)
        return printFixed(value, digits) + " " + spec.unit;
    return printFixed(units.fahrenheit ? is->fahrenheit() : is->celsius(), digits) + " " +
           unitSign(units.temperature());
}

std::string limitWords(const device::ChannelSpec& spec, double value,
                       const kitchen::Instrument* instrument, Units units) {
    constexpr double kClose = 0.93; ///< of the way from a kitchen's 20 °C
    const auto is = temperatureOf(value, spec.unit);
    if (!is || std::isnan(value))
        return spec.high && value > kClose * *spec.high
                   ? fmt::format("{} is close to the end of its range, {} {}.", spec.name,
                                 printFixed(*spec.high, 0), spec.unit)
                   : "";
    std::optional<double> limitK;
    if (spec.high)
        limitK = temperatureOf(*spec.high, spec.unit)->kelvin();
    const bool ruins =
        instrument && instrument->damageLimit && (!limitK || *instrument->damageLimit <= *limitK);
    if (ruins)
        limitK = instrument->damageLimit;
    const double room = Temperature::celsius(20).kelvin();
    if (!limitK || is->kelvin() - room < kClose * (*limitK - room))
        return "";
    return fmt::format("{} is close to {} {}: take it out, or turn the heat down.", spec.name,
                       ruins ? "what ruins it," : "its limit,", printDegrees(*limitK, units));
}

std::vector<DrawnPoint> drawnIn(const Thinned& thinned, const std::string& unit, Units units) {
    const auto shown = [&](double value) {
        const auto kelvin = temperatureOf(value, unit);
        return !kelvin ? value : units.fahrenheit ? kelvin->fahrenheit() : kelvin->celsius();
    };
    std::vector<DrawnPoint> out;
    for (const Thinned::Stretch& s : thinned.stretches()) {
        out.push_back({s.fromS / 60, shown(s.low)});
        if (s.high > s.low)
            out.push_back({s.fromS / 60, shown(s.high)});
    }
    return out;
}

} // namespace dynamet::words
