// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/print.h"
#include "quantity/result.h"

#include <optional>
#include <string>
#include <variant>
#include <vector>

namespace dynamet::kitchen {

/// What a cook can set. Words are kept in books: only ever append.
enum class ControlKind {
    thermostat,
    level,
    watts,
    mark,
    burners,
    coals,
    fuel,
    height,
    vent,
    fireStage,
    lid,
    preheat
};
const char* enumName(ControlKind kind);
std::optional<ControlKind> controlKind(const std::string& word);

/// A position that a control can have, with a number where it stands for one (a level's share of
/// full power, a vent's opening, a fire stage's usual °C).
struct Label {
    std::string text;
    std::optional<double> number;
    bool operator==(const Label&) const = default;
};

/// One control of one appliance. Numeric kinds (thermostat, watts, height, preheat) use
/// low/high/step in `unit` ("C", "F", "gas", "W", "mm"); the others an index into `labels`; burners
/// one index into `labels` for each of `burners`; coals two whole numbers up to `high`.
struct Control {
    std::string key;
    ControlKind kind = ControlKind::thermostat;
    double low = 0, high = 0, step = 1;
    std::string unit;
    std::vector<Label> labels;
    std::vector<std::string> burners;
    bool operator==(const Control&) const = default;
};

/// What a dial must have to be set: steps, an order, marks, burners. invalidArgument names it.
Result<void> checkControl(const Control& control);

struct CoalCount {
    int under = 0;
    int lid = 0;
    bool operator==(const CoalCount&) const = default;
};
struct LabelIndex {
    int index = 0;
    bool operator==(const LabelIndex&) const = default;
};
/// number | label | one level per burner | coals.
using ControlValue = std::variant<double, LabelIndex, std::vector<int>, CoalCount>;

/// One value per control, in the appliance's order.
struct Setting {
    std::vector<ControlValue> values;
    bool operator==(const Setting&) const = default;
};

bool isNumeric(ControlKind kind);
/// Canonical text, the key in book, CLI and JSON: "oven=180C;fan=on", "burners=high/off/low",
/// "coals=7+12".
std::string settingText(const std::vector<Control>& controls, const Setting& setting);
/// The way back; parse or invalidArgument names the control and what it can be.
Result<Setting> parseSetting(const std::vector<Control>& controls, const std::string& text);
/// What the cook reads: "180 °C, fan on", "level 5", "gas ½". With the reader's unit a dial that is
/// marked in another one is translated behind it, "350 °F (177 °C, gas 4)", and a pan's preheat is
/// in it.
std::string settingLabel(const std::vector<Control>& controls, const Setting& setting,
                         std::optional<Units> reader = {});

/// Where a numeric control is tried: at even places, or at round numbers as a cook turns to.
enum class Places { even, round };
/// Every setting the controls allow, numeric ones at `numericSteps` places at most (on the dial's
/// step; gas marks at every mark), burner sets all combinations up to `most` in all.
std::vector<Setting> possibleSettings(const std::vector<Control>& controls, int numericSteps = 12,
                                      std::size_t most = 400, Places places = Places::even);
/// A setting to begin with: the middle of every knob, a pan's preheat at its usual 200 °C.
Setting usualSetting(const std::vector<Control>& controls);
/// A setting as one number along its first ordered control (dial unit, or a label's number), for
/// interpolation; nullopt when it has none.
std::optional<double> alongDial(const std::vector<Control>& controls, const Setting& setting,
                                std::size_t& controlIndex);

} // namespace dynamet::kitchen
