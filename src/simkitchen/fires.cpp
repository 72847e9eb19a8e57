// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "simkitchen/fires.h"

#include <cmath>
#include <limits>

namespace simkitchen {
namespace {

constexpr double kIce = 273.15;

double nothing() {
    return std::numeric_limits<double>::quiet_NaN();
}

} // namespace

Grill::Grill(const GrillMake& make, const Room& room)
    : make_(make), lid_(net_.add(make.lidJ_K, room.airC)),
      room_(net_.add(Network::kInfinite, room.airC)) {
    for (int z = 0; z < 2; ++z) {
        air_[z] = net_.add(make.airJ_K, room.airC);
        grate_[z] = net_.add(make.grateJ_K, room.airC);
        net_.conduct(grate_[z], air_[z], make.grateToAir);
        net_.conduct(air_[z], lid_, make.airToLid / 2);
        out_[z] = net_.conduct(air_[z], room_, make.draught);
    }
    net_.conduct(air_[0], air_[1], make.mixes);
    lidOut_ = net_.conduct(lid_, room_, make.lidToRoom);
}

void Grill::step(const Room& room, double seconds) {
    constexpr double kInAir = 0.55, kOpen = 22;
    net_.setTemperature(room_, room.airC);
    const double wind = 1 + make_.windPerMPerS * room.windMPerS;
    net_.setConduct(lidOut_, make_.lidToRoom * wind);
    for (int z = 0; z < 2; ++z) {
        const double watt = dial_[z] / 10 * make_.burnerW;
        net_.heat(air_[z], kInAir * watt);
        net_.heat(grate_[z], (1 - kInAir) * watt);
        net_.setConduct(out_[z], (open_ ? kOpen : make_.draught) * wind);
    }
    net_.step(seconds);
}

bool Grill::set(const std::string& knob, double value) {
    const bool burner = knob == "left" || knob == "right";
    if (burner && value >= 0 && value <= 10)
        dial_[knob == "left" ? 0 : 1] = value;
    else if (knob == "lid" && (value == 0 || value == 1))
        open_ = value == 0;
    else
        return false;
    return true;
}

double Grill::at(const std::string& point) const {
    if (point == "left")
        return net_.at(air_[0]);
    return point == "right" ? net_.at(air_[1]) : nothing();
}

std::vector<Truth> Grill::truths(const Room& room) const {
    if (dial_[0] + dial_[1] <= 0)
        return {};
    Grill settled = *this;
    settled.set("lid", 1);
    for (int s = 0; s < 4 * 3600; ++s)
        settled.step(room, 1);
    return {{"zone-sweep left", "operative_K", settled.at("left") + kIce},
            {"zone-sweep right", "operative_K", settled.at("right") + kIce}};
}

Kettle::Kettle(const KettleMake& make, const Room& room)
    : make_(make), air_(net_.add(make.airJ_K, room.airC)), wall_(net_.add(make.wallJ_K, room.airC)),
      room_(net_.add(Network::kInfinite, room.airC)) {
    net_.conduct(air_, wall_, make.airToWall);
    wallOut_ = net_.conduct(wall_, room_, make.wallToRoom);
    out_ = net_.conduct(air_, room_, make.draught);
}

void Kettle::step(const Room& room, double seconds) {
    net_.setTemperature(room_, room.airC);
    const double wind = 1 + make_.windPerMPerS * room.windMPerS;
    net_.setConduct(wallOut_, make_.wallToRoom * wind);
    net_.setConduct(out_, make_.draught * wind);
    // With less air they catch and burn more slowly, and last longer.
    const double breath = 0.15 + 0.85 * vent_;
    const double caught = black_ * (1 - std::exp(-breath * seconds * std::log(2) / make_.catchesS));
    const double ashed = glowing_ * (1 - std::exp(-breath * seconds * std::log(2) / make_.lastsS));
    black_ -= caught;
    glowing_ += caught - ashed;
    net_.heat(air_, make_.perCoalW * breath * glowing_);
    net_.step(seconds);
}

bool Kettle::set(const std::string& knob, double value) {
    if (knob == "coals" && value >= 0 && value <= 200)
        black_ += value;
    else if (knob == "vent" && value >= 0 && value <= 1)
        vent_ = value;
    else
        return false;
    return true;
}

double Kettle::at(const std::string& point) const {
    constexpr double kLidCooler = 0.9;
    if (point == "grate")
        return net_.at(air_);
    if (point == "lid dial")
        return net_.at(room_) + kLidCooler * (net_.at(air_) - net_.at(room_));
    return nothing();
}

/// Its peak from now on, and when, counted from now.
std::vector<Truth> Kettle::truths(const Room& room) const {
    if (black_ + glowing_ <= 0)
        return {};
    Kettle later = *this;
    double peak = at("grate"), peakS = 0;
    for (int s = 1; s < 6 * 3600; ++s) {
        later.step(room, 1);
        if (later.at("grate") > peak) {
            peak = later.at("grate");
            peakS = s;
        }
    }
    return {{"burn-down", "peak_K", peak + kIce}, {"burn-down", "peak_s", peakS}};
}

} // namespace simkitchen
