// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/test_store.h"

#include "book/keyed_rows.h"
#include "book/reading_blocks.h"
#include "book/table_row.h"

#include "book/damaged.h"
#include "words/rating_words.h"
#include "words/say.h"
#include "json/strict_json.h"

#include <fmt/format.h>
#include <functional>

namespace dynamet::book {
namespace {

using dynamet::json::StrictJson;
using nlohmann::json;
using SQLite::Database;
using SQLite::Statement;

/// Numbers and chosen words in one object.
std::string valuesJson(const TestRecord& t) {
    json out = t.values;
    for (const auto& [name, word] : t.choices)
        out[name] = word;
    return out.is_null() ? "{}" : out.dump();
}

void readValues(const std::string& text, TestRecord& t) {
    const rating::Protocol* protocol = rating::findProtocol(t.protocol);
    const auto ok = dynamet::json::readStrictly(text, [&](const StrictJson& root) {
        for (const std::string& name : root.keys()) {
            const StrictJson one = root.at(name.c_str());
            const rating::ValueSpec* spec = protocol ? protocol->value(name) : nullptr;
            if (spec && spec->kind == rating::ValueKind::choice)
                t.choices[name] = one.text();
            else
                t.values[name] = one.number();
        }
        return true;
    });
    damagedOr(ok, "a test's values");
}

Row rowOf(const TestRecord& t) {
    return {{"appliance_id", t.applianceId},
            {"protocol", t.protocol},
            {"setting", t.setting},
            {"zone", t.zone},
            {"insert_id", cellOrNull(t.insertId)},
            {"vessel_id", cellOrNull(t.vesselId)},
            {"site_id", cellOrNull(t.siteId)},
            {"operator", cellOrNull(t.operatorName)},
            {"ambient_k", cellOf(t.ambientK)},
            {"wind_m_s", cellOf(t.windMPerS)},
            {"fuel", cellOrNull(t.fuel)},
            {"lid_on", cellOf(t.lidOn)},
            {"fan_on", cellOf(t.fanOn)},
            {"values_json", valuesJson(t)},
            {"typed_json", json(t.typed).dump(-1, ' ', false, json::error_handler_t::replace)},
            {"started_at_ms", t.startedMs},
            {"utc_offset_min", std::int64_t{t.utcOffsetMin}},
            {"instrument_id", cellOrNull(t.instrumentId)},
            {"photo_sha256", cellOrNull(t.photoSha256)}};
}

void insertReadings(Database& db, const TestRecord& t) {
    for (const RecordedChannel& channel : t.channels) {
        const double scale = channel.resolution > 0 ? channel.resolution : 1;
        insertRow(db, "channel",
                  {{"test_id", t.id},
                   {"role", channel.role},
                   {"name", channel.name},
                   {"instrument_id", cellOrNull(channel.instrumentId)},
                   {"unit", channel.unit},
                   {"scale", scale},
                   {"offset", 0.0},
                   {"resolution", channel.resolution},
                   {"reading_count", static_cast<std::int64_t>(channel.timeS.size())}});
        writeReadings(db, db.getLastInsertRowid(), channel, scale);
    }
    insertKeyed(db, t.id, t.keyed);
}

void insertNumbers(Database& db, const std::string& id, const rating::Reduction& r) {
    for (std::size_t i = 0; i < r.quantities.size(); ++i) {
        const rating::Quantity& quantity = r.quantities[i];
        insertRow(db, "reduction_quantity",
                  {{"reduction_id", id},
                   {"position", static_cast<std::int64_t>(i)},
                   {"name", quantity.name},
                   {"value_si", quantity.value},
                   {"unit", quantity.unit},
                   {"u_si", quantity.u},
                   {"u_type_a_si", quantity.uTypeA},
                   {"u_type_b_si", quantity.uTypeB},
                   {"dof", quantity.dof},
                   {"bound", std::string(enumName(quantity.bound))}});
    }
    for (const kitchen::FieldNumber& number : r.fieldNumbers)
        insertRow(db, "field_number",
                  {{"reduction_id", id},
                   {"field_key", std::string(keyName(number.key))},
                   {"value_si", number.value},
                   {"u_si", number.u},
                   {"provenance", std::string(enumName(number.provenance))}});
    for (const kitchen::FieldCurve& curve : r.fieldCurves)
        for (std::size_t i = 0; i < curve.timeS.size(); ++i)
            insertRow(db, "field_curve",
                      {{"reduction_id", id},
                       {"field_key", std::string(keyName(curve.key))},
                       {"t_s", curve.timeS[i]},
                       {"change_si", curve.change[i]}});
    for (const kitchen::FieldCovariance& covariance : r.fieldCovariances)
        insertRow(db, "field_covariance",
                  {{"reduction_id", id},
                   {"key_a", std::string(keyName(covariance.a))},
                   {"key_b", std::string(keyName(covariance.b))},
                   {"covariance_si", covariance.covariance}});
}

void loadReadings(Database& db, TestRecord& t) {
    Statement c(db, "SELECT * FROM channel WHERE test_id=? ORDER BY id");
    c.bind(1, t.id);
    const RowReader row(c);
    while (c.executeStep()) {
        RecordedChannel channel;
        channel.role = row.text("role");
        channel.name = row.text("name");
        channel.instrumentId = row.text("instrument_id");
        channel.unit = row.text("unit");
        if (!rating::isLogUnit(channel.unit))
            throw Error{Errc::corruptData, "the unit \"" + channel.unit + "\" of " + channel.name +
                                               " is not known: the test is damaged in the book"};
        channel.resolution = row.number("resolution");
        readReadings(db, row.whole("id"), row.number("scale"), channel);
        t.channels.push_back(std::move(channel));
    }
    Statement k(db, "SELECT * FROM keyed_reading WHERE test_id=? ORDER BY role, position");
    k.bind(1, t.id);
    const RowReader keyed(k);
    while (k.executeStep())
        t.keyed[keyed.text("role")].push_back({keyed.number("value_si"), keyed.text("typed")});
    Statement f(db, "SELECT * FROM log_file WHERE test_id=?");
    f.bind(1, t.id);
    const RowReader log(f);
    if (f.executeStep()) {
        t.fileName = log.text("name");
        t.fileSha256 = log.text("sha256");
        t.dialectJson = log.text("dialect_json");
    }
}

std::optional<bool> flagOf(std::optional<double> number) {
    return number ? std::optional(*number != 0) : std::nullopt;
}

} // namespace

void insertKeyed(Database& db, const std::string& testId,
                 const std::map<std::string, std::vector<KeyedReading>>& keyed) {
    for (const auto& [role, readings] : keyed)
        for (std::size_t i = 0; i < readings.size(); ++i)
            insertRow(db, "keyed_reading",
                      {{"test_id", testId},
                       {"role", role},
                       {"position", static_cast<std::int64_t>(i)},
                       {"value_si", readings[i].value},
                       {"typed", readings[i].typed}});
}

Result<void> keepAttachment(Book& book, const std::string& sha256, const std::string& mediaType,
                            const std::string& name, const std::string& content) {
    return inTransaction(book, [&](Database& db) {
        insertRow(db, "attachment",
                  {{"sha256", sha256},
                   {"media_type", mediaType},
                   {"name", name},
                   {"content", Bytes{content}}},
                  IfThere::stays);
    });
}

Result<void> addTest(Book& book, const TestRecord& test, const When& when) {
    return inTransaction(book, [&](Database& db) {
        insertRow(db, "test", newRow(test.id, when.utcMs, rowOf(test)));
        insertReadings(db, test);
        if (test.fileName.empty())
            return;
        insertRow(db, "log_file",
                  {{"test_id", test.id},
                   {"name", test.fileName},
                   {"sha256", test.fileSha256},
                   {"dialect_json", test.dialectJson}});
    });
}

Result<std::string> saveReduction(Book& book, const std::string& testId, const rating::Reduction& r,
                                  const std::map<std::string, double>& constants,
                                  const std::string& supersedes, const When& when) {
    const std::string id = newId();
    const auto done = inTransaction(book, [&](Database& db) {
        json warnings = json::array();
        for (const auto& w : r.warnings)
            warnings.push_back({{"code", w.code}, {"text", words::say(w, {})}});
        insertRow(db, "reduction",
                  newRow(id, when.utcMs,
                         {{"test_id", testId},
                          {"algorithm_version", std::int64_t{rating::kAlgorithmVersion}},
                          {"constants_json", json(constants).dump()},
                          {"supersedes", cellOrNull(supersedes)},
                          {"sentence", words::foundWords(r, {})},
                          {"warnings_json", warnings.dump()},
                          {"utc_offset_min", std::int64_t{when.offsetMin}}}));
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
            "SELECT t.*, r.id AS reduction_id, r.sentence AS sentence FROM test t "
            "LEFT JOIN reduction r ON r.test_id=t.id AND r.withdrawn_at_ms IS NULL AND NOT EXISTS "
            "(SELECT 1 FROM reduction n WHERE n.supersedes=r.id AND n.withdrawn_at_ms IS NULL) "
            "WHERE t.appliance_id=? AND t.withdrawn_at_ms IS NULL ORDER BY t.started_at_ms DESC, "
            "t.id");
        s.bind(1, applianceId);
        const RowReader row(s);
        while (s.executeStep()) {
            const std::string reductionId = row.text("reduction_id");
            out.push_back({row.text("id"), row.text("protocol"), row.text("setting"),
                           row.text("zone"), row.text("vessel_id"), row.text("insert_id"),
                           row.whole("started_at_ms"), reductionId.empty(), row.text("sentence"),
                           reductionId});
        }
        return out;
    });
}

