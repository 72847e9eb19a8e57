// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/test_store.h"

#include "book/columns.h"
#include "book/reading_blocks.h"
#include "quantity/temperature.h"

#include "book/damaged.h"
#include "json/strict_json.h"
#include <fmt/format.h>

namespace dynamet::book {
namespace {

using nlohmann::json;
using SQLite::Database;
using SQLite::Statement;

double toKelvin(double value, const std::string& unit) {
    if (unit == "°F")
        return Temperature::fahrenheit(value).kelvin();
    return unit == "K" ? value : Temperature::celsius(value).kelvin();
}

void insertTest(Database& db, const TestRecord& t, const When& when) {
    Statement s(db, "INSERT INTO test VALUES (?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,NULL,?,?)");
    s.bind(1, t.id);
    s.bind(2, t.applianceId);
    s.bind(3, t.protocol);
    s.bind(4, t.setting);
    s.bind(5, t.zone);
    bindText(s, 6, t.insertId);
    bindText(s, 7, t.vesselId);
    bindText(s, 8, t.siteId);
    bindText(s, 9, t.operatorName);
    bindOptional(s, 10, t.ambientK);
    bindOptional(s, 11, t.windMPerS);
    bindText(s, 12, t.fuel);
    bindOptional(s, 13, t.lidOn);
    bindOptional(s, 14, t.fanOn);
    s.bind(15, json(t.values).dump());
    s.bind(16, json(t.typed).dump(-1, ' ', false, json::error_handler_t::replace));
    s.bind(17, t.started.utcMs);
    s.bind(18, t.started.offsetMin);
    s.bind(19, when.utcMs);
    bindText(s, 20, t.instrumentId);
    bindText(s, 21, t.photoSha256);
    s.exec();
}

void insertReadings(Database& db, const TestRecord& t) {
    for (const RecordedChannel& channel : t.channels) {
        Statement s(
            db, "INSERT INTO channel(test_id,role,name,instrument_id,unit,scale,offset,resolution,"
                "reading_count) VALUES (?,?,?,?,?,?,0,?,?)");
        const double scale = channel.resolution > 0 ? channel.resolution : 1;
        s.bind(1, t.id);
        s.bind(2, channel.role);
        s.bind(3, channel.name);
        bindText(s, 4, channel.instrumentId);
        s.bind(5, channel.unit);
        s.bind(6, scale);
        s.bind(7, channel.resolution);
        s.bind(8, static_cast<std::int64_t>(channel.timeS.size()));
        s.exec();
        writeReadings(db, db.getLastInsertRowid(), channel, scale);
    }
    Statement k(db, "INSERT INTO keyed_reading VALUES (?,?,?,?,?)");
    for (const auto& [role, readings] : t.keyed)
        for (std::size_t i = 0; i < readings.size(); ++i) {
            k.bind(1, t.id);
            k.bind(2, role);
            k.bind(3, static_cast<int>(i));
            k.bind(4, readings[i].value);
            k.bind(5, readings[i].typed);
            k.exec();
            k.reset();
        }
}

void insertNumbers(Database& db, const std::string& id, const rating::Reduction& r) {
    Statement q(db, "INSERT INTO reduction_quantity VALUES (?,?,?,?,?,?,?,?,?,?)");
    for (std::size_t i = 0; i < r.quantities.size(); ++i) {
        const rating::Quantity& quantity = r.quantities[i];
        q.bind(1, id);
        q.bind(2, static_cast<int>(i));
        q.bind(3, quantity.name);
        q.bind(4, quantity.value);
        q.bind(5, quantity.unit);
        q.bind(6, quantity.u);
        q.bind(7, quantity.uTypeA);
        q.bind(8, quantity.uTypeB);
        q.bind(9, quantity.dof);
        q.bind(10, word(quantity.bound));
        q.exec();
        q.reset();
    }
    Statement n(db, "INSERT INTO field_number VALUES (?,?,?,?,?)");
    for (const kitchen::FieldNumber& number : r.fieldNumbers) {
        n.bind(1, id);
        n.bind(2, word(number.key));
        n.bind(3, number.value);
        n.bind(4, number.u);
        n.bind(5, word(number.provenance));
        n.exec();
        n.reset();
    }
    Statement v(db, "INSERT INTO field_curve VALUES (?,?,?,?)");
    for (const kitchen::FieldCurve& curve : r.fieldCurves)
        for (std::size_t i = 0; i < curve.timeS.size(); ++i) {
            v.bind(1, id);
            v.bind(2, word(curve.key));
            v.bind(3, curve.timeS[i]);
            v.bind(4, curve.change[i]);
            v.exec();
            v.reset();
        }
    Statement c(db, "INSERT INTO field_covariance VALUES (?,?,?,?)");
    for (const kitchen::FieldCovariance& covariance : r.fieldCovariances) {
        c.bind(1, id);
        c.bind(2, word(covariance.a));
        c.bind(3, word(covariance.b));
        c.bind(4, covariance.covariance);
        c.exec();
        c.reset();
    }
}

void loadReadings(Database& db, TestRecord& t) {
    Statement c(db, "SELECT id,role,name,instrument_id,unit,scale,resolution FROM channel WHERE "
                    "test_id=? ORDER BY id");
    c.bind(1, t.id);
    while (c.executeStep()) {
        RecordedChannel channel;
        channel.role = c.getColumn(1).getString();
        channel.name = c.getColumn(2).getString();
        channel.instrumentId = textAt(c, 3);
        channel.unit = c.getColumn(4).getString();
        channel.resolution = c.getColumn(6).getDouble();
        readReadings(db, c.getColumn(0).getInt64(), c.getColumn(5).getDouble(), channel);
        t.channels.push_back(std::move(channel));
    }
    Statement k(
        db, "SELECT role,value_si,typed FROM keyed_reading WHERE test_id=? ORDER BY role,position");
    k.bind(1, t.id);
    while (k.executeStep())
        t.keyed[k.getColumn(0).getString()].push_back(
            {k.getColumn(1).getDouble(), k.getColumn(2).getString()});
    Statement f(db, "SELECT name,sha256,dialect_json FROM log_file WHERE test_id=?");
    f.bind(1, t.id);
    if (f.executeStep()) {
        t.fileName = f.getColumn(0).getString();
        t.fileSha256 = f.getColumn(1).getString();
        t.dialectJson = f.getColumn(2).getString();
    }
}

std::optional<bool> flagAt(Statement& s, int column) {
    return s.getColumn(column).isNull() ? std::nullopt
                                        : std::optional<bool>(s.getColumn(column).getInt() != 0);
}

} // namespace

namespace {

/// Protocols whose ± of the probe may come from its own calibration.
bool takesProbeBias(const std::string& protocol) {
    return protocol == "preheat" || protocol == "block" || protocol == "block-pair" ||
           protocol == "zone-sweep";
}

} // namespace

rating::TestInput inputOf(const TestRecord& test,
                          const std::vector<kitchen::Instrument>& instruments) {
    rating::TestInput out;
    out.protocol = test.protocol;
    out.values = test.values;
    out.lid = test.lidOn.value_or(true);
    out.forcedFlow = test.fanOn.value_or(false);
    const kitchen::Instrument* common = findInstrument(instruments, test.instrumentId);
    for (const RecordedChannel& channel : test.channels) {
        const kitchen::Instrument* own = findInstrument(instruments, channel.instrumentId);
        Series series{channel.timeS, {}};
        for (double v : channel.asRecorded)
            series.value.push_back(
                corrected(own ? own : common, test.started.utcMs, toKelvin(v, channel.unit)));
        out.channels[channel.role] = std::move(series);
    }
    const rating::Protocol* protocol = rating::findProtocol(test.protocol);
    for (const auto& [role, readings] : test.keyed)
        for (const KeyedReading& reading : readings) {
            const bool temperature = !protocol || isTemperature(*protocol, role);
            const bool check = test.protocol == "instrument-check";
            out.keyed[role].push_back(temperature && !check
                                          ? corrected(common, test.started.utcMs, reading.value)
                                          : reading.value);
        }
    if (common && calibrationAt(*common, test.started.utcMs) && takesProbeBias(test.protocol))
        out.values.emplace("u_bias_K", readingUncertainty(*common, test.started.utcMs));
    if (common && common->kind == kitchen::InstrumentKind::infrared &&
        test.protocol == "surface-map") {
        out.values.emplace("band_low_um", common->bandLowUm);
        out.values.emplace("band_high_um", common->bandHighUm);
    }
    return out;
}

Result<void> keepAttachment(Book& book, const std::string& sha256, const std::string& mediaType,
                            const std::string& name, const std::string& content) {
    return inTransaction(book, [&](Database& db) {
        Statement s(db, "INSERT OR IGNORE INTO attachment VALUES (?,?,?,?)");
        s.bind(1, sha256);
        s.bind(2, mediaType);
        s.bind(3, name);
        s.bind(4, content.data(), static_cast<int>(content.size()));
        s.exec();
    });
}

Result<void> addTest(Book& book, const TestRecord& test, const When& when) {
    return inTransaction(book, [&](Database& db) {
        insertTest(db, test, when);
        insertReadings(db, test);
        if (test.fileName.empty())
            return;
        Statement s(db, "INSERT INTO log_file VALUES (?,?,?,?)");
        s.bind(1, test.id);
        s.bind(2, test.fileName);
        s.bind(3, test.fileSha256);
        s.bind(4, test.dialectJson);
        s.exec();
    });
}

Result<std::string> saveReduction(Book& book, const std::string& testId, const rating::Reduction& r,
                                  const std::map<std::string, double>& constants,
                                  const std::string& supersedes, const When& when) {
    const std::string id = newId();
    const auto done = inTransaction(book, [&](Database& db) {
        Statement s(db, "INSERT INTO reduction VALUES (?,?,?,?,NULL,?,?,?,?,?,NULL)");
        json warnings = json::array();
        for (const auto& w : r.warnings)
            warnings.push_back({{"code", w.code}, {"text", w.text}});
        s.bind(1, id);
        s.bind(2, testId);
        s.bind(3, rating::kAlgorithmVersion);
        s.bind(4, json(constants).dump());
        bindText(s, 5, supersedes);
        s.bind(6, r.sentence);
        s.bind(7, warnings.dump());
        s.bind(8, when.utcMs);
        s.bind(9, when.offsetMin);
        s.exec();
        insertNumbers(db, id, r);
    });
    if (!done)
        return tl::unexpected(done.error());
    return id;
}

Result<void> withdrawTest(Book& book, const std::string& testId, std::optional<When> when) {
    return setWithdrawn(book, "test", testId, when);
}

Result<void> withdrawReduction(Book& book, const std::string& reductionId,
                               std::optional<When> when) {
    return setWithdrawn(book, "reduction", reductionId, when);
}

Result<std::vector<TestLine>> listTests(Book& book, const std::string& applianceId) {
    return reading(book, [&](Database& db) {
        std::vector<TestLine> out;
        Statement s(
            db,
            "SELECT t.id,t.protocol,t.setting,t.zone,t.vessel_id,t.started_at_ms,r.id,r.sentence,"
            "t.insert_id "
            "FROM test t "
            "LEFT JOIN reduction r ON r.test_id=t.id AND r.withdrawn_at_ms IS NULL AND NOT EXISTS "
            "(SELECT 1 FROM reduction n WHERE n.supersedes=r.id AND n.withdrawn_at_ms IS NULL) "
            "WHERE t.appliance_id=? AND t.withdrawn_at_ms IS NULL ORDER BY t.started_at_ms DESC, "
            "t.id");
        s.bind(1, applianceId);
        while (s.executeStep())
            out.push_back({s.getColumn(0).getString(), s.getColumn(1).getString(),
                           s.getColumn(2).getString(), s.getColumn(3).getString(), textAt(s, 4),
                           textAt(s, 8), s.getColumn(5).getInt64(), s.getColumn(6).isNull(),
                           textAt(s, 7), textAt(s, 6)});
        return out;
    });
}

namespace {

using dynamet::json::StrictJson;

Result<std::map<std::string, double>> valuesOf(const std::string& text) {
    return dynamet::json::readStrictly(text, [](const StrictJson& root) {
        std::map<std::string, double> out;
        for (const std::string& key : root.keys())
            out[key] = root.at(key.c_str()).number();
        return out;
    });
}

Result<std::map<std::string, std::string>> typedOf(const std::string& text) {
    return dynamet::json::readStrictly(text, [](const StrictJson& root) {
        std::map<std::string, std::string> out;
        for (const std::string& key : root.keys())
            out[key] = root.at(key.c_str()).text();
        return out;
    });
}

} // namespace

Result<TestRecord> loadTest(Book& book, const std::string& testId) {
    auto loaded = reading(book, [&](Database& db) {
        std::optional<TestRecord> out;
        Statement s(
            db, "SELECT "
                "appliance_id,protocol,setting,zone,insert_id,vessel_id,site_id,operator,ambient_k,"
                "wind_m_s,fuel,lid_on,fan_on,values_json,typed_json,started_at_ms,utc_offset_min,"
                "instrument_id,photo_sha256 "
                "FROM test "
                "WHERE id=?");
        s.bind(1, testId);
        if (!s.executeStep())
            return out;
        TestRecord t;
        t.id = testId;
        t.applianceId = s.getColumn(0).getString();
        t.protocol = s.getColumn(1).getString();
        t.setting = s.getColumn(2).getString();
        t.zone = s.getColumn(3).getString();
        t.insertId = textAt(s, 4);
        t.vesselId = textAt(s, 5);
        t.siteId = textAt(s, 6);
        t.operatorName = textAt(s, 7);
        t.ambientK = numberAt(s, 8);
        t.windMPerS = numberAt(s, 9);
        t.fuel = textAt(s, 10);
        t.lidOn = flagAt(s, 11);
        t.fanOn = flagAt(s, 12);
        t.values = damagedOr(valuesOf(s.getColumn(13).getString()), "a test's values");
        t.typed = damagedOr(typedOf(s.getColumn(14).getString()), "what was typed in a test");
        t.started = {s.getColumn(15).getInt64(), s.getColumn(16).getInt()};
        t.instrumentId = textAt(s, 17);
        t.photoSha256 = textAt(s, 18);
        loadReadings(db, t);
        out = std::move(t);
        return out;
    });
    if (!loaded)
        return tl::unexpected(loaded.error());
    if (!*loaded)
        return fail(Errc::notFound, "no such test in this book");
    return std::move(**loaded);
}

Result<std::vector<RatedLine>> loadHistory(Book& book, const std::string& applianceId) {
    return reading(book, [&](Database& db) {
        std::vector<RatedLine> out;
        Statement s(db,
                    "SELECT t.id,t.protocol,t.setting,t.zone,t.started_at_ms,q.name,q.value_si,"
                    "q.unit,q.u_si FROM test t JOIN reduction r ON r.test_id=t.id "
                    "JOIN reduction_quantity q ON q.reduction_id=r.id WHERE t.appliance_id=? AND "
                    "t.withdrawn_at_ms IS NULL AND r.withdrawn_at_ms IS NULL AND q.bound='none' "
                    "AND t.protocol<>'instrument-check' AND NOT EXISTS (SELECT 1 FROM reduction n "
                    "WHERE n.supersedes=r.id AND n.withdrawn_at_ms IS NULL) "
                    "ORDER BY t.started_at_ms,t.id,q.position");
        s.bind(1, applianceId);
        while (s.executeStep())
            out.push_back({s.getColumn(0).getString(), s.getColumn(1).getString(),
                           s.getColumn(2).getString(), s.getColumn(3).getString(),
                           s.getColumn(4).getInt64(), s.getColumn(5).getString(),
                           s.getColumn(6).getDouble(), s.getColumn(7).getString(),
                           s.getColumn(8).getDouble()});
        return out;
    });
}

Result<std::map<std::string, std::int64_t>> newestRatings(Book& book) {
    return reading(book, [](Database& db) {
        std::map<std::string, std::int64_t> out;
        Statement s(db, "SELECT t.appliance_id, MAX(t.started_at_ms) FROM test t JOIN reduction r "
                        "ON r.test_id=t.id "
                        "WHERE t.withdrawn_at_ms IS NULL AND r.withdrawn_at_ms IS NULL AND "
                        "t.protocol<>'instrument-check' GROUP BY "
                        "t.appliance_id");
        while (s.executeStep())
            out[s.getColumn(0).getString()] = s.getColumn(1).getInt64();
        return out;
    });
}

} // namespace dynamet::book
