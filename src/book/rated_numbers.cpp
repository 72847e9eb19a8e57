// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/rated_numbers.h"

#include <map>

namespace dynamet::book {
namespace {

/// Rows of a table that belong to an appliance's reductions, read in one pass.
SQLite::Statement rowsOf(SQLite::Database& db, const std::string& columns, const char* table,
                         const std::string& applianceId, const char* order) {
    SQLite::Statement s(db, "SELECT x.reduction_id," + columns + " FROM " + table +
                                " x JOIN reduction r ON r.id=x.reduction_id JOIN test t ON "
                                "t.id=r.test_id WHERE t.appliance_id=?" +
                                order);
    s.bind(1, applianceId);
    return s;
}

using Covariances = std::map<std::string, std::vector<kitchen::FieldCovariance>>;
Covariances covariancesOf(SQLite::Database& db, const std::string& applianceId) {
    Covariances out;
    auto s = rowsOf(db, "x.key_a,x.key_b,x.covariance_si", "field_covariance", applianceId, "");
    while (s.executeStep()) {
        const auto a = kitchen::fieldKey(s.getColumn(1).getString());
        const auto b = kitchen::fieldKey(s.getColumn(2).getString());
        if (a && b)
            out[s.getColumn(0).getString()].push_back({*a, *b, s.getColumn(3).getDouble()});
    }
    return out;
}

using Curves = std::map<std::pair<std::string, std::string>, kitchen::FieldCurve>;
Curves curvesOf(SQLite::Database& db, const std::string& applianceId) {
    Curves out;
    auto s =
        rowsOf(db, "x.field_key,x.t_s,x.change_si", "field_curve", applianceId, " ORDER BY x.t_s");
    while (s.executeStep()) {
        const std::string reduction = s.getColumn(0).getString(), word = s.getColumn(1).getString();
        const auto key = kitchen::fieldKey(word);
        if (!key)
            continue;
        kitchen::FieldCurve& curve = out[{reduction, word}];
        curve.key = *key;
        curve.reductionId = reduction;
        curve.timeS.push_back(s.getColumn(2).getDouble());
        curve.change.push_back(s.getColumn(3).getDouble());
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
        db, "SELECT t.setting,t.zone,t.insert_id,t.vessel_id,r.id,f.field_key,f.value_si,f.u_si,"
            "t.started_at_ms "
            "FROM test t "
            "JOIN reduction r ON r.test_id=t.id JOIN field_number f ON f.reduction_id=r.id WHERE "
            "t.appliance_id=? AND t.withdrawn_at_ms IS NULL AND r.withdrawn_at_ms IS NULL AND NOT "
            "EXISTS "
            "(SELECT 1 FROM reduction n WHERE n.supersedes=r.id AND n.withdrawn_at_ms IS NULL) "
            "ORDER BY t.started_at_ms, r.created_at_ms, r.id, f.field_key");
    s.bind(1, appliance.id);
    while (s.executeStep()) {
        const auto setting = kitchen::parseSetting(appliance.controls, s.getColumn(0).getString());
        const auto key = kitchen::fieldKey(s.getColumn(5).getString());
        if (!setting || !key)
            continue;
        kitchen::RatedNumber n;
        n.setting = *setting;
        n.zone = s.getColumn(1).getString();
        n.insertId = s.getColumn(2).isNull() ? "" : s.getColumn(2).getString();
        n.vesselId = s.getColumn(3).isNull() ? "" : s.getColumn(3).getString();
        n.measuredMs = s.getColumn(8).getInt64();
        n.number = {*key,
                    s.getColumn(6).getDouble(),
                    s.getColumn(7).getDouble(),
                    kitchen::Provenance::measured,
                    s.getColumn(4).getString(),
                    "measured"};
        if (const auto at = covariances.find(n.number.reductionId); at != covariances.end())
            n.covarianceWith = at->second;
        if (const auto at = curves.find({n.number.reductionId, s.getColumn(5).getString()});
            at != curves.end())
            n.curve = at->second;
        out.push_back(n);
    }
    return out;
}

} // namespace dynamet::book
