// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "device/plain_lines.h"

#include "device/words_of.h"
#include "quantity/number_text.h"

#include <cmath>
#include <fmt/format.h>
#include <limits>

namespace dynamet::device {
namespace {

/// The columns of a line; nullopt inside for one that is empty. An error for words.
std::optional<std::vector<std::optional<double>>> columnsOf(std::string_view line) {
    const char between = line.find(';') != std::string_view::npos    ? ';'
                         : line.find('\t') != std::string_view::npos ? '\t'
                         : line.find(',') != std::string_view::npos  ? ','
                                                                     : ' ';
    std::vector<std::optional<double>> out;
    while (true) {
        const std::size_t end = line.find(between);
        std::string_view text = line.substr(0, end);
        while (!text.empty() && text.front() == ' ')
            text.remove_prefix(1);
        while (!text.empty() && text.back() == ' ')
            text.remove_suffix(1);
        const bool blank = text.empty() || text == "-" || text == "--";
        const auto number = wholeNumber(text);
        if (!blank && !number)
            return std::nullopt;
        if (!(blank && between == ' ' && text.empty()))
            out.push_back(blank ? std::nullopt : number);
        if (end == std::string_view::npos)
            return out;
        line.remove_prefix(end + 1);
    }
}

} // namespace

Result<std::vector<ChannelSpec>> parseChannels(const std::string& text) {
    std::vector<ChannelSpec> out;
    std::string_view rest = text;
    while (true) {
        const std::size_t comma = rest.find(',');
        const std::string_view one = trimmed(rest.substr(0, comma));
        if (one.empty())
            return fail(Errc::parse, text.find_first_not_of(' ') == std::string::npos
                                         ? "name its channels, a unit each: left C, pot g"
                                         : "a channel between two commas has no name");
        ChannelSpec spec;
        spec.key = fmt::format("{}", out.size() + 1);
        const std::size_t blank = one.rfind(' ');
        const auto unit = blank == std::string_view::npos
                              ? std::nullopt
                              : lineUnit(std::string(one.substr(blank + 1)));
        spec.name = std::string(unit ? trimmed(one.substr(0, blank)) : one);
        spec.unit = unit.value_or("°C");
        spec.resolution = 0;
        out.push_back(std::move(spec));
        if (comma == std::string_view::npos)
            return out;
        rest.remove_prefix(comma + 1);
    }
}

Message readPlain(const PlainLayout& layout, std::string_view line) {
    const auto columns = columnsOf(line);
    if (!columns)
        return Unusable{isText(line) ? Fault::notALine : Fault::notText, beginningOf(line)};
    const std::size_t before = layout.timeFirst ? 1 : 0;
    if (columns->size() != before + layout.channels.size())
        return Unusable{Fault::otherColumns, beginningOf(line)};
    Reading out;
    if (layout.timeFirst) {
        if (!columns->front())
            return Unusable{Fault::badNumber, beginningOf(line)};
        out.deviceS = columns->front();
    }
    for (std::size_t i = 0; i < layout.channels.size(); ++i) {
        const auto& value = (*columns)[before + i];
        out.values.push_back({layout.channels[i].key,
                              value.value_or(std::numeric_limits<double>::quiet_NaN()),
                              value ? Gap::none : Gap::open});
    }
    return out;
}

std::optional<PlainLayout> guessLayout(const std::vector<std::string>& lines) {
    constexpr std::size_t kEnough = 3;
    std::size_t count = 0;
    bool grows = true;
    double before = -std::numeric_limits<double>::infinity();
    for (const std::string& line : lines) {
        const auto columns = columnsOf(line);
        if (!columns || (count > 0 && columns->size() != count))
            return std::nullopt;
        count = columns->size();
        const auto& first = columns->front();
        grows = grows && first && *first > before;
        before = first.value_or(before);
    }
    if (lines.size() < kEnough || count == 0)
        return std::nullopt;
    PlainLayout out;
    out.timeFirst = grows && count > 1;
    for (std::size_t i = out.timeFirst ? 1 : 0; i < count; ++i)
        out.channels.push_back({fmt::format("{}", out.channels.size() + 1),
                                fmt::format("column {}", i + 1),
                                "°C",
                                0,
                                {},
                                {}});
    return out;
}

} // namespace dynamet::device
