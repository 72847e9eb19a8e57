// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recipe/quick_line.h"

#include "kitchen/dial.h"
#include "quantity/parse_duration.h"
#include "quantity/parse_measures.h"
#include "quantity/parse_temperature.h"

#include <algorithm>
#include <fmt/format.h>
#include <memory>
#include <re2/re2.h>
#include <set>

namespace dynamet::recipe {
namespace {

using kitchen::Appliance;

std::string lower(std::string text) {
    for (char& c : text)
        c = static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
    return text;
}

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

std::vector<std::string> wordsOf(const std::string& text) {
    std::vector<std::string> out(1);
    for (const char c : lower(text)) {
        if (std::isalpha(static_cast<unsigned char>(c)) || (c & 0x80) != 0)
            out.back() += c;
        else if (!out.back().empty())
            out.emplace_back();
    }
    if (out.back().empty())
        out.pop_back();
    for (std::string& word : out) // "thighs" are thigh, "potatoes" potato
        if (word.size() > 4 && word.ends_with("oes"))
            word.resize(word.size() - 2);
        else if (word.size() > 3 && word.back() == 's' && word[word.size() - 2] != 's')
            word.pop_back();
    return out;
}

/// How many of its words the line has; every word counts more the fewer the thing's name has.
double matches(const std::set<std::string>& line, const std::vector<std::string>& name) {
    double found = 0;
    for (const std::string& word : name)
        found += line.contains(word) ? 1 : 0;
    return found + found / (1 + static_cast<double>(name.size()));
}

const food::Food* foodIn(const std::set<std::string>& line) {
    const food::Food* best = nullptr;
    double most = 0;
    for (const food::Food& food : food::shippedFoods()) {
        std::vector<std::string> names = wordsOf(food.name);
        for (const std::string& word : wordsOf(food.id))
            if (std::find(names.begin(), names.end(), word) == names.end())
                names.push_back(word);
        std::erase_if(names, [](const std::string& w) {
            return w == "with" || w == "and" || w == "the" || w == "in" || w == "it" || w == "to" ||
                   w == "a" || w == "of";
        });
        if (const double found = matches(line, names); found > most) {
            most = found;
            best = &food;
        }
    }
    return best;
}

/// Words that cooks use for a kind beside its own name.
std::optional<kitchen::ApplianceKind> kindSaid(const std::string& line) {
    using enum kitchen::ApplianceKind;
    constexpr std::pair<const char*, kitchen::ApplianceKind> kSaid[]{
        {"still oven", stillOven},
        {"conventional oven", stillOven},
        {"fan oven", fanOven},
        {"convection oven", fanOven},
        {"combi", combiOven},
        {"countertop oven", countertopOven},
        {"toaster oven", countertopOven},
        {"wood oven", woodOven},
        {"wood-fired", woodOven},
        {"dutch oven", ironOven},
        {"iron oven", ironOven},
        {"air fryer", airFryer},
        {"gas grill", gasGrill},
        {"kettle", charcoalKettle},
        {"ceramic", coveredCeramicGrill},
        {"pellet", pelletGrill},
        {"chimney", coalChimney},
        {"sous vide", waterBath},
        {"water bath", waterBath},
        {"deep fryer", deepFryer},
        {"griddle", griddle},
        {"induction", inductionHob},
        {"gas hob", gasHob},
        {"gas burner", gasHob}};
    for (const auto& [words, kind] : kSaid)
        if (line.find(words) != std::string::npos)
            return kind;
    return std::nullopt;
}

struct FoundAppliance {
    const Appliance* appliance = nullptr;
    std::string said; ///< the words to cut out
    bool byKind = false;
};

Result<FoundAppliance> applianceIn(const std::string& line, const kitchen::Kitchen& kitchen) {
    const std::string text = lower(line);
    FoundAppliance out;
    for (const Appliance& one : kitchen.appliances)
        if (text.find(lower(one.name)) != std::string::npos && one.name.size() > out.said.size())
            out = {&one, lower(one.name), false};
    if (out.appliance)
        return out;
    const auto kind = kindSaid(text);
    for (const Appliance& one : kitchen.appliances) {
        const bool oven = !kind && text.find("oven") != std::string::npos &&
                          groupOf(one.kind) == kitchen::HeatGroup::air;
        if ((kind && one.kind == *kind) || oven)
            return FoundAppliance{&one, kind ? "" : "oven", true};
    }
    if (kind)
        return fail(
            Errc::notFound,
            fmt::format("the kitchen has no {}: add one in Kitchen, its usual values will do",
                        lower(kindName(*kind))));
    return fail(Errc::parse, "on what? Name one of your appliances, or its kind: still oven");
}

/// The control's label or dial place that the line's heat stands for.
bool setHeat(const Appliance& on, kitchen::Setting& setting, Temperature heat) {
    for (std::size_t i = 0; i < on.controls.size(); ++i)
        if (kitchen::isTemperatureDial(on.controls[i])) {
            setting.values[i] = kitchen::dialValue(on.controls[i], heat);
            return true;
        }
    return false;
}

/// Of a control with words, the one that stands in the line behind the control's own name, or alone
/// where only one control has it.
void setLabels(const Appliance& on, kitchen::Setting& setting, const std::string& line) {
    for (std::size_t i = 0; i < on.controls.size(); ++i) {
        std::size_t longest = 0;
        for (std::size_t label = 0; label < on.controls[i].labels.size(); ++label) {
            const std::string word = lower(on.controls[i].labels[label].text);
            if (std::holds_alternative<kitchen::LabelIndex>(setting.values[i]) &&
                word.size() > longest &&
                re2::RE2::PartialMatch(line, "(?i)\\b" + re2::RE2::QuoteMeta(word) + "\\b")) {
                longest = word.size();
                setting.values[i] = kitchen::LabelIndex{static_cast<int>(label)};
            }
        }
    }
}

std::string zoneIn(const Appliance& on, const std::string& line) {
    for (const kitchen::Zone& zone : on.zones)
        if (re2::RE2::PartialMatch(line, "(?i)\\b" + re2::RE2::QuoteMeta(lower(zone.name)) + "\\b"))
            return zone.name;
    return on.zones.front().name;
}

void asUsual(FoodPiece& piece) {
    piece.shape = heat::shapeOf(piece.food.shape).value_or(heat::Shape::slab);
    piece.thicknessM = piece.food.thicknessM;
    piece.widthM = piece.food.widthM;
    piece.form = piece.food.usualForm;
    piece.startK = piece.food.usualStartK;
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
    const auto on = applianceIn(typed, kitchen);
    if (!on)
        return tl::unexpected(on.error());
    std::string line = typed;
    if (!on->said.empty())
        line.erase(lower(line).find(on->said), on->said.size());
    const auto numbers = numbersIn(line, reader);
    if (!numbers)
        return tl::unexpected(numbers.error());
    const std::vector<std::string> words = wordsOf(line);
    const food::Food* food = foodIn({words.begin(), words.end()});
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
    place.zone = zoneIn(appliance, line);
    if (isHob(appliance.kind))
        place.vesselId = appliance.standardVesselId;
    if (on->byKind)
        out.filledIn.push_back("taken as " + appliance.name);
    if (!numbers->heat)
        out.filledIn.push_back("its usual setting");
    else if (!setHeat(appliance, place.setting, *numbers->heat))
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
