// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/book.h"
#include "rating/inputs/recorded_test.h"

#include <map>

namespace dynamet::book {

using rating::KeyedReading;
using rating::RecordedChannel;

/// A test as it is kept. Conditions that were not written down stay empty: "unknown".
struct TestRecord : rating::RecordedTest {
    std::string id;
    std::string applianceId;
    std::string setting; ///< canonical text
    std::string zone;
    std::string insertId, vesselId, siteId;
    std::string photoSha256; ///< an attachment of the book
    std::string operatorName, fuel;
    std::optional<double> ambientK, windMPerS;
    std::string fileName, fileSha256, dialectJson; ///< of an imported log
    int utcOffsetMin = 0;                          ///< of the wall clock when it was made

    When started() const { return {startedMs, utcOffsetMin}; }
    void setStarted(const When& when) {
        startedMs = when.utcMs;
        utcOffsetMin = when.offsetMin;
    }
    bool operator==(const TestRecord& o) const { return id == o.id; }
};

/// Keeps a file's content by its SHA-256; keeping it twice does nothing.
Result<void> keepAttachment(Book& book, const std::string& sha256, const std::string& mediaType,
                            const std::string& name, const std::string& content);
/// Keeps a test as a draft, with its raw readings.
Result<void> addTest(Book& book, const TestRecord& test, const When& when);
/// Makes a draft a rating: keeps the reduction and its field numbers. Returns the reduction's id.
Result<std::string> saveReduction(Book& book, const std::string& testId,
                                  const rating::Reduction& reduction,
                                  const std::map<std::string, double>& constants,
                                  const std::string& supersedes, const When& when);
/// Undo and redo of an import or a save: set or clear withdrawn_at.
Result<void> withdrawTest(Book& book, const std::string& testId, std::optional<When> when);
Result<void> withdrawReduction(Book& book, const std::string& reductionId,
                               std::optional<When> when);

/// A line of the list of tests.
struct TestLine {
    std::string id, protocol, setting, zone, vesselId, insertId;
    std::int64_t startedMs = 0;
    bool draft = true;
    std::string sentence; ///< of the standing reduction
    std::string reductionId;
};
/// Tests of an appliance that stand, newest first.
Result<std::vector<TestLine>> listTests(Book& book, const std::string& applianceId);
/// notFound when it is not there (withdrawn tests are found).
Result<TestRecord> loadTest(Book& book, const std::string& testId);
/// One rated quantity of one test, for control charts.
struct RatedLine {
    std::string testId, protocol, setting, zone;
    std::int64_t startedMs = 0;
    std::string name;
    double value = 0;
    std::string unit;
    double u = 0;
};
/// All standing quantities of an appliance, oldest first; bounds are left out.
Result<std::vector<RatedLine>> loadHistory(Book& book, const std::string& applianceId);
/// When each appliance was last rated, UTC ms.
Result<std::map<std::string, std::int64_t>> newestRatings(Book& book);

} // namespace dynamet::book
