// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/binding_words.h"

#include "quantity/parse_duration.h"
#include "quantity/print.h"

#include <array>
#include <fmt/format.h>

namespace dynamet::words {
namespace {

using recipe_text::Binding;
using enum recipe_text::BindingKind;

std::string ranged(const Binding& b, const std::string& low, const std::string& high) {
    return *b.low == *b.high ? low : low + " to " + high;
}

std::string mass(double kg, bool pounds) {
    constexpr double kPoundKg = 0.45359237, kOunceKg = kPoundKg / 16;
    if (pounds)
        return kg >= kPoundKg ? printFixed(kg / kPoundKg, 1) + " lb"
                              : printFixed(kg / kOunceKg, 0) + " oz";
    return kg >= 1 ? printFixed(kg, 2) + " kg" : printFixed(1000 * kg, 0) + " g";
}

std::string temperatures(const Binding& b, Units units) {
    const auto one = [units](double k) {
        return printTemperature(Temperature::kelvin(k), units.temperature());
    };
    const std::string out = ranged(b, one(*b.low), one(*b.high));
    const bool fahrenheit = b.written == recipe_text::Written::fahrenheit;
    if (fahrenheit == units.fahrenheit || b.written == recipe_text::Written::none ||
        b.written == recipe_text::Written::gasMark)
        return out;
    Units writer = units;
    writer.fahrenheit = fahrenheit;
    Binding plain = b;
    plain.written = recipe_text::Written::none;
    return temperatures(plain, writer) + ", " + out;
}

} // namespace

const char* kindWords(recipe_text::BindingKind kind) {
    static constexpr std::array<const char*, 18> kWords{"heat",          "core of the food",
                                                        "time",          "rest",
                                                        "heat in words", "place",
                                                        "lid",           "cover",
                                                        "sign",          "doneness",
                                                        "turn",          "height over the coals",
                                                        "coals",         "vessel",
                                                        "thickness",     "weight",
                                                        "pieces",        "start"};
    return kWords[static_cast<std::size_t>(kind)];
}

std::string bindingWords(const Binding& b, Units units) {
    if (b.perWeight) {
        std::string out =
            fmt::format("{} for each {}",
                        printDuration(b.perWeight->sPerKg * (units.inches ? 0.45359237 : 0.5)),
                        units.inches ? "lb" : "500 g");
        if (b.perWeight->overS > 0)
            out += " and " + printDuration(b.perWeight->overS) + " over";
        return out + (b.low ? ", " + printDuration(*b.low) + " here" : "");
    }
    if (!b.low || !b.high)
        return {};
    switch (b.kind) {
    case temperature:
    case core:
    case start:
        return temperatures(b, units);
    case duration:
    case rest:
        return ranged(b, printDuration(*b.low), printDuration(*b.high)) +
               (b.perSide ? " a side" : "");
    case thickness:
    case height:
        return ranged(b, printLength(*b.low, units.inches), printLength(*b.high, units.inches));
    case weight:
        return ranged(b, mass(*b.low, units.inches), mass(*b.high, units.inches));
    case turn:
        return *b.low == 1   ? "once"
               : *b.low == 2 ? "twice"
               : *b.low == 3 ? "three times"
                             : "every " + printDuration(*b.low);
    default:
        return ranged(b, fmt::format("{:g}", *b.low), fmt::format("{:g}", *b.high));
    }
}

} // namespace dynamet::words
