// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/rated_numbers.h"

#include "book/table_row.h"

#include <map>

namespace dynamet::book {
namespace {

/// Rows of a table that belong to an appliance's reductions, read in one pass.
SQLite::Statement rowsOf(SQLite::Database& db, const char* table, const std::string& applianceId,
                         const char* order) {
    SQLite::Statement s(db, std::string("SELECT x.* FROM ") + table +
                                " x JOIN reduction r ON r.id=x.reduction_id JOIN test t ON "
                                "t.id=r.test_id WHERE t.appliance_id=?" +
                                order);
    s.bind(1, applianceId);
    return s;
}

using Covariances = std::map<std::string, std::vector<kitchen::FieldCovariance>>;
Covariances covariancesOf(SQLite::Database& db, const std::string& applianceId) {
    Covariances out;
    auto s = rowsOf(db, "field_covariance", applianceId, "");
    const RowReader row(s);
    while (s.executeStep()) {
        const auto a = kitchen::fieldKey(row.text("key_a")),
                   b = kitchen::fieldKey(row.text("key_b"));
        if (a && b)
            out[row.text("reduction_id")].push_back({*a, *b, row.number("covariance_si")});
    }
    return out;
}

using Curves = std::map<std::pair<std::string, std::string>, kitchen::FieldCurve>;
Curves curvesOf(SQLite::Database& db, const std::string& applianceId) {
    Curves out;
    auto s = rowsOf(db, "field_curve", applianceId, " ORDER BY x.t_s");
    const RowReader row(s);
    while (s.executeStep()) {
        const std::string reduction = row.text("reduction_id"), word = row.text("field_key");
        const auto key = kitchen::fieldKey(word);
        if (!key)
            continue;
        kitchen::FieldCurve& curve = out[{reduction, word}];
        curve.key = *key;
        curve.reductionId = reduction;
        curve.timeS.push_back(row.number("t_s"));
        curve.change.push_back(row.number("change_si"));
    }
    return out;
}

} // namespace

std::vector<kitchen::RatedNumber> loadRatedNumbers(SQLite::Database& db,
                                                   const kitchen::Appliance& appliance) {
    const Covariances covariances = covariancesOf(db, appliance.id);
    const Curves curves = curvesOf(db, appliance.id);
    std::vector<kitchen::RatedNumber> out;
    SQLite::Statement s(
        db, "SELECT t.setting, t.zone, t.insert_id, t.vessel_id, t.started_at_ms, r.id AS "
            "reduction_id, f.field_key, f.value_si, f.u_si "
            "FROM test t "
            "JOIN reduction r ON r.test_id=t.id JOIN field_number f ON f.reduction_id=r.id WHERE "
            "t.appliance_id=? AND t.withdrawn_at_ms IS NULL AND r.withdrawn_at_ms IS NULL AND NOT "
            "EXISTS "
            "(SELECT 1 FROM reduction n WHERE n.supersedes=r.id AND n.withdrawn_at_ms IS NULL) "
            "ORDER BY t.started_at_ms, r.created_at_ms, r.id, f.field_key");
    s.bind(1, appliance.id);
    const RowReader row(s);
    while (s.executeStep()) {
        const std::string word = row.text("field_key");
        const auto setting = kitchen::parseSetting(appliance.controls, row.text("setting"));
        const auto key = kitchen::fieldKey(word);
        if (!setting || !key)
            continue;
        kitchen::RatedNumber n;
        n.setting = *setting;
        n.zone = row.text("zone");
        n.insertId = row.text("insert_id");
        n.vesselId = row.text("vessel_id");
        n.measuredMs = row.whole("started_at_ms");
        n.number = {*key,
                    row.number("value_si"),
                    row.number("u_si"),
                    kitchen::Provenance::measured,
                    row.text("reduction_id"),
                    "measured"};
        if (const auto at = covariances.find(n.number.reductionId); at != covariances.end())
            n.covarianceWith = at->second;
        if (const auto at = curves.find({n.number.reductionId, word}); at != curves.end())
            n.curve = at->second;
        out.push_back(n);
    }
    return out;
}

} // namespace dynamet::book
