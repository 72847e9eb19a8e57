// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// The line protocol and bare numbers: whole, in any portions, and through noise.
#include "device/line_protocol.h"
#include "device/talk.h"

#include <cmath>
#include <fstream>
#include <gtest/gtest.h>
#include <random>

namespace {

using namespace dynamet;
using namespace dynamet::device;

std::string wordsOf(const Message& message) {
    if (const auto* hello = std::get_if<Hello>(&message))
        return "hello " + hello->kind + "/" + hello->serial + "/" + hello->name;
    if (const auto* channel = std::get_if<ChannelSpec>(&message))
        return "channel " + channel->key + "/" + channel->name + "/" + channel->unit;
    if (const auto* complaint = std::get_if<Complaint>(&message))
        return "says " + complaint->words;
    if (const auto* unusable = std::get_if<Unusable>(&message))
        return std::string("unusable ") + enumName(unusable->fault);
    std::string out = "reading";
    for (const Value& value : std::get<Reading>(message).values)
        out += " " + value.channel + "=" +
               (value.gap == Gap::none   ? std::to_string(std::lround(value.value * 10))
                : value.gap == Gap::open ? "open"
                                         : "beyond");
    return out;
}

std::vector<std::string> heard(Talk& talk, std::string_view bytes) {
    std::vector<std::string> out;
    for (const Message& message : talk.feed(bytes))
        out.push_back(wordsOf(message));
    return out;
}

const std::string kTranscript =
    withSum("dynamet-line 1 thermometer 0017 Four probes") + "\r\n" +
    withSum("channel 1 C 0.1 -50 300 left probe") + "\r\n" +
    withSum("channel 2 F 0.1 -58 572 right probe") + "\r\n" + withSum("r 12.4 1=21.3 2=over") +
    "\r\n" + withSum("r 13.4 1=open 2=70.5") + "\n" + withSum("x probe 2 is wet") + "\r\n";
const std::vector<std::string> kSaid{"hello thermometer/0017/Four probes",
                                     "channel 1/left probe/°C",
                                     "channel 2/right probe/°F",
                                     "reading 1=213 2=beyond",
                                     "reading 1=open 2=705",
                                     "says probe 2 is wet"};

TEST(Lines, SumsAreThoseOfTheBytes) {
    // By hand: 'r' 114 + ' ' 32 + '1' 49 = 195 = C3.
    EXPECT_EQ(withSum("r 1"), "r 1*C3");
}

TEST(Lines, OfTheDocumentAreReadAsItSays) {
    std::ifstream page(DEVICE_LINES);
    int read = 0;
    for (std::string line; std::getline(page, line);)
        if (const auto at = line.find_first_not_of(' ');
            at == 4 && line.size() > 7 && line[line.size() - 3] == '*') {
            EXPECT_FALSE(std::holds_alternative<Unusable>(readLine(line.substr(4)))) << line;
            ++read;
        }
    EXPECT_EQ(read, 3);
}

TEST(Lines, AreTheSameHoweverTheBytesAreCut) {
    for (std::size_t cut = 0; cut <= kTranscript.size(); ++cut) {
        Talk talk(Connection{});
        auto got = heard(talk, std::string_view(kTranscript).substr(0, cut));
        const auto rest = heard(talk, std::string_view(kTranscript).substr(cut));
        got.insert(got.end(), rest.begin(), rest.end());
        EXPECT_EQ(got, kSaid) << cut;
    }
    Talk talk(Connection{});
    std::vector<std::string> byByte;
    for (const char c : kTranscript)
        for (std::string& one : heard(talk, {&c, 1}))
            byByte.push_back(std::move(one));
    EXPECT_EQ(byByte, kSaid);
    EXPECT_EQ(talk.channels().size(), 2u);
    EXPECT_EQ(talk.readings(), 2);
}

// A line that lost any of its bytes is no reading: 21.3 must not become 2.3 or 213.
TEST(Lines, WithAByteMissingOrChangedAreNoReading) {
    const std::string line = withSum("r 12.4 1=21.3 2=182.5");
    for (std::size_t i = 0; i < line.size(); ++i) {
        std::string without = line;
        without.erase(i, 1);
        EXPECT_FALSE(std::holds_alternative<Reading>(readLine(without))) << without;
        std::string other = line;
        other[i] = static_cast<char>(other[i] + 1);
        EXPECT_FALSE(std::holds_alternative<Reading>(readLine(other))) << other;
    }
    EXPECT_TRUE(std::holds_alternative<Reading>(readLine(line)));
}

TEST(Lines, NoiseFillsNoMemoryAndIsTold) {
    std::mt19937 random(7);
    Talk talk(Connection{});
    std::string noise;
    for (int i = 0; i < 200000; ++i)
        noise += static_cast<char>(random() % 256);
    for (const Message& message : talk.feed(noise))
        EXPECT_TRUE(std::holds_alternative<Unusable>(message));
    EXPECT_TRUE(talk.looksLikeWrongSpeed());
    std::string endless(50000, '\xaa');
    Talk quiet(Connection{});
    EXPECT_TRUE(quiet.feed(endless).empty());
    EXPECT_TRUE(quiet.looksLikeWrongSpeed());
    // After the noise it hears again.
    const auto again = heard(quiet, "\n" + kTranscript);
    EXPECT_EQ(again.back(), kSaid.back());
    EXPECT_FALSE(quiet.looksLikeWrongSpeed());
}

TEST(Lines, ReadingsOfChannelsNobodyNamedAreLeftOut) {
    Talk talk(Connection{});
    heard(talk, kTranscript);
    EXPECT_EQ(heard(talk, withSum("r 14 9=20.0") + "\n"),
              std::vector<std::string>{"unusable unknown_channel"});
}

TEST(Lines, AnotherInstrumentOnTheSameLineBringsItsOwnChannels) {
    Talk talk(Connection{});
    heard(talk, kTranscript);
    heard(talk, withSum("dynamet-line 1 scale 0203 Pot scale") + "\n" +
                    withSum("channel w g 1 0 12000 weight") + "\n");
    ASSERT_EQ(talk.channels().size(), 1u);
    EXPECT_EQ(talk.channels().front().unit, "g");
}

TEST(PlainLines, AreReadByTheirColumns) {
    Connection connection;
    connection.dialect = Dialect::plain;
    connection.plain.channels = *parseChannels("left C, right F, pot g");
    Talk talk(connection);
    EXPECT_EQ(
        heard(talk, "12,21.10,70.5,1200\r\n13;21.2;-;1199\r\n14,21.3\r\nhello\r\n"),
        (std::vector<std::string>{"reading 1=211 2=705 3=12000", "reading 1=212 2=open 3=11990",
                                  "unusable other_columns", "unusable not_a_line"}));
    EXPECT_EQ(talk.channels()[1].unit, "°F");
    EXPECT_EQ(talk.channels()[2].name, "pot");
}

TEST(PlainLines, ChannelsAreNamedWithTheirUnits) {
    EXPECT_FALSE(parseChannels("").has_value());
    EXPECT_FALSE(parseChannels("left C,,right").has_value());
    EXPECT_EQ((*parseChannels("back left"))[0].name, "back left");
    EXPECT_EQ((*parseChannels("back left"))[0].unit, "°C");
}

TEST(PlainLines, ALayoutIsGuessedFromWhatWasSeen) {
    const auto layout = guessLayout({"0,21,22", "1,21,23", "2,21,24"});
    ASSERT_TRUE(layout.has_value());
    EXPECT_TRUE(layout->timeFirst);
    EXPECT_EQ(layout->channels.size(), 2u);
    EXPECT_FALSE(guessLayout({"0,21", "1,21,23", "2,21"}).has_value());
    EXPECT_FALSE(guessLayout({"a,b", "c,d", "e,f"}).has_value());
}

TEST(Lines, AFloodIsReadInAMoment) {
    Talk talk(Connection{});
    heard(talk, kTranscript);
    std::string flood;
    for (int i = 0; i < 20000; ++i)
        flood += withSum("r " + std::to_string(20 + i) + " 1=21.3 2=70.5") + "\r\n";
    long readings = 0;
    for (const Message& message : talk.feed(flood))
        readings += std::holds_alternative<Reading>(message) ? 1 : 0;
    EXPECT_EQ(readings, 20000);
}

} // namespace
