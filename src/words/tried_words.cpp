// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/tried_words.h"

#include "quantity/parse_duration.h"
#include "quantity/print.h"

#include <fmt/format.h>
#include <fmt/ranges.h>

namespace dynamet::words {

using namespace dynamet::translate;

namespace {

std::string coveredWords(CoverThere cover, bool covered) {
    switch (cover) {
    case CoverThere::none:
        return "";
    case CoverThere::panLid:
        return covered ? "pan lid on" : "no pan lid";
    case CoverThere::ownLid:
        return covered ? "lid shut" : "lid open";
    case CoverThere::foil:
        return covered ? "under foil" : "no foil";
    }
    return "";
}

} // namespace

std::string turningWords(const recipe::Turning& turning, Units units) {
    using enum recipe::TurnWhen;
    switch (turning.when) {
    case asUsual:
        return "turned as usual";
    case never:
        return "never turned";
    case after:
        return "turned after " + printDuration(turning.seconds);
    case atCore:
        return "turned at a core of " + printDegrees(turning.coreK, units);
    case half:
        return "turned halfway";
    case every:
        return "turned every " + printDuration(turning.seconds);
    case leaving:
        return "turned as it leaves";
    }
    return "";
}

std::string coverWords(CoverThere cover) {
    std::string out = coveredWords(cover, true);
    if (!out.empty())
        out.front() = static_cast<char>(std::toupper(static_cast<unsigned char>(out.front())));
    return out;
}

std::string triedWords(const Row& row, const Prepared& prepared, Units units) {
    const auto* on = findAppliance(prepared.request.kitchen, row.target.applianceId);
    if (!row.tried.any() || !on)
        return "";
    std::vector<std::string> all;
    const auto add = [&](std::string words) {
        if (!words.empty())
            all.push_back(std::move(words));
    };
    if (row.tried.setting)
        add(settingLabel(on->controls, *row.tried.setting, units));
    if (row.tried.lastS)
        add("out after " + printDuration(*row.tried.lastS));
    if (row.tried.turning)
        add(turningWords(*row.tried.turning, units));
    if (row.tried.covered)
        add(coveredWords(coverThere(on->kind), *row.tried.covered));
    return fmt::format("Tried by hand: {}.", fmt::join(all, ", "));
}

} // namespace dynamet::words
