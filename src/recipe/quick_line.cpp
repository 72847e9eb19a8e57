// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recipe/quick_line.h"

#include "kitchen/dial.h"
#include "quantity/parse_duration.h"
#include "quantity/parse_measures.h"
#include "quantity/parse_temperature.h"
#include "recipe/said.h"

#include <algorithm>
#include <fmt/format.h>
#include <memory>
#include <re2/re2.h>

namespace dynamet::recipe {
namespace {

using kitchen::Appliance;

/// Cuts the first match out of the line and returns its group, or nothing.
std::optional<std::string> cut(std::string& line, const re2::RE2& pattern) {
    const re2::StringPiece text(line);
    re2::StringPiece found[2];
    if (!pattern.Match(text, 0, text.size(), re2::RE2::UNANCHORED, found, 2))
        return std::nullopt;
    std::string out(found[1]);
    line.replace(static_cast<std::size_t>(found[0].data() - line.data()), found[0].size(), " ; ");
    return out;
}

constexpr const char* kNumber = R"((?:\d+ \d/\d|\d/\d|\d+[¼½¾]|[¼½¾]|\d+(?:[.,]\d+)?))";

const re2::RE2& pattern(const std::string& name) {
    static const auto make = [](const std::string& text) {
        return std::make_unique<re2::RE2>("(?i)" + text);
    };
    static const std::string number = kNumber;
    static const std::string degrees = number + R"( ?(?:°|º|degrees?|deg)? ?[CFK]?)";
    static const std::string scaled = number + R"( ?(?:°|º|degrees?|deg)? ?[CFK])";
    static const auto core = make(R"(\b(?:core|middle|inside|internal)(?: of| at| to| reads)? ()" +
                                  degrees + R"()(?:\b|[,;]|$))");
    static const auto start = make(R"(\b(?:from|start(?:ing)? at) ()" + scaled + R"()(?:\b|$))");
    static const auto gas = make(R"(\b(gas(?: mark)? (?:\d+|[¼½]))(?:\b|[,;]|$))");
    static const auto heat = make("(" + scaled + R"()(?:\b|[,;]|$))");
    static const auto bareHeat = make(R"((?:\bat|@) ?(\d{2,3})(?:\b|[,;]|$))");
    static const auto time = make(
        "(" + number + R"( ?(?:h|hours?|hrs?)(?: ?\d+(?: ?min(?:utes?)?)?)?|)" + number +
        R"((?: ?[-–] ?)" + number + R"()? ?(?:min(?:utes?|s)?|s|sec(?:onds?)?))(?:\b|[,;]|$))");
    static const auto length =
        make("(" + number + R"( ?(?:mm|cm|inch(?:es)?|in|"))(?:\b|[\s,;]|$))");
    return name == "core"    ? *core
           : name == "start" ? *start
           : name == "gas"   ? *gas
           : name == "heat"  ? *heat
           : name == "bare"  ? *bareHeat
           : name == "time"  ? *time
                             : *length;
}

/// Numbers are taken out of the line one after the other.
struct Numbers {
    std::optional<Temperature> heat, core, start;
    std::optional<double> lengthM, seconds;
};

Result<Numbers> numbersIn(std::string& line, TemperatureUnit reader) {
    Numbers out;
    const auto degrees = [&](const char* which, std::optional<Temperature>& to) -> Result<void> {
        if (const auto typed = cut(line, pattern(which))) {
            const auto value = parseTemperature(*typed, reader);
            if (!value)
                return tl::unexpected(value.error());
            to = *value;
        }
        return {};
    };
    if (const auto typed = cut(line, pattern("length"))) {
        const auto value = parseLengthM(*typed, 1e-3);
        if (!value)
            return tl::unexpected(value.error());
        out.lengthM = *value;
    }
    if (const auto typed = cut(line, pattern("time"))) {
        const auto value = parseDuration(*typed);
        if (!value)
            return tl::unexpected(value.error());
        out.seconds = (value->lowS + value->highS) / 2;
    }
    for (const auto& [which, to] :
         {std::pair{"core", &out.core}, {"start", &out.start}, {"gas", &out.heat}})
        if (const auto done = degrees(which, *to); !done)
            return tl::unexpected(done.error());
    for (const char* which : {"heat", "bare"})
        if (!out.heat)
            if (const auto done = degrees(which, out.heat); !done)
                return tl::unexpected(done.error());
    return out;
}

} // namespace

Result<QuickLine> readQuickLine(const std::string& typed, const kitchen::Kitchen& kitchen,
                                TemperatureUnit reader) {
    QuickLine out;
    const auto on = applianceSaid(typed, kitchen);
    if (!on)
        return tl::unexpected(on.error());
    std::string line = typed;
    if (!on->said.empty())
        line.erase(smallLetters(line).find(on->said), on->said.size());
    const auto numbers = numbersIn(line, reader);
    if (!numbers)
        return tl::unexpected(numbers.error());
    const food::Food* food = foodSaid(line);
    if (!food)
        return fail(Errc::parse, "of what? Name the food: chicken thigh, salmon, potato");
    if (!numbers->seconds && !numbers->core)
        return fail(Errc::parse, "until when? Say a time (40 min) or a core (core 65 °C)");
    Recipe& recipe = out.recipe;
    recipe.name = recipe.text = typed;
    recipe.piece.food = *food;
    asUsual(recipe.piece);
    out.filledIn.push_back(food->name);
    if (numbers->lengthM)
        recipe.piece.thicknessM = *numbers->lengthM;
    else
        out.filledIn.push_back("as thick as usual");
    if (numbers->start)
        recipe.piece.startK = numbers->start->kelvin();
    const Appliance& appliance = *on->appliance;
    Place& place = recipe.last().place;
    place.applianceId = appliance.id;
    place.setting = kitchen::usualSetting(appliance.controls);
    setLabels(appliance, place.setting, line);
    place.zone = zoneSaid(appliance, line);
    if (isHob(appliance.kind))
        place.vesselId = appliance.standardVesselId;
    if (on->byKind)
        out.filledIn.push_back("taken as " + appliance.name);
    if (!numbers->heat)
        out.filledIn.push_back("its usual setting");
    else if (!setDial(appliance, place.setting, *numbers->heat))
        return fail(
            Errc::invalidArgument,
            fmt::format("{} has no dial in degrees: say its setting by its words", appliance.name));
    if (numbers->core) {
        constexpr double kBandK = 2;
        const double core = numbers->core->kelvin();
        recipe.goal = {core, food::GoalMoment::peak, core - kBandK, core + kBandK, "as asked", {}};
    } else {
        recipe.last().end.afterS = *numbers->seconds;
    }
    return out;
}

} // namespace dynamet::recipe
