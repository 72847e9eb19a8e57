// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/rated_numbers.h"

#include "book/table_row.h"

#include <fmt/format.h>
#include <map>

namespace dynamet::book {
namespace {

/// The numbers that are asked for, "p", of the appliance that is bound: keys and reductions.
enum class Which { newest, all };

const char* asked(Which which) {
    return which == Which::newest
               ? "(SELECT appliance_id, field_key, reduction_id FROM newest_number)"
               : "(SELECT w.appliance_id, w.field_key, w.reduction_id FROM rated_place w JOIN test "
                 "t ON t.id=w.test_id JOIN reduction r ON r.id=w.reduction_id WHERE "
                 "t.withdrawn_at_ms IS NULL AND r.withdrawn_at_ms IS NULL AND NOT EXISTS (SELECT 1 "
                 "FROM reduction n WHERE n.supersedes=r.id AND n.withdrawn_at_ms IS NULL))";
}

SQLite::Statement ask(SQLite::Database& db, Which which, const std::string& applianceId,
                      const char* what, const char* joined, const char* order) {
    SQLite::Statement s(db, fmt::format("SELECT {} FROM {} p {} WHERE p.appliance_id=? ORDER BY {}",
                                        what, asked(which), joined, order));
    s.bind(1, applianceId);
    return s;
}

using Covariances = std::map<std::string, std::vector<kitchen::FieldCovariance>>;
Covariances covariancesOf(SQLite::Database& db, Which which, const std::string& applianceId) {
    Covariances out;
    auto s = ask(db, which, applianceId, "x.*",
                 "JOIN field_covariance x ON x.reduction_id=p.reduction_id AND x.key_a=p.field_key",
                 "x.reduction_id, x.key_a, x.key_b");
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
Curves curvesOf(SQLite::Database& db, Which which, const std::string& applianceId) {
    Curves out;
    auto s = ask(db, which, applianceId, "x.*",
                 "JOIN field_curve x ON x.reduction_id=p.reduction_id AND x.field_key=p.field_key",
                 "x.t_s");
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

std::vector<kitchen::RatedNumber> load(SQLite::Database& db, Which which,
                                       const kitchen::Appliance& appliance) {
    const Covariances covariances = covariancesOf(db, which, appliance.id);
    const Curves curves = curvesOf(db, which, appliance.id);
    std::vector<kitchen::RatedNumber> out;
    auto s = ask(db, which, appliance.id,
                 "t.setting, t.zone, t.insert_id, t.vessel_id, t.started_at_ms, p.reduction_id, "
                 "p.field_key, f.value_si, f.u_si",
                 "JOIN reduction r ON r.id=p.reduction_id JOIN test t ON t.id=r.test_id JOIN "
                 "field_number f ON f.reduction_id=p.reduction_id AND f.field_key=p.field_key",
                 "t.started_at_ms, r.created_at_ms, r.id, p.field_key");
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

} // namespace

std::vector<kitchen::RatedNumber> loadNewestNumbers(SQLite::Database& db,
                                                    const kitchen::Appliance& appliance) {
    return load(db, Which::newest, appliance);
}

Result<std::vector<kitchen::RatedNumber>> loadRatedHistory(Book& book,
                                                           const kitchen::Appliance& appliance) {
    return reading(book, [&](SQLite::Database& db) { return load(db, Which::all, appliance); });
}

} // namespace dynamet::book
