// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/inputs/protocols.h"

namespace dynamet::rating {

/// What a test takes of a day, s: hands before its log, the log itself (the cook is free), hands
/// after it, and until its appliance can begin another test from cold; how many probes.
struct TestTimes {
    double handsBeforeS = 300, logS = 1800, handsAfterS = 120, coolsS = 0;
    int probes = 1;
    bool fromCold = false; ///< it begins with a cold appliance
};
/// From data/protocols.json; typed tests take hands alone.
TestTimes timesOf(const Protocol& protocol);

/// A test that somebody wants made, and how much it is worth (any unit, the same for all).
struct Wanted {
    std::string applianceId, protocol, setting, zone;
    double worth = 0;
    bool operator==(const Wanted&) const = default;
};
/// What a test day has to work with.
struct DayMeans {
    double lastsS = 4 * 3600;
    int probes = 4;
};
/// One test in the day, s from its beginning: hands until `logS`, the log until `readyS`, hands
/// again until `doneS`.
struct DayTest {
    Wanted test;
    double beginsS = 0, logS = 0, readyS = 0, doneS = 0;
};
struct TestDay {
    std::vector<DayTest> tests; ///< by their beginning
    std::vector<Wanted> left;   ///< no time for them
};

/// An order for the day: two hands, so many probes, an appliance does one test at a time and cools
/// before one that begins cold. At every moment that the hands are free the test that is worth most
/// for its hands' time begins, of those that can; while an oven settles, the hob is rated. `done`
/// are over or under way and stand as they are; nothing begins before `nowS`.
TestDay planTestDay(const std::vector<Wanted>& wanted, const DayMeans& means,
                    const std::vector<DayTest>& done = {}, double nowS = 0);

/// What there is to do, in the order of the day: a test's beginning or its end.
struct DayStep {
    std::size_t test = 0;
    bool ends = false;
    double atS = 0, handsS = 0;
};
std::vector<DayStep> stepsOf(const TestDay& day);
/// The test with its log begun, or ended, at a moment: what comes after moves with it.
DayTest begunAt(DayTest test, double nowS);
DayTest endedAt(DayTest test, double nowS);

} // namespace dynamet::rating
