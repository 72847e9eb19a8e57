// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cli/verb.h"
#include "formats/csv_rows.h"
#include "formats/csv_sniff.h"
#include "formats/report_json.h"
#include "formats/text_file.h"
#include "quantity/number_text.h"
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

/// Columns by --column NAME=ROLE; else the protocol's roles in the order of the columns.
Result<void> addChannels(const RateOptions& options, const formats::ParsedLog& log,
                         rating::TestInput& test) {
    const rating::Protocol& protocol = *rating::findProtocol(options.protocol);
    const auto& roles = protocol.roles;
    if (options.columns.empty()) {
        for (std::size_t i = 0; i < std::min(roles.size(), log.channels.size()); ++i)
            if (i == 0 || !protocol.firstColumnOnly)
                test.channels[roles[i]] = formats::kelvinSeries(log, i);
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
            test.channels[pair->second] = formats::kelvinSeries(log, i);
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

Result<std::string> readLog(const RateOptions& options, rating::TestInput& test) {
    const auto text = formats::readTextFile(options.log).map(formats::asUtf8);
    if (!text)
        return tl::unexpected(text.error());
    const auto dialect = formats::sniffCsv(*text);
    if (!dialect)
        return tl::unexpected(dialect.error().in(options.log));
    const auto log = formats::parseCsv(*text, *dialect);
    if (!log)
        return tl::unexpected(log.error().in(options.log));
    if (const auto ok = addChannels(options, *log, test); !ok)
        return tl::unexpected(ok.error());
    return formats::describe(*dialect);
}

} // namespace

Result<Answer> rate(const RateOptions& options) {
    rating::TestInput test;
    test.protocol = options.protocol;
    test.lid = !options.noLid;
    test.forcedFlow = options.fan;
    const rating::Protocol* protocol = rating::findProtocol(options.protocol);
    if (!protocol) {
        const auto unknown = rating::reduce(test);
        return fail(Errc::invalidArgument, unknown.error().message);
    }
    if (const auto ok = addValues(options, *protocol, test); !ok)
        return tl::unexpected(ok.error());
    if (const auto ok = addKeyed(options, test); !ok)
        return tl::unexpected(ok.error());
    std::string described;
    if (!options.log.empty()) {
        const auto log = readLog(options, test);
        if (!log)
            return tl::unexpected(log.error());
        described = "\n  log: " + *log;
    } else if (protocol->fromLog) {
        return fail(Errc::invalidArgument, options.protocol + " needs a log: --log FILE");
    }
    const auto reduction = rating::reduce(test);
    if (!reduction)
        return tl::unexpected(reduction.error());
    Answer out;
    out.json = formats::reductionJson(*reduction).dump();
    out.text = words::foundWords(*reduction, {});
    for (const rating::Quantity& q : reduction->quantities)
        out.text += fmt::format("\n  {:<22} {}{}", q.name,
                                q.bound == rating::Bound::lower ? "at least " : "",
                                printPlusMinus(q.value, halfWidth95(q), q.unit, 2));
    for (const auto& warning : reduction->warnings)
        out.text += "\n  ! " + words::say(warning, {});
    out.text += described;
    return out;
}

} // namespace dynamet::cli
