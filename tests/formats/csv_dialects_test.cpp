// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Whole logs as instruments write them, each a text file of its own in logs/: what is read of them,
// and that a log cut anywhere is read as far as it goes or refused, never read as something else.
#include "formats/csv_rows.h"
#include "formats/csv_sniff.h"
#include "formats/text_file.h"

#include <cmath>
#include <filesystem>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::formats;

struct Log {
    const char* file;
    char delimiter;
    TimeStyle time;
    std::size_t rows, channels;
    double lastS;      ///< of the last row, from the first
    double lastKelvin; ///< of the first channel in the last row
    LogUnit unit;
};

std::string textOf(const std::string& file) {
    const auto text = readTextFile(std::string(LOGS_FOLDER) + "/" + file);
    EXPECT_TRUE(text.has_value()) << file;
    return text.value_or("");
}

bool same(double a, double b) {
    return a == b || (std::isnan(a) && std::isnan(b));
}

class LogFile : public ::testing::TestWithParam<Log> {};

TEST_P(LogFile, IsReadAsItsInstrumentMeantIt) {
    const Log wanted = GetParam();
    const std::string text = textOf(wanted.file);
    CsvAnswers answers;
    if (wanted.time == TimeStyle::none)
        answers.intervalS = 1;
    const auto dialect = sniffCsv(text, answers);
    ASSERT_TRUE(dialect.has_value()) << dialect.error().message;
    EXPECT_TRUE(dialect->questions.empty());
    EXPECT_EQ(dialect->delimiter, wanted.delimiter);
    EXPECT_EQ(dialect->time, wanted.time) << describe(*dialect);
    const auto log = parseCsv(text, *dialect);
    ASSERT_TRUE(log.has_value()) << log.error().message;
    ASSERT_EQ(log->channels.size(), wanted.channels);
    ASSERT_EQ(log->timeS.size(), wanted.rows);
    EXPECT_DOUBLE_EQ(log->timeS.back(), wanted.lastS);
    EXPECT_EQ(log->channels[0].unit, wanted.unit);
    EXPECT_NEAR(siSeries(*log, 0).value.back(), wanted.lastKelvin, 1e-9);
    EXPECT_TRUE(log->junkLines.empty());
}

TEST_P(LogFile, CutAtAnyByteIsReadAsFarAsItGoes) {
    const std::string text = textOf(GetParam().file);
    CsvAnswers answers;
    answers.intervalS = 1;
    const auto dialect = sniffCsv(text, answers);
    ASSERT_TRUE(dialect.has_value());
    const ParsedLog whole = *parseCsv(text, *dialect);
    std::size_t read = 0;
    for (std::size_t n = 0; n < text.size(); ++n) {
        const std::string cut = text.substr(0, n);
        (void)sniffCsv(cut); // a stub may look like anything, but must not end the program
        const auto log = parseCsv(cut, *dialect);
        if (!log) {
            EXPECT_FALSE(log.error().message.empty());
            continue;
        }
        ++read;
        ASSERT_LE(log->timeS.size(), whole.timeS.size()) << n;
        // The last line may end in the middle of a number; every line before it stands as it was.
        for (std::size_t row = 0; row + 1 < log->timeS.size(); ++row) {
            EXPECT_EQ(log->timeS[row], whole.timeS[row]) << n;
            for (std::size_t c = 0; c < log->channels.size(); ++c)
                EXPECT_TRUE(
                    same(log->channels[c].asRecorded[row], whole.channels[c].asRecorded[row]))
                    << n;
        }
        for (const LoggedChannel& channel : log->channels)
            EXPECT_EQ(channel.asRecorded.size(), log->timeS.size()) << n;
    }
    EXPECT_GT(read, 0u);
}

std::string nameOf(const ::testing::TestParamInfo<Log>& log) {
    std::string out = log.param.file;
    out.resize(out.size() - 4);
    for (char& c : out)
        c = c == '-' ? '_' : c;
    return out;
}

using enum LogUnit;
INSTANTIATE_TEST_SUITE_P(
    Logs, LogFile,
    ::testing::Values(
        Log{"semicolons-decimal-comma.csv", ';', TimeStyle::isoDateTime, 4, 2, 15, 455.15, celsius},
        Log{"elapsed-clock-fahrenheit.csv", ',', TimeStyle::elapsedClock, 5, 2, 120,
            (225 - 32) / 1.8 + 273.15, fahrenheit},
        Log{"byte-order-mark-tabs-missing.csv", '\t', TimeStyle::elapsedSeconds, 5, 1, 8, 298.25,
            celsius},
        Log{"quoted-am-pm-over-midnight.csv", ',', TimeStyle::clock, 4, 2, 180, 477.65, celsius},
        Log{"pipes-minutes.csv", '|', TimeStyle::elapsedMinutes, 6, 1, 150, 463.15, celsius},
        Log{"one-column-no-time.csv", ',', TimeStyle::none, 6, 1, 5, 300.15, celsius},
        Log{"iso-zones-kelvin-and-words.csv", ',', TimeStyle::isoDateTime, 4, 1, 6, 454.65,
            kelvin}),
    nameOf);

// A log of one column that rises was taken for time without readings, and refused.
TEST(Defect124, OneColumnIsReadingsEvenWhenItRises) {
    const auto dialect = sniffCsv("oven C\n20\n21\n22\n23\n24\n");
    ASSERT_TRUE(dialect.has_value()) << dialect.error().message;
    EXPECT_EQ(dialect->time, TimeStyle::none);
    EXPECT_EQ(dialect->columns[0].use, ColumnUse::readings);
}

TEST(LogFiles, AreAllRead) {
    std::size_t files = 0;
    for (const auto& entry : std::filesystem::directory_iterator(LOGS_FOLDER))
        files += entry.path().extension() == ".csv";
    EXPECT_EQ(files, 7u) << "a log without a line in the table above";
}

} // namespace
