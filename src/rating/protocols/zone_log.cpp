// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/protocols/zone_log.h"

#include "numeric/statistics.h"
#include "rating/uncertainty/steady_level.h"

#include <algorithm>
#include <cmath>

namespace dynamet::rating {
namespace {

double meanOver(const Series& log, const Series& stretch) {
    return mean(between(log, stretch.timeS.front(), stretch.timeS.back()).value);
}

bool reaches(const Series& stretch, double limitK) {
    return std::any_of(stretch.value.begin(), stretch.value.end(),
                       [&](double v) { return v >= limitK - 0.5; });
}

/// Is the whole of its last third at the limit? Then nothing shows whether it has settled, and
/// nothing needs to.
bool allAtLimit(const Series& log, double limitK) {
    const Series late =
        between(log, (log.timeS.front() + 2 * log.timeS.back()) / 3, log.timeS.back());
    return !late.empty() && std::all_of(late.value.begin(), late.value.end(),
                                        [&](double v) { return v >= limitK - 0.5; });
}

} // namespace

Result<ZoneSweep> readingsFromLogs(ZoneSweep test, std::vector<Finding>& warnings) {
    constexpr std::size_t kFewest = 30;
    Series stretch;
    double longest = 0;
    for (const Series& log : test.logs) {
        if (const auto ok = checkReadings(log, "the zone", kFewest, 250, 1300); !ok)
            return tl::unexpected(ok.error());
        longest = std::max(longest, log.timeS.back() - log.timeS.front());
        if (allAtLimit(log, test.limitK)) {
            test.readingsK.push_back(test.limitK);
            continue;
        }
        const auto level = steadyLevel(log, test.rule, Swings::yes);
        if (!level)
            return tl::unexpected(level.error());
        stretch = level->part;
        test.someAtLimit |= reaches(stretch, test.limitK);
        // A mean of readings that are cut off is still less than the truth.
        test.readingsK.push_back(level->centreK);
        test.levelK =
            std::max(test.levelK, std::hypot(level->typeA, level->creepK, level->missedK));
        if (warnings.empty())
            warnings = level->warnings;
    }
    test.settledForS = std::max(test.settledForS, longest);
    if (stretch.empty())
        return test;
    if (test.dialLog)
        test.dialK.push_back(meanOver(*test.dialLog, stretch));
    if (test.thickLog)
        test.thickK.push_back(meanOver(*test.thickLog, stretch));
    return test;
}

} // namespace dynamet::rating
