// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "simkitchen/oven.h"

#include <cmath>
#include <limits>

namespace simkitchen {
namespace {

constexpr double kStefanBoltzmann = 5.670374419e-8, kIce = 273.15;
constexpr double kWallSeen = 1; ///< a small body in a large cavity: its own blackness counts

double nothing() {
    return std::numeric_limits<double>::quiet_NaN();
}

/// Where a surface would stay between air and what it sees, by halving.
double restsAt(double airC, double wallC, double convective, double black) {
    double low = std::min(airC, wallC) - 1, high = std::max(airC, wallC) + 1;
    for (int i = 0; i < 60; ++i) {
        const double c = (low + high) / 2;
        const double in =
            convective * (airC - c) +
            black * kStefanBoltzmann * (std::pow(wallC + kIce, 4) - std::pow(c + kIce, 4));
        (in > 0 ? low : high) = c;
    }
    return (low + high) / 2;
}

} // namespace

Oven::Oven(const OvenMake& make, const Room& room)
    : make_(make), element_(net_.add(make.elementJ_K, room.airC)),
      air_(net_.add(make.airJ_K, room.airC)), wall_(net_.add(make.wallJ_K, room.airC)),
      room_(net_.add(Network::kInfinite, room.airC)),
      block_(net_.add(kBlockKg * kBlockJ_kgK, room.airC)), bulbC_(room.airC) {
    net_.conduct(element_, air_, make.elementToAir);
    net_.radiate(element_, wall_, make.elementToWallM2);
    net_.conduct(air_, wall_, make.airToWall);
    net_.conduct(wall_, room_, make.wallToRoom);
    airOut_ = net_.conduct(air_, room_, make.airToRoom);
    blockAir_ = net_.conduct(block_, air_, 0);
    blockWall_ = net_.radiate(block_, wall_, 0);
}

void Oven::step(const Room& room, double seconds) {
    net_.setTemperature(room_, room.airC);
    const double switches = dialC_ + make_.dialReads;
    if (dialC_ <= 0 || bulbC_ > switches + make_.hysteresisC)
        heating_ = false;
    else if (bulbC_ < switches - make_.hysteresisC)
        heating_ = true;
    net_.heat(element_, heating_ ? make_.elementW : 0);
    // Hot aluminium holds more: 24.2 J/mol K at 25 °C, 25.8 at 127 °C (from memory).
    constexpr double kPerK = 0.00065, kCool = 25;
    net_.setCapacity(block_, kBlockKg * kBlockJ_kgK * (1 + kPerK * (net_.at(block_) - kCool)));
    net_.step(seconds);
    bulbC_ += (net_.at(air_) - bulbC_) * (1 - std::exp(-seconds / make_.bulbLagS));
}

bool Oven::set(const std::string& knob, double value) {
    if (knob == "dial" && value >= 0 && value <= 280)
        dialC_ = value;
    else if (knob == "door" && (value == 0 || value == 1)) {
        open_ = value == 1;
        net_.setConduct(airOut_, open_ ? make_.doorOpen : make_.airToRoom);
    } else
        return false;
    return true;
}

bool Oven::put(const std::string& thing, bool in) {
    if (thing != "block")
        return false;
    block_in_ = in;
    net_.setConduct(blockAir_, in ? make_.blockAir * kBlockM2 : 0);
    net_.setRadiate(blockWall_, in ? kBlockBlack * kWallSeen * kBlockM2 : 0);
    if (in)
        net_.setTemperature(block_, net_.at(room_));
    return true;
}

Appliance::Around Oven::around() const {
    return {net_.at(air_), net_.at(wall_), make_.blockAir};
}

double Oven::at(const std::string& point) const {
    const double air = net_.at(air_);
    const double hot = air - net_.at(room_); // places differ as the cavity is hot
    const auto beside = [&](double c) { return air + c * hot / 160; };
    if (point == "air" || point == "middle")
        return air;
    if (point == "front")
        return beside(make_.spreadFrontC);
    if (point == "back")
        return beside(make_.spreadBackC);
    if (point == "top")
        return beside(make_.spreadTopC);
    if (point == "block")
        return block_in_ ? net_.at(block_) : net_.at(room_);
    return nothing();
}

std::vector<std::string> Oven::points() const {
    return {"air", "middle", "front", "back", "top", "block"};
}

std::vector<Truth> Oven::truths(const Room& room) const {
    if (dialC_ <= 0)
        return {};
    Oven empty = *this;
    empty.put("block", false);
    empty.set("door", 0);
    double air = 0, wall = 0;
    constexpr int kSettle = 4 * 3600, kMean = 3 * 3600;
    for (int s = 0; s < kSettle + kMean; ++s) {
        empty.step(room, 1);
        if (s >= kSettle) {
            air += empty.net_.at(air_) / kMean;
            wall += empty.net_.at(wall_) / kMean;
        }
    }
    const double black = kBlockBlack * kWallSeen;
    const double rests = restsAt(air, wall, make_.blockAir, black);
    // About where the block rests: what one kelvin less brings in.
    const double total = make_.blockAir + 4 * black * kStefanBoltzmann * std::pow(rests + kIce, 3);
    return {{"preheat", "air_K", air + kIce},
            {"block", "effective_K", rests + kIce},
            {"block", "h_total_W_m2K", total}};
}

} // namespace simkitchen
