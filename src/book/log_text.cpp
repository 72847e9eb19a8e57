// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/log_text.h"

#include <chrono>
#include <fmt/format.h>
#include <nlohmann/json.hpp>

namespace dynamet::book {
namespace {

std::string quoted(const std::string& text) {
    if (text.find_first_of(",\"\n\r") == std::string::npos)
        return text;
    std::string out = "\"";
    for (const char c : text)
        out += c == '"' ? std::string("\"\"") : std::string(1, c);
    return out + '"';
}

} // namespace

std::string dayText(std::int64_t ms) {
    using namespace std::chrono;
    const year_month_day day(floor<days>(sys_time<milliseconds>(milliseconds(ms))));
    return fmt::format("{:04}-{:02}-{:02}", static_cast<int>(day.year()),
                       static_cast<unsigned>(day.month()), static_cast<unsigned>(day.day()));
}

std::string logCsv(const std::vector<LogLine>& lines) {
    std::string out = "day,kind,title,appliance_id,food_id,person,words,id\r\n";
    for (const LogLine& one : lines) {
        const std::string cells[] = {dayText(one.atMs), one.kind,   one.title, one.applianceId,
                                     one.foodId,        one.person, one.words, one.ref};
        for (std::size_t i = 0; i < std::size(cells); ++i)
            out += (i ? "," : "") + quoted(cells[i]);
        out += "\r\n";
    }
    return out;
}

std::string logJson(const std::vector<LogLine>& lines) {
    nlohmann::json out{
        {"format", "dynamet-logbook"}, {"version", 1}, {"entries", nlohmann::json::array()}};
    for (const LogLine& one : lines)
        out["entries"].push_back({{"id", one.ref},
                                  {"kind", one.kind},
                                  {"at_ms", one.atMs},
                                  {"title", one.title},
                                  {"appliance_id", one.applianceId},
                                  {"food_id", one.foodId},
                                  {"person", one.person},
                                  {"words", one.words}});
    return out.dump(1) + "\n";
}

} // namespace dynamet::book
