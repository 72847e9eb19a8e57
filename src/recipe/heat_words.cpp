// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recipe/heat_words.h"

#include <algorithm>
#include <memory>
#include <re2/re2.h>

namespace dynamet::recipe {
namespace {

struct Pattern {
    HeatWordKind kind;
    std::unique_ptr<re2::RE2> expression;
};

/// RE2 needs linear time and no recursion, whatever was pasted.
const std::vector<Pattern>& patterns() {
    using enum HeatWordKind;
    static const std::vector<Pattern> list = [] {
        std::vector<Pattern> out;
        const auto add = [&out](HeatWordKind kind, const std::string& pattern) {
            out.push_back({kind, std::make_unique<re2::RE2>("(?i)(" + pattern + ")")});
        };
        add(ovenTemperature, "\\b[0-9]{2,3}(?:-[0-9]{2,3})? ?(?:°|º|degrees )? ?[CF]\\b");
        add(gasMark, "\\bgas (?:mark )?(?:[0-9]|¼|½)");
        add(level, "\\b(?:medium[- ]high|medium[- ]low|medium|high heat|low heat|moderate(?:ly "
                   "hot)? oven|hot oven)\\b");
        add(length, "\\b[0-9]+(?:[.,][0-9]+)? ?(?:mm|cm|inch(?:es)?)\\b");
        add(time, "\\b[0-9]+(?:[-–][0-9]+)? ?(?:minutes?|mins?|hours?|h|seconds?)\\b");
        return out;
    }();
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
    const re2::StringPiece whole(text.data(), text.size());
    for (const Pattern& pattern : patterns()) {
        re2::StringPiece found;
        for (std::size_t from = 0; pattern.expression->Match(whole, from, whole.size(),
                                                             re2::RE2::UNANCHORED, &found, 1);) {
            const auto begin = static_cast<std::size_t>(found.data() - whole.data());
            from = begin + std::max<std::size_t>(found.size(), 1);
            HeatWord word{begin, begin + found.size(), pattern.kind, std::string(found)};
            const bool overlaps = std::any_of(out.begin(), out.end(), [&](const HeatWord& w) {
                return word.begin < w.end && w.begin < word.end;
            });
            if (overlaps)
                continue;
            if (word.kind == HeatWordKind::ovenTemperature && isCore(text, word))
                word.kind = HeatWordKind::coreTemperature;
            out.push_back(word);
        }
    }
    std::sort(out.begin(), out.end(),
              [](const HeatWord& a, const HeatWord& b) { return a.begin < b.begin; });
    return out;
}

} // namespace dynamet::recipe
