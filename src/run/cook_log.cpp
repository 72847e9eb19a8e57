// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/cook_log.h"

#include <algorithm>
#include <array>
#include <set>

namespace dynamet::run {
namespace {

constexpr std::array<const char*, 25> kWords = {
    "food_in", "stage_on", "stage_left", "reading", "turned",  "opened",    "shut",
    "moved",   "set_to",   "coals",      "basted",  "covered", "uncovered", "paused",
    "resumed", "pulled",   "served",     "saw",     "weighed", "note",      "taken_back",
    "lasts",   "pull_at",  "probe_out",  "left_out"};

} // namespace

const char* enumName(What what) {
    return kWords[static_cast<std::size_t>(what)];
}

std::optional<What> whatOf(const std::string& word) {
    const auto at = std::find(kWords.begin(), kWords.end(), word);
    if (at == kWords.end())
        return std::nullopt;
    return static_cast<What>(at - kWords.begin());
}

std::vector<Entry> standing(const std::vector<Entry>& all) {
    std::set<std::int64_t> gone;
    // A correction can be taken back itself: the newest decides.
    for (auto entry = all.rbegin(); entry != all.rend(); ++entry)
        if (entry->what == What::takenBack && !gone.contains(entry->number))
            gone.insert(static_cast<std::int64_t>(entry->value));
    std::vector<Entry> out;
    for (const Entry& entry : all)
        if (entry.what != What::takenBack && !gone.contains(entry.number))
            out.push_back(entry);
    std::stable_sort(out.begin(), out.end(),
                     [](const Entry& a, const Entry& b) { return a.atS < b.atS; });
    return out;
}

Standing standingOf(const std::vector<Entry>& entries) {
    Standing out;
    for (const Entry& entry : entries) {
        switch (entry.what) {
        case What::foodIn:
            out.begun = true;
            out.foodInS = out.stageBeganS = entry.atS;
            break;
        case What::stageOn:
            out.stage = static_cast<std::size_t>(std::max(0.0, entry.value));
            out.stageBeganS = entry.atS;
            out.waiting = out.open = false;
            out.turns = 0;
            break;
        case What::stageLeft:
            out.waiting = true;
            ++out.stage;
            break;
        case What::reading:
            out.lastCoreK = entry.value;
            out.lastCoreS = entry.atS;
            break;
        case What::turned:
            ++out.turns;
            break;
        case What::opened:
            out.open = entry.value <= 0;
            break;
        case What::shut:
            out.open = false;
            break;
        case What::paused:
            out.paused = true;
            out.pausedS = entry.atS;
            break;
        case What::resumed:
            out.paused = false;
            break;
        case What::pulled:
            out.pulled = true;
            out.pulledS = entry.atS;
            out.paused = false;
            break;
        case What::served:
            out.served = true;
            out.servedS = entry.atS;
            break;
        default:
            break;
        }
    }
    return out;
}

} // namespace dynamet::run
