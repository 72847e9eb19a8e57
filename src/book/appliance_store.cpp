// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/kitchen_rows.h"
#include "book/kitchen_store.h"
#include "book/table_row.h"

#include "book/damaged.h"
#include "json/strict_json.h"

#include <fmt/format.h>

namespace dynamet::book {
namespace {

using dynamet::json::StrictJson;
using Json = nlohmann::json;
using SQLite::Database;
using SQLite::Statement;

Row rowOf(const kitchen::Appliance& a) {
    return {{"name", a.name},
            {"kind", std::string(enumName(a.kind))},
            {"site_id", a.siteId},
            {"rated_input_w", a.ratedInputW},
            {"capacity_m2", a.capacityM2},
            {"standard_vessel_id", cellOrNull(a.standardVesselId)},
            {"asset_number", a.assetNumber},
            {"notes", a.notes},
            {"settling_time_s", a.settlingTimeS}};
}

Json labelsJson(const std::vector<kitchen::Label>& labels) {
    Json out = Json::array();
    for (const kitchen::Label& label : labels)
        out.push_back({label.text, label.number ? Json(*label.number) : Json(nullptr)});
    return out;
}

void insertParts(Database& db, const kitchen::Appliance& a) {
    for (std::size_t i = 0; i < a.controls.size(); ++i) {
        const kitchen::Control& c = a.controls[i];
        insertRow(db, "control",
                  {{"appliance_id", a.id},
                   {"position", static_cast<std::int64_t>(i)},
                   {"key", c.key},
                   {"kind", std::string(enumName(c.kind))},
                   {"low", c.low},
                   {"high", c.high},
                   {"step", c.step},
                   {"dial_unit", c.unit},
                   {"labels_json", labelsJson(c.labels).dump()},
                   {"burners_json", Json(c.burners).dump()}});
    }
    if (!(a.hob == kitchen::HobLimits{}))
        insertRow(db, "hob_limit",
                  {{"appliance_id", a.id},
                   {"boost_s", a.hob.boostS},
                   {"pan_limit_k", a.hob.panLimitK},
                   {"shared_input_w", a.hob.sharedInputW}});
    for (std::size_t i = 0; i < a.zones.size(); ++i)
        insertRow(db, "zone",
                  {{"appliance_id", a.id},
                   {"position", static_cast<std::int64_t>(i)},
                   {"name", a.zones[i].name},
                   {"direct", static_cast<std::int64_t>(a.zones[i].direct)}});
}

Result<std::vector<kitchen::Label>> labelsOf(const std::string& text) {
    return dynamet::json::readStrictly(text, [](const StrictJson& root) {
        std::vector<kitchen::Label> out;
        for (const StrictJson& label : root.list()) {
            const auto parts = label.list();
            if (parts.size() != 2)
                throw label.wrong("should be a word and a number");
            out.push_back({parts[0].text(), parts[1].json().is_null()
                                                ? std::nullopt
                                                : std::optional(parts[1].number())});
        }
        return out;
    });
}

Result<std::vector<std::string>> textsOf(const std::string& text) {
    return dynamet::json::readStrictly(text, [](const StrictJson& root) {
        std::vector<std::string> out;
        for (const StrictJson& one : root.list())
            out.push_back(one.text());
        return out;
    });
}

void loadParts(Database& db, kitchen::Appliance& a) {
    Statement c(db, "SELECT * FROM control WHERE appliance_id=? ORDER BY position");
    c.bind(1, a.id);
    const RowReader row(c);
    while (c.executeStep()) {
        kitchen::Control control;
        control.key = row.text("key");
        control.kind = kitchen::controlKind(row.text("kind")).value_or(kitchen::ControlKind::mark);
        control.low = row.number("low");
        control.high = row.number("high");
        control.step = row.number("step");
        control.unit = row.text("dial_unit");
        const std::string where = a.name + ", " + control.key;
        control.labels = damagedOr(labelsOf(row.text("labels_json")), where);
        control.burners = damagedOr(textsOf(row.text("burners_json")), where);
        damagedOr(kitchen::checkControl(control), where);
        a.controls.push_back(control);
    }
    Statement z(db, "SELECT * FROM zone WHERE appliance_id=? ORDER BY position");
    z.bind(1, a.id);
    const RowReader zone(z);
    while (z.executeStep())
        a.zones.push_back({zone.text("name"), zone.whole("direct") != 0});
    Statement h(db, "SELECT * FROM hob_limit WHERE appliance_id=?");
    h.bind(1, a.id);
    const RowReader limits(h);
    while (h.executeStep())
        a.hob = {limits.number("boost_s"), limits.number("pan_limit_k"),
                 limits.number("shared_input_w")};
}

/// What rests on a dial or a place that the changed appliance no longer has; empty = nothing.
std::string leftBehind(Database& db, const kitchen::Appliance& to) {
    std::size_t tests = 0, recipes = 0;
    std::string example;
    const auto look = [&](const char* sql, std::size_t& count) {
        Statement s(db, sql);
        s.bind(1, to.id);
        const RowReader row(s);
        while (s.executeStep()) {
            const bool fits = kitchen::parseSetting(to.controls, row.text("setting")) &&
                              findZone(to, row.text("zone"));
            if (fits)
                continue;
            example = row.text("setting") + ", " + row.text("zone");
            ++count;
        }
    };
    look("SELECT setting, zone FROM test WHERE appliance_id=? AND withdrawn_at_ms IS NULL", tests);
    look(
        "SELECT json_extract(value, '$.setting') AS setting, json_extract(value, '$.zone') AS zone "
        "FROM recipe, json_each(recipe_json, '$.stages') WHERE json_extract(value, "
        "'$.appliance')=? AND withdrawn_at_ms IS NULL",
        recipes);
    if (tests + recipes == 0)
        return "";
    return fmt::format(
        "{} tests and {} stages of recipes rest on a setting or a place that it would "
        "no longer have ({}); nothing was changed. Add a new appliance instead, or "
        "keep that setting and place",
        tests, recipes, example);
}

} // namespace

std::vector<kitchen::Appliance> loadAppliances(Database& db, Rows rows) {
    std::vector<kitchen::Appliance> out;
    Statement s(db, std::string("SELECT * FROM appliance WHERE ") + whereOf(rows) +
                        " ORDER BY position, created_at_ms, rowid");
    const RowReader row(s);
    while (s.executeStep()) {
        kitchen::Appliance a;
        const auto kind = kitchen::applianceKind(row.text("kind"));
        if (!kind) // a kind of a newer program: it cannot be computed with
            continue;
        a.id = row.text("id");
        a.name = row.text("name");
        a.kind = *kind;
        a.siteId = row.text("site_id");
        a.ratedInputW = row.number("rated_input_w");
        a.capacityM2 = row.number("capacity_m2");
        a.standardVesselId = row.text("standard_vessel_id");
        a.assetNumber = row.text("asset_number");
        a.notes = row.text("notes");
        a.settlingTimeS = row.number("settling_time_s");
        loadParts(db, a);
        out.push_back(a);
    }
    return out;
}

Result<void> addAppliance(Book& book, const kitchen::Appliance& a, const When& when) {
    return inTransaction(book, [&](Database& db) {
        const std::int64_t behind = db.execAndGet("SELECT COUNT(*) FROM appliance").getInt64();
        insertRow(db, "appliance",
                  newRow(a.id, when.utcMs, joined({{"position", behind}}, rowOf(a))));
        insertParts(db, a);
    });
}

Result<void> changeAppliance(Book& book, const kitchen::Appliance& a) {
    const auto left = reading(book, [&](Database& db) { return leftBehind(db, a); });
    if (!left)
        return tl::unexpected(left.error());
    if (!left->empty())
        return fail(Errc::refused, *left);
    return inTransaction(book, [&](Database& db) {
        updateRow(db, "appliance", a.id, rowOf(a));
        for (const char* table : {"control", "zone", "hob_limit"}) {
            Statement s(db, fmt::format("DELETE FROM {} WHERE appliance_id=?", table));
            s.bind(1, a.id);
            s.exec();
        }
        insertParts(db, a);
    });
}

Result<void> withdrawAppliance(Book& book, const std::string& id, std::optional<When> when) {
    return setWithdrawn(book, "appliance", id, when);
}

} // namespace dynamet::book
