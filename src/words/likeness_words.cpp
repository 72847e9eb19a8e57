// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/likeness_words.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace dynamet::words {
namespace {

using food::Quality;

struct QualityNames {
    const char *word, *whole, *more, *less;
};
constexpr std::array<QualityNames, 6> kNames{
    {{"core", "the core", "hotter in the middle", "cooler in the middle"},
     {"done through", "how far it is done through", "more done through", "less done through"},
     {"colour", "the colour", "darker", "paler"},
     {"weight", "the weight it loses", "drier", "moister"},
     {"tenderness", "tenderness", "softer", "firmer"},
     {"fat", "the fat that melts out", "leaner", "fattier"}}};

const QualityNames& namesOf(Quality quality) {
    return kNames[static_cast<std::size_t>(quality)];
}

} // namespace

const char* qualityWord(Quality quality) {
    return namesOf(quality).word;
}

std::string decidesWords(std::span<const cook::Say> says) {
    constexpr double kAlone = 0.7, kCounts = 0.15;
    if (says.empty() || says.front().share <= 0)
        return "";
    std::string out = namesOf(says.front().quality).whole;
    out.front() = static_cast<char>(out.front() - 'a' + 'A');
    out += " decides when it is done";
    if (says.size() > 1 && says.front().share < kAlone && says[1].share > kCounts)
        out += std::string(", then ") + namesOf(says[1].quality).whole;
    return out + ".";
}

std::string differenceWords(std::span<const cook::Difference> differences) {
    std::vector<cook::Difference> off;
    for (const cook::Difference& d : differences)
        if (std::abs(d.noticed) > 1)
            off.push_back(d);
    std::stable_sort(off.begin(), off.end(), [](const auto& a, const auto& b) {
        return std::abs(a.noticed) > std::abs(b.noticed);
    });
    std::vector<std::string> words;
    for (const cook::Difference& d : off) {
        const QualityNames& names = namesOf(d.quality);
        std::string word = d.noticed > 0 ? names.more : names.less;
        if (std::find(words.begin(), words.end(), word) == words.end())
            words.push_back(std::move(word));
    }
    std::string out;
    for (std::size_t i = 0; i < words.size(); ++i)
        out += (i == 0 ? "" : i + 1 == words.size() ? " and " : ", ") + words[i];
    return out.empty() ? out : out + " than the recipe";
}

std::string likenessWords(const cook::Likeness& likeness) {
    std::string out = differenceWords(likeness.differences);
    if (out.empty())
        return "Like the recipe: a taster would hardly notice a difference.";
    out.front() = static_cast<char>(out.front() - 'a' + 'A');
    return out + ".";
}

} // namespace dynamet::words
