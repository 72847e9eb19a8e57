// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Water boils where the air lets it: what was worked out from a wrong height is worked out again.
#include "book/site_rework.h"

#include "book/kitchen_rows.h"
#include "book/kitchen_store.h"
#include "rating/reduce.h"

#include <nlohmann/json.hpp>

namespace dynamet::book {
namespace {

/// Tests made at a site, by whether their values name its height.
std::vector<std::string> testsAt(SQLite::Database& db, const std::string& siteId) {
    std::vector<std::string> out;
    SQLite::Statement s(db, "SELECT id FROM test WHERE site_id=? AND withdrawn_at_ms IS NULL AND "
                            "json_extract(values_json,'$.altitude_m') IS NOT NULL");
    s.bind(1, siteId);
    while (s.executeStep())
        out.push_back(s.getColumn(0).getString());
    return out;
}

int checksAt(SQLite::Database& db, const std::string& siteId) {
    SQLite::Statement s(db, "SELECT COUNT(*) FROM test WHERE site_id=? AND withdrawn_at_ms IS NULL "
                            "AND protocol='instrument-check'");
    s.bind(1, siteId);
    return s.executeStep() ? s.getColumn(0).getInt() : 0;
}

/// The reduction of a test that stands; empty for a draft.
std::string standingOf(SQLite::Database& db, const std::string& testId) {
    SQLite::Statement s(db, "SELECT r.id FROM reduction r WHERE r.test_id=? AND r.withdrawn_at_ms "
                            "IS NULL AND NOT EXISTS (SELECT 1 FROM reduction n WHERE "
                            "n.supersedes=r.id AND n.withdrawn_at_ms IS NULL)");
    s.bind(1, testId);
    return s.executeStep() ? s.getColumn(0).getString() : "";
}

Result<void> setHeights(Book& book, const kitchen::Site& site) {
    return inTransaction(book, [&](SQLite::Database& db) {
        for (const std::string& id : testsAt(db, site.id)) {
            SQLite::Statement s(db, "UPDATE test SET values_json=json_set(values_json,"
                                    "'$.altitude_m',?) WHERE id=?");
            s.bind(1, site.altitudeM);
            s.bind(2, id);
            s.exec();
        }
    });
}

Result<void> reduceAnew(Book& book, const kitchen::Site& site, const When& when, Reworked& out) {
    const auto tests = reading(book, [&](SQLite::Database& db) { return testsAt(db, site.id); });
    const auto instruments =
        reading(book, [](SQLite::Database& db) { return loadInstruments(db, Rows::standing); });
    if (!tests || !instruments)
        return tl::unexpected((tests ? instruments.error() : tests.error()));
    for (const std::string& id : *tests) {
        const auto test = loadTest(book, id);
        const auto before = reading(book, [&](SQLite::Database& db) { return standingOf(db, id); });
        if (!test || !before || before->empty())
            continue;
        const auto reduction = rating::reduce(inputOf(*test, *instruments));
        if (!reduction)
            continue;
        const auto kept = saveReduction(book, id, *reduction, test->values, *before, when);
        if (!kept)
            return tl::unexpected(kept.error());
        out.reductions.push_back(*kept);
    }
    return {};
}

} // namespace

Result<Reworked> moveSite(Book& book, const kitchen::Site& from, const kitchen::Site& to,
                          const When& when) {
    Reworked out;
    const bool samePressure = pressurePa(from) == pressurePa(to);
    const auto done = together(book, [&]() -> Result<void> {
        if (const auto changed = changeSite(book, to); !changed || samePressure)
            return changed;
        if (const auto heights = setHeights(book, to); !heights)
            return heights;
        out.checks =
            reading(book, [&](SQLite::Database& db) { return checksAt(db, to.id); }).value_or(0);
        return reduceAnew(book, to, when, out);
    });
    if (!done)
        return tl::unexpected(done.error());
    return out;
}

Result<void> putSite(Book& book, const kitchen::Site& site, const Reworked& reworked,
                     std::optional<When> when) {
    return together(book, [&]() -> Result<void> {
        if (const auto changed = changeSite(book, site); !changed)
            return changed;
        for (const std::string& id : reworked.reductions)
            if (const auto done = withdrawReduction(book, id, when); !done)
                return done;
        return setHeights(book, site);
    });
}

Result<void> addCheck(Book& book, const TestRecord& test, const std::string& instrumentId,
                      const kitchen::Calibration& calibration, const When& when) {
    return together(book, [&]() -> Result<void> {
        if (const auto done = addTest(book, test, when); !done)
            return done;
        return addCalibration(book, instrumentId, calibration);
    });
}

Result<void> withdrawCheck(Book& book, const std::string& testId, const std::string& calibrationId,
                           std::optional<When> when) {
    return together(book, [&]() -> Result<void> {
        if (const auto done = withdrawTest(book, testId, when); !done)
            return done;
        return withdrawCalibration(book, calibrationId, when);
    });
}

} // namespace dynamet::book
