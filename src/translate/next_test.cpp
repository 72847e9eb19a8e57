// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/next_test.h"

#include "translate/narrowing.h"
#include "translate/translate.h"

#include <algorithm>
#include <map>

namespace dynamet::translate {

std::vector<NextTest> nextTests(const std::vector<Request>& requests, std::stop_token stop,
                                const std::function<void(int)>& done) {
    struct Sum {
        NextTest test;
        double best = 0;
    };
    std::map<std::string, Sum> sums;
    int count = 0;
    for (const Request& request : requests) {
        const auto prepared = prepare(request, stop);
        if (stop.stop_requested())
            return {};
        std::map<std::string, double> ofRecipe; // the best of an appliance's places counts
        if (prepared)
            for (const Row& row : translateAll(*prepared, stop))
                for (const Narrowing& one : narrowingsOf(*prepared, row)) {
                    if (one.way != Narrowing::Way::rate)
                        continue;
                    Sum& sum = sums[one.applianceId];
                    if (one.narrowerS > sum.best) {
                        sum.best = one.narrowerS;
                        sum.test.setting = one.setting;
                        sum.test.zone = one.zone;
                    }
                    sum.test.applianceId = one.applianceId;
                    sum.test.protocol = one.protocol;
                    sum.test.workS = one.workS;
                    double& gained = ofRecipe[one.applianceId];
                    gained = std::max(gained, one.narrowerS);
                }
        for (const auto& [id, gained] : ofRecipe) {
            sums[id].test.narrowerS += gained;
            ++sums[id].test.recipes;
        }
        if (done)
            done(++count);
    }
    std::vector<NextTest> out;
    for (auto& [id, sum] : sums)
        out.push_back(std::move(sum.test));
    std::stable_sort(out.begin(), out.end(), [](const NextTest& a, const NextTest& b) {
        return a.narrowerS / a.workS > b.narrowerS / b.workS;
    });
    return out;
}

} // namespace dynamet::translate
