// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recipe_text/number_phrase.h"

#include "quantity/number_text.h"

#include <array>
#include <cctype>
#include <string_view>
#include <utility>

namespace dynamet::recipe_text {

const char* const kNumber =
    R"((?:\d+[ -]\d/\d+|\d+ ?[½¼¾⅓⅔⅛]|[½¼¾⅓⅔⅛]|\d/\d+|\d{1,3}(?:,\d{3})+|\d+(?:[.,]\d+)?)"
    R"(|half a dozen|a dozen|dozen|a couple of|)"
    R"((?:one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|fifteen|sixteen|eighteen)"
    R"(|(?:twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety)(?:[- ]five)?)(?: and a half)?))";

const char* const kBetween = R"( ?(?:-|–|—|\bto\b|\bor\b|\band\b) ?)";

namespace {

constexpr std::array<std::pair<std::string_view, double>, 34> kWords{{
    {"half a dozen", 6}, {"a dozen", 12}, {"dozen", 12},   {"a couple of", 2},  {"eleven", 11},
    {"twelve", 12},      {"fifteen", 15}, {"sixteen", 16}, {"eighteen", 18},    {"seventy", 70},
    {"eighty", 80},      {"ninety", 90},  {"sixty", 60},   {"twenty", 20},      {"thirty", 30},
    {"forty", 40},       {"fifty", 50},   {"one", 1},      {"two", 2},          {"three", 3},
    {"four", 4},         {"five", 5},     {"six", 6},      {"seven", 7},        {"eight", 8},
    {"nine", 9},         {"ten", 10},     {"½", 0.5},      {"¼", 0.25},         {"¾", 0.75},
    {"⅓", 1 / 3.},       {"⅔", 2 / 3.},   {"⅛", 0.125},    {"and a half", 0.5},
}};

} // namespace

double numberOf(const std::string& typed) {
    std::string text = typed;
    for (char& c : text)
        c = static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
    if (!text.empty() && std::isdigit(static_cast<unsigned char>(text.front()))) {
        if (const auto hyphen = text.find('-'); hyphen != std::string::npos) // "1-1/2"
            text[hyphen] = ' ';
        std::string_view figures = text;
        return takeNumber(figures).value_or(0);
    }
    double out = 0;
    std::string_view rest = text;
    while (!rest.empty()) {
        bool found = false;
        for (const auto& [word, worth] : kWords)
            if (rest.starts_with(word)) {
                out += worth;
                rest.remove_prefix(word.size());
                found = true;
                break;
            }
        if (!found)
            rest.remove_prefix(1);
    }
    return out;
}

} // namespace dynamet::recipe_text
