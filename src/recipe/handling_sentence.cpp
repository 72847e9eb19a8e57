// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What is done in a stage, said back.
#include "quantity/print.h"
#include "recipe/handling_spellings.h"
#include "recipe/handling_words.h"

#include <cmath>
#include <fmt/format.h>

namespace dynamet::recipe {
namespace {

using kitchen::Appliance;
using kitchen::Setting;

/// "5 min 30 s": unlike what a cook is told to expect, what he said is kept to the second.
std::string exactTime(double seconds) {
    const long all = std::lround(seconds);
    std::string out;
    const auto add = [&out](long count, const char* unit) {
        if (count > 0)
            out += fmt::format("{}{} {}", out.empty() ? "" : " ", count, unit);
    };
    add(all / 3600, "h");
    add(all / 60 % 60, "min");
    add(all % 60, "s");
    return out.empty() ? "0 s" : out;
}

std::string atWords(const Step& step) {
    std::string out;
    if (step.forS > 0)
        out += " for " + exactTime(step.forS);
    if (step.again)
        return out + " every " + exactTime(step.atS);
    return step.atS > 0 ? out + " at " + exactTime(step.atS) : out;
}

std::string turnWords(const Turning& turning, TemperatureUnit unit) {
    switch (turning.when) {
    case TurnWhen::asUsual:
        return "";
    case TurnWhen::never:
        return "never turn";
    case TurnWhen::after:
        return "turn at " + exactTime(turning.seconds);
    case TurnWhen::atCore:
        return "turn at " + printTemperature(Temperature::kelvin(turning.coreK), unit);
    case TurnWhen::half:
        return "turn halfway";
    case TurnWhen::every:
        return "turn every " + exactTime(turning.seconds);
    case TurnWhen::leaving:
        return "turn as it leaves";
    }
    return "";
}

const char* coverWords(Cover cover) {
    return cover == Cover::dome ? "dome on" : cover == Cover::foil ? "foil on" : "lid on";
}

/// The value of the control by which the settings differ, as `changed` reads it.
std::string differing(const Appliance& on, const Setting& before, const Setting& after) {
    for (std::size_t i = 0; i < on.controls.size(); ++i)
        if (!(before.values[i] == after.values[i])) {
            const std::string text = kitchen::settingText({on.controls[i]}, {{after.values[i]}});
            return text.substr(text.find('=') + 1);
        }
    return "";
}

std::string stepWords(const Step& step, const Appliance& on, Setting& before) {
    if (step.move == Move::setTo && step.setting) {
        const std::string value = differing(on, before, *step.setting);
        before = *step.setting;
        return fmt::format("set to {}{}", value, atWords(step));
    }
    if (step.move == Move::toZone)
        return fmt::format("to {}{}", step.zone, atWords(step));
    if (step.move == Move::cover)
        return coverWords(step.cover) + atWords(step);
    for (const Spelling& spelling : kSpellings)
        if (spelling.move == step.move)
            return spelling.words + atWords(step);
    return "";
}

} // namespace

std::string saidTime(double seconds) {
    return exactTime(seconds);
}

std::string handlingSentence(const Handling& handling, const Appliance& on, const Setting& begun,
                             TemperatureUnit unit) {
    std::string out;
    const auto add = [&out](const std::string& phrase) {
        if (!phrase.empty())
            out += (out.empty() ? "" : ", ") + phrase;
    };
    if (handling.cover != Cover::none)
        add(coverWords(handling.cover));
    if (handling.waterAdded)
        add("with water");
    add(turnWords(handling.turning, unit));
    Setting before = begun;
    for (const Step& step : handling.steps)
        add(stepWords(step, on, before));
    return out;
}

} // namespace dynamet::recipe
