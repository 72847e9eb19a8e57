// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "formats/plan_calendar.h"

#include <algorithm>
#include <chrono>
#include <cstdio>
#include <fmt/format.h>
#include <libical/ical.h>
#include <memory>

namespace dynamet::formats {
namespace {

struct FreeComponent {
    void operator()(icalcomponent* one) const { icalcomponent_free(one); }
};
using Component = std::unique_ptr<icalcomponent, FreeComponent>;

/// A minute of the wall clock of the serving's day, as a floating time.
icaltimetype timeOf(const Day& day, int minute) {
    icaltimetype out = icaltime_null_time();
    out.year = day.year;
    out.month = day.month;
    out.day = day.day;
    out.hour = 0;
    out.minute = minute;
    return icaltime_normalize(out);
}

icalcomponent* alarm(const std::string& words) {
    icaltriggertype now{};
    now.time = icaltime_null_time();
    now.duration = icaldurationtype_from_int(0);
    return icalcomponent_vanew(ICAL_VALARM_COMPONENT, icalproperty_new_action(ICAL_ACTION_DISPLAY),
                               icalproperty_new_description(words.c_str()),
                               icalproperty_new_trigger(now), nullptr);
}

} // namespace

Result<Day> parseDay(const std::string& text) {
    Day out;
    int read = 0;
    if (std::sscanf(text.c_str(), "%4d-%2d-%2d%n", &out.year, &out.month, &out.day, &read) != 3 ||
        static_cast<std::size_t>(read) != text.size() ||
        !std::chrono::year_month_day{std::chrono::year{out.year},
                                     std::chrono::month{static_cast<unsigned>(out.month)},
                                     std::chrono::day{static_cast<unsigned>(out.day)}}
             .ok())
        return fail(Errc::parse, fmt::format("\"{}\" is no day: write 2026-12-01", text));
    return out;
}

std::string planCalendar(const plan::MenuProblem& menu, const plan::MenuPlan& plan, const Day& day,
                         const kitchen::Kitchen& kitchen, Units units) {
    const Component calendar{
        icalcomponent_vanew(ICAL_VCALENDAR_COMPONENT, icalproperty_new_version("2.0"),
                            icalproperty_new_prodid("-//Dynamet//Plan//EN"), nullptr)};
    if (!plan.found.plan)
        return icalcomponent_as_ical_string(calendar.get());
    int number = 0;
    for (const plan::PlanStep& step : stepsOf(menu, *plan.found.plan)) {
        const std::string words =
            words::planStepWords(menu, *plan.found.plan, step, kitchen, units);
        const bool hands = step.kind == plan::StepKind::hands || step.kind == plan::StepKind::heat;
        const std::string id = fmt::format("{}-{}-{:04}{:02}{:02}@dynamet",
                                           menu.menu.id.empty() ? "menu" : menu.menu.id, ++number,
                                           day.year, day.month, day.day);
        icalcomponent* event = icalcomponent_vanew(
            ICAL_VEVENT_COMPONENT, icalproperty_new_uid(id.c_str()),
            icalproperty_new_dtstamp(icaltime_from_string(
                fmt::format("{:04}{:02}{:02}T000000Z", day.year, day.month, day.day).c_str())),
            icalproperty_new_dtstart(timeOf(day, step.atMin)),
            icalproperty_new_dtend(timeOf(day, std::max(step.untilMin, step.atMin + 1))),
            icalproperty_new_summary(words.c_str()), nullptr);
        if (hands && menu.menu.cooks.size() > 1)
            icalcomponent_add_property(
                event, icalproperty_new_description(
                           menu.menu.cooks[static_cast<std::size_t>(step.cook)].c_str()));
        if (hands)
            icalcomponent_add_component(event, alarm(words));
        icalcomponent_add_component(calendar.get(), event);
    }
    return icalcomponent_as_ical_string(calendar.get());
}

} // namespace dynamet::formats
