// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/marks.h"

#include "quantity/number_text.h"

#include <algorithm>
#include <charconv>
#include <cmath>
#include <fmt/format.h>
#include <fmt/ranges.h>

namespace dynamet::kitchen {
namespace {

constexpr std::size_t kMostMarks = 24;
constexpr double kRise = 1.5; // from memory: low marks give less than their share of the dial

std::vector<std::string> partsOf(const std::string& line) {
    std::vector<std::string> out;
    std::string part;
    const auto end = [&] {
        if (const auto cut = trimmed(part); !cut.empty())
            out.emplace_back(cut);
        part.clear();
    };
    for (char c : line)
        if (c == ',' || c == ';' || c == '\n')
            end();
        else
            part += c;
    end();
    return out;
}

/// "1-9" or "1–9": the whole numbers between.
std::vector<std::string> spelledOut(const std::vector<std::string>& parts) {
    if (parts.size() != 1)
        return parts;
    std::string_view rest = parts.front();
    const auto first = takeNumber(rest);
    for (const std::string_view dash : {"-", "–", " to "})
        if (first && rest.starts_with(dash)) {
            rest.remove_prefix(dash.size());
            const auto last = takeNumber(rest);
            if (!last || !trimmed(rest).empty() || *last <= *first)
                return parts;
            std::vector<std::string> out;
            for (double mark = *first; mark <= *last && out.size() <= kMostMarks; ++mark)
                out.push_back(fmt::format("{}", mark));
            return out;
        }
    return parts;
}

/// A share "50 %" or a temperature "115 °C" at the end of a mark; its name is what stands before.
Result<Label> markOf(const std::string& part, MarkMeaning meaning, TemperatureUnit unit) {
    std::size_t number = std::string::npos; // where the last word begins that starts with a figure
    for (std::size_t i = 1; i < part.size(); ++i)
        if (part[i] >= '0' && part[i] <= '9' && part[i - 1] == ' ')
            number = i;
    const bool share = meaning == MarkMeaning::share && part.ends_with('%');
    if (meaning == MarkMeaning::none || (!share && meaning == MarkMeaning::share) ||
        (number == std::string::npos && !share))
        return Label{part, std::nullopt};
    if (number == std::string::npos)
        return fail(Errc::invalidArgument, fmt::format("\"{}\" has no name", part));
    const std::string name(trimmed(part.substr(0, number))), typed = part.substr(number);
    if (meaning == MarkMeaning::temperature) {
        const auto kelvin = parseTemperature(typed, unit);
        if (!kelvin)
            return tl::unexpected(kelvin.error().in(part));
        return Label{name, kelvin->celsius()};
    }
    std::string_view rest = typed;
    const auto percent = takeNumber(rest);
    if (!percent || trimmed(rest) != "%" || *percent < 0 || *percent > 100)
        return fail(Errc::invalidArgument, fmt::format("\"{}\" is no share from 0 to 100 %", part));
    return Label{name, *percent / 100};
}

/// Shares that nobody wrote, between those that stand.
void spreadShares(std::vector<Label>& marks) {
    const std::size_t first = marks.front().text == "off" ? 1 : 0;
    if (first == 1 && !marks.front().number)
        marks.front().number = 0;
    const bool none = std::none_of(marks.begin() + static_cast<std::ptrdiff_t>(first), marks.end(),
                                   [](const Label& l) { return l.number.has_value(); });
    const auto usual = [&](std::size_t i) {
        return std::pow(
            static_cast<double>(i + 1 - first) / static_cast<double>(marks.size() - first), kRise);
    };
    if (!marks.back().number)
        marks.back().number = 1;
    if (!marks[first].number)
        marks[first].number = std::min(usual(first), *marks.back().number);
    std::size_t low = first;
    for (std::size_t i = first + 1; i < marks.size(); ++i) {
        if (!marks[i].number)
            continue;
        for (std::size_t j = low + 1; j < i; ++j)
            marks[j].number =
                none ? usual(j)
                     : std::lerp(*marks[low].number, *marks[i].number,
                                 static_cast<double>(j - low) / static_cast<double>(i - low));
        low = i;
    }
}

Result<void> allDifferent(const std::vector<std::string>& names) {
    for (std::size_t i = 0; i < names.size(); ++i)
        if (std::find(names.begin(), names.begin() + static_cast<std::ptrdiff_t>(i), names[i]) !=
            names.begin() + static_cast<std::ptrdiff_t>(i))
            return fail(Errc::invalidArgument, fmt::format("\"{}\" stands twice", names[i]));
    for (const std::string& name : names)
        if (name.find_first_of(";=/+") != std::string::npos)
            return fail(Errc::invalidArgument,
                        fmt::format("\"{}\": a name has none of ; = / +", name));
    return {};
}

} // namespace

MarkMeaning meaningOf(ControlKind kind) {
    if (kind == ControlKind::level || kind == ControlKind::burners)
        return MarkMeaning::share;
    if (kind == ControlKind::vent || kind == ControlKind::fireStage)
        return MarkMeaning::temperature;
    return MarkMeaning::none;
}

std::string marksLine(const Control& control, TemperatureUnit unit) {
    std::vector<std::string> out;
    for (const Label& label : control.labels) {
        std::string mark = label.text;
        if (label.number && meaningOf(control.kind) == MarkMeaning::share)
            mark += fmt::format(" {} %", printFixed(*label.number * 100, 0));
        if (label.number && meaningOf(control.kind) == MarkMeaning::temperature)
            mark += " " + printTemperature(Temperature::celsius(*label.number), unit);
        out.push_back(mark);
    }
    return fmt::format("{}", fmt::join(out, ", "));
}

Result<std::vector<Label>> marksFrom(const std::string& line, ControlKind kind,
                                     TemperatureUnit unit) {
    const auto parts = spelledOut(partsOf(line));
    if (parts.empty() || parts.size() > kMostMarks)
        return fail(Errc::invalidArgument,
                    fmt::format("write 1 to {} marks, commas between them", kMostMarks));
    std::vector<Label> out;
    std::vector<std::string> names;
    for (const std::string& part : parts) {
        auto mark = markOf(part, meaningOf(kind), unit);
        if (!mark)
            return tl::unexpected(mark.error());
        names.push_back(mark->text);
        out.push_back(std::move(*mark));
    }
    if (const auto different = allDifferent(names); !different)
        return tl::unexpected(different.error());
    if (meaningOf(kind) == MarkMeaning::temperature)
        for (const Label& mark : out)
            if (!mark.number)
                return fail(Errc::invalidArgument,
                            fmt::format("\"{}\": write the temperature it usually gives behind it",
                                        mark.text));
    if (meaningOf(kind) == MarkMeaning::share) {
        if (out.size() == 1 && out.front().text == "off")
            return fail(Errc::invalidArgument, "a knob that is only off heats nothing: write its "
                                               "other marks, too");
        spreadShares(out);
    }
    return out;
}

Result<std::vector<std::string>> namesFrom(const std::string& line, std::size_t most) {
    const auto names = partsOf(line);
    if (names.empty() || names.size() > most)
        return fail(Errc::invalidArgument,
                    fmt::format("write 1 to {} names, commas between them", most));
    if (const auto different = allDifferent(names); !different)
        return tl::unexpected(different.error());
    return names;
}

std::string namesLine(const std::vector<std::string>& names) {
    return fmt::format("{}", fmt::join(names, ", "));
}

} // namespace dynamet::kitchen
