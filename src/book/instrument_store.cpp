// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/kitchen_rows.h"
#include "book/kitchen_store.h"
#include "book/table_row.h"

namespace dynamet::book {
namespace {

constexpr int kInstrumentKinds = 7;

/// Without its calibrations: they have rows of their own.
Row rowOf(const kitchen::Instrument& i) {
    return {{"name", i.name},
            {"kind", std::string(enumName(i.kind))},
            {"accuracy", i.accuracy},
            {"resolution", i.resolution},
            {"low_limit", cellOf(i.lowLimit)},
            {"high_limit", cellOf(i.highLimit)},
            {"damage_limit", cellOf(i.damageLimit)},
            {"diameter_m", i.diameterM},
            {"response_in_air_s", i.responseInAirS},
            {"response_in_food_s", i.responseInFoodS},
            {"emissivity_set", i.emissivitySet},
            {"band_low_um", i.bandLowUm},
            {"band_high_um", i.bandHighUm},
            {"spot_ratio", i.spotRatio}};
}

/// Without its calibrations too.
kitchen::Instrument instrumentOf(const RowReader& row) {
    kitchen::Instrument i;
    i.id = row.text("id");
    i.name = row.text("name");
    i.kind = kindOf<kitchen::InstrumentKind>(row.text("kind"), kInstrumentKinds);
    i.accuracy = row.number("accuracy");
    i.resolution = row.number("resolution");
    i.lowLimit = row.maybe("low_limit");
    i.highLimit = row.maybe("high_limit");
    i.damageLimit = row.maybe("damage_limit");
    i.diameterM = row.number("diameter_m");
    i.responseInAirS = row.number("response_in_air_s");
    i.responseInFoodS = row.number("response_in_food_s");
    i.emissivitySet = row.number("emissivity_set");
    i.bandLowUm = row.number("band_low_um");
    i.bandHighUm = row.number("band_high_um");
    i.spotRatio = row.number("spot_ratio");
    return i;
}

void insertCalibration(SQLite::Database& db, const std::string& instrumentId,
                       const kitchen::Calibration& c) {
    insertRow(db, "calibration",
              {{"id", c.id},
               {"instrument_id", instrumentId},
               {"valid_from_ms", c.validFromMs},
               {"offset_si", c.offset},
               {"gain", c.gain},
               {"u_si", c.u}});
}

} // namespace

std::vector<kitchen::Instrument> loadInstruments(SQLite::Database& db, Rows rows) {
    auto out = readRows(db, "instrument", rows, instrumentOf);
    SQLite::Statement c(db, "SELECT * FROM calibration WHERE instrument_id=? AND withdrawn_at_ms "
                            "IS NULL ORDER BY valid_from_ms");
    const RowReader row(c);
    for (kitchen::Instrument& instrument : out) {
        c.bind(1, instrument.id);
        while (c.executeStep())
            instrument.calibrations.push_back({row.text("id"), row.whole("valid_from_ms"),
                                               row.number("offset_si"), row.number("gain"),
                                               row.number("u_si")});
        c.reset();
    }
    return out;
}

Result<void> addInstrument(Book& book, const kitchen::Instrument& instrument, const When& when) {
    return inTransaction(book, [&](SQLite::Database& db) {
        insertRow(db, "instrument", newRow(instrument.id, when.utcMs, rowOf(instrument)));
        for (const kitchen::Calibration& calibration : instrument.calibrations)
            insertCalibration(db, instrument.id, calibration);
    });
}

Result<void> changeInstrument(Book& book, const kitchen::Instrument& instrument) {
    return inTransaction(book, [&](SQLite::Database& db) {
        updateRow(db, "instrument", instrument.id, rowOf(instrument));
    });
}

Result<void> addCalibration(Book& book, const std::string& instrumentId,
                            const kitchen::Calibration& calibration) {
    return inTransaction(
        book, [&](SQLite::Database& db) { insertCalibration(db, instrumentId, calibration); });
}

Result<void> withdrawInstrument(Book& book, const std::string& id, std::optional<When> when) {
    return setWithdrawn(book, "instrument", id, when);
}

Result<void> withdrawCalibration(Book& book, const std::string& id, std::optional<When> when) {
    return setWithdrawn(book, "calibration", id, when);
}

} // namespace dynamet::book
