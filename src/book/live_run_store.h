// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/test_store.h"

namespace dynamet::book {

/// One reading of a run, by its channel's place in the test's channels.
struct LiveReading {
    std::uint32_t channel = 0;
    double timeS = 0, value = 0; ///< as recorded; NaN = missing
};
/// What a cook marked while it ran; `mark` is the word of device::Mark.
struct TestMark {
    double atS = 0;
    std::string mark, words;
    bool operator==(const TestMark&) const = default;
};

/// Begins a run: the test as a draft with its channels, no reading yet.
Result<void> beginRun(Book& book, const TestRecord& test, const When& when);
/// Keeps readings of a run that has begun; on disk when it returns. Every so often what waits goes
/// into blocks.
Result<void> appendRun(Book& book, const std::string& testId,
                       const std::vector<LiveReading>& readings);
/// The marks of a test are those.
Result<void> keepMarks(Book& book, const std::string& testId, const std::vector<TestMark>& marks);
Result<std::vector<TestMark>> loadMarks(Book& book, const std::string& testId);
/// The readings of a run that are typed, all of them so far.
Result<void> keepKeyed(Book& book, const std::string& testId,
                       const std::map<std::string, std::vector<KeyedReading>>& keyed);
/// Ends it: from then on it is a draft like any other.
Result<void> endRun(Book& book, const std::string& testId, const When& when);

/// What waits goes into blocks, and the run goes on: it is still offered when it is cut off again.
Result<void> goOnWithRun(Book& book, const std::string& testId);

/// A run that was never ended: the program was killed, or the power went.
struct CutOffRun {
    std::string testId, applianceId, protocol;
    std::int64_t begunMs = 0;
    double lastS = 0; ///< its newest reading, from its start
    std::int64_t readings = 0;
};
Result<std::vector<CutOffRun>> cutOffRuns(Book& book);

} // namespace dynamet::book
