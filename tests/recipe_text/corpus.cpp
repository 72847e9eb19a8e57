// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recipe_text/corpus.h"

#include <cmath>
#include <fstream>
#include <map>
#include <stdexcept>

namespace dynamet::recipe_text {
namespace {

/// "160..180C", "2.5h", "4", "3/4in" in SI.
std::pair<double, double> valuesOf(const std::string& typed) {
    const std::map<std::string, double> units{
        {"s", 1},  {"min", 60}, {"h", 3600},        {"mm", 1e-3},      {"cm", 0.01}, {"in", 0.0254},
        {"kg", 1}, {"g", 1e-3}, {"lb", 0.45359237}, {"oz", 0.0283495}, {"", 1}};
    const auto unitAt = typed.find_first_not_of("0123456789./");
    const std::string figures = typed.substr(0, unitAt);
    const std::string unit = unitAt == std::string::npos ? "" : typed.substr(unitAt);
    const auto one = [&](const std::string& text) {
        double number = std::stod(text);
        if (const auto slash = text.find('/'); slash != std::string::npos)
            number /= std::stod(text.substr(slash + 1));
        if (unit == "C")
            return number + 273.15;
        if (unit == "F")
            return (number - 32) / 1.8 + 273.15;
        return number * units.at(unit);
    };
    const auto dots = figures.find("..");
    if (dots == std::string::npos)
        return {one(figures), one(figures)};
    return {one(figures.substr(0, dots)), one(figures.substr(dots + 2))};
}

CorpusSentence sentenceOf(const std::string& line) {
    CorpusSentence out;
    for (std::size_t i = 0; i < line.size();) {
        if (line[i] != '[') {
            out.text += line[i++];
            continue;
        }
        const auto bar = line.find('|', i), close = line.find(']', i);
        if (bar == std::string::npos || close == std::string::npos || bar > close)
            throw std::runtime_error("a mark of the corpus is not closed: " + line);
        const std::string head = line.substr(i + 1, bar - i - 1);
        const auto space = head.find(' ');
        const auto kind = bindingKindOf(head.substr(0, space));
        if (!kind)
            throw std::runtime_error("no such kind: " + head);
        Binding binding;
        binding.kind = *kind;
        binding.begin = out.text.size();
        binding.text = line.substr(bar + 1, close - bar - 1);
        out.text += binding.text;
        binding.end = out.text.size();
        if (space != std::string::npos) {
            const auto [low, high] = valuesOf(head.substr(space + 1));
            binding.low = low;
            binding.high = high;
        }
        out.bindings.push_back(binding);
        i = close + 1;
    }
    return out;
}

} // namespace

std::vector<CorpusSentence> corpusOf(const std::string& file) {
    std::ifstream in(std::string(DYNAMET_CORPUS) + "/" + file);
    if (!in)
        throw std::runtime_error("no corpus " + file);
    std::vector<CorpusSentence> out;
    std::optional<TemperatureUnit> scale;
    for (std::string line; std::getline(in, line);) {
        if (line.starts_with("# ")) {
            scale = line == "# F"   ? std::optional(TemperatureUnit::fahrenheit)
                    : line == "# C" ? std::optional(TemperatureUnit::celsius)
                                    : std::nullopt;
            continue;
        }
        out.push_back(sentenceOf(line));
        out.back().scale = scale;
    }
    return out;
}

bool isRight(const Binding& found, const Binding& wanted) {
    const auto begin = std::max(found.begin, wanted.begin), end = std::min(found.end, wanted.end);
    const auto shorter = std::min(found.end - found.begin, wanted.end - wanted.begin);
    if (found.kind != wanted.kind || begin >= end || 2 * (end - begin) < shorter)
        return false;
    const auto same = [](std::optional<double> a, std::optional<double> b) {
        return a.has_value() == b.has_value() &&
               (!a || std::abs(*a - *b) <= 0.01 * std::abs(*b) + 1e-9);
    };
    // A temperature's 1 % would be 5 K: a degree will do.
    if (wanted.kind == BindingKind::temperature || wanted.kind == BindingKind::core)
        return !wanted.low || (found.low && std::abs(*found.low - *wanted.low) < 1 &&
                               std::abs(*found.high - *wanted.high) < 1);
    return same(found.low, wanted.low) && same(found.high, wanted.high);
}

} // namespace dynamet::recipe_text
