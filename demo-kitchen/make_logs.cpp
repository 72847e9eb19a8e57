// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Writes the demo kitchen's logs: reads demo-kitchen/kitchen.json, runs the generator on the stated
// truth of every test and leaves one CSV a test, in the ways that loggers really write.
#include "generator/bodies.h"

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

void writeZone(const json& test, const std::string& path, std::uint64_t seed) {
    const json& truth = test.at("truth");
    generator::Zone zone;
    zone.operativeC = truth.at("zone_C").get<double>();
    zone.lidAboveC = truth.at("lid_above_C").get<double>();
    const auto run = generator::readZone(zone, 3, {1, 0.7, 1, 0.4, 1}, seed);
    std::ofstream out(path);
    out << "probe_C,dial_C\n";
    for (std::size_t i = 0; i < run.probe.size(); ++i)
        out << run.probe[i] << ',' << run.dial[i] << '\n';
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
        const std::string protocol = test.at("protocol").get<std::string>();
        char name[32];
        std::snprintf(name, sizeof name, "/test-%02d.csv", ++number);
        const std::string path = argv[2] + std::string(name);
        ++seed;
        if (protocol == "preheat")
            writePreheat(test, path, seed);
        else if (protocol == "block")
            writeBlock(test, path, seed);
        else if (protocol == "water-heat-up")
            writeWater(test, path, seed);
        else
            writeZone(test, path, seed);
    }
    // One log that nobody has imported yet: something to do in the five-minute walk.
    const json spare{{"setting", "oven=180C"},
                     {"truth", {{"dial_error_C", 10}, {"hysteresis_C", 7}}}};
    writePreheat(spare, argv[2] + std::string("/deck-180-evening.csv"), 77);
    return 0;
}
