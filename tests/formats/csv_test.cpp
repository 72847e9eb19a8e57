// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Logs as thermometers really write them: delimiter, decimal comma, header or none, ISO, elapsed
// and clock time, °C and °F, gaps, junk.
#include "formats/csv_fields.h"
#include "formats/csv_rows.h"
#include "formats/csv_sniff.h"
#include "formats/text_file.h"

#include <cmath>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::formats;

ParsedLog parsed(const std::string& text, CsvDialect* dialect = nullptr) {
    const auto sniffed = sniffCsv(text);
    EXPECT_TRUE(sniffed.has_value()) << sniffed.error().message;
    if (dialect)
        *dialect = *sniffed;
    auto log = parseCsv(text, *sniffed);
    EXPECT_TRUE(log.has_value()) << log.error().line << ": " << log.error().message;
    return log.value_or(ParsedLog{});
}

TEST(Csv, GermanLoggerWithClockTimeOverMidnight) {
    CsvDialect dialect;
    const auto log =
        parsed("Zeit;Garraum (°C);Kern (°C)\r\n23:59:50;180,5;6,1\r\n23:59:55;181,0;6,2\r\n"
               "00:00:00;181,5;6,3\r\n00:00:05;182,0;6,4\r\n",
               &dialect);
    EXPECT_EQ(dialect.delimiter, ';');
    EXPECT_TRUE(dialect.decimalComma);
    EXPECT_EQ(dialect.time, TimeStyle::clock);
    ASSERT_EQ(log.channels.size(), 2u);
    EXPECT_EQ(log.timeS, (std::vector<double>{0, 5, 10, 15}));
    EXPECT_DOUBLE_EQ(log.channels[0].asRecorded[2], 181.5);
    EXPECT_DOUBLE_EQ(log.channels[0].resolution, 0.1);
    EXPECT_TRUE(dialect.columns[1].unitWritten);
}

TEST(Csv, IsoTimesWithOffsetAndFahrenheit) {
    CsvDialect dialect;
    const auto log =
        parsed("timestamp,Probe 1 (F),Probe 2 (F)\n2026-03-01T11:59:58+01:00,350.5,70\n"
               "2026-03-01T12:00:00+01:00,351.0,70\n2026-03-01T12:00:02+01:00,351.5,71\n",
               &dialect);
    EXPECT_EQ(dialect.time, TimeStyle::isoDateTime);
    EXPECT_EQ(dialect.columns[1].unit, LogUnit::fahrenheit);
    EXPECT_DOUBLE_EQ(*log.startUnixS, 1772362798);
    EXPECT_NEAR(siSeries(log, 0).value[0], Temperature::fahrenheit(350.5).kelvin(), 1e-9);
}

TEST(Csv, ElapsedWithoutHeaderAndWithTabs) {
    CsvDialect dialect;
    const auto log = parsed("0\t20.1\n1.5\t20.3\n3\t20.6\n4.5\t20.9\n", &dialect);
    EXPECT_FALSE(dialect.header);
    EXPECT_EQ(dialect.time, TimeStyle::elapsedSeconds);
    EXPECT_FALSE(dialect.columns[1].unitWritten) << "a guess that the cook must confirm";
    EXPECT_DOUBLE_EQ(log.timeS.back(), 4.5);
}

TEST(Csv, ElapsedMinutesAndElapsedClock) {
    EXPECT_DOUBLE_EQ(parsed("min,temp C\n0,20\n0.5,21\n1,22\n1.5,23\n").timeS.back(), 90);
    EXPECT_DOUBLE_EQ(parsed("elapsed,temp C\n0:00:00,20\n0:00:30,21\n0:01:00,22\n").timeS.back(),
                     60);
}

TEST(Csv, JunkLinesArePassedOverAndListedAndGapsCounted) {
    const auto log = parsed("# logger 7\n# battery 80 %\ntime_s,oven "
                            "C\n0,20\n1,21\n2,--\n3,23\nlid opened\n60,25\n61,26\n62,27\n");
    EXPECT_EQ(log.timeS.size(), 7u);
    EXPECT_EQ(log.junkLines, (std::vector<int>{8}));
    EXPECT_EQ(log.gaps, 1);
    EXPECT_TRUE(std::isnan(log.channels[0].asRecorded[2]));
}

struct Bad {
    const char* text;
    int line;
    const char* words;
};
class BadCsv : public ::testing::TestWithParam<Bad> {};
TEST_P(BadCsv, NamesTheLineAndTheReason) {
    const Bad bad = GetParam();
    const auto dialect = sniffCsv(bad.text);
    const auto log =
        dialect ? parseCsv(bad.text, *dialect) : Result<ParsedLog>(tl::unexpected(dialect.error()));
    ASSERT_FALSE(log.has_value());
    EXPECT_EQ(log.error().line, bad.line) << log.error().message;
    EXPECT_NE(log.error().message.find(bad.words), std::string::npos) << log.error().message;
}
INSTANTIATE_TEST_SUITE_P(
    Files, BadCsv,
    ::testing::Values(
        Bad{"time_s,oven C\n0,20\n1,21\n2,18O.5\n3,23\n", 4, "18O.5"},
        Bad{"time_s,oven C\n0,20\n5,21\n3,22\n6,23\n7,24\n8,24\n9,24\n10,25\n11,26\n12,26\n", 4,
            "backwards"},
        Bad{"", 1, "empty"}, Bad{"dear diary\nthe oven was hot\n", 2, "no readings"}));

TEST(Csv, Defect170ANumberOfManyFiguresIsReadWithoutOverflow) {
    const std::string figures = "88888888888888888808888";
    EXPECT_EQ(readDecimal(figures, false), std::strtod(figures.c_str(), nullptr));
    EXPECT_EQ(readDecimal("-" + figures + ",5", true),
              -std::strtod((figures + ".5").c_str(), nullptr));
    EXPECT_FALSE(readDecimal(figures + "x", false).has_value());
}

TEST(Csv, EveryPrefixOfALogIsReadOrRefusedButNeverHalf) {
    const std::string text = "Time;Oven (°C)\n12:00:00;20,5\n12:00:05;21,0\n12:00:10;21,5\n";
    for (std::size_t n = 0; n <= text.size(); ++n) {
        const std::string cut = text.substr(0, n);
        if (const auto dialect = sniffCsv(cut))
            if (const auto log = parseCsv(cut, *dialect)) {
                for (const auto& channel : log->channels) {
                    EXPECT_EQ(channel.asRecorded.size(), log->timeS.size()) << n;
                }
            }
    }
}

// FIPS 180-2, appendix B.1.
TEST(Sha256, OfAbc) {
    EXPECT_EQ(sha256("abc"), "ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad");
}

} // namespace