Result<TestRecord> loadTest(Book& book, const std::string& testId) {
    auto loaded = reading(book, [&](Database& db) {
        std::optional<TestRecord> out;
        Statement s(db, "SELECT * FROM test WHERE id=?");
        s.bind(1, testId);
        if (!s.executeStep())
            return out;
        const RowReader row(s);
        TestRecord t;
        t.id = testId;
        t.applianceId = row.text("appliance_id");
        t.protocol = row.text("protocol");
        t.setting = row.text("setting");
        t.zone = row.text("zone");
        t.insertId = row.text("insert_id");
        t.vesselId = row.text("vessel_id");
        t.siteId = row.text("site_id");
        t.operatorName = row.text("operator");
        t.ambientK = row.maybe("ambient_k");
        t.windMPerS = row.maybe("wind_m_s");
        t.fuel = row.text("fuel");
        t.lidOn = flagOf(row.maybe("lid_on"));
        t.fanOn = flagOf(row.maybe("fan_on"));
        readValues(row.text("values_json"), t);
        t.typed = damagedOr(
            dynamet::json::readObject(row.text("typed_json"), std::mem_fn(&StrictJson::text)),
            "what was typed in a test");
        t.setStarted({row.whole("started_at_ms"), static_cast<int>(row.whole("utc_offset_min"))});
        t.instrumentId = row.text("instrument_id");
        t.photoSha256 = row.text("photo_sha256");
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
        const RowReader row(s);
        while (s.executeStep())
            out.push_back({row.text("id"), row.text("protocol"), row.text("setting"),
                           row.text("zone"), row.whole("started_at_ms"), row.text("name"),
                           row.number("value_si"), row.text("unit"), row.number("u_si")});
        return out;
    });
}

Result<std::map<std::string, std::int64_t>> newestRatings(Book& book) {
    return reading(book, [](Database& db) {
        std::map<std::string, std::int64_t> out;
        Statement s(
            db, "SELECT a.id, (SELECT t.started_at_ms FROM test t WHERE t.appliance_id=a.id AND "
                "t.withdrawn_at_ms IS NULL AND t.protocol<>'instrument-check' AND EXISTS (SELECT 1 "
                "FROM reduction r WHERE r.test_id=t.id AND r.withdrawn_at_ms IS NULL) "
                "ORDER BY t.started_at_ms DESC LIMIT 1) AS newest FROM appliance a");
        const RowReader row(s);
        while (s.executeStep())
            if (row.maybe("newest"))
                out[row.text("id")] = row.whole("newest");
        return out;
    });
}

} // namespace dynamet::book
