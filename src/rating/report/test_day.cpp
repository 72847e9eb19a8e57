// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/report/test_day.h"

#include <algorithm>
#include <limits>
#include <nlohmann/json.hpp>
#include <string_view>

namespace dynamet::data {
extern const std::string_view protocols;
} // namespace dynamet::data

namespace dynamet::rating {
namespace {

using nlohmann::json;

constexpr double kMinute = 60, kForever = std::numeric_limits<double>::infinity();

std::map<std::string, TestTimes> readTimes() {
    std::map<std::string, TestTimes> out;
    const json table = json::parse(data::protocols);
    for (const json& row : table.at("protocols"))
        if (row.contains("takes")) {
            const json& t = row.at("takes");
            out[row.at("id").get<std::string>()] = {kMinute * t.at("before").get<double>(),
                                                    kMinute * t.at("log").get<double>(),
                                                    kMinute * t.at("after").get<double>(),
                                                    kMinute * t.value("cools", 0.0),
                                                    t.value("probes", 1),
                                                    t.value("from_cold", false)};
        }
    return out;
}

/// When something is in use, as stretches that do not end before they begin.
struct Busy {
    double fromS, toS;
    int count = 1;
};

bool isFree(const std::vector<Busy>& all, double fromS, double toS) {
    return std::none_of(all.begin(), all.end(),
                        [&](const Busy& b) { return b.fromS < toS && fromS < b.toS; });
}

int mostInUse(const std::vector<Busy>& all, double fromS, double toS) {
    int most = 0;
    for (const Busy& at : all) { // the count changes where a stretch begins
        const double moment = std::max(at.fromS, fromS);
        if (at.fromS >= toS || at.toS <= fromS)
            continue;
        int now = 0;
        for (const Busy& b : all)
            now += b.fromS <= moment && moment < b.toS ? b.count : 0;
        most = std::max(most, now);
    }
    return most;
}

struct Day {
    const DayMeans& means;
    TestDay out;
    std::vector<Busy> hands, probes;
    std::map<std::string, std::vector<Busy>> appliances;
    std::map<std::string, double> hotUntilS; ///< from when an appliance is cold again

    void take(const DayTest& test) {
        const Protocol* protocol = findProtocol(test.test.protocol);
        const TestTimes times = protocol ? timesOf(*protocol) : TestTimes{};
        hands.push_back({test.beginsS, test.logS});
        hands.push_back({test.readyS, test.doneS});
        probes.push_back({test.logS, test.readyS, times.probes});
        appliances[test.test.applianceId].push_back({test.beginsS, test.doneS});
        double& hot = hotUntilS[test.test.applianceId];
        hot = std::max(hot, test.doneS + times.coolsS);
        out.tests.push_back(test);
    }

    /// The test begun at a moment; nothing where that cannot be.
    std::optional<DayTest> at(const Wanted& wanted, double beginsS) {
        const Protocol* protocol = findProtocol(wanted.protocol);
        if (!protocol)
            return std::nullopt;
        const TestTimes times = timesOf(*protocol);
        DayTest test{wanted, beginsS, beginsS + times.handsBeforeS, 0, 0};
        test.readyS = test.logS + times.logS;
        // The hands may be late for its end; the log then runs on.
        while (!isFree(hands, test.readyS, test.readyS + times.handsAfterS)) {
            double next = kForever;
            for (const Busy& b : hands)
                if (b.toS > test.readyS)
                    next = std::min(next, b.toS);
            test.readyS = next;
        }
        test.doneS = test.readyS + times.handsAfterS;
        const auto hot = hotUntilS.find(wanted.applianceId);
        const bool cold =
            !times.fromCold || hot == hotUntilS.end() || hot->second <= beginsS + 1e-9;
        const bool can = test.doneS <= means.lastsS && cold && isFree(hands, beginsS, test.logS) &&
                         isFree(appliances[wanted.applianceId], beginsS, test.doneS) &&
                         mostInUse(probes, test.logS, test.readyS) + times.probes <= means.probes;
        return can ? std::optional(test) : std::nullopt;
    }
};

double worthForHands(const Wanted& wanted) {
    const Protocol* protocol = findProtocol(wanted.protocol);
    const TestTimes times = protocol ? timesOf(*protocol) : TestTimes{};
    return wanted.worth / (times.handsBeforeS + times.handsAfterS);
}

} // namespace

TestTimes timesOf(const Protocol& protocol) {
    static const auto all = readTimes();
    const auto known = all.find(protocol.id);
    return known == all.end() ? TestTimes{} : known->second;
}

TestDay planTestDay(const std::vector<Wanted>& wanted, const DayMeans& means,
                    const std::vector<DayTest>& done, double nowS) {
    Day day{means, {}, {}, {}, {}, {}};
    for (const DayTest& test : done)
        day.take(test);
    std::vector<Wanted> open = wanted;
    std::erase_if(open, [&](const Wanted& one) {
        return std::any_of(done.begin(), done.end(),
                           [&](const DayTest& test) { return test.test == one; });
    });
    std::stable_sort(open.begin(), open.end(), [](const Wanted& a, const Wanted& b) {
        return worthForHands(a) > worthForHands(b);
    });
    for (double now = nowS; !open.empty() && now < means.lastsS;) {
        const auto next = std::find_if(open.begin(), open.end(), [&](const Wanted& one) {
            return day.at(one, now).has_value();
        });
        if (next != open.end()) {
            day.take(*day.at(*next, now));
            open.erase(next);
            continue;
        }
        // Nothing can begin now: the next moment at which anything becomes free.
        double later = kForever;
        const auto look = [&](double moment) {
            if (moment > now)
                later = std::min(later, moment);
        };
        for (const auto* list : {&day.hands, &day.probes})
            for (const Busy& b : *list)
                look(b.toS);
        for (const auto& [id, list] : day.appliances)
            for (const Busy& b : list)
                look(b.toS);
        for (const auto& [id, moment] : day.hotUntilS)
            look(moment);
        if (later == kForever)
            break;
        now = later;
    }
    std::stable_sort(day.out.tests.begin(), day.out.tests.end(),
                     [](const DayTest& a, const DayTest& b) { return a.beginsS < b.beginsS; });
    day.out.left = std::move(open);
    return day.out;
}

std::vector<DayStep> stepsOf(const TestDay& day) {
    std::vector<DayStep> out;
    for (std::size_t i = 0; i < day.tests.size(); ++i) {
        const DayTest& test = day.tests[i];
        out.push_back({i, false, test.beginsS, test.logS - test.beginsS});
        out.push_back({i, true, test.readyS, test.doneS - test.readyS});
    }
    std::stable_sort(out.begin(), out.end(),
                     [](const DayStep& a, const DayStep& b) { return a.atS < b.atS; });
    return out;
}

DayTest begunAt(DayTest test, double nowS) {
    const double later = nowS - test.logS;
    test.beginsS = std::min(test.beginsS, nowS);
    test.logS = nowS;
    test.readyS += later;
    test.doneS += later;
    return test;
}

DayTest endedAt(DayTest test, double nowS) {
    test.readyS = std::min(test.readyS, nowS);
    test.readyS = std::max(test.readyS, test.logS);
    test.doneS = std::max(nowS, test.readyS);
    return test;
}

} // namespace dynamet::rating
