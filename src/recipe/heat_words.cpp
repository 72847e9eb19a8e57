// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recipe/heat_words.h"

#include <algorithm>
#include <regex>

namespace dynamet::recipe {
namespace {

struct Pattern {
    HeatWordKind kind;
    std::regex expression;
};

const std::vector<Pattern>& patterns() {
    using enum HeatWordKind;
    constexpr auto flags = std::regex::icase | std::regex::optimize;
    static const std::vector<Pattern> list{
        {ovenTemperature,
         std::regex("\\b[0-9]{2,3}(-[0-9]{2,3})? ?(°|º|degrees )? ?[CF]\\b", flags)},
        {gasMark, std::regex("\\bgas (mark )?([0-9]|¼|½)", flags)},
        {level, std::regex("\\b(medium[- ]high|medium[- ]low|medium|high heat|low heat|moderate(ly "
                           "hot)? oven|hot oven)\\b",
                           flags)},
        {length, std::regex("\\b[0-9]+([.,][0-9]+)? ?(mm|cm|inch(es)?)\\b", flags)},
        {time, std::regex("\\b[0-9]+([-–][0-9]+)? ?(minutes?|mins?|hours?|h|seconds?)\\b", flags)}};
    return list;
}

bool isCore(std::string_view text, const HeatWord& word) {
    const std::size_t from = word.begin > 40 ? word.begin - 40 : 0;
    std::string before(text.substr(from, word.begin - from));
    const auto stop = before.find_last_of(".;");
    if (stop != std::string::npos)
        before = before.substr(stop);
    const auto has = [&before](const char* w) { return before.find(w) != std::string::npos; };
    const double number = std::stod(word.text);
    const bool fahrenheit = word.text.back() == 'F' || word.text.back() == 'f';
    return has("until") || has("core") || has("middle reads") || (!fahrenheit && number < 100);
}

} // namespace

std::vector<HeatWord> findHeatWords(std::string_view text) {
    std::vector<HeatWord> out;
    const std::string whole(text);
    for (const Pattern& pattern : patterns())
        for (std::sregex_iterator at(whole.begin(), whole.end(), pattern.expression), end;
             at != end; ++at) {
            HeatWord word{static_cast<std::size_t>(at->position()),
                          static_cast<std::size_t>(at->position() + at->length()), pattern.kind,
                          at->str()};
            const bool overlaps = std::any_of(out.begin(), out.end(), [&](const HeatWord& w) {
                return word.begin < w.end && w.begin < word.end;
            });
            if (overlaps)
                continue;
            if (word.kind == HeatWordKind::ovenTemperature && isCore(text, word))
                word.kind = HeatWordKind::coreTemperature;
            out.push_back(word);
        }
    std::sort(out.begin(), out.end(),
              [](const HeatWord& a, const HeatWord& b) { return a.begin < b.begin; });
    return out;
}

} // namespace dynamet::recipe
