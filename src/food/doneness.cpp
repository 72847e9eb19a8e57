// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "food/doneness.h"

#include "quantity/print.h"
#include "json/strict_json.h"

#include "quantity/enum_words.h"
#include "quantity/temperature.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <fmt/format.h>
#include <re2/re2.h>
#include <sstream>
#include <string_view>

namespace dynamet::data {
extern const std::string_view doneness;
} // namespace dynamet::data

namespace dynamet::food {
namespace {

using dynamet::json::StrictJson;
using Json = nlohmann::json;

constexpr std::array<const char*, 4> kReadAt{"pull", "peak", "bath", "plate"};
constexpr std::array<const char*, 4> kReadWords{"at the pull", "at the peak after the rest",
                                                "in the bath", "on the plate"};
constexpr double kColdestC = 20, kHottestC = 120;

DonenessLevel levelOf(const StrictJson& row) {
    const auto parts = row.list();
    if (parts.size() != 3)
        throw row.wrong("should be a name and a band in °C");
    return {parts[0].text(), parts[1].number() + kZeroCelsiusK, parts[2].number() + kZeroCelsiusK};
}

bool sensible(const DonenessLevel& level) {
    return level.lowK >= kColdestC + kZeroCelsiusK && level.lowK < level.highK &&
           level.highK <= kHottestC + kZeroCelsiusK;
}

DonenessScale scaleOf(const StrictJson& row) {
    DonenessScale scale;
    scale.id = row.at("id").text();
    scale.name = row.at("name").text();
    scale.source = row.textOr("source", "");
    const auto known = goalMomentOf(row.at("read_at").text());
    if (!known)
        throw row.at("read_at").wrong(
            fmt::format("\"{}\" is no moment of reading (pull, peak, bath or plate)",
                        row.at("read_at").text()));
    scale.readAt = *known;
    const StrictJson levels = row.at("levels");
    for (const std::string& foodClass : levels.keys()) {
        std::vector<DonenessLevel> list;
        for (const StrictJson& one : levels.at(foodClass.c_str()).list()) {
            list.push_back(levelOf(one));
            if (!sensible(list.back()))
                throw one.wrong(
                    fmt::format("\"{}\", {}, \"{}\": a band runs upwards between 20 and 120 °C",
                                scale.name, foodClass, list.back().name));
        }
        scale.levels.emplace_back(foodClass, list);
    }
    return scale;
}

} // namespace

const char* enumName(GoalMoment at) {
    return kReadAt[static_cast<std::size_t>(at)];
}

std::optional<GoalMoment> goalMomentOf(const std::string& text) {
    return enumOf<GoalMoment>(kReadAt, text);
}

const char* phraseOf(GoalMoment at) {
    return kReadWords[static_cast<std::size_t>(at)];
}

std::vector<DonenessLevel> levelsOf(const DonenessScale& scale, const std::string& foodClass) {
    for (const auto& [known, levels] : scale.levels)
        if (known == foodClass)
            return levels;
    return {};
}

void setLevels(DonenessScale& scale, const std::string& foodClass,
               const std::vector<DonenessLevel>& levels) {
    const auto alike = [](const DonenessLevel& a, const DonenessLevel& b) {
        return a.name == b.name && std::abs(a.lowK - b.lowK) < 0.06 &&
               std::abs(a.highK - b.highK) < 0.06; // what an edit in whole tenths cannot tell apart
    };
    const auto now = levelsOf(scale, foodClass);
    if (std::equal(now.begin(), now.end(), levels.begin(), levels.end(), alike))
        return;
    for (auto& [known, list] : scale.levels)
        if (known == foodClass) {
            list = levels;
            return;
        }
    scale.levels.emplace_back(foodClass, levels);
}

void putOwn(std::vector<DonenessScale>& own, const DonenessScale& scale) {
    const auto same = std::find_if(own.begin(), own.end(),
                                   [&](const DonenessScale& s) { return s.id == scale.id; });
    if (same == own.end())
        own.push_back(scale);
    else
        *same = scale;
}

const std::vector<DonenessScale>& shippedScales() {
    static const std::vector<DonenessScale> scales =
        readScales(std::string(data::doneness)).value_or(std::vector<DonenessScale>{});
    return scales;
}

std::vector<DonenessScale> scalesWith(const std::vector<DonenessScale>& own) {
    std::vector<DonenessScale> out = shippedScales();
    for (const DonenessScale& scale : own)
        putOwn(out, scale);
    return out;
}

Result<DonenessLevel> findLevel(const std::vector<DonenessScale>& scales,
                                const std::string& scaleId, const std::string& foodClass,
                                const std::string& levelName) {
    for (const DonenessScale& scale : scales) {
        if (scale.id != scaleId)
            continue;
        for (const DonenessLevel& level : levelsOf(scale, foodClass))
            if (level.name == levelName)
                return level;
        return fail(Errc::notFound,
                    Finding{"no_such_level", {Name{scale.name}, Name{levelName}, Name{foodClass}}});
    }
    return fail(Errc::notFound, Finding{"no_such_scale", {Name{scaleId}}});
}

std::optional<std::pair<double, double>> donenessSpan(const std::vector<DonenessScale>& scales,
                                                      const std::string& foodClass) {
    std::optional<std::pair<double, double>> out;
    for (const DonenessScale& scale : scales)
        for (const DonenessLevel& level : levelsOf(scale, foodClass))
            out = out ? std::pair{std::min(out->first, level.lowK),
                                  std::max(out->second, level.highK)}
                      : std::pair{level.lowK, level.highK};
    return out;
}

Result<void> checkDoneness(const std::vector<DonenessScale>& scales, const Food& food,
                           double coreK) {
    constexpr double kBesideK = 4; // what a cook may want beyond every scale
    const auto span = donenessSpan(scales, food.foodClass);
    if (!span || (coreK >= span->first - kBesideK && coreK <= span->second + kBesideK))
        return {};
    return fail(Errc::refused,
                {"no_doneness",
                 {Temperature::kelvin(coreK), Name{food.name}, Temperature::kelvin(span->first),
                  Temperature::kelvin(span->second)}});
}

std::string linesOf(const std::vector<DonenessLevel>& levels, bool fahrenheit) {
    std::string out;
    const auto shown = [&](double kelvin) {
        const Temperature t = Temperature::kelvin(kelvin);
        return std::round((fahrenheit ? t.fahrenheit() : t.celsius()) * 10) / 10;
    };
    for (const DonenessLevel& level : levels)
        out += fmt::format("{} {}-{}\n", level.name, shown(level.lowK), shown(level.highK));
    return out;
}

Result<std::vector<DonenessLevel>> levelsFromLines(const std::string& text, bool fahrenheit) {
    static const re2::RE2 form(R"(\s*(.*\S)\s+(\d+(?:\.\d+)?)\s*(?:-|to)\s*(\d+(?:\.\d+)?)\s*)");
    const auto kelvin = [&](const std::string& number) {
        const double value = std::strtod(number.c_str(), nullptr);
        return (fahrenheit ? Temperature::fahrenheit(value) : Temperature::celsius(value)).kelvin();
    };
    std::vector<DonenessLevel> out;
    std::istringstream in(text);
    std::string line;
    for (int number = 1; std::getline(in, line); ++number) {
        if (line.find_first_not_of(" \t\r") == std::string::npos)
            continue;
        std::string name, low, high;
        if (!re2::RE2::FullMatch(line, form, &name, &low, &high))
            return fail(
                Errc::invalidArgument,
                fmt::format("line {}: \"{}\" is not a name and a band such as \"rare 48-52\"",
                            number, line));
        const DonenessLevel level{name, kelvin(low), kelvin(high)};
        if (!sensible(level))
            return tl::unexpected(
                fail(Errc::invalidArgument, {"band_outside",
                                             {Name{level.name}, Temperature::celsius(kColdestC),
                                              Temperature::celsius(kHottestC)}})
                    .value()
                    .in(fmt::format("line {}", number)));
        out.push_back(level);
    }
    return out;
}

std::string scalesJson(const std::vector<DonenessScale>& scales) {
    Json out{{"format", "dynamet-doneness"}, {"version", 2}, {"scales", Json::array()}};
    const auto celsius = [](double kelvin) {
        return std::round((kelvin - kZeroCelsiusK) * 100) / 100;
    };
    for (const DonenessScale& scale : scales) {
        Json levels = Json::object();
        for (const auto& [foodClass, list] : scale.levels)
            for (const DonenessLevel& level : list)
                levels[foodClass].push_back(
                    {level.name, celsius(level.lowK), celsius(level.highK)});
        out["scales"].push_back({{"id", scale.id},
                                 {"name", scale.name},
                                 {"read_at", enumName(scale.readAt)},
                                 {"source", scale.source},
                                 {"levels", levels}});
    }
    return out.dump();
}

Result<std::vector<DonenessScale>> readScales(const std::string& text) {
    return dynamet::json::readStrictly(text, [](const StrictJson& root) {
        std::vector<DonenessScale> out;
        for (const StrictJson& row : root.at("scales").list())
            out.push_back(scaleOf(row));
        return out;
    });
}

} // namespace dynamet::food
