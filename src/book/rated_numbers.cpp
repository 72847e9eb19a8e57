// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/rated_numbers.h"

namespace dynamet::book {
namespace {

std::vector<kitchen::FieldCovariance> covariancesOf(SQLite::Database& db,
                                                    const std::string& reduction) {
    std::vector<kitchen::FieldCovariance> out;
    SQLite::Statement s(
        db, "SELECT key_a,key_b,covariance_si FROM field_covariance WHERE reduction_id=?");
    s.bind(1, reduction);
    while (s.executeStep()) {
        const auto a = kitchen::fieldKey(s.getColumn(0).getString());
        const auto b = kitchen::fieldKey(s.getColumn(1).getString());
        if (a && b)
            out.push_back({*a, *b, s.getColumn(2).getDouble()});
    }
    return out;
}

std::optional<kitchen::FieldCurve> curveOf(SQLite::Database& db, const kitchen::FieldKey& key,
                                           const std::string& reduction) {
    kitchen::FieldCurve out;
    out.key = key;
    out.reductionId = reduction;
    SQLite::Statement s(db, "SELECT t_s,change_si FROM field_curve WHERE reduction_id=? AND "
                            "field_key=? ORDER BY t_s");
    s.bind(1, reduction);
    s.bind(2, word(key));
    while (s.executeStep()) {
        out.timeS.push_back(s.getColumn(0).getDouble());
        out.change.push_back(s.getColumn(1).getDouble());
    }
    return out.timeS.empty() ? std::nullopt : std::optional(out);
}

} // namespace

std::vector<kitchen::RatedNumber> loadRatedNumbers(SQLite::Database& db,
                                                   const kitchen::Appliance& appliance) {
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
        n.covarianceWith = covariancesOf(db, n.number.reductionId);
        n.curve = curveOf(db, *key, n.number.reductionId);
        out.push_back(n);
    }
    return out;
}

} // namespace dynamet::book
