// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "simkitchen/kitchen.h"

#include "simkitchen/fires.h"
#include "simkitchen/hob.h"
#include "simkitchen/oven.h"

#include <cmath>
#include <cstdio>
#include <sstream>

namespace simkitchen {
namespace {

std::vector<std::string> wordsOf(const std::string& line) {
    std::istringstream in(line);
    std::vector<std::string> out;
    for (std::string word; in >> word;)
        out.push_back(word);
    return out;
}

bool numberOf(const std::string& word, double& value) {
    char* end = nullptr;
    value = std::strtod(word.c_str(), &end);
    return end == word.c_str() + word.size() && !word.empty() && std::isfinite(value);
}

/// The words from one on, joined again: names of points may have blanks.
std::string from(const std::vector<std::string>& words, std::size_t at) {
    std::string out;
    for (std::size_t i = at; i < words.size(); ++i)
        out += (i > at ? " " : "") + words[i];
    return out;
}

Channel probe(int number, Sensing sensing) {
    return {std::to_string(number), "probe " + std::to_string(number), "C", sensing, "", "", 0};
}

} // namespace

Kitchen::Kitchen(unsigned seed) : random_(seed) {
    std::normal_distribution<double> normal(0, 1);
    const auto about = [&](double mean, double share) {
        return mean * (1 + share * normal(random_));
    };
    made_.thicknessM = about(0.038, 0.08);
    made_.conductivity = about(0.47, 0.05);
    made_.heatPerVolume = about(3.65e6, 0.04);
    made_.driesAt = about(0.8, 0.25);
    made_.startC = 6 + 2 * normal(random_);
    OvenMake oven;
    oven.dialReads = -14 + 6 * normal(random_);
    oven.blockAir = about(13, 0.1);
    oven.elementW = about(2600, 0.05);
    BurnerMake burner;
    burner.fullW = about(2100, 0.08);
    burner.plateToAir = about(9, 0.1);
    VatMake bath, fryer;
    bath.heaterW = about(1100, 0.08);
    bath.toRoom = about(3.1, 0.1);
    fryer.heaterW = about(1850, 0.06);
    fryer.liquidKg = 3;
    fryer.liquidJ_kgK = 1970; // of a frying oil at 20 °C, and how much more per kelvin
    fryer.perK = 3.4;
    fryer.toRoom = about(2.5, 0.2);
    fryer.dialReads = -4;
    fryer.hysteresisC = 4;
    GrillMake grill;
    grill.burnerW = about(4100, 0.1);
    KettleMake kettle;
    kettle.perCoalW = about(62, 0.1);
    appliances_["oven"] = std::make_unique<Oven>(oven, room_);
    appliances_["burner"] = std::make_unique<Burner>(burner, room_);
    appliances_["bath"] = std::make_unique<Vat>("bath", bath, room_);
    appliances_["fryer"] = std::make_unique<Vat>("fryer", fryer, room_);
    appliances_["grill"] = std::make_unique<Grill>(grill, room_);
    appliances_["kettle"] = std::make_unique<Kettle>(kettle, room_);
    Instrument thermometer{
        "thermometer", "thermometer", "Four simulated probes", "0017", false, 1, {}, true, 0};
    for (int i = 1; i <= 4; ++i)
        thermometer.channels.push_back(
            probe(i, {3, 0.35 * normal(random_), 1 + 0.003 * normal(random_), 0.1, 0.1, -50, 400,
                      0.002}));
    Instrument bench{"bench", "thermometer", "Simulated bench meter", "0101", true, 1, {}, true, 0};
    for (int i = 1; i <= 2; ++i)
        bench.channels.push_back(probe(i, {1, 0.1 * normal(random_), 1, 0.02, 0, -200, 900, 0}));
    Instrument scale{"scale", "scale", "Simulated scale", "0203", false, 1, {}, true, 0};
    scale.channels.push_back({"1",
                              "weight",
                              "g",
                              {0.5, 1 * normal(random_), 1, 0.3, 1, 0, 12000, 0},
                              "burner",
                              "kg",
                              0});
    Instrument meter{"meter", "meter", "Simulated energy meter", "0304", false, 1, {}, true, 0};
    meter.channels.push_back({"1", "power", "W", {1, 0, 1, 0.5, 1, 0, 4000, 0}, "burner", "W", 0});
    meter.channels.push_back(
        {"2", "energy", "Wh", {0, 0, 1, 0, 0.1, 0, 1e6, 0}, "burner", "Wh", 0});
    instruments_ = {thermometer, bench, scale, meter};
}

Instrument* Kitchen::instrument(const std::string& id) {
    for (Instrument& one : instruments_)
        if (one.id == id)
            return &one;
    return nullptr;
}

double Kitchen::truthOf(const Channel& channel) const {
    const auto at = appliances_.find(channel.appliance);
    if (at == appliances_.end())
        return channel.appliance == "room"  ? room_.airC
               : channel.appliance == "ice" ? 0
                                            : std::numeric_limits<double>::quiet_NaN();
    if (channel.point == "kg")
        return 1000 * at->second->kilograms();
    if (channel.point == "W")
        return at->second->watts();
    if (channel.point == "Wh") {
        const auto used = wattHours_.find(channel.appliance);
        return used == wattHours_.end() ? 0 : used->second;
    }
    if (channel.point == "core" || channel.point == "face") {
        const auto piece = pieces_.find(channel.appliance);
        return piece == pieces_.end()    ? room_.airC
               : channel.point == "core" ? piece->second.coreC()
                                         : piece->second.faceC();
    }
    return at->second->at(channel.point);
}

void Kitchen::step(double seconds) {
    for (auto& [name, appliance] : appliances_) {
        appliance->step(room_, seconds);
        if (const double watt = appliance->watts(); !std::isnan(watt))
            wattHours_[name] += watt * seconds / 3600;
    }
    for (auto& [name, piece] : pieces_) {
        const Appliance::Around around = appliances_.at(name)->around();
        piece.step(around.airC, around.wallC, around.convective, seconds);
    }
    for (Instrument& instrument : instruments_)
        for (Channel& channel : instrument.channels)
            follow(channel, truthOf(channel), seconds);
    nowS_ += seconds;
}

std::string Kitchen::turn(const std::vector<std::string>& words) {
    double value = 0;
    if (words.size() != 4 || !numberOf(words[3], value))
        return "no: set APPLIANCE KNOB NUMBER";
    const auto at = appliances_.find(words[1]);
    if (at == appliances_.end())
        return "no: there is no " + words[1];
    return at->second->set(words[2], value) ? "ok" : "no: it has no " + words[2] + " for that";
}

std::string Kitchen::put(const std::vector<std::string>& words, bool in) {
    if (words.size() < 3)
        return "no: put APPLIANCE THING, take APPLIANCE THING";
    const auto at = appliances_.find(words[1]);
    if (at == appliances_.end())
        return "no: there is no " + words[1];
    if (from(words, 2) == "piece") { // a piece of food, in any of them
        pieces_.erase(words[1]);
        if (in)
            pieces_.emplace(words[1], Piece(made_));
        return "ok";
    }
    return at->second->put(from(words, 2), in) ? "ok" : "no: it takes no " + from(words, 2);
}

/// plug INSTRUMENT CHANNEL APPLIANCE POINT; plug INSTRUMENT CHANNEL alone leaves it open.
std::string Kitchen::plug(const std::vector<std::string>& words) {
    if (words.size() < 3)
        return "no: plug INSTRUMENT CHANNEL APPLIANCE POINT";
    Instrument* one = instrument(words[1]);
    if (!one)
        return "no: there is no " + words[1];
    for (Channel& channel : one->channels) {
        if (channel.key != words[2])
            continue;
        Channel to = channel;
        to.appliance = words.size() > 3 ? words[3] : "";
        to.point = from(words, 4);
        if (!to.appliance.empty() && std::isnan(truthOf(to)))
            return "no: there is no such point";
        to.lagged = truthOf(to);
        channel = to;
        return "ok";
    }
    return "no: it has no channel " + words[2];
}

std::string Kitchen::list() const {
    std::string out = "ok";
    for (const auto& [name, appliance] : appliances_) {
        out += "|appliance " + name;
        for (const std::string& knob : appliance->knobs())
            out += "|knob " + name + " " + knob;
        for (const std::string& point : appliance->points())
            out += "|point " + name + " " + point;
        for (const char* point : {"core", "face"})
            out += "|point " + name + " " + point;
        for (const std::string& thing : appliance->things())
            out += "|thing " + name + " " + thing;
        out += "|thing " + name + " piece";
    }
    for (const Instrument& instrument : instruments_)
        out += "|instrument " + instrument.id + " " + std::to_string(instrument.channels.size());
    return out;
}

std::string Kitchen::truths() const {
    std::string out = "ok";
    for (const auto& [name, appliance] : appliances_)
        for (const Truth& truth : appliance->truths(room_)) {
            char value[40];
            std::snprintf(value, sizeof value, "%.6g", truth.value);
            out += "|" + name + " " + truth.test + " " + truth.name + " " + value;
        }
    return out;
}

std::string Kitchen::control(const std::string& line) {
    const auto words = wordsOf(line);
    if (words.empty())
        return "no: say list, set, put, take, plug, unplug, replug, wind, air, now or truth";
    const std::string& verb = words.front();
    double value = 0;
    if (verb == "list")
        return list();
    if (verb == "truth")
        return truths();
    if (verb == "now") {
        char text[40];
        std::snprintf(text, sizeof text, "ok %.2f", nowS_);
        return text;
    }
    if (verb == "set")
        return turn(words);
    if (verb == "put" || verb == "take")
        return put(words, verb == "put");
    if (verb == "plug")
        return plug(words);
    if ((verb == "unplug" || verb == "replug") && words.size() == 2) {
        Instrument* one = instrument(words[1]);
        if (!one)
            return "no: there is no " + words[1];
        one->plugged = verb == "replug";
        return "ok";
    }
    if ((verb == "wind" || verb == "air") && words.size() == 2 && numberOf(words[1], value)) {
        (verb == "wind" ? room_.windMPerS : room_.airC) = value;
        return "ok";
    }
    return "no: " + verb + " is not understood";
}

} // namespace simkitchen
