// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Vessels hold the food; inserts are put into an appliance or taken out.
#include "book/kitchen_rows.h"
#include "book/kitchen_store.h"
#include "book/table_row.h"

#include <algorithm>

namespace dynamet::book {
namespace {

constexpr int kVesselKinds = 9, kInsertKinds = 6;

Row rowOf(const kitchen::Vessel& v) {
    return {{"name", v.name},
            {"kind", std::string(enumName(v.kind))},
            {"material", v.material},
            {"mass_kg", v.massKg},
            {"specific_heat_j_kgk", v.specificHeatJPerKgK},
            {"base_diameter_m", v.baseDiameterM},
            {"base_thickness_m", v.baseThicknessM},
            {"emissivity", v.emissivity},
            {"highest_temperature_k", cellOf(v.highestTemperatureK)}};
}

Row rowOf(const kitchen::Insert& insert) {
    return {{"name", insert.name}, {"kind", std::string(enumName(insert.kind))}};
}

kitchen::Vessel vesselOf(const RowReader& row) {
    return {row.text("id"),
            row.text("name"),
            kindOf<kitchen::VesselKind>(row.text("kind"), kVesselKinds),
            row.text("material"),
            row.number("mass_kg"),
            row.number("specific_heat_j_kgk"),
            row.number("base_diameter_m"),
            row.number("base_thickness_m"),
            row.number("emissivity"),
            row.maybe("highest_temperature_k"),
            1};
}

kitchen::Insert insertOf(const RowReader& row) {
    return {row.text("id"), row.text("name"),
            kindOf<kitchen::InsertKind>(row.text("kind"), kInsertKinds)};
}

void insertCount(SQLite::Database& db, const kitchen::Vessel& vessel) {
    if (vessel.count > 1)
        insertRow(db, "vessel_count",
                  {{"vessel_id", vessel.id}, {"count", static_cast<std::int64_t>(vessel.count)}});
}

} // namespace

std::vector<kitchen::Vessel> loadVessels(SQLite::Database& db, Rows rows) {
    auto out = readRows(db, "vessel", rows, vesselOf);
    SQLite::Statement s(db, "SELECT * FROM vessel_count");
    const RowReader row(s);
    while (s.executeStep())
        for (kitchen::Vessel& vessel : out)
            if (vessel.id == row.text("vessel_id"))
                vessel.count = static_cast<int>(
                    std::clamp<std::int64_t>(row.whole("count"), 1, kitchen::kMostAlike));
    return out;
}

std::vector<kitchen::Insert> loadInserts(SQLite::Database& db, Rows rows) {
    return readRows(db, "insert_part", rows, insertOf);
}

Result<void> addVessel(Book& book, const kitchen::Vessel& vessel, const When& when) {
    return inTransaction(book, [&](SQLite::Database& db) {
        insertRow(db, "vessel", newRow(vessel.id, when.utcMs, rowOf(vessel)));
        insertCount(db, vessel);
    });
}
Result<void> addInsert(Book& book, const kitchen::Insert& insert, const When& when) {
    return inTransaction(book, [&](SQLite::Database& db) {
        insertRow(db, "insert_part", newRow(insert.id, when.utcMs, rowOf(insert)));
    });
}

Result<void> changeVessel(Book& book, const kitchen::Vessel& vessel) {
    return inTransaction(book, [&](SQLite::Database& db) {
        updateRow(db, "vessel", vessel.id, rowOf(vessel));
        SQLite::Statement s(db, "DELETE FROM vessel_count WHERE vessel_id=?");
        s.bind(1, vessel.id);
        s.exec();
        insertCount(db, vessel);
    });
}
Result<void> changeInsert(Book& book, const kitchen::Insert& insert) {
    return inTransaction(book, [&](SQLite::Database& db) {
        updateRow(db, "insert_part", insert.id, rowOf(insert));
    });
}

Result<void> withdrawVessel(Book& book, const std::string& id, std::optional<When> when) {
    return setWithdrawn(book, "vessel", id, when);
}
Result<void> withdrawInsert(Book& book, const std::string& id, std::optional<When> when) {
    return setWithdrawn(book, "insert_part", id, when);
}

} // namespace dynamet::book
