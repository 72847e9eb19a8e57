// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recipe/said.h"

#include "kitchen/dial.h"

#include <algorithm>
#include <fmt/format.h>
#include <re2/re2.h>
#include <set>

namespace dynamet::recipe {

using kitchen::Appliance;

std::string smallLetters(std::string text) {
    for (char& c : text)
        c = static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
    return text;
}

namespace {

std::vector<std::string> wordsOf(const std::string& text) {
    std::vector<std::string> out(1);
    for (const char c : smallLetters(text)) {
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

} // namespace

const food::Food* foodSaid(const std::string& text) {
    const std::vector<std::string> words = wordsOf(text);
    const std::set<std::string> line(words.begin(), words.end());
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

Result<ApplianceSaid> applianceSaid(const std::string& line, const kitchen::Kitchen& kitchen) {
    const std::string text = smallLetters(line);
    ApplianceSaid out;
    for (const Appliance& one : kitchen.appliances)
        if (text.find(smallLetters(one.name)) != std::string::npos &&
            one.name.size() > out.said.size())
            out = {&one, smallLetters(one.name), false};
    if (out.appliance)
        return out;
    const auto kind = kindSaid(text);
    for (const Appliance& one : kitchen.appliances) {
        const bool oven = !kind && text.find("oven") != std::string::npos &&
                          groupOf(one.kind) == kitchen::HeatGroup::air;
        if ((kind && one.kind == *kind) || oven)
            return ApplianceSaid{&one, kind ? "" : "oven", true};
    }
    if (kind)
        return fail(
            Errc::notFound,
            fmt::format("the kitchen has no {}: add one in Kitchen, its usual values will do",
                        smallLetters(kindName(*kind))));
    return fail(Errc::parse, "on what? Name one of your appliances, or its kind: still oven");
}

bool setDial(const Appliance& on, kitchen::Setting& setting, Temperature heat) {
    for (std::size_t i = 0; i < on.controls.size(); ++i)
        if (kitchen::isTemperatureDial(on.controls[i])) {
            setting.values[i] = kitchen::dialValue(on.controls[i], heat);
            return true;
        }
    return false;
}

void setLabels(const Appliance& on, kitchen::Setting& setting, const std::string& line) {
    for (std::size_t i = 0; i < on.controls.size(); ++i) {
        std::size_t longest = 0;
        for (std::size_t label = 0; label < on.controls[i].labels.size(); ++label) {
            const std::string word = smallLetters(on.controls[i].labels[label].text);
            if (std::holds_alternative<kitchen::LabelIndex>(setting.values[i]) &&
                word.size() > longest &&
                re2::RE2::PartialMatch(line, "(?i)\\b" + re2::RE2::QuoteMeta(word) + "\\b")) {
                longest = word.size();
                setting.values[i] = kitchen::LabelIndex{static_cast<int>(label)};
            }
        }
    }
}

std::string zoneSaid(const Appliance& on, const std::string& line) {
    for (const kitchen::Zone& zone : on.zones)
        if (re2::RE2::PartialMatch(line, "(?i)\\b" + re2::RE2::QuoteMeta(smallLetters(zone.name)) +
                                             "\\b"))
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

} // namespace dynamet::recipe
