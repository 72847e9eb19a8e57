// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Logs that used to be read wrong without a word: times, columns, units, encodings. Each is read
// right, asked about, or refused with its line. Common practice of loggers, no source.
#include "formats/column_roles.h"
#include "formats/csv_rows.h"
#include "formats/csv_sniff.h"
#include "formats/text_file.h"

#include <fmt/format.h>
#include <gtest/gtest.h>

namespace {

using namespace dynamet;
using namespace dynamet::formats;
using enum CsvQuestion;

/// Twelve rows, 4 s apart, of a probe that warms from 20.5; `time(i)` writes a row's time.
template <class Time>
std::string logOf(const std::string& header, Time time, char delimiter = ',') {
    std::string out = header + "\n";
    for (int i = 0; i < 12; ++i)
        out += fmt::format("{}{}{:.1f}\n", time(i), delimiter, 20.5 + i);
    return out;
}

/// What one row follows the other by, s; NaN when it is not read.
double stepOf(const std::string& text, const CsvAnswers& answers = {}) {
    const auto dialect = sniffCsv(text, answers);
    if (!dialect)
        return std::numeric_limits<double>::quiet_NaN();
    const auto log = parseCsv(text, *dialect);
    return log ? (log->timeS.back() - log->timeS.front()) /
                     static_cast<double>(log->timeS.size() - 1)
               : std::numeric_limits<double>::quiet_NaN();
}

struct TimeCase {
    const char* name;
    std::string text;
};

class TimesOfLogs : public ::testing::TestWithParam<TimeCase> {};

TEST_P(TimesOfLogs, Defect131AreReadAsTheyAreWritten) {
    const std::string& text = GetParam().text;
    EXPECT_NEAR(stepOf(text), 4, 1e-4) << text;
    const auto dialect = sniffCsv(text);
    ASSERT_TRUE(dialect.has_value());
    EXPECT_FALSE(dialect->asks(interval)) << describe(*dialect);
    EXPECT_FALSE(dialect->asks(minutesOrHours)) << describe(*dialect);
}

std::string clockOf(int seconds, const char* pattern) {
    return fmt::format(fmt::runtime(pattern), seconds / 60, seconds % 60);
}

INSTANTIATE_TEST_SUITE_P(
    Styles, TimesOfLogs,
    ::testing::Values(
        TimeCase{"dd_mm_yyyy", logOf("Date,Probe",
                                     [](int i) {
                                         return "25/03/2026 14:" +
                                                clockOf(55 + 4 * i, "{:02}:{:02}");
                                     })},
        TimeCase{"mm_dd_yyyy",
                 logOf("Time,Probe",
                       [](int i) { return "3/25/2026 14:" + clockOf(55 + 4 * i, "{:02}:{:02}"); })},
        TimeCase{"dd_points",
                 logOf(
                     "Zeit;Ofen",
                     [](int i) { return "25.03.2026 14:" + clockOf(4 * i, "{:02}:{:02}"); }, ';')},
        TimeCase{"short_year_am_pm",
                 logOf("Timestamp,Temp C",
                       [](int i) { return "3/25/26 2:" + clockOf(4 * i, "{:02}:{:02}") + " PM"; })},
        TimeCase{"date_beside_clock",
                 logOf("Date,Time,Probe",
                       [](int i) { return "03/04/2026,14:" + clockOf(4 * i, "{:02}:{:02}"); })},
        TimeCase{"named_mm_ss",
                 logOf("Time (mm:ss),Probe", [](int i) { return clockOf(4 * i, "{}:{:02}"); })},
        TimeCase{"mm_ss_tenths",
                 logOf("Time,Probe", [](int i) { return clockOf(4 * i, "{:02}:{:02}.0"); })},
        TimeCase{"milliseconds",
                 logOf("Time (ms),Probe", [](int i) { return std::to_string(4000 * i); })},
        TimeCase{"hours", logOf("Time (h),Probe",
                                [](int i) { return fmt::format("{:.7f}", i * 4 / 3600.0); })},
        TimeCase{"minutes",
                 logOf("t/min,Probe", [](int i) { return fmt::format("{:.5f}", i * 4 / 60.0); })},
        TimeCase{"unix_seconds",
                 logOf("epoch,Probe", [](int i) { return std::to_string(1772362798 + 4 * i); })},
        TimeCase{"unix_milliseconds",
                 logOf("timestamp,Probe",
                       [](int i) { return std::to_string(1772362798000 + 4000LL * i); })},
        TimeCase{"thousands_quoted", logOf("Seconds,Probe",
                                           [](int i) {
                                               const int at = 980 + 4 * i;
                                               return at < 1000
                                                          ? std::to_string(at)
                                                          : fmt::format("\"1,{:03}\"", at - 1000);
                                           })},
        TimeCase{"counter_before_time",
                 logOf("No.,Time,Temp",
                       [](int i) {
                           return fmt::format("{},{}", i + 1, clockOf(4 * i, "14:{:02}:{:02}"));
                       })}),
    [](const auto& one) { return std::string(one.param.name); });

TEST(TimesOfLogs, WhatCannotBeKnownIsAsked) {
    const std::string none = "Temp C\n20\n21\n22\n23\n";
    EXPECT_TRUE(sniffCsv(none)->asks(interval));
    EXPECT_FALSE(parseCsv(none, *sniffCsv(none)).has_value()) << "never a default";
    CsvAnswers apart;
    apart.intervalS = 4;
    EXPECT_NEAR(stepOf(none, apart), 4, 1e-9);
    const std::string counted = logOf("No.,Temp", [](int i) { return std::to_string(i + 1); });
    EXPECT_TRUE(sniffCsv(counted)->asks(interval));
    EXPECT_EQ(sniffCsv(counted)->columns[0].notUsed, "counter");
    EXPECT_NEAR(stepOf(counted, apart), 4, 1e-9);
    const std::string headless = logOf("", [](int i) { return std::to_string(i); }).substr(1);
    EXPECT_TRUE(sniffCsv(headless)->asks(interval)) << "seconds, or the numbers of the rows";
    const std::string two = logOf("Time,Probe", [](int i) { return clockOf(4 * i, "{}:{:02}"); });
    EXPECT_TRUE(sniffCsv(two)->asks(minutesOrHours));
    CsvAnswers hours;
    hours.time = TimeStyle::elapsedClock;
    EXPECT_NEAR(stepOf(two, hours), 240, 1e-9);
}

TEST(TimesOfLogs, ATimeThatIsNotUnderstoodIsNamed) {
    const auto refused =
        sniffCsv(logOf("Time,Probe", [](int i) { return "day " + std::string(1, char('a' + i)); }));
    ASSERT_FALSE(refused.has_value());
    EXPECT_NE(refused.error().message.find("day a"), std::string::npos) << refused.error().message;
    EXPECT_EQ(refused.error().line, 2);
}

TEST(TimesOfLogs, DayAndMonthAreSettledByOrder) {
    std::string text = "Time,Probe\n"; // over midnight: from the third to the fourth
    for (int i = 0; i < 6; ++i)
        text += fmt::format("0{}/04/2026 {}:{:02}:00,2{}\n", i < 3 ? 3 : 4, i < 3 ? 23 : 0,
                            i < 3 ? 57 + i : i - 3, i);
    const auto dialect = sniffCsv(text);
    EXPECT_EQ(dialect->time, TimeStyle::dayFirst);
    EXPECT_TRUE(dialect->questions.empty());
    EXPECT_NEAR(stepOf(text), 60, 1e-9);
}

// 3 April or 4 March: the readings stand, but the test's day is asked.
TEST(TimesOfLogs, Defect151ADateBesideAClockIsNotTakenForGranted) {
    const auto startOf = [](const char* date) {
        const std::string text = logOf("Date,Time,Probe", [&](int i) {
            return std::string(date) + ",14:" + clockOf(4 * i, "{:02}:{:02}");
        });
        return parseCsv(text, *sniffCsv(text))->startUnixS;
    };
    EXPECT_FALSE(startOf("03/04/2026").has_value());
    EXPECT_DOUBLE_EQ(startOf("25/03/2026").value_or(0), 1774447200);
    EXPECT_DOUBLE_EQ(startOf("3/25/2026").value_or(0), 1774447200);
    EXPECT_DOUBLE_EQ(startOf("2026-03-25").value_or(0), 1774447200);
    EXPECT_TRUE(startOf("04/04/2026").has_value()) << "both orders are one day";
}

std::map<std::string, std::string> rolesIn(const std::string& header, const std::string& protocol,
                                           bool* certain = nullptr) {
    std::string text = header + "\n";
    for (int i = 0; i < 5; ++i) {
        text += std::to_string(5 * i);
        for (std::size_t c = 1;
             c <= static_cast<std::size_t>(std::count(header.begin(), header.end(), ',')); ++c)
            text += fmt::format(",{}.5", 20 + i + static_cast<int>(c));
        text += "\n";
    }
    const auto dialect = sniffCsv(text);
    EXPECT_TRUE(dialect.has_value()) << dialect.error().message;
    const rating::Protocol& p = *rating::findProtocol(protocol);
    const auto found = rolesByName(*dialect, p, p.roles);
    if (certain)
        *certain = found.certain;
    std::map<std::string, std::string> out;
    for (const auto& [column, role] : found.roles)
        out[role] = dialect->columns[column].name;
    return out;
}

TEST(ColumnsOfLogs, Defect132NamesDecideNotPlaces) {
    using Roles = std::map<std::string, std::string>;
    EXPECT_EQ(rolesIn("Time s,Setpoint C,Oven C", "preheat"), (Roles{{"air", "Oven C"}}));
    EXPECT_EQ(rolesIn("Zeit s,Sollwert,Ofen", "preheat"), (Roles{{"air", "Ofen"}}));
    EXPECT_EQ(rolesIn("Time s,Battery V,RH %,Probe", "preheat"), (Roles{{"air", "Probe"}}));
    EXPECT_EQ(rolesIn("Time s,Air,Block", "block"), (Roles{{"air", "Air"}, {"block", "Block"}}));
    EXPECT_EQ(rolesIn("Time s,Luft,Klotz", "block"), (Roles{{"air", "Luft"}, {"block", "Klotz"}}));
    EXPECT_EQ(rolesIn("Time s,Ambient,Water", "water-heat-up"), (Roles{{"water", "Water"}}));
    EXPECT_EQ(rolesIn("Temps s,Four,Coeur", "preheat"), (Roles{{"air", "Four"}}));
    EXPECT_EQ(
        rolesIn("Time s,Rear right,Front left,Middle", "cavity-map"),
        (Roles{{"back right", "Rear right"}, {"front left", "Front left"}, {"middle", "Middle"}}));
}

TEST(ColumnsOfLogs, WhatIsNotCertainIsAsked) {
    bool certain = true;
    rolesIn("Time s,Probe 1,Probe 2", "block", &certain);
    EXPECT_FALSE(certain);
    rolesIn("Time s,Probe 1,Probe 2", "preheat", &certain);
    EXPECT_FALSE(certain);
    rolesIn("Time s,Oven left,Oven right", "preheat", &certain);
    EXPECT_FALSE(certain) << "two of one name";
    rolesIn("Time s,Probe 1", "preheat", &certain);
    EXPECT_TRUE(certain);
}

TEST(UnitsOfLogs, Defect133NamesUnitColumnsAndPlausibility) {
    struct Case {
        const char* header;
        LogUnit unit;
    };
    using enum LogUnit;
    for (const Case& c : {Case{"Time s,Temp_F", fahrenheit},
                          {"Time s,TempF", fahrenheit},
                          {"Time s,Oven ℉", fahrenheit},
                          {"Time s,Oven (°F)", fahrenheit},
                          {"Time s,oven_degF", fahrenheit},
                          {"Time s,Oven ℃", celsius},
                          {"Time s,Temp [K]", kelvin},
                          {"Time s,TEMPC", celsius}}) {
        const auto dialect = sniffCsv(std::string(c.header) + "\n0,290\n5,291\n10,292\n15,293\n");
        ASSERT_TRUE(dialect.has_value()) << c.header;
        EXPECT_TRUE(dialect->columns[1].unitWritten) << c.header;
        EXPECT_EQ(dialect->columns[1].unit, c.unit) << c.header;
    }
    const auto column = sniffCsv("Time s,Temp,Unit\n0,72,F\n5,73,F\n10,75,F\n15,79,F\n");
    EXPECT_EQ(column->columns[1].unit, fahrenheit);
    EXPECT_TRUE(column->columns[1].unitWritten);
    const std::string letters =
        "Time s,Probe A,Probe C,Probe F\n0,20,21,22\n5,20,21,22\n10,21,22,23\n";
    const auto named = sniffCsv(letters);
    ASSERT_TRUE(named.has_value());
    for (const CsvColumn& probe : named->columns)
        EXPECT_FALSE(probe.unitWritten) << probe.name << " is a name";
}

TEST(UnitsOfLogs, ReadingsThatMayBeEitherAreAskedAbout) {
    EXPECT_FALSE(sniffCsv("Time s,Oven\n0,21\n5,25\n10,32\n15,40\n")->asks(unit));
    EXPECT_TRUE(sniffCsv("Time s,Oven\n0,72\n5,90\n10,130\n15,180\n")->asks(unit))
        << "a room at 72";
    EXPECT_TRUE(sniffCsv("Time s,Oven\n0,392\n5,391\n10,392\n15,393\n")->asks(unit));
    CsvAnswers answers;
    answers.unit = LogUnit::fahrenheit;
    const auto said = sniffCsv("Time s,Oven\n0,392\n5,391\n10,392\n15,393\n", answers);
    EXPECT_TRUE(said->questions.empty());
    EXPECT_EQ(said->columns[1].unit, LogUnit::fahrenheit);
}

TEST(UnitsOfLogs, AHeaderThatSwitchesIsRefusedAtItsLine) {
    const std::string text =
        "Time s,Oven (°C)\n0,200\n5,201\n10,200\nTime s,Oven (°F)\n15,392\n20,393\n";
    const auto log = parseCsv(text, *sniffCsv(text));
    ASSERT_FALSE(log.has_value());
    EXPECT_EQ(log.error().line, 5);
    const std::string rows = "Time s,Temp,Unit\n0,20,C\n5,21,C\n10,22,C\n15,72,F\n20,22,C\n";
    EXPECT_FALSE(parseCsv(rows, *sniffCsv(rows)).has_value());
}

TEST(HeadersOfLogs, Defect134APreambleDoesNotEatTheHeader) {
    const std::string text =
        "Model,T-200\nSerial,4711\nTime s,Oven (°F)\n0,390\n5,391\n10,392\n15,392\n";
    const auto dialect = sniffCsv(text);
    ASSERT_TRUE(dialect.has_value()) << dialect.error().message;
    EXPECT_EQ(dialect->columns[1].name, "Oven (°F)");
    EXPECT_EQ(dialect->columns[1].unit, LogUnit::fahrenheit);
    EXPECT_EQ(parseCsv(text, *dialect)->timeS.size(), 4u);
}

std::string utf16(const std::string& text, bool mark) {
    std::string out = mark ? "\xFF\xFE" : "";
    for (std::size_t i = 0; i < text.size(); ++i) {
        unsigned code = static_cast<unsigned char>(text[i]);
        if (code == 0xc2)
            code = static_cast<unsigned char>(text[++i]);
        out += static_cast<char>(code);
        out += '\0';
    }
    return out;
}

TEST(EncodingsOfLogs, Defect135Utf16Latin1AndOldLineEnds) {
    const std::string text = "Time s,Oven (°F)\n0,390\n5,391\n10,392\n15,392\n";
    std::string latin = text, mac = text;
    latin.erase(latin.find("\xc2"), 1);
    std::replace(mac.begin(), mac.end(), '\n', '\r');
    for (const std::string& bytes :
         {"\xEF\xBB\xBF" + text, utf16(text, true), utf16(text, false), latin, mac}) {
        const std::string read = asUtf8(bytes);
        const auto dialect = sniffCsv(read);
        ASSERT_TRUE(dialect.has_value()) << dialect.error().message;
        EXPECT_EQ(dialect->columns[1].name, "Oven (°F)");
        EXPECT_EQ(dialect->columns[1].unit, LogUnit::fahrenheit);
        EXPECT_EQ(parseCsv(read, *dialect)->timeS.size(), 4u);
    }
}

TEST(NumbersOfLogs, Defect136DecimalCommasBetweenCommas) {
    const std::string quoted =
        "Time,Oven C\n\"0,0\",\"20,5\"\n\"4,0\",\"21,5\"\n\"8,0\",\"22,5\"\n\"12,0\",\"23,5\"\n";
    const auto dialect = sniffCsv(quoted);
    ASSERT_TRUE(dialect.has_value()) << dialect.error().message;
    EXPECT_TRUE(dialect->decimalComma);
    EXPECT_DOUBLE_EQ(parseCsv(quoted, *dialect)->channels[0].asRecorded[1], 21.5);
    const auto refused = sniffCsv("Time,Oven C\n0,20,5\n4,21,5\n8,22,5\n12,23,5\n");
    ASSERT_FALSE(refused.has_value()) << describe(*refused);
    EXPECT_NE(refused.error().message.find("semicolons"), std::string::npos);
}

} // namespace
