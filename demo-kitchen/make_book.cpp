// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Builds the demo book: kitchen.json and the generated logs go through the program's own reading,
// reductions and book; no result is written by hand.
#include "demo_cooks.h"

#include "book/kitchen_store.h"
#include "book/menu_store.h"
#include "book/recipe_store.h"
#include "book/test_store.h"
#include "formats/csv_rows.h"
#include "formats/csv_sniff.h"
#include "formats/text_file.h"
#include "rating/inputs/keyed_readings.h"
#include "rating/inputs/typed_values.h"
#include "words/rating_words.h"

#include <cctype>
#include <chrono>
#include <cstdio>
#include <cstdlib>
#include <cstring>
#include <filesystem>
#include <nlohmann/json.hpp>
#include <sstream>

namespace {

using namespace dynamet;
using nlohmann::json;

template <class T>
T need(Result<T> result, const std::string& what) {
    if (result) {
        if constexpr (std::is_void_v<T>)
            return;
        else
            return std::move(*result);
    }
    std::fprintf(stderr, "%s: %s\n", what.c_str(), result.error().message.c_str());
    std::exit(1);
}

book::When on(const std::string& day, int hour) {
    int y = 0;
    unsigned m = 0, d = 0;
    std::sscanf(day.c_str(), "%d-%u-%u", &y, &m, &d);
    const auto date =
        std::chrono::sys_days(std::chrono::year(y) / std::chrono::month(m) / std::chrono::day(d));
    return {std::chrono::duration_cast<std::chrono::milliseconds>(date.time_since_epoch()).count() +
                hour * 3600000LL,
            0};
}

void addInstruments(book::Book& book, const json& kitchen, const book::When& when) {
    for (const json& row : kitchen.at("instruments")) {
        kitchen::Instrument i;
        i.id = row.at("id").get<std::string>();
        i.name = row.at("name").get<std::string>();
        i.kind = row.at("kind") == "scale"      ? kitchen::InstrumentKind::scale
                 : row.at("kind") == "infrared" ? kitchen::InstrumentKind::infrared
                                                : kitchen::InstrumentKind::probe;
        if (row.contains("damage_limit_C"))
            i.damageLimit = row.at("damage_limit_C").get<double>() + kZeroCelsiusK;
        if (row.contains("calibrated")) {
            const json& c = row.at("calibrated");
            const double gain = c.at("gain").get<double>();
            i.calibrations.push_back(
                {i.id + "-checked", on(c.at("day").get<std::string>(), 9).utcMs,
                 c.at("offset_ice_K").get<double>() + kZeroCelsiusK * (1 - gain), gain,
                 c.at("u_K").get<double>()});
        }
        i.accuracy = row.at("accuracy_K").get<double>();
        i.resolution = row.at("resolution").get<double>();
        if (row.contains("high_limit_C"))
            i.highLimit = row.at("high_limit_C").get<double>() + kZeroCelsiusK;
        need(addInstrument(book, i, when), "instrument");
    }
}

void addPlacesAndThings(book::Book& book, const json& kitchen, const book::When& when) {
    for (const json& row : kitchen.at("sites")) {
        kitchen::Site site;
        site.id = row.at("id").get<std::string>();
        site.name = row.at("name").get<std::string>();
        site.altitudeM = row.at("altitude_m").get<double>();
        site.ambient = Temperature::celsius(row.at("ambient_C").get<double>());
        site.relativeHumidity = row.at("humidity").get<double>();
        need(addSite(book, site, when), "site");
    }
    addInstruments(book, kitchen, when);
    for (const json& row : kitchen.at("vessels")) {
        kitchen::Vessel v;
        v.id = row.at("id").get<std::string>();
        v.name = row.at("name").get<std::string>();
        v.material = row.at("material").get<std::string>();
        v.massKg = row.at("mass_kg").get<double>();
        v.specificHeatJPerKgK = row.at("c").get<double>();
        v.baseDiameterM = row.at("diameter_m").get<double>();
        v.baseThicknessM = row.at("thickness_m").get<double>();
        v.emissivity = row.at("emissivity").get<double>();
        need(addVessel(book, v, when), "vessel");
    }
    for (const json& row : kitchen.at("inserts"))
        need(addInsert(book,
                       {row.at("id").get<std::string>(), row.at("name").get<std::string>(),
                        row.at("kind") == "plate" ? kitchen::InsertKind::plate
                                                  : kitchen::InsertKind::deflector},
                       when),
             "insert");
    for (const json& row : kitchen.at("appliances")) {
        kitchen::Appliance a = need(
            kitchen::typicalAppliance(*kitchen::applianceKind(row.at("kind").get<std::string>())),
            "kind");
        a.id = row.at("id").get<std::string>();
        a.name = row.at("name").get<std::string>();
        a.siteId = row.at("site").get<std::string>();
        a.ratedInputW = row.at("rated_W").get<double>();
        a.standardVesselId = row.value("vessel", isHob(a.kind) ? "steel-pan" : "");
        need(addAppliance(book, a, when), a.name);
    }
}

/// The role of a column: the one whose name the header carries, else the protocol's first.
std::string roleOf(const std::string& protocol, const std::string& column, bool plate) {
    if (protocol == "preheat")
        return plate ? "plate" : "air";
    std::string small = column;
    for (char& c : small)
        c = static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
    const auto roles = rating::rolesOf(protocol);
    for (const std::string& role : roles)
        if (small.find(role) != std::string::npos)
            return role;
    return roles.front();
}

/// Lines "role: readings", read as the window reads what is typed.
void readNotes(const std::string& text, const std::string& path, book::TestRecord& test) {
    const rating::Protocol* protocol = rating::findProtocol(test.protocol);
    std::istringstream in(text);
    for (std::string line; std::getline(in, line);) {
        const auto colon = line.find(':');
        for (const rating::KeyedRole& role : protocol->keyed)
            if (role.role == line.substr(0, colon))
                for (const auto& r : need(
                         rating::parseKeyed(role, line.substr(colon + 1), TemperatureUnit::celsius),
                         path))
                    test.keyed[role.role].push_back(r);
    }
}

void readLog(const std::string& path, bool plate, book::TestRecord& test) {
    const std::string text = need(formats::readTextFile(path), path);
    if (!rating::findProtocol(test.protocol)->fromLog) {
        readNotes(text, path, test);
        return;
    }
    const auto dialect = need(formats::sniffCsv(text), path);
    const auto log = need(formats::parseCsv(text, dialect), path);
    for (const auto& channel : log.channels)
        test.channels.push_back({roleOf(test.protocol, channel.name, plate), channel.name,
                                 logUnitSign(channel.unit), "", log.timeS, channel.asRecorded,
                                 channel.resolution});
    test.fileName = std::filesystem::path(path).filename().string();
    test.fileSha256 = formats::sha256(text);
    test.dialectJson = formats::dialectJson(dialect);
}

/// What the cook typed for these values, in the units of the fields.
std::map<std::string, std::string> typedFor(const book::TestRecord& test) {
    std::map<std::string, std::string> out;
    for (const rating::ValueSpec& spec : rating::findProtocol(test.protocol)->values)
        if (const auto at = test.values.find(spec.name); spec.asked && at != test.values.end())
            out[spec.name] = shownValue(spec, at->second, TemperatureUnit::celsius);
    for (const auto& [name, word] : test.choices)
        out[name] = word;
    return out;
}

/// Values that the kitchen's file states for a test, beside the protocol's usual ones.
std::map<std::string, double> valuesOf(const json& row, const std::string& protocol) {
    const json& truth = row.at("truth");
    const std::string setting = row.at("setting").get<std::string>();
    if (protocol == "water-heat-up")
        return {{"water_kg", 1.5},
                {"pot_kg", truth.at("pan_kg").get<double>()},
                {"ambient_C", 21},
                {"altitude_m", 6}};
    if (protocol == "preheat")
        return {{"set_C", std::stod(setting.substr(setting.find('=') + 1))}, {"limit_C", 350}};
    if (protocol == "block")
        return {{"mass_kg", 0.0462}, {"area_m2", 0.0065}, {"emissivity", 0.95}};
    if (protocol == "zone-sweep")
        return {{"waited_s", 1800},
                {"limit_C", truth.contains("air_C") ? 1000.0 : 320.0},
                {"thin_m", 0.0015},
                {"thick_m", 0.004}};
    if (protocol == "surface-map")
        return {{"per_row", truth.at("per_row").get<double>()},
                {"emissivity", truth.at("emissivity").get<double>()}};
    if (protocol == "burn-down")
        return {{"target_C", row.at("target_C").get<double>()}, {"band_K", 20}, {"ambient_C", 15}};
    if (protocol == "coal-count")
        return {{"ambient_C", 9},
                {"iron_kg", row.at("iron_kg").get<double>()},
                {"half_s", row.at("half_min").get<double>() * 60},
                {"coal_kg", 0.024}};
    if (protocol == "one-face-block")
        return {{"air_C", truth.at("air_C").get<double>()}};
    if (protocol == "bath-loss")
        return {{"water_kg", truth.at("kg").get<double>()}, {"off_s", 2700}, {"ambient_C", 21}};
    if (protocol == "oil-heat-up")
        return {{"oil_kg", truth.at("kg").get<double>()}, {"ambient_C", 21}};
    return {};
}

void addTest(book::Book& book, const kitchen::Kitchen& known, const json& row,
             const std::string& path, int number) {
    book::TestRecord test;
    test.id = book::newId();
    test.applianceId = row.at("appliance").get<std::string>();
    test.protocol = row.at("protocol").get<std::string>();
    test.setting = row.at("setting").get<std::string>();
    const json& truth = row.at("truth");
    const auto* appliance = findAppliance(known, test.applianceId);
    test.zone = row.value("zone", appliance->zones.front().name);
    test.vesselId = isHob(appliance->kind) ? appliance->standardVesselId : "";
    test.siteId = appliance->siteId;
    test.operatorName = row.at("by").get<std::string>();
    test.instrumentId = row.value("instrument", "");
    test.fuel = row.value("fuel", "");
    test.fanOn = truth.value("fan", false);
    test.lidOn = true;
    test.setStarted(on(row.at("day").get<std::string>(), 9 + number % 8));
    test.values = valuesOf(row, test.protocol);
    test.choices = rating::choicesOfKind(test.protocol, appliance->kind);
    test.typed = typedFor(test);
    readLog(path, truth.value("plate", false), test);
    need(book::addTest(book, test, test.started()), test.setting);
    const auto reduction = need(rating::reduce(inputOf(test, known.instruments)),
                                test.applianceId + " " + test.setting);
    std::printf("%-13s %-14s %-34s %s\n", test.applianceId.c_str(), test.protocol.c_str(),
                test.setting.c_str(), words::foundWords(reduction, {}).c_str());
    need(saveReduction(book, test.id, reduction, test.values, "", test.started()), test.setting);
}

void addTests(book::Book& book, const json& kitchen, const std::string& folder) {
    const kitchen::Kitchen known = need(loadKitchen(book), "kitchen");
    int number = 0;
    for (const json& row : kitchen.at("tests")) {
        char name[32];
        std::snprintf(name, sizeof name, "/test-%02d.csv", ++number);
        addTest(book, known, row, folder + name, number);
    }
}

recipe::Stage stageOf(const kitchen::Kitchen& known, const json& row) {
    recipe::Stage out;
    const auto* appliance = findAppliance(known, row.at("appliance").get<std::string>());
    const auto setting = row.at("setting").get<std::string>();
    out.place = {appliance->id, need(kitchen::parseSetting(appliance->controls, setting), setting),
                 row.at("zone").get<std::string>(), row.value("vessel", "")};
    out.end.afterS = 60 * row.value("minutes", 0.0);
    if (row.contains("to_C"))
        out.end.coreK = row.at("to_C").get<double>() + kZeroCelsiusK;
    out.waitS = 60 * row.value("wait_min", 0.0);
    out.waitTented = row.value("wait_tented", false);
    return out;
}

void addRecipes(book::Book& book, const json& kitchen, const book::When& when) {
    const kitchen::Kitchen known = need(loadKitchen(book), "kitchen");
    for (const json& row : kitchen.at("recipes")) {
        recipe::Recipe r;
        r.id = row.at("id").get<std::string>();
        r.name = row.at("name").get<std::string>();
        r.author = row.at("author").get<std::string>();
        r.text = row.at("text").get<std::string>();
        r.stages.clear();
        for (const json& stage : row.at("stages"))
            r.stages.push_back(stageOf(known, stage));
        r.piece.food = need(food::findFood(row.at("food").get<std::string>()), "food");
        r.piece.form = *food::formOf(row.at("form").get<std::string>());
        r.piece.thicknessM = row.at("thickness_mm").get<double>() / 1000;
        r.piece.startK = row.at("start_C").get<double>() + kZeroCelsiusK;
        r.piece.thicknessBy =
            recipe::knownByOf(row.value("thickness_by", "")).value_or(recipe::KnownBy::eye);
        if (row.contains("took_min"))
            r.time = {60 * row.at("took_min").at(0).get<double>(),
                      60 * row.at("took_min").at(1).get<double>()};
        const auto k = [](const json& c) { return c.get<double>() + kZeroCelsiusK; };
        r.goal = {k(row.at("core_C")),
                  row.at("read_at") == "pull" ? food::GoalMoment::pull : food::GoalMoment::peak,
                  k(row.at("band_C").at(0)), k(row.at("band_C").at(1)),
                  row.at("goal").get<std::string>()};
        need(addRecipe(book, r, known, when), r.name);
    }
}

void addMenus(book::Book& book, const json& kitchen, const book::When& when) {
    const auto known = need(loadKitchen(book), "kitchen");
    for (const json& row : kitchen.at("menus")) {
        plan::Menu menu;
        menu.id = row.at("id").get<std::string>();
        menu.name = row.at("name").get<std::string>();
        menu.siteId = row.at("site").get<std::string>();
        menu.cooks = row.at("cooks").get<std::vector<std::string>>();
        menu.serveMin = need(plan::parseClock(row.at("serve").get<std::string>()), menu.name);
        menu.notBeforeMin =
            need(plan::parseClock(row.at("not_before").get<std::string>()), menu.name);
        for (const json& one : row.at("dishes")) {
            plan::MenuDish dish;
            dish.recipeId = one.at("recipe").get<std::string>();
            dish.id = dish.recipeId;
            dish.cook = one.value("cook", "");
            dish.lateS = 60 * one.at("late_min").get<double>();
            if (one.contains("appliance"))
                dish.place =
                    translate::Target{one.at("appliance").get<std::string>(),
                                      one.at("zone").get<std::string>(), one.value("vessel", "")};
            menu.dishes.push_back(dish);
        }
        need(addMenu(book, menu, known, when), menu.name);
    }
}

} // namespace

int main(int argc, char** argv) {
    if (argc != 4) {
        std::fprintf(stderr, "usage: make_book kitchen.json LOGS BOOK\n");
        return 2;
    }
    const json kitchen = json::parse(need(formats::readTextFile(argv[1]), argv[1]));
    const std::string path = argv[3];
    for (const char* part : {"", "-wal", "-shm", "-lock"})
        std::filesystem::remove(path + part);
    const book::When when = on("2026-10-20", 8);
    {
        book::Book book = need(book::Book::create(path, when), path);
        addPlacesAndThings(book, kitchen, when);
        addTests(book, kitchen, argv[2]);
        addRecipes(book, kitchen, when);
        addMenus(book, kitchen, when);
        demo::addCooks(book);
        book.database().exec("PRAGMA wal_checkpoint(TRUNCATE)");
    }
    std::filesystem::remove(path + "-lock");
    return 0;
}
