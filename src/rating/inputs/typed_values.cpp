// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/inputs/typed_values.h"

#include "quantity/number_text.h"
#include "quantity/parse_duration.h"
#include "quantity/parse_measures.h"
#include "quantity/print.h"
#include "rating/inputs/test_reader.h"

#include <charconv>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::rating {

namespace {

Result<double> parseUnranged(const ValueSpec& spec, const std::string& typed,
                             TemperatureUnit bare) {
    switch (spec.kind) {
    case ValueKind::temperature:
        return parseTemperature(typed, bare).map([](Temperature t) { return t.celsius(); });
    case ValueKind::mass:
        return parseMassKg(typed, spec.siPerUnit);
    case ValueKind::length:
        return parseLengthM(typed, spec.siPerUnit);
    case ValueKind::energy:
        return parseEnergyJ(typed, spec.siPerUnit);
    case ValueKind::duration:
        return parseDuration(typed).map([](DurationRange t) { return t.lowS; });
    default:
        break;
    }
    std::string_view rest = typed;
    const auto number = takeNumber(rest);
    if (!number)
        return number;
    const auto unit = trimmed(rest);
    if (spec.kind == ValueKind::difference && unit == "F")
        return *number / 1.8;
    const bool own = unit.empty() || unit == spec.unit ||
                     (spec.kind == ValueKind::difference && (unit == "C" || unit == "°C"));
    if (!own)
        return fail(Errc::parse, spec.unit.empty()
                                     ? fmt::format("\"{}\" should be a number", typed)
                                     : fmt::format("\"{}\" should be in {}", typed, spec.unit));
    if (spec.kind == ValueKind::count && *number != std::floor(*number))
        return fail(Errc::parse, fmt::format("\"{}\" is not a whole number", typed));
    return *number * spec.siPerUnit;
}

} // namespace

Result<double> parseValue(const ValueSpec& spec, const std::string& typed, TemperatureUnit bare) {
    const auto read = parseUnranged(spec, typed, bare);
    if (!read)
        return tl::unexpected(read.error().in(spec.label));
    if (const auto ok = checkRange(spec, *read); !ok)
        return tl::unexpected(ok.error());
    return *read;
}

std::string shownValue(const ValueSpec& spec, double named, TemperatureUnit unit) {
    if (spec.kind == ValueKind::temperature)
        return printTemperature(Temperature::celsius(named), unit);
    if (spec.kind == ValueKind::difference && spec.name != "resolution_K")
        return printDifference(KelvinDelta(named), unit);
    const std::string number = fmt::format("{:.4g}", named / spec.siPerUnit);
    return spec.unit.empty() ? number : number + " " + spec.unit;
}

std::string usualText(const ValueSpec& spec, TemperatureUnit unit) {
    if (spec.kind == ValueKind::choice)
        return spec.choices.front().word;
    return spec.usual.empty() ? "" : shownValue(spec, std::stod(spec.usual) * spec.siPerUnit, unit);
}

namespace {

/// Reads each text by its descriptor; `parse` reads a number.
template <class Parse>
Result<TypedValues> readEach(const Protocol& protocol,
                             const std::map<std::string, std::string>& texts, Parse parse) {
    TypedValues out;
    for (const auto& [name, typed] : texts) {
        const ValueSpec* spec = protocol.value(name);
        if (!spec)
            return fail(Errc::invalidArgument,
                        fmt::format("{} does not know the value \"{}\"", protocol.id, name));
        if (spec->kind == ValueKind::choice) {
            if (const auto ok = checkChoice(*spec, typed); !ok)
                return tl::unexpected(ok.error());
            out.choices[name] = typed;
            continue;
        }
        if ((spec->optional || spec->logTells) && trimmed(typed).empty())
            continue;
        const auto read = parse(*spec, typed);
        if (!read)
            return tl::unexpected(read.error());
        out.values[name] = *read;
    }
    return out;
}

} // namespace

Result<TypedValues> readTyped(const Protocol& protocol,
                              const std::map<std::string, std::string>& typed,
                              TemperatureUnit bare) {
    return readEach(protocol, typed, [&](const ValueSpec& spec, const std::string& text) {
        return parseValue(spec, text, bare);
    });
}

Result<TypedValues> readNamed(const Protocol& protocol,
                              const std::map<std::string, std::string>& written) {
    return readEach(
        protocol, written, [](const ValueSpec& spec, const std::string& text) -> Result<double> {
            double value = 0;
            const auto read = std::from_chars(text.data(), text.data() + text.size(), value);
            if (read.ec != std::errc{} || read.ptr != text.data() + text.size())
                return fail(Errc::invalidArgument,
                            fmt::format("\"{}\" for {} is not a number", text, spec.name));
            if (const auto ok = checkRange(spec, value); !ok)
                return tl::unexpected(ok.error());
            return value;
        });
}

} // namespace dynamet::rating
