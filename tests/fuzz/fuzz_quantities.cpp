// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Whatever a hurried cook types for a quantity: a finite number in its range, or an error in words.
#include "fuzz/seeds.h"
#include "quantity/number_text.h"
#include "quantity/parse_duration.h"
#include "quantity/parse_measures.h"
#include "quantity/parse_temperature.h"
#include "rating/inputs/keyed_readings.h"
#include "rating/inputs/timed_readings.h"
#include "rating/inputs/typed_values.h"

#include <cmath>
#include <tuple>

using namespace dynamet;

namespace {

void finite(const Result<double>& read) {
    MUST(read ? std::isfinite(*read) : !read.error().message.empty());
}

} // namespace

std::vector<std::string> fuzz::seeds() {
    return {"425",
            "1,650",
            "1 1/4 in",
            "-0,5",
            "350 °F",
            "180C",
            "gas 6",
            "2 cm",
            "30 × 40 cm",
            "2.5 kg",
            "1 lb 4 oz",
            "1.2 kW",
            "0.35 kWh",
            "1013 hPa",
            "29.9 inHg",
            "5400 ft",
            "1 h 20 min",
            "1:05",
            "20–25 min",
            "90 s",
            "0 20\n5 180\n10 200",
            "0:30 75F\n1:00 82F",
            "21.5 22,0 23",
            "12 8 24",
            "1013,25 hPa",
            "3/4",
            "½ in",
            "1.5e3",
            "20 to 25 minutes",
            "7 min 30 s"};
}

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    const std::string text(textOf(data, size));
    {
        const auto unit = size % 2 ? TemperatureUnit::celsius : TemperatureUnit::fahrenheit;
        if (const auto t = parseTemperature(text, unit))
            MUST(std::isfinite(t->kelvin()) && t->kelvin() >= 0);
        if (const auto d = parseTemperatureDifference(text, unit))
            MUST(std::isfinite(d->kelvin()));
        if (const auto timed = rating::parseTimed(text, unit))
            for (std::size_t i = 1; i < timed->readings.size(); ++i)
                MUST(timed->readings[i].timeS > timed->readings[i - 1].timeS);
        std::ignore = rating::parseReadings(text, unit);
        const auto& protocols = rating::allProtocols();
        const rating::Protocol& protocol = protocols[size % protocols.size()];
        if (!protocol.values.empty()) {
            const std::string& name = protocol.values[size % protocol.values.size()].name;
            std::ignore = rating::readTyped(protocol, {{name, text}}, unit);
        }
    }
    std::ignore = rating::parseCounts(text);
    std::ignore = rating::parseMinutes(text);
    finite(parseLengthM(text));
    finite(parseAreaM2(text));
    finite(parseMassKg(text));
    finite(parsePowerW(text));
    finite(parseEnergyJ(text, 1));
    finite(parsePressurePa(text));
    finite(parseInterval(text));
    if (const auto read = parseDuration(text)) {
        MUST(std::isfinite(read->lowS) && std::isfinite(read->highS));
        MUST(read->lowS >= 0 && read->lowS <= read->highS);
        // What is printed is read again as the same.
        const auto again = parseDuration(printDuration(read->lowS));
        MUST(again.has_value());
    }
    hasTwoReadings(text);
    return 0;
}
