// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cli/verb.h"
#include "formats/column_roles.h"
#include "formats/csv_names.h"
#include "formats/csv_rows.h"
#include "formats/csv_sniff.h"
#include "formats/report_json.h"
#include "formats/text_file.h"
#include "quantity/number_text.h"
#include "quantity/parse_duration.h"
#include "quantity/print.h"
#include "rating/inputs/keyed_readings.h"
#include "rating/inputs/typed_values.h"
#include "rating/reduce.h"
#include "words/rating_words.h"
#include "words/say.h"

#include <algorithm>
#include <fmt/format.h>
#include <nlohmann/json.hpp>

namespace dynamet::cli {
namespace {

Result<std::pair<std::string, std::string>> splitAt(const std::string& text) {
    const auto equals = text.rfind('=');
    if (equals == std::string::npos || equals == 0)
        return fail(Errc::invalidArgument, fmt::format("\"{}\" should be NAME=VALUE", text));
    return std::pair{text.substr(0, equals), text.substr(equals + 1)};
}

Result<void> addValues(const RateOptions& options, const rating::Protocol& protocol,
                       rating::TestInput& test) {
    std::map<std::string, std::string> written;
    for (const std::string& text : options.with) {
        const auto pair = splitAt(text);
        if (!pair)
            return tl::unexpected(pair.error());
        if (!written.insert(*pair).second)
            return fail(Errc::invalidArgument,
                        fmt::format("--with {} is given twice", pair->first));
    }
    auto read = rating::readNamed(protocol, written);
    if (!read)
        return fail(Errc::invalidArgument, "--with: " + words::text(read.error(), {}));
    test.values = std::move(read->values);
    test.choices = std::move(read->choices);
    return {};
}

/// "--column \"Probe 1=block\" --column \"Probe 2=air\"": how to say which is which.
std::string columnHint(const formats::CsvDialect& dialect, const std::vector<std::string>& roles) {
    std::string out;
    std::size_t next = 0;
    for (const formats::CsvColumn& column : dialect.columns)
        if (column.use == formats::ColumnUse::readings && next < roles.size())
            out += fmt::format(" --column \"{}={}\"", column.name, roles[next++]);
    return out;
}

/// Columns by --column NAME=ROLE; else by their names.
Result<void> addChannels(const RateOptions& options, const formats::CsvDialect& dialect,
                         const formats::ParsedLog& log, rating::TestInput& test) {
    const rating::Protocol& protocol = *rating::findProtocol(options.protocol);
    const auto& roles = protocol.roles;
    if (options.columns.empty()) {
        const auto found = formats::rolesByName(dialect, protocol, roles);
        if (!found.certain)
            return fail(Errc::invalidArgument,
                        "the columns' names do not tell which probe is which; say it, for "
                        "example" +
                            columnHint(dialect, roles));
        std::size_t channel = 0;
        for (std::size_t c = 0; c < dialect.columns.size(); ++c) {
            if (dialect.columns[c].use != formats::ColumnUse::readings)
                continue;
            if (const auto at = found.roles.find(c); at != found.roles.end())
                test.channels[at->second] = formats::siSeries(log, channel);
            ++channel;
        }
        return {};
    }
    for (const std::string& text : options.columns) {
        const auto pair = splitAt(text);
        if (!pair)
            return tl::unexpected(pair.error());
        if (std::find(roles.begin(), roles.end(), pair->second) == roles.end())
            return fail(Errc::invalidArgument,
                        fmt::format("{} has no role \"{}\"; it has {}", options.protocol,
                                    pair->second, fmt::join(roles, ", ")));
        std::string known;
        bool found = false;
        for (std::size_t i = 0; i < log.channels.size(); ++i) {
            known += (i ? ", " : "") + log.channels[i].name;
            if (log.channels[i].name != pair->first)
                continue;
            if (!test.channels.emplace(pair->second, formats::siSeries(log, i)).second)
                return fail(Errc::invalidArgument,
                            fmt::format("the role \"{}\" is given twice", pair->second));
            found = true;
        }
        if (!found)
            return fail(Errc::invalidArgument,
                        fmt::format("no column \"{}\"; the log has {}", pair->first, known));
    }
    return {};
}

/// --key ROLE=readings, each read as the protocol's role wants it.
Result<void> addKeyed(const RateOptions& options, rating::TestInput& test) {
    const rating::Protocol* protocol = rating::findProtocol(options.protocol);
    for (const std::string& text : options.keyed) {
        const auto pair = splitAt(text);
        if (!pair)
            return tl::unexpected(pair.error());
        const rating::KeyedRole* role = nullptr;
        for (const rating::KeyedRole& known : protocol->keyed)
            if (known.role == pair->first)
                role = &known;
        if (!role)
            return fail(Errc::invalidArgument, fmt::format("{} has no readings \"{}\" to type",
                                                           options.protocol, pair->first));
        const auto readings = rating::parseKeyed(*role, pair->second, TemperatureUnit::celsius);
        if (!readings)
            return fail(Errc::invalidArgument, words::text(readings.error(), {}));
        for (const rating::KeyedReading& r : *readings)
            test.keyed[role->role].push_back(r.value);
    }
    return {};
}

/// --interval, --time and --unit: what the file does not say.
Result<formats::CsvAnswers> answersOf(const RateOptions& options,
                                      const rating::Protocol& protocol) {
    formats::CsvAnswers out;
    out.weights = protocol.logsWeight;
    if (!options.interval.empty()) {
        const auto apart = parseInterval(options.interval);
        if (!apart)
            return fail(Errc::invalidArgument, "--interval " + apart.error().message);
        out.intervalS = *apart;
    }
    if (!options.time.empty()) {
        out.time = formats::timeStyleOf(options.time);
        if (!out.time)
            return fail(Errc::invalidArgument,
                        fmt::format("--time {}: there are elapsed_min_s, elapsed_clock, clock, "
                                    "elapsed_s, elapsed_ms, elapsed_min, elapsed_h, day_first, "
                                    "month_first, iso_date_time, unix_s, unix_ms",
                                    options.time));
    }
    if (!options.unit.empty()) {
        out.unit = formats::unitWord(options.unit);
        if (!out.unit || isWeight(*out.unit) != out.weights)
            return fail(Errc::invalidArgument, out.weights ? "--unit should be g, kg, oz or lb"
                                                           : "--unit should be C, F or K");
    }
    return out;
}

/// What the file leaves open has to be answered; never a default.
Result<void> checkAnswered(const formats::CsvDialect& dialect) {
    using formats::CsvQuestion;
    if (dialect.asks(CsvQuestion::interval))
        return fail(Errc::invalidArgument,
                    "the log has no times: say how far apart its readings are, as --interval 5");
    if (dialect.asks(CsvQuestion::minutesOrHours))
        return fail(Errc::invalidArgument,
                    "the times may be min:s or h:min: say --time elapsed_min_s or --time "
                    "elapsed_clock");
    if (dialect.asks(CsvQuestion::unit))
        return fail(
            Errc::invalidArgument,
            "the readings name no unit and may be in °C or in °F: say --unit C or --unit F (of a "
            "scale's log --unit g, kg, oz or lb)");
    return {};
}

Result<formats::CsvDialect> readLog(const RateOptions& options, rating::TestInput& test) {
    const auto answers = answersOf(options, *rating::findProtocol(options.protocol));
    if (!answers)
        return tl::unexpected(answers.error());
    const auto text = formats::readTextFile(options.log).map(formats::asUtf8);
    if (!text)
        return tl::unexpected(text.error());
    const auto dialect = formats::sniffCsv(*text, *answers);
    if (!dialect)
        return tl::unexpected(dialect.error().in(options.log));
    if (const auto ok = checkAnswered(*dialect); !ok)
        return tl::unexpected(ok.error().in(options.log));
    const auto log = formats::parseCsv(*text, *dialect);
    if (!log)
        return tl::unexpected(log.error().in(options.log));
    if (const auto ok = addChannels(options, *dialect, *log, test); !ok)
        return tl::unexpected(ok.error());
    return *dialect;
}

/// How the log was read, what was guessed in it said so.
nlohmann::json logJson(const formats::CsvDialect& dialect) {
    nlohmann::json out = nlohmann::json::parse(formats::dialectJson(dialect));
    bool guessed = !dialect.timeWritten;
    for (const formats::CsvColumn& column : dialect.columns)
        guessed = guessed || (column.use == formats::ColumnUse::readings && !column.unitWritten);
    out["guessed"] = guessed;
    out["text"] = formats::describe(dialect);
    return out;
}

} // namespace

Result<Answer> rate(const RateOptions& options) {
    rating::TestInput test;
    test.protocol = options.protocol;
    test.lid = !options.noLid;
    test.forcedFlow = options.fan;
    const rating::Protocol* protocol = rating::findProtocol(options.protocol);
    if (!protocol) {
        Error unknown = rating::reduce(test).error();
        unknown.code = Errc::invalidArgument;
        return tl::unexpected(unknown);
    }
    if (const auto ok = addValues(options, *protocol, test); !ok)
        return tl::unexpected(ok.error());
    if (const auto ok = addKeyed(options, test); !ok)
        return tl::unexpected(ok.error());
    std::optional<formats::CsvDialect> read;
    if (!options.log.empty()) {
        const auto log = readLog(options, test);
        if (!log)
            return tl::unexpected(log.error());
        read = *log;
    } else if (protocol->fromLog) {
        return fail(Errc::invalidArgument, options.protocol + " needs a log: --log FILE");
    }
    const auto reduction = rating::reduce(test);
    if (!reduction)
        return tl::unexpected(reduction.error());
    Answer out;
    nlohmann::json json = formats::reductionJson(*reduction);
    if (read)
        json["log"] = logJson(*read);
    out.json = json.dump();
    out.text = words::foundWords(*reduction, {});
    for (const rating::Quantity& q : reduction->quantities)
        out.text += fmt::format("\n  {:<22} {}{}", q.name,
                                q.bound == rating::Bound::lower ? "at least " : "",
                                printPlusMinus(q.value, halfWidth95(q), q.unit, 2));
    for (const auto& warning : reduction->warnings)
        out.text += "\n  ! " + words::say(warning, {});
    if (read)
        out.text += "\n  log: " + formats::describe(*read);
    return out;
}

} // namespace dynamet::cli
