// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Builds the demo book: kitchen.json and the generated logs go through the program's own reading,
// reductions and book; no result is written by hand.
#include "book/kitchen_store.h"
#include "book/recipe_store.h"
#include "book/test_store.h"
#include "formats/csv_rows.h"
#include "formats/csv_sniff.h"
#include "formats/text_file.h"
#include "rating/needed_values.h"

#include <chrono>
#include <cstdio>
#include <cstdlib>
#include <cstring>
#include <filesystem>
#include <nlohmann/json.hpp>

namespace {

using namespace dynamet;
using nlohmann::json;

template <class T>
T need(Result<T> result, const std::string& what) {
    if (result)
        return std::move(*result);
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
    for (const json& row : kitchen.at("instruments")) {
        kitchen::Instrument i;
        i.id = row.at("id").get<std::string>();
        i.name = row.at("name").get<std::string>();
        i.kind = row.at("kind") == "scale" ? kitchen::InstrumentKind::scale
                                           : kitchen::InstrumentKind::probe;
        i.accuracy = row.at("accuracy_K").get<double>();
        i.resolution = row.at("resolution").get<double>();
        if (row.contains("high_limit_C"))
            i.highLimit = row.at("high_limit_C").get<double>() + kZeroCelsiusK;
        need(addInstrument(book, i, when), "instrument");
    }
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

std::string roleOf(const std::string& protocol, const std::string& column, bool plate) {
    if (protocol == "water-heat-up")
        return "water";
    if (protocol == "preheat")
        return plate ? "plate" : "air";
    return column.find("Block") != std::string::npos ? "block" : "air";
}

void readLog(const std::string& path, bool plate, book::TestRecord& test) {
    const std::string text = need(formats::readTextFile(path), path);
    const auto dialect = need(formats::sniffCsv(text), path);
    const auto log = need(formats::parseCsv(text, dialect), path);
    if (test.protocol == "zone-sweep") {
        for (std::size_t c = 0; c < log.channels.size(); ++c)
            for (double v : log.channels[c].asRecorded)
                test.keyed[c == 0 ? "probe" : "dial"].push_back(
                    {v + kZeroCelsiusK, std::to_string(static_cast<int>(v)) + " C"});
        return;
    }
    for (const auto& channel : log.channels)
        test.channels.push_back({roleOf(test.protocol, channel.name, plate), channel.name,
                                 unitSign(channel.unit), "", log.timeS, channel.asRecorded,
                                 channel.resolution});
    test.fileName = std::filesystem::path(path).filename().string();
    test.fileSha256 = formats::sha256(text);
    test.dialectJson = formats::dialectJson(dialect);
}

/// What the cook typed for these values, in the units of the fields.
std::map<std::string, std::string> typedFor(const book::TestRecord& test) {
    std::map<std::string, std::string> out;
    for (const rating::NeededValue& value : rating::findProtocol(test.protocol)->values)
        if (const auto at = test.values.find(value.name); at != test.values.end()) {
            const double number = value.celsius ? at->second : at->second / value.siPerUnit;
            char text[48];
            std::snprintf(text, sizeof text, "%g %s", number, value.unit.c_str());
            out[value.name] = value.unit.empty() ? std::string(text, std::strlen(text) - 1) : text;
        }
    return out;
}

void addTests(book::Book& book, const json& kitchen, const std::string& folder) {
    int number = 0;
    for (const json& row : kitchen.at("tests")) {
        char name[32];
        std::snprintf(name, sizeof name, "/test-%02d.csv", ++number);
        book::TestRecord test;
        test.id = book::newId();
        test.applianceId = row.at("appliance").get<std::string>();
        test.protocol = row.at("protocol").get<std::string>();
        test.setting = row.at("setting").get<std::string>();
        const json& truth = row.at("truth");
        const bool water = test.protocol == "water-heat-up";
        test.zone =
            row.value("zone", water ? "pan" : (test.applianceId == "basket" ? "basket" : "middle"));
        test.vesselId = water ? "steel-pan" : "";
        test.siteId = "saltmarsh";
        test.operatorName = row.at("by").get<std::string>();
        test.fanOn = truth.value("fan", false);
        test.lidOn = true;
        test.started = on(row.at("day").get<std::string>(), 9 + number % 8);
        if (water)
            test.values = {
                {"water_kg", 1.5}, {"pot_kg", 1.9}, {"ambient_C", 21}, {"altitude_m", 6}};
        if (test.protocol == "preheat")
            test.values = {{"set_C", std::stod(test.setting.substr(test.setting.find('=') + 1))},
                           {"limit_C", 350}};
        if (test.protocol == "block")
            test.values = {{"mass_kg", 0.0462}, {"area_m2", 0.0065}, {"emissivity", 0.95}};
        if (test.protocol == "zone-sweep")
            test.values = {{"waited_s", 1500}, {"limit_C", 350}};
        test.typed = typedFor(test);
        readLog(folder + name, truth.value("plate", false), test);
        need(addTest(book, test, test.started), test.setting);
        const auto reduction =
            need(rating::reduce(inputOf(test)), test.applianceId + " " + test.setting);
        std::printf("%-13s %-14s %-34s %s\n", test.applianceId.c_str(), test.protocol.c_str(),
                    test.setting.c_str(), reduction.sentence.c_str());
        need(saveReduction(book, test.id, reduction, test.values, "", test.started), test.setting);
    }
}

void addRecipes(book::Book& book, const json& kitchen, const book::When& when) {
    for (const json& row : kitchen.at("recipes")) {
        book::RecipeRecord r;
        r.id = row.at("id").get<std::string>();
        r.name = row.at("name").get<std::string>();
        r.author = row.at("author").get<std::string>();
        r.text = row.at("text").get<std::string>();
        r.reference.applianceId = row.at("appliance").get<std::string>();
        r.settingText = row.at("setting").get<std::string>();
        r.reference.zone = row.at("zone").get<std::string>();
        r.reference.vesselId = row.value("vessel", "");
        r.piece.food = need(food::findFood(row.at("food").get<std::string>()), "food");
        r.piece.form = *food::formOf(row.at("form").get<std::string>());
        r.piece.thicknessM = row.at("thickness_mm").get<double>() / 1000;
        r.piece.startK = row.at("start_C").get<double>() + kZeroCelsiusK;
        const auto k = [](const json& c) { return c.get<double>() + kZeroCelsiusK; };
        r.goal = {k(row.at("core_C")),
                  row.at("read_at") == "pull" ? food::ReadAt::pull : food::ReadAt::peak,
                  k(row.at("band_C").at(0)), k(row.at("band_C").at(1)),
                  row.at("goal").get<std::string>()};
        need(addRecipe(book, r, when), r.name);
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
        book.database().exec("PRAGMA wal_checkpoint(TRUNCATE)");
    }
    std::filesystem::remove(path + "-lock");
    return 0;
}
