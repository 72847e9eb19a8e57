// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/test_day_words.h"

#include "quantity/parse_duration.h"

#include <cmath>
#include <fmt/format.h>

namespace dynamet::words {
namespace {

std::string placeOf(const rating::Wanted& test, const kitchen::Kitchen& kitchen, Units units) {
    const auto* on = findAppliance(kitchen, test.applianceId);
    if (!on)
        return test.applianceId;
    const auto setting = kitchen::parseSetting(on->controls, test.setting);
    std::string out = on->name;
    if (on->zones.size() > 1 && !test.zone.empty())
        out += ", " + test.zone;
    return setting ? out + ", " + settingLabel(on->controls, *setting, units) : out;
}

} // namespace

std::string timeOfDay(double beganS, double atS) {
    const long minutes = std::lround((beganS + atS) / 60) % (24 * 60);
    return fmt::format("{:02}:{:02}", minutes / 60, minutes % 60);
}

std::string dayStepWords(const rating::TestDay& day, const rating::DayStep& step,
                         const kitchen::Kitchen& kitchen, Units units) {
    const rating::Wanted& test = day.tests[step.test].test;
    const auto* how = rating::findProtocol(test.protocol);
    constexpr double kTold = 30;
    return fmt::format(
        "{}: {} “{}”{}", placeOf(test, kitchen, units), step.ends ? "end" : "begin",
        how ? how->title : test.protocol,
        step.handsS < kTold ? "" : fmt::format(" ({} of your hands)", printDuration(step.handsS)));
}

Sheet testDaySheet(const rating::TestDay& day, double beganS, const kitchen::Kitchen& kitchen,
                   Units units) {
    Sheet out;
    out.title = "A test day";
    out.headers = {"When", "What", "Done"};
    for (const rating::DayStep& step : stepsOf(day))
        out.rows.push_back(
            {timeOfDay(beganS, step.atS), dayStepWords(day, step, kitchen, units), ""});
    if (const std::string left = leftWords(day, kitchen); !left.empty())
        out.notes.push_back(left);
    out.notes.push_back("Hot metal, oil, steam and coals: the cautions of each test stand on its "
                        "page; the maker's instructions and local codes decide.");
    return out;
}

std::string leftWords(const rating::TestDay& day, const kitchen::Kitchen& kitchen) {
    std::string out;
    for (const rating::Wanted& test : day.left) {
        const auto* on = findAppliance(kitchen, test.applianceId);
        const auto* how = rating::findProtocol(test.protocol);
        out += fmt::format("{}{} ({})", out.empty() ? "No time for: " : ", ",
                           on ? on->name : test.applianceId, how ? how->shortName : test.protocol);
    }
    return out.empty() ? out : out + ".";
}

} // namespace dynamet::words
