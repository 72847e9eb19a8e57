// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/kitchen_rows.h"
#include "book/kitchen_store.h"
#include "book/table_row.h"

namespace dynamet::book {
namespace {

Row rowOf(const kitchen::Site& site) {
    return {{"name", site.name},
            {"altitude_m", site.altitudeM},
            {"ambient_k", site.ambient.kelvin()},
            {"relative_humidity", site.relativeHumidity},
            {"wind_m_s", site.windMPerS},
            {"measured_pressure_pa", cellOf(site.measuredPressurePa)},
            {"gas_heating_value_j_m3", site.gasHeatingValueJPerM3},
            {"gas_pressure_pa", site.gasPressurePa},
            {"mains_voltage_v", site.mainsVoltageV}};
}

kitchen::Site siteOf(const RowReader& row) {
    kitchen::Site site;
    site.id = row.text("id");
    site.name = row.text("name");
    site.altitudeM = row.number("altitude_m");
    site.ambient = Temperature::kelvin(row.number("ambient_k"));
    site.relativeHumidity = row.number("relative_humidity");
    site.windMPerS = row.number("wind_m_s");
    site.measuredPressurePa = row.maybe("measured_pressure_pa");
    site.gasHeatingValueJPerM3 = row.number("gas_heating_value_j_m3");
    site.gasPressurePa = row.number("gas_pressure_pa");
    site.mainsVoltageV = row.number("mains_voltage_v");
    return site;
}

} // namespace

std::vector<kitchen::Site> loadSites(SQLite::Database& db, Rows rows) {
    return readRows(db, "site", rows, siteOf);
}

Result<void> addSite(Book& book, const kitchen::Site& site, const When& when) {
    return inTransaction(book, [&](SQLite::Database& db) {
        insertRow(db, "site", newRow(site.id, when.utcMs, rowOf(site)));
    });
}

Result<void> changeSite(Book& book, const kitchen::Site& site) {
    return inTransaction(
        book, [&](SQLite::Database& db) { updateRow(db, "site", site.id, rowOf(site)); });
}

Result<void> withdrawSite(Book& book, const std::string& id, std::optional<When> when) {
    return setWithdrawn(book, "site", id, when);
}

} // namespace dynamet::book
