// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/way_words.h"

#include "quantity/parse_duration.h"
#include "quantity/print.h"
#include "words/likeness_words.h"
#include "words/stage_words.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::words {

using namespace dynamet::translate;

namespace {

double minutesRounded(double seconds) {
    return seconds < 300 ? std::round(seconds / 10) * 10 : std::round(seconds / 60) * 60;
}

std::string wayWords(const Way& way, const Prepared& prepared, Units units) {
    const Request& request = prepared.request;
    std::string out = methodWords(way.method) + ": ";
    for (std::size_t i = 0; i < way.stages.size(); ++i) {
        const recipe::Stage& stage = way.stages[i];
        const bool last = i + 1 == way.stages.size();
        out += i > 0 ? ", then " : "";
        out += placeWords(request.kitchen, stage.place, units);
        if (stage.handling.cover != recipe::Cover::none)
            out += ", covered";
        const double took = last ? way.outcome.pullS - way.outcome.lastStartS
                                 : way.outcome.stages[i].endS - way.outcome.stages[i].startS;
        if (stage.end.coreK)
            out += fmt::format(" until the core reads {}, about {}",
                               printDegrees(*stage.end.coreK, units),
                               printDuration(minutesRounded(took)));
        else if (stage.end.afterS > 0)
            out += " for " + printDuration(stage.end.afterS);
        else
            out += fmt::format(" for about {}{}, out at {}", printDuration(minutesRounded(took)),
                               i > 0 ? " more" : "", printDegrees(way.outcome.pullK, units));
    }
    const std::string differs = differenceWords(way.differences);
    return out + (differs.empty() ? "; nothing that is noticed differs" : "; " + differs) + ".";
}

} // namespace

std::string methodWords(Method method) {
    switch (method) {
    case Method::straight:
        return "Straight through";
    case Method::hotThenSlow:
        return "Hot, then slow";
    case Method::slowThenHot:
        return "Slow, then hot";
    case Method::twoZones:
        return "Over the fire, then beside it";
    case Method::zonesBack:
        return "Beside the fire, then over it";
    case Method::searThenHere:
        return "Seared first, finished here";
    case Method::hereThenSear:
        return "Cooked here, seared last";
    case Method::coolThenHotOil:
        return "Cool oil, then hot";
    case Method::coveredThenOpen:
        return "Covered, then open";
    }
    return "Straight through";
}

std::vector<std::string> wayLines(const Ways& ways, const Prepared& prepared, Units units) {
    std::vector<std::string> out;
    const bool several = std::any_of(ways.best.begin(), ways.best.end(),
                                     [](const Way& way) { return way.method != Method::straight; });
    if (!several)
        return out;
    if (!ways.secondStageGains())
        out.push_back("A second stage buys nothing here that a taster would notice.");
    for (const Way& way : ways.best)
        if (way.method != Method::straight || ways.secondStageGains())
            out.push_back(wayWords(way, prepared, units));
    return out;
}

} // namespace dynamet::words
