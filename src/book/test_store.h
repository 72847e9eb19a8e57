// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/book.h"
#include "kitchen/instrument.h"
#include "rating/reduce.h"

#include <map>

namespace dynamet::book {

/// Readings of one channel as recorded, in the instrument's own unit.
struct RecordedChannel {
    std::string role;
    std::string name;
    std::string unit = "°C"; ///< "°C", "°F", "K"
    std::string instrumentId;
    std::vector<double> timeS;
    std::vector<double> asRecorded; ///< NaN = missing
    double resolution = 0.1;        ///< 0 = off any grid
    bool operator==(const RecordedChannel&) const = default;
};

/// A reading that was typed: the text beside its value.
struct KeyedReading {
    double value = 0; ///< K, s or a count, by the protocol's role
    std::string typed;
    bool operator==(const KeyedReading&) const = default;
};

/// A test as it is kept. Conditions that were not written down stay empty: "unknown".
struct TestRecord {
    std::string id;
    std::string applianceId;
    std::string protocol;
    std::string setting; ///< canonical text
    std::string zone;
    std::string insertId, vesselId, siteId;
    std::string instrumentId; ///< of all readings whose channel names none
    std::string photoSha256;  ///< an attachment of the book
    std::string operatorName, fuel;
    std::optional<double> ambientK, windMPerS;
    std::optional<bool> lidOn, fanOn;
    std::map<std::string, double> values;     ///< SI, by name
    std::map<std::string, std::string> typed; ///< what the cook typed, by name
    std::vector<RecordedChannel> channels;
    std::map<std::string, std::vector<KeyedReading>> keyed;
    std::string fileName, fileSha256, dialectJson; ///< of an imported log
    When started;
    bool operator==(const TestRecord& o) const { return id == o.id; }
};

/// The test as the reductions want it: kelvins, corrected by the calibration that was in force when
/// the test was made; readings from before a calibration stay as they were.
rating::TestInput inputOf(const TestRecord& test,
                          const std::vector<kitchen::Instrument>& instruments);

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
