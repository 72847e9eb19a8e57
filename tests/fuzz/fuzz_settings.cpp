// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Settings, dials, marks and bands as they are typed; what is read is written as what reads again.
#include "food/doneness.h"
#include "fuzz/seeds.h"
#include "kitchen/catalogue.h"
#include "kitchen/dial.h"
#include "kitchen/marks.h"
#include "kitchen/typical.h"

#include <tuple>

using namespace dynamet;
using namespace dynamet::kitchen;

std::vector<std::string> fuzz::seeds() {
    return {"oven=180C",
            "oven=350F; fan=on",
            "flame=medium",
            "level=7",
            "flame=medium-high; preheat=220C",
            "gas 4",
            "medium",
            "P7",
            "1200 W",
            "under=9; lid=17",
            "left=full, middle=off, right=low",
            "vents=half",
            "low 0.15\nmedium 0.5\nfull 1",
            "LOW 300 W, HI 1800 W",
            "off, 1, 2, 3",
            "rare 48 52 54\nmedium rare 52 55 57",
            "medium: 130–135 °F",
            "180",
            "1/2"};
}

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    static const std::vector<Appliance> kinds = [] {
        std::vector<Appliance> out;
        for (const ApplianceKind kind : allKinds())
            out.push_back(*typicalAppliance(kind));
        return out;
    }();
    const std::string text(textOf(data, size));
    {
        const Appliance& appliance = kinds[size % kinds.size()];
        if (const auto setting = parseSetting(appliance.controls, text)) {
            const std::string written = settingText(appliance.controls, *setting);
            const auto again = parseSetting(appliance.controls, written);
            MUST(again.has_value() && *again == *setting);
            settingLabel(appliance.controls, *setting, Units{true, true, true});
        }
        for (const Control& control : appliance.controls)
            if (const auto value = parseDial(control, text)) {
                MUST(*value >= control.low - 1e-6 && *value <= control.high + 1e-6);
                MUST(!dialText(control, *value).empty());
            }
    }
    for (const auto kind : {ControlKind::thermostat, ControlKind::burners, ControlKind::watts})
        std::ignore = marksFrom(text, kind, TemperatureUnit::celsius);
    if (const auto names = namesFrom(text, 12))
        MUST(!names->empty() && names->size() <= 12);
    for (const bool fahrenheit : {false, true})
        if (const auto levels = food::levelsFromLines(text, fahrenheit))
            for (const food::DonenessLevel& level : *levels)
                MUST(level.lowK <= level.highK);
    return 0;
}
