// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/setting.h"

#include "kitchen/dial.h"

#include <algorithm>
#include <array>
#include <charconv>
#include <cmath>
#include <fmt/format.h>
#include <fmt/ranges.h>

namespace dynamet::kitchen {
namespace {

struct KindWord {
    ControlKind kind;
    const char* word;
};
constexpr std::array<KindWord, 12> kKinds{{{ControlKind::thermostat, "thermostat"},
                                           {ControlKind::level, "level"},
                                           {ControlKind::watts, "watts"},
                                           {ControlKind::mark, "mark"},
                                           {ControlKind::burners, "burners"},
                                           {ControlKind::coals, "coals"},
                                           {ControlKind::fuel, "fuel"},
                                           {ControlKind::height, "height"},
                                           {ControlKind::vent, "vent"},
                                           {ControlKind::fireStage, "fire_stage"},
                                           {ControlKind::lid, "lid"},
                                           {ControlKind::preheat, "preheat"}}};

std::vector<std::string> split(const std::string& text, char at) {
    std::vector<std::string> parts(1);
    for (char c : text)
        if (c == at)
            parts.emplace_back();
        else
            parts.back() += c;
    return parts;
}

Result<double> number(const std::string& text, const Control& control) {
    double value = 0;
    const auto [end, code] = std::from_chars(text.data(), text.data() + text.size(), value);
    const std::string unit(end, text.data() + text.size());
    if (code != std::errc{} || (!unit.empty() && unit != control.unit))
        return fail(Errc::parse, fmt::format("{}=\"{}\" is not a number of {}", control.key, text,
                                             control.unit));
    if (value < control.low - 1e-9 || value > control.high + 1e-9)
        return fail(Errc::invalidArgument,
                    fmt::format("{}={} is off the dial ({} to {} {})", control.key, value,
                                control.low, control.high, control.unit));
    return value;
}

Result<int> labelIndex(const std::string& text, const Control& control) {
    std::string known;
    for (std::size_t i = 0; i < control.labels.size(); ++i) {
        if (control.labels[i].text == text)
            return static_cast<int>(i);
        known += (i ? ", " : "") + control.labels[i].text;
    }
    return fail(Errc::invalidArgument,
                fmt::format("{}=\"{}\" does not exist; it can be {}", control.key, text, known));
}

Result<ControlValue> parseValue(const std::string& text, const Control& control) {
    if (isNumeric(control.kind)) {
        const auto value = number(text, control);
        if (!value)
            return tl::unexpected(value.error());
        return ControlValue(*value);
    }
    if (control.kind == ControlKind::burners) {
        std::vector<int> levels;
        for (const std::string& part : split(text, '/')) {
            const auto level = labelIndex(part, control);
            if (!level)
                return tl::unexpected(level.error());
            levels.push_back(*level);
        }
        if (levels.size() != control.burners.size())
            return fail(Errc::invalidArgument,
                        fmt::format("{}=\"{}\" names {} burners of {}", control.key, text,
                                    levels.size(), control.burners.size()));
        return ControlValue(levels);
    }
    if (control.kind == ControlKind::coals) {
        const auto parts = split(text, '+');
        int under = 0, lid = 0;
        const auto whole = [](const std::string& s, int& out) {
            const auto r = std::from_chars(s.data(), s.data() + s.size(), out);
            return r.ec == std::errc{} && r.ptr == s.data() + s.size() && out >= 0;
        };
        if (parts.size() != 2 || !whole(parts[0], under) || !whole(parts[1], lid))
            return fail(Errc::parse, fmt::format("{}=\"{}\" is not under+lid", control.key, text));
        return ControlValue(CoalCount{under, lid});
    }
    const auto index = labelIndex(text, control);
    if (!index)
        return tl::unexpected(index.error());
    return ControlValue(LabelIndex{*index});
}

std::string labelAt(const Control& control, int index) {
    const bool known = index >= 0 && index < static_cast<int>(control.labels.size());
    return known ? control.labels[static_cast<std::size_t>(index)].text : "?";
}

std::string joined(const Control& control, const std::vector<int>& levels, const char* between) {
    std::string out;
    for (std::size_t i = 0; i < levels.size(); ++i)
        out += (i ? between : "") + labelAt(control, levels[i]);
    return out;
}

std::vector<double> gasMarks(const Control& control) {
    std::vector<double> out;
    for (double mark : {0.25, 0.5, 1.0, 2.0, 3.0, 4.0, 5.0, 6.0, 7.0, 8.0, 9.0, 10.0})
        if (mark >= control.low && mark <= control.high)
            out.push_back(mark);
    return out;
}

std::vector<double> evenPlaces(const Control& control, int most) {
    const double span = control.high - control.low;
    if (!(control.step > 0) || !(span >= 0))
        return {control.low};
    const int steps = std::max(1, static_cast<int>(std::min<double>(most, span / control.step)));
    std::vector<double> out;
    for (int i = 0; i <= steps; ++i) {
        const double raw = span * i / steps / control.step;
        const double value = control.low + std::round(raw) * control.step;
        if (out.empty() || value != out.back())
            out.push_back(value);
    }
    return out;
}

/// Multiples of the least round number that leaves `most` places at most.
std::vector<double> roundPlaces(const Control& control, int most) {
    std::vector<double> out;
    for (double step : {1.0, 2.0, 5.0, 10.0, 20.0, 25.0, 50.0, 100.0, 200.0, 500.0, 1000.0}) {
        const double first = std::ceil(control.low / step) * step;
        if (step < control.step || (control.high - first) / step > most - 1)
            continue;
        for (double value = first; value <= control.high + 1e-9; value += step)
            out.push_back(value);
        break;
    }
    return out.empty() ? evenPlaces(control, most) : out;
}

std::vector<double> placesOf(const Control& control, int most, Places places) {
    if (control.unit == "gas")
        return gasMarks(control);
    return places == Places::round ? roundPlaces(control, most) : evenPlaces(control, most);
}

std::vector<ControlValue> possibleValues(const Control& control, int numericSteps, Places places) {
    std::vector<ControlValue> out;
    if (isNumeric(control.kind)) {
        for (const double value : placesOf(control, numericSteps, places))
            out.emplace_back(value);
    } else if (control.kind == ControlKind::coals) {
        const int most = static_cast<int>(control.high);
        for (int total = 9; total <= most; total += 3)
            out.emplace_back(CoalCount{total / 3, total - total / 3});
    } else if (control.kind == ControlKind::burners) {
        constexpr std::size_t kMostCombinations = 4096;
        std::vector<int> levels(control.burners.size(), 0);
        while (!control.labels.empty() && out.size() < kMostCombinations) {
            if (std::any_of(levels.begin(), levels.end(), [](int l) { return l != 0; }))
                out.emplace_back(levels);
            std::size_t at = 0;
            while (at < levels.size() && ++levels[at] == static_cast<int>(control.labels.size()))
                levels[at++] = 0;
            if (at == levels.size())
                break;
        }
    } else {
        for (std::size_t i = 0; i < control.labels.size(); ++i)
            out.emplace_back(LabelIndex{static_cast<int>(i)});
    }
    return out;
}

} // namespace

Result<void> checkControl(const Control& control) {
    const auto wrong = [&](const char* why) {
        return fail(Errc::invalidArgument, fmt::format("{}: {}", control.key, why));
    };
    const bool numeric = isNumeric(control.kind);
    if ((numeric || control.kind == ControlKind::coals) &&
        !(std::isfinite(control.low) && std::isfinite(control.high) && control.low <= control.high))
        return wrong("it should go from a lower to a higher number");
    constexpr double kFarthest = 1e5; // °C, °F, W or levels
    if (numeric && (control.low < -kFarthest || control.high > kFarthest))
        return wrong("no dial goes so far");
    if (numeric && !(control.step > 0 && std::isfinite(control.step)))
        return wrong("its steps should be above 0");
    if (control.kind == ControlKind::coals && control.high > 1000)
        return wrong("no oven takes so many coals");
    if (!numeric && control.kind != ControlKind::coals && control.labels.empty())
        return wrong("it has no marks");
    if (control.kind == ControlKind::burners && control.burners.empty())
        return wrong("it has no burners");
    return {};
}

const char* enumName(ControlKind kind) {
    for (const KindWord& k : kKinds)
        if (k.kind == kind)
            return k.word;
    return "";
}

std::optional<ControlKind> controlKind(const std::string& text) {
    for (const KindWord& k : kKinds)
        if (text == k.word)
            return k.kind;
    return std::nullopt;
}

bool isNumeric(ControlKind kind) {
    return kind == ControlKind::thermostat || kind == ControlKind::watts ||
           kind == ControlKind::height || kind == ControlKind::preheat;
}

std::string settingText(const std::vector<Control>& controls, const Setting& setting) {
    std::string out;
    for (std::size_t i = 0; i < std::min(controls.size(), setting.values.size()); ++i) {
        const Control& control = controls[i];
        out += (i ? ";" : "") + control.key + "=";
        const ControlValue& value = setting.values[i];
        if (const auto* numeric = std::get_if<double>(&value))
            out += fmt::format("{}{}", *numeric, control.unit);
        else if (const auto* label = std::get_if<LabelIndex>(&value))
            out += labelAt(control, label->index);
        else if (const auto* levels = std::get_if<std::vector<int>>(&value))
            out += joined(control, *levels, "/");
        else if (const auto* coals = std::get_if<CoalCount>(&value))
            out += fmt::format("{}+{}", coals->under, coals->lid);
    }
    return out;
}

Result<Setting> parseSetting(const std::vector<Control>& controls, const std::string& text) {
    Setting setting;
    const auto parts = split(text, ';');
    if (controls.empty() && text.empty())
        return setting;
    if (parts.size() != controls.size())
        return fail(Errc::invalidArgument, fmt::format("\"{}\" sets {} of {} controls", text,
                                                       parts.size(), controls.size()));
    for (std::size_t i = 0; i < controls.size(); ++i) {
        const auto equals = parts[i].find('=');
        if (equals == std::string::npos || parts[i].substr(0, equals) != controls[i].key)
            return fail(Errc::parse,
                        fmt::format("\"{}\" should begin with \"{}=\"", parts[i], controls[i].key));
        auto value = parseValue(parts[i].substr(equals + 1), controls[i]);
        if (!value)
            return tl::unexpected(value.error());
        setting.values.push_back(std::move(*value));
    }
    return setting;
}

namespace {

/// A number on its dial, for a reader of another unit too.
std::string numberLabel(const Control& control, double value, std::optional<Units> reader) {
    if (!reader || !isTemperatureDial(control))
        return dialText(control, value);
    const Temperature heat = dialTemperature(control, value);
    const std::string inTheirs = printTemperature(heat, reader->temperature());
    if (control.kind == ControlKind::preheat)
        return inTheirs;
    std::vector<std::string> aside;
    if (control.unit != (reader->fahrenheit ? "F" : "C"))
        aside.push_back(inTheirs);
    if (const auto mark = nearestGasMark(control, heat); reader->gasMarks && mark)
        aside.push_back(*mark);
    return dialText(control, value) +
           (aside.empty() ? "" : fmt::format(" ({})", fmt::join(aside, ", ")));
}

} // namespace

std::string settingLabel(const std::vector<Control>& controls, const Setting& setting,
                         std::optional<Units> reader) {
    std::string out;
    for (std::size_t i = 0; i < std::min(controls.size(), setting.values.size()); ++i) {
        const Control& control = controls[i];
        const ControlValue& value = setting.values[i];
        if (!isNumeric(control.kind) && control.kind != ControlKind::burners &&
            control.labels.size() == 1)
            continue; // nothing to set
        out += out.empty() ? "" : ", ";
        if (const auto* numeric = std::get_if<double>(&value)) {
            out += control.kind == ControlKind::preheat ? "pan at " : "";
            out += numberLabel(control, *numeric, reader);
        } else if (const auto* label = std::get_if<LabelIndex>(&value)) {
            const bool plain =
                control.kind == ControlKind::mark || control.kind == ControlKind::fireStage;
            out += plain ? labelAt(control, label->index)
                         : control.key + " " + labelAt(control, label->index);
        } else if (const auto* levels = std::get_if<std::vector<int>>(&value)) {
            out += joined(control, *levels, " · ");
        } else if (const auto* coals = std::get_if<CoalCount>(&value)) {
            out += fmt::format("{} under, {} on the lid", coals->under, coals->lid);
        }
    }
    return out;
}

std::vector<Setting> possibleSettings(const std::vector<Control>& controls, int numericSteps,
                                      std::size_t most, Places places) {
    std::vector<Setting> out(1);
    for (const Control& control : controls) {
        std::vector<Setting> longer;
        for (const Setting& base : out)
            for (const ControlValue& value : possibleValues(control, numericSteps, places)) {
                longer.push_back(base);
                longer.back().values.push_back(value);
                if (longer.size() >= most)
                    break;
            }
        out = std::move(longer);
    }
    return out;
}

Setting usualSetting(const std::vector<Control>& controls) {
    constexpr int kPlaces = 8;
    constexpr double kPreheatC = 200;
    Setting out;
    for (const Control& control : controls) {
        if (control.kind == ControlKind::preheat) {
            out.values.emplace_back(dialValue(control, Temperature::celsius(kPreheatC)));
            continue;
        }
        const auto values = possibleValues(control, kPlaces, Places::round);
        out.values.push_back(values.empty() ? ControlValue(LabelIndex{0})
                                            : values[values.size() / 2]);
    }
    return out;
}

std::optional<double> alongDial(const std::vector<Control>& controls, const Setting& setting,
                                std::size_t& controlIndex) {
    for (std::size_t i = 0; i < std::min(controls.size(), setting.values.size()); ++i) {
        controlIndex = i;
        if (controls[i].kind == ControlKind::lid || controls[i].kind == ControlKind::mark)
            continue;
        if (const auto* numeric = std::get_if<double>(&setting.values[i]))
            return *numeric;
        if (const auto* label = std::get_if<LabelIndex>(&setting.values[i]);
            label && controls[i].kind == ControlKind::level) {
            const auto at = static_cast<std::size_t>(label->index);
            if (at < controls[i].labels.size() && controls[i].labels[at].number)
                return *controls[i].labels[at].number;
        }
    }
    return std::nullopt;
}

} // namespace dynamet::kitchen
