// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/kitchen_store.h"

#include "book/columns.h"
#include "book/rated_numbers.h"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

namespace dynamet::book {
namespace {

using nlohmann::json;
using SQLite::Database;
using SQLite::Statement;

template <class Kind>
Kind kindOf(const std::string& text, int count) {
    for (int i = 0; i < count; ++i)
        if (text == word(static_cast<Kind>(i)))
            return static_cast<Kind>(i);
    return static_cast<Kind>(0);
}

json labelsJson(const std::vector<kitchen::Label>& labels) {
    json out = json::array();
    for (const kitchen::Label& label : labels)
        out.push_back({label.text, label.number ? json(*label.number) : json(nullptr)});
    return out;
}

void addControls(Database& db, const kitchen::Appliance& a) {
    Statement control(db, "INSERT INTO control VALUES (?,?,?,?,?,?,?,?,?,?)");
    for (std::size_t i = 0; i < a.controls.size(); ++i) {
        const kitchen::Control& c = a.controls[i];
        control.bind(1, a.id);
        control.bind(2, static_cast<int>(i));
        control.bind(3, c.key);
        control.bind(4, word(c.kind));
        control.bind(5, c.low);
        control.bind(6, c.high);
        control.bind(7, c.step);
        control.bind(8, c.unit);
        control.bind(9, labelsJson(c.labels).dump());
        control.bind(10, json(c.burners).dump());
        control.exec();
        control.reset();
    }
    Statement zone(db, "INSERT INTO zone VALUES (?,?,?,?)");
    for (std::size_t i = 0; i < a.zones.size(); ++i) {
        zone.bind(1, a.id);
        zone.bind(2, static_cast<int>(i));
        zone.bind(3, a.zones[i].name);
        zone.bind(4, a.zones[i].direct ? 1 : 0);
        zone.exec();
        zone.reset();
    }
}

std::vector<kitchen::Site> loadSites(Database& db) {
    std::vector<kitchen::Site> out;
    Statement s(
        db, "SELECT id,name,altitude_m,ambient_k,relative_humidity,wind_m_s,measured_pressure_pa,"
            "gas_heating_value_j_m3,gas_pressure_pa,mains_voltage_v FROM site WHERE "
            "withdrawn_at_ms IS NULL "
            "ORDER BY created_at_ms, rowid");
    while (s.executeStep()) {
        kitchen::Site site;
        site.id = s.getColumn(0).getString();
        site.name = s.getColumn(1).getString();
        site.altitudeM = s.getColumn(2).getDouble();
        site.ambient = Temperature::kelvin(s.getColumn(3).getDouble());
        site.relativeHumidity = s.getColumn(4).getDouble();
        site.windMPerS = s.getColumn(5).getDouble();
        site.measuredPressurePa = numberAt(s, 6);
        site.gasHeatingValueJPerM3 = s.getColumn(7).getDouble();
        site.gasPressurePa = s.getColumn(8).getDouble();
        site.mainsVoltageV = s.getColumn(9).getDouble();
        out.push_back(site);
    }
    return out;
}

std::vector<kitchen::Instrument> loadInstruments(Database& db) {
    std::vector<kitchen::Instrument> out;
    Statement s(
        db,
        "SELECT id,name,kind,accuracy,resolution,low_limit,high_limit,damage_limit,diameter_m,"
        "response_in_air_s,response_in_food_s,emissivity_set,band_low_um,band_high_um,spot_ratio "
        "FROM instrument WHERE withdrawn_at_ms IS NULL ORDER BY created_at_ms, rowid");
    Statement c(
        db,
        "SELECT id,valid_from_ms,offset_si,gain,u_si FROM calibration WHERE instrument_id=? AND "
        "withdrawn_at_ms IS NULL ORDER BY valid_from_ms");
    while (s.executeStep()) {
        kitchen::Instrument i;
        i.id = s.getColumn(0).getString();
        i.name = s.getColumn(1).getString();
        i.kind = kindOf<kitchen::InstrumentKind>(s.getColumn(2).getString(), 7);
        i.accuracy = s.getColumn(3).getDouble();
        i.resolution = s.getColumn(4).getDouble();
        i.lowLimit = numberAt(s, 5);
        i.highLimit = numberAt(s, 6);
        i.damageLimit = numberAt(s, 7);
        i.diameterM = s.getColumn(8).getDouble();
        i.responseInAirS = s.getColumn(9).getDouble();
        i.responseInFoodS = s.getColumn(10).getDouble();
        i.emissivitySet = s.getColumn(11).getDouble();
        i.bandLowUm = s.getColumn(12).getDouble();
        i.bandHighUm = s.getColumn(13).getDouble();
        i.spotRatio = s.getColumn(14).getDouble();
        c.bind(1, i.id);
        while (c.executeStep())
            i.calibrations.push_back({c.getColumn(0).getString(), c.getColumn(1).getInt64(),
                                      c.getColumn(2).getDouble(), c.getColumn(3).getDouble(),
                                      c.getColumn(4).getDouble()});
        c.reset();
        out.push_back(i);
    }
    return out;
}

std::vector<kitchen::Vessel> loadVessels(Database& db) {
    std::vector<kitchen::Vessel> out;
    Statement s(
        db,
        "SELECT id,name,kind,material,mass_kg,specific_heat_j_kgk,base_diameter_m,base_thickness_m,"
        "emissivity,highest_temperature_k FROM vessel WHERE withdrawn_at_ms IS NULL ORDER BY "
        "created_at_ms, rowid");
    while (s.executeStep())
        out.push_back({s.getColumn(0).getString(), s.getColumn(1).getString(),
                       kindOf<kitchen::VesselKind>(s.getColumn(2).getString(), 7),
                       s.getColumn(3).getString(), s.getColumn(4).getDouble(),
                       s.getColumn(5).getDouble(), s.getColumn(6).getDouble(),
                       s.getColumn(7).getDouble(), s.getColumn(8).getDouble(), numberAt(s, 9)});
    return out;
}

std::vector<kitchen::Insert> loadInserts(Database& db) {
    std::vector<kitchen::Insert> out;
    Statement s(db, "SELECT id,name,kind FROM insert_part WHERE withdrawn_at_ms IS NULL ORDER BY "
                    "created_at_ms, rowid");
    while (s.executeStep())
        out.push_back({s.getColumn(0).getString(), s.getColumn(1).getString(),
                       kindOf<kitchen::InsertKind>(s.getColumn(2).getString(), 6)});
    return out;
}

void loadControls(Database& db, kitchen::Appliance& a) {
    Statement c(
        db, "SELECT key,kind,low,high,step,dial_unit,labels_json,burners_json FROM control WHERE "
            "appliance_id=? ORDER BY position");
    c.bind(1, a.id);
    while (c.executeStep()) {
        kitchen::Control control;
        control.key = c.getColumn(0).getString();
        control.kind =
            kitchen::controlKind(c.getColumn(1).getString()).value_or(kitchen::ControlKind::mark);
        control.low = c.getColumn(2).getDouble();
        control.high = c.getColumn(3).getDouble();
        control.step = c.getColumn(4).getDouble();
        control.unit = c.getColumn(5).getString();
        for (const json& label : json::parse(c.getColumn(6).getString()))
            control.labels.push_back({label.at(0).get<std::string>(),
                                      label.at(1).is_null()
                                          ? std::nullopt
                                          : std::optional<double>(label.at(1).get<double>())});
        control.burners = json::parse(c.getColumn(7).getString()).get<std::vector<std::string>>();
        a.controls.push_back(control);
    }
    Statement z(db, "SELECT name,direct FROM zone WHERE appliance_id=? ORDER BY position");
    z.bind(1, a.id);
    while (z.executeStep())
        a.zones.push_back({z.getColumn(0).getString(), z.getColumn(1).getInt() != 0});
}

std::vector<kitchen::Appliance> loadAppliances(Database& db) {
    std::vector<kitchen::Appliance> out;
    Statement s(
        db, "SELECT "
            "id,name,kind,site_id,rated_input_w,capacity_m2,standard_vessel_id,asset_number,notes,"
            "settling_time_s FROM appliance WHERE withdrawn_at_ms IS NULL ORDER BY position, "
            "created_at_ms, rowid");
    while (s.executeStep()) {
        kitchen::Appliance a;
        a.id = s.getColumn(0).getString();
        a.name = s.getColumn(1).getString();
        const auto kind = kitchen::applianceKind(s.getColumn(2).getString());
        if (!kind) // a kind of a newer program: it cannot be computed with
            continue;
        a.kind = *kind;
        a.siteId = s.getColumn(3).getString();
        a.ratedInputW = s.getColumn(4).getDouble();
        a.capacityM2 = s.getColumn(5).getDouble();
        a.standardVesselId = s.getColumn(6).isNull() ? "" : s.getColumn(6).getString();
        a.assetNumber = s.getColumn(7).getString();
        a.notes = s.getColumn(8).getString();
        a.settlingTimeS = s.getColumn(9).getDouble();
        loadControls(db, a);
        out.push_back(a);
    }
    return out;
}

} // namespace

Result<bool> addSite(Book& book, const kitchen::Site& site, const When& when) {
    return inTransaction(book, [&](Database& db) {
        Statement s(db, "INSERT INTO site VALUES (?,?,?,?,?,?,?,?,?,?,?,NULL)");
        s.bind(1, site.id);
        s.bind(2, site.name);
        s.bind(3, site.altitudeM);
        s.bind(4, site.ambient.kelvin());
        s.bind(5, site.relativeHumidity);
        s.bind(6, site.windMPerS);
        bindOptional(s, 7, site.measuredPressurePa);
        s.bind(8, site.gasHeatingValueJPerM3);
        s.bind(9, site.gasPressurePa);
        s.bind(10, site.mainsVoltageV);
        s.bind(11, when.utcMs);
        s.exec();
    });
}

Result<bool> addInstrument(Book& book, const kitchen::Instrument& i, const When& when) {
    return inTransaction(book, [&](Database& db) {
        Statement s(db, "INSERT INTO instrument VALUES (?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,NULL)");
        s.bind(1, i.id);
        s.bind(2, i.name);
        s.bind(3, word(i.kind));
        s.bind(4, i.accuracy);
        s.bind(5, i.resolution);
        bindOptional(s, 6, i.lowLimit);
        bindOptional(s, 7, i.highLimit);
        bindOptional(s, 8, i.damageLimit);
        s.bind(9, i.diameterM);
        s.bind(10, i.responseInAirS);
        s.bind(11, i.responseInFoodS);
        s.bind(12, i.emissivitySet);
        s.bind(13, i.bandLowUm);
        s.bind(14, i.bandHighUm);
        s.bind(15, i.spotRatio);
        s.bind(16, when.utcMs);
        s.exec();
        Statement c(db, "INSERT INTO calibration VALUES (?,?,?,?,?,?,NULL)");
        for (const kitchen::Calibration& calibration : i.calibrations) {
            c.bind(1, calibration.id);
            c.bind(2, i.id);
            c.bind(3, calibration.validFromMs);
            c.bind(4, calibration.offset);
            c.bind(5, calibration.gain);
            c.bind(6, calibration.u);
            c.exec();
            c.reset();
        }
    });
}

Result<bool> addVessel(Book& book, const kitchen::Vessel& v, const When& when) {
    return inTransaction(book, [&](Database& db) {
        Statement s(db, "INSERT INTO vessel VALUES (?,?,?,?,?,?,?,?,?,?,?,NULL)");
        s.bind(1, v.id);
        s.bind(2, v.name);
        s.bind(3, word(v.kind));
        s.bind(4, v.material);
        s.bind(5, v.massKg);
        s.bind(6, v.specificHeatJPerKgK);
        s.bind(7, v.baseDiameterM);
        s.bind(8, v.baseThicknessM);
        s.bind(9, v.emissivity);
        bindOptional(s, 10, v.highestTemperatureK);
        s.bind(11, when.utcMs);
        s.exec();
    });
}

Result<bool> addInsert(Book& book, const kitchen::Insert& insert, const When& when) {
    return inTransaction(book, [&](Database& db) {
        Statement s(db, "INSERT INTO insert_part VALUES (?,?,?,?,NULL)");
        s.bind(1, insert.id);
        s.bind(2, insert.name);
        s.bind(3, word(insert.kind));
        s.bind(4, when.utcMs);
        s.exec();
    });
}

Result<bool> addAppliance(Book& book, const kitchen::Appliance& a, const When& when) {
    return inTransaction(book, [&](Database& db) {
        Statement s(db, "INSERT INTO appliance VALUES (?,?,?,?,?,?,?,?,?,?,(SELECT COUNT(*) FROM "
                        "appliance),?,NULL)");
        s.bind(1, a.id);
        s.bind(2, a.name);
        s.bind(3, word(a.kind));
        s.bind(4, a.siteId);
        s.bind(5, a.ratedInputW);
        s.bind(6, a.capacityM2);
        bindText(s, 7, a.standardVesselId);
        s.bind(8, a.assetNumber);
        s.bind(9, a.notes);
        s.bind(10, a.settlingTimeS);
        s.bind(11, when.utcMs);
        s.exec();
        addControls(db, a);
    });
}

Result<bool> addCalibration(Book& book, const std::string& instrumentId,
                            const kitchen::Calibration& calibration) {
    return inTransaction(book, [&](Database& db) {
        Statement c(db, "INSERT INTO calibration VALUES (?,?,?,?,?,?,NULL)");
        c.bind(1, calibration.id);
        c.bind(2, instrumentId);
        c.bind(3, calibration.validFromMs);
        c.bind(4, calibration.offset);
        c.bind(5, calibration.gain);
        c.bind(6, calibration.u);
        c.exec();
    });
}

Result<bool> withdrawAppliance(Book& book, const std::string& id, std::optional<When> when) {
    return setWithdrawn(book, "appliance", id, when);
}

Result<bool> withdrawInstrument(Book& book, const std::string& id, std::optional<When> when) {
    return setWithdrawn(book, "instrument", id, when);
}

Result<bool> withdrawCalibration(Book& book, const std::string& id, std::optional<When> when) {
    return setWithdrawn(book, "calibration", id, when);
}

Result<kitchen::Kitchen> loadKitchen(Book& book) {
    return reading(book, [](Database& db) {
        kitchen::Kitchen out;
        out.sites = loadSites(db);
        out.instruments = loadInstruments(db);
        out.vessels = loadVessels(db);
        out.inserts = loadInserts(db);
        out.appliances = loadAppliances(db);
        for (const kitchen::Appliance& appliance : out.appliances)
            out.rated[appliance.id] = loadRatedNumbers(db, appliance);
        return out;
    });
}

} // namespace dynamet::book
