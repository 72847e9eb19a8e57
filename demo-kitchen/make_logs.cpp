// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Writes the demo kitchen's logs: reads demo-kitchen/kitchen.json, runs the generator on the stated
// truth of every test and leaves one CSV a test, in the ways that loggers really write.
#include "generator/bodies.h"
#include "generator/fires.h"
#include "generator/liquids.h"
#include "generator/plates.h"

#include <cmath>
#include <cstdio>
#include <filesystem>
#include <fstream>
#include <nlohmann/json.hpp>

namespace {

using nlohmann::json;

std::string clockText(double seconds) {
    const int s = static_cast<int>(seconds) + 14 * 3600 + 5 * 60;
    char text[16];
    std::snprintf(text, sizeof text, "%02d:%02d:%02d", s / 3600 % 24, s / 60 % 60, s % 60);
    return text;
}

std::string comma(double value) {
    char text[32];
    std::snprintf(text, sizeof text, "%.1f", value);
    for (char& c : text)
        if (c == '.')
            c = ',';
    return text;
}

generator::Cavity cavityOf(const json& truth) {
    generator::Cavity c;
    c.dialErrorC = truth.value("dial_error_C", 0.0);
    c.hysteresisC = truth.value("hysteresis_C", 6.0);
    if (truth.value("small", false)) {
        c.metalJ_K = 3200;
        c.heaterW = 1500;
        c.bulbLagS = 15;
    }
    return c;
}

/// "oven=180C" → 180.
double dialOf(const std::string& setting) {
    return std::stod(setting.substr(setting.find('=') + 1));
}

void writePreheat(const json& test, const std::string& path, std::uint64_t seed) {
    const json& truth = test.at("truth");
    generator::Cavity cavity = cavityOf(truth);
    const bool plate = truth.value("plate", false);
    if (plate) {
        cavity.metalJ_K = 12000;
        cavity.heaterW = 5200;
        cavity.airToRoomW_K = 9;
        cavity.airJ_K = 9000;
        cavity.metalToAirW_K = 90;
    }
    const auto run =
        generator::preheat(cavity, dialOf(test.at("setting").get<std::string>()),
                           plate ? 4200 : 3900, 5, {plate ? 8.0 : 70.0, 0.4, 1, 0.15, 0.1}, seed);
    std::ofstream out(path);
    out << "Time;Probe B (°C)\n";
    for (std::size_t i = 0; i < run.air.seconds.size(); ++i)
        out << clockText(run.air.seconds[i]) << ';' << comma(run.air.celsius[i]) << '\n';
}

void writeBlock(const json& test, const std::string& path, std::uint64_t seed) {
    const json& truth = test.at("truth");
    generator::Block block;
    block.massKg = 0.0462;
    block.airW_m2K = truth.at("h").get<double>();
    block.wallsAboveAirC = truth.at("walls_C").get<double>();
    block.emissivity = 0.94;
    block.cJ_kgK = 896;
    const auto run = generator::blockInCavity(
        cavityOf(truth), dialOf(test.at("setting").get<std::string>()), block, 1500, 2,
        {2, -0.3, 1, 0.12, 0.1}, {90, 0.6, 1, 0.15, 0.1}, seed);
    std::ofstream out(path);
    out << "# two-channel logger, block and air\nelapsed_s,Block (F),Air (F)\n";
    for (std::size_t i = 0; i < run.block.seconds.size(); ++i) {
        char line[96];
        std::snprintf(line, sizeof line, "%.0f,%.1f,%.1f\n", run.block.seconds[i],
                      run.block.celsius[i] * 1.8 + 32, run.air.celsius[i] * 1.8 + 32);
        out << line;
    }
}

void writeWater(const json& test, const std::string& path, std::uint64_t seed) {
    const json& truth = test.at("truth");
    generator::Pot pot;
    pot.netW = truth.at("net_W").get<double>();
    pot.potKg = truth.at("pan_kg").get<double>();
    pot.startC = 14;
    pot.roomC = 21;
    const auto run = generator::heatPot(pot, 88, 5, {4, 0.2, 1.006, 0.1, 0.1}, seed);
    std::ofstream out(path);
    out << "timestamp,water_degC\n";
    for (std::size_t i = 0; i < run.water.seconds.size(); ++i) {
        char line[64];
        const std::string day = test.at("day").get<std::string>();
        std::snprintf(line, sizeof line, "%sT%sZ,%.1f\n", day.c_str(),
                      clockText(run.water.seconds[i]).c_str(), run.water.celsius[i]);
        out << line;
    }
}

/// Readings that are typed: one line a role, as a cook would note them.
using Notes = std::vector<std::pair<std::string, std::vector<double>>>;
void writeNotes(const Notes& notes, const std::string& path) {
    std::ofstream out(path);
    for (const auto& [role, readings] : notes) {
        out << role << ':';
        for (double v : readings)
            out << ' ' << v;
        out << '\n';
    }
}

double rounded(double value, double step) {
    return std::round(value / step) * step;
}

void writeZone(const json& test, const std::string& path, std::uint64_t seed) {
    const json& truth = test.at("truth");
    if (truth.contains("air_C")) { // a thin and a thick probe side by side
        std::mt19937_64 random(seed);
        std::normal_distribution<double> normal(0, 1.5);
        const double air = truth.at("air_C").get<double>(),
                     radiant = truth.at("radiant_C").get<double>();
        std::vector<double> thin, thick;
        for (int i = 0; i < 3; ++i) {
            thin.push_back(
                rounded(generator::probeShows(air, radiant, {1.5}) + normal(random), 0.5));
            thick.push_back(
                rounded(generator::probeShows(air, radiant, {4}) + normal(random), 0.5));
        }
        writeNotes({{"probe", thin}, {"thick", thick}}, path);
        return;
    }
    generator::Zone zone;
    zone.operativeC = truth.at("zone_C").get<double>();
    zone.lidAboveC = truth.at("lid_above_C").get<double>();
    zone.limitC = 320;
    const auto run = generator::readZone(zone, 3, {1, 0.7, 1, 0.4, 1}, seed);
    writeNotes({{"probe", run.probe}, {"dial", run.dial}}, path);
}

void writeMap(const json& truth, const std::string& path, std::uint64_t seed) {
    std::mt19937_64 random(seed);
    std::normal_distribution<double> normal(0, truth.at("spread_C").get<double>() / 2);
    std::vector<double> spots;
    for (int i = 0; i < truth.at("spots").get<int>(); ++i)
        spots.push_back(truth.at("mean_C").get<double>() + normal(random));
    generator::Gun gun;
    gun.surfaceEmissivity = truth.at("emissivity").get<double>();
    std::vector<double> shown = generator::aim(spots, gun);
    for (double& c : shown)
        c = rounded(c, 0.5);
    writeNotes({{"spot", shown}}, path);
}

void writeCoals(const json& truth, const std::string& path, std::uint64_t seed) {
    std::mt19937_64 random(seed);
    generator::IronOven oven{truth.at("under_K").get<double>(), truth.at("lid_K").get<double>(), 9,
                             5, 0.5};
    Notes notes{{"under", {}}, {"lid", {}}, {"inside", {}}};
    for (const json& run : truth.at("runs")) {
        const int under = run.at(0).get<int>(), lid = run.at(1).get<int>();
        notes[0].second.push_back(under);
        notes[1].second.push_back(lid);
        notes[2].second.push_back(std::round(insideReading(oven, under, lid, random)));
    }
    writeNotes(notes, path);
}

/// Logs with one or two columns of °C over elapsed seconds.
void writeColumns(const std::string& header, const std::vector<const generator::Log*>& logs,
                  const std::string& path) {
    std::ofstream out(path);
    out << header << '\n';
    for (std::size_t i = 0; i < logs.front()->seconds.size(); ++i) {
        out << logs.front()->seconds[i];
        for (const generator::Log* log : logs)
            out << ',' << log->celsius[i];
        out << '\n';
    }
}

void writeFire(const json& truth, const std::string& path, std::uint64_t seed) {
    generator::Fire fire;
    fire.fuelKg = truth.at("fuel_kg").get<double>();
    const auto run = generator::burn(fire, 5.5 * 3600, 15, {20, 1, 1, 1.0, 0.5}, seed);
    writeColumns("elapsed_s,Air (C)", {&run.air}, path);
}

void writeFace(const json& truth, const std::string& path, std::uint64_t seed) {
    generator::Face face;
    face.fallsInW_m2 = truth.at("falls_W").get<double>();
    face.airC = truth.at("air_C").get<double>();
    face.airW_m2K = truth.at("h").get<double>();
    const auto run = generator::face(face, 310, 900, {1.5, 0.5, 1, 0.2, 0.1}, seed);
    writeColumns("elapsed_s,Block (C)", {&run.block}, path);
}

void writeVat(const json& test, const std::string& path, std::uint64_t seed) {
    const json& truth = test.at("truth");
    generator::Vat vat;
    vat.heaterW = truth.at("heater_W").get<double>();
    vat.liquidKg = truth.at("kg").get<double>();
    vat.toRoomW_K = truth.value("loss_W_K", 3.0);
    vat.oil = test.at("protocol") == "oil-heat-up";
    const auto run =
        vat.oil ? generator::heatVat(vat, 1e9, 186, 7200, 2, {4, -0.5, 1, 0.2, 0.1}, seed)
                : generator::heatVat(vat, 2700, 200, 10800, 10, {5, 0.1, 1, 0.05, 0.05}, seed);
    writeColumns(vat.oil ? "elapsed_s,Oil (C)" : "elapsed_s,Water (C)", {&run.liquid}, path);
}

void writeDip(const json& truth, const std::string& path, std::uint64_t seed) {
    generator::Plate plate;
    plate.capacityJ_m2K = truth.at("capacity").get<double>();
    plate.lossAt230W_m2K = truth.at("loss").get<double>();
    const auto run = generator::dip(plate, truth.at("start_C").get<double>(), {}, 900,
                                    {3, 0.4, 1, 0.15, 0.1}, {3, 0, 1, 0.15, 0.1}, seed);
    writeColumns("elapsed_s,Plate (C),Load (C)", {&run.plate, &run.load}, path);
}

/// A bath or an oil under its thermostat: a slow, tight cavity of liquid.
void writeLiquidPreheat(const json& test, const std::string& path, std::uint64_t seed) {
    const json& truth = test.at("truth");
    const bool oil = truth.value("oil", false);
    generator::Cavity c;
    c.dialErrorC = truth.at("dial_error_C").get<double>();
    c.hysteresisC = oil ? 2.5 : 0.15;
    c.heaterW = oil ? 2700 : 1040;
    c.metalJ_K = oil ? 900 : 700;
    c.airJ_K = oil ? 9500 : 58000;
    c.metalToAirW_K = 90;
    c.metalToRoomW_K = 0.2;
    c.airToRoomW_K = oil ? 3 : 4.6;
    c.bulbLagS = oil ? 12 : 4;
    const auto run = generator::preheat(c, dialOf(test.at("setting").get<std::string>()),
                                        oil ? 3600 : 7200, 5, {4, 0.2, 1, 0.05, 0.05}, seed);
    writeColumns(oil ? "elapsed_s,Oil (C)" : "elapsed_s,Water (C)", {&run.air}, path);
}

void writeTest(const json& test, const std::string& path, std::uint64_t seed) {
    const std::string protocol = test.at("protocol").get<std::string>();
    const json& truth = test.at("truth");
    if (protocol == "preheat" && (truth.value("bath", false) || truth.value("oil", false)))
        writeLiquidPreheat(test, path, seed);
    else if (protocol == "preheat")
        writePreheat(test, path, seed);
    else if (protocol == "block")
        writeBlock(test, path, seed);
    else if (protocol == "water-heat-up")
        writeWater(test, path, seed);
    else if (protocol == "zone-sweep")
        writeZone(test, path, seed);
    else if (protocol == "surface-map")
        writeMap(truth, path, seed);
    else if (protocol == "coal-count")
        writeCoals(truth, path, seed);
    else if (protocol == "burn-down")
        writeFire(truth, path, seed);
    else if (protocol == "one-face-block")
        writeFace(truth, path, seed);
    else if (protocol == "load-dip")
        writeDip(truth, path, seed);
    else
        writeVat(test, path, seed);
}

} // namespace

int main(int argc, char** argv) {
    if (argc != 3) {
        std::fprintf(stderr, "usage: make_logs kitchen.json FOLDER\n");
        return 2;
    }
    std::ifstream in(argv[1]);
    const json kitchen = json::parse(in);
    std::filesystem::create_directories(argv[2]);
    std::uint64_t seed = 100;
    int number = 0;
    for (const json& test : kitchen.at("tests")) {
        char name[32];
        std::snprintf(name, sizeof name, "/test-%02d.csv", ++number);
        writeTest(test, argv[2] + std::string(name), ++seed);
    }
    // One log that nobody has imported yet: something to do in the five-minute walk.
    const json spare{{"setting", "oven=180C"},
                     {"truth", {{"dial_error_C", 10}, {"hysteresis_C", 7}}}};
    writePreheat(spare, argv[2] + std::string("/deck-180-evening.csv"), 77);
    return 0;
}
