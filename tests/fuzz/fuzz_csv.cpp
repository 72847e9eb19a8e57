// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A logger's file: recognised, read, its roles found; what is read is as long as its times.
#include "formats/column_roles.h"
#include "formats/csv_rows.h"
#include "formats/csv_sniff.h"
#include "formats/text_file.h"
#include "fuzz/seeds.h"

#include <cmath>

using namespace dynamet;

namespace {

void read(const std::string& text, formats::CsvAnswers answers) {
    const auto dialect = formats::sniffCsv(text, answers);
    if (!dialect)
        return;
    MUST(!formats::describe(*dialect).empty());
    MUST(!formats::dialectJson(*dialect).empty());
    const auto& protocols = rating::allProtocols();
    const rating::Protocol& protocol = protocols[text.size() % protocols.size()];
    formats::rolesByName(*dialect, protocol, protocol.roles);
    const auto log = formats::parseCsv(text, *dialect);
    if (!log)
        return;
    for (std::size_t i = 1; i < log->timeS.size(); ++i)
        MUST(log->timeS[i] >= log->timeS[i - 1]);
    for (std::size_t c = 0; c < log->channels.size(); ++c) {
        MUST(log->channels[c].asRecorded.size() == log->timeS.size());
        MUST(formats::siSeries(*log, c).size() == log->timeS.size());
    }
}

} // namespace

std::vector<std::string> fuzz::seeds() {
    std::vector<std::string> out;
    for (const char* log : {"byte-order-mark-tabs-missing", "elapsed-clock-fahrenheit",
                            "iso-zones-kelvin-and-words", "one-column-no-time", "pipes-minutes",
                            "quoted-am-pm-over-midnight", "semicolons-decimal-comma"}) {
        const std::string all = fileOf("formats/logs/" + std::string(log) + ".csv");
        out.push_back(all.substr(0, all.find('\n', 400)));
    }
    return out;
}

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    const std::string text = formats::asUtf8(std::string(textOf(data, size)));
    formats::CsvAnswers answers;
    if (size % 3 > 0) { // somebody has answered
        answers.intervalS = 5;
        answers.unit = formats::LogUnit::fahrenheit;
    }
    if (size % 3 > 1) {
        answers.weights = true;
        answers.unit = formats::LogUnit::gram;
    }
    read(text, answers);
    return 0;
}
