// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "simkitchen/hob.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace simkitchen {
namespace {

constexpr double kWaterJ_kgK = 4186, kBoilingJ_kg = 2.257e6;

double nothing() {
    return std::numeric_limits<double>::quiet_NaN();
}

/// Where water boils at a pressure, °C: the steam curve's slope about 1 bar (28 K a factor of e).
double boilsAt(double pascal) {
    return 100 + 28 * std::log(pascal / 101325);
}

} // namespace

Burner::Burner(const BurnerMake& make, const Room& room)
    : make_(make), water_(net_.add(make.waterKg * kWaterJ_kgK, room.airC)),
      pot_(net_.add(make.potKg * make.potJ_kgK, room.airC)),
      plate_(net_.add(make.plateKg * make.plateJ_kgK, room.airC)),
      room_(net_.add(Network::kInfinite, room.airC)), waterKg_(make.waterKg) {
    net_.conduct(pot_, water_, make.potToWater);
    net_.conduct(pot_, room_, make.potToRoom);
    plateAir_ = net_.conduct(plate_, room_, make.plateToAir * make.plateM2);
    plateRadiates_ = net_.radiate(plate_, room_, make.plateBlack * make.plateM2);
}

void Burner::step(const Room& room, double seconds) {
    net_.setTemperature(room_, room.airC);
    const double wanted = dial_ / 10 * make_.fullW;
    powerW_ += (wanted - powerW_) * (1 - std::exp(-seconds / make_.comesUpS));
    if (wanted == 0 && powerW_ < 1)
        powerW_ = 0;
    net_.heat(pot_, on_ == On::pot ? powerW_ : 0);
    net_.heat(plate_, on_ == On::plate ? powerW_ : 0);
    net_.step(seconds);
    const double over = net_.at(water_) - boilsAt(room.pressurePa);
    if (over > 0) { // what would make it hotter than boiling leaves as steam, or drips off the lid
        const double joule = over * waterKg_ * kWaterJ_kgK;
        if (!lid_)
            waterKg_ = std::max(0.05, waterKg_ - joule / kBoilingJ_kg);
        net_.setTemperature(water_, boilsAt(room.pressurePa));
        net_.setCapacity(water_, waterKg_ * kWaterJ_kgK);
    }
}

bool Burner::set(const std::string& knob, double value) {
    if (knob == "dial" && value >= 0 && value <= 10)
        dial_ = value;
    else if (knob == "lid" && (value == 0 || value == 1))
        lid_ = value == 1;
    else
        return false;
    return true;
}

bool Burner::put(const std::string& thing, bool in) {
    if (thing == "water") {
        on_ = in ? On::pot : On::nothing;
        waterKg_ = make_.waterKg;
        net_.setCapacity(water_, waterKg_ * kWaterJ_kgK);
        net_.setTemperature(water_, 15);
        net_.setTemperature(pot_, 18);
    } else if (thing == "plate") {
        on_ = in ? On::plate : On::nothing;
        net_.setTemperature(plate_, net_.at(room_));
    } else
        return false;
    return true;
}

double Burner::kilograms() const {
    return on_ == On::pot ? make_.potKg + waterKg_ : on_ == On::plate ? make_.plateKg : 0;
}

/// On a plate what touches it, in the pot the water.
Appliance::Around Burner::around() const {
    constexpr double kTouched = 260, kInWater = 600;
    const double c = on_ == On::pot ? net_.at(water_) : net_.at(plate_);
    return {c, c, on_ == On::pot ? kInWater : kTouched};
}

double Burner::at(const std::string& point) const {
    if (point == "water")
        return net_.at(on_ == On::pot ? water_ : room_);
    if (point == "pot")
        return net_.at(on_ == On::pot ? pot_ : room_);
    if (point == "plate")
        return net_.at(on_ == On::plate ? plate_ : room_);
    return nothing();
}

std::vector<Truth> Burner::truths(const Room&) const {
    const double power = dial_ / 10 * make_.fullW;
    if (power <= 0)
        return {};
    return {{"water-heat-up", "net_power_W", power}, {"dry-preheat", "plate_flux_W_m2", power}};
}

Vat::Vat(std::string kind, const VatMake& make, const Room& room)
    : kind_(std::move(kind)), make_(make),
      liquid_(net_.add(make.liquidKg * make.liquidJ_kgK + make.bodyJ_K, room.airC)),
      room_(net_.add(Network::kInfinite, room.airC)) {
    net_.conduct(liquid_, room_, make.toRoom);
}

void Vat::step(const Room& room, double seconds) {
    net_.setTemperature(room_, room.airC);
    const double c = net_.at(liquid_), switches = dialC_ + make_.dialReads;
    if (dialC_ <= 0 || c > switches + make_.hysteresisC)
        heating_ = false;
    else if (c < switches - make_.hysteresisC)
        heating_ = true;
    net_.setCapacity(liquid_,
                     make_.liquidKg * (make_.liquidJ_kgK + make_.perK * (c - 20)) + make_.bodyJ_K);
    net_.heat(liquid_, heating_ ? make_.heaterW : 0);
    net_.step(seconds);
}

bool Vat::set(const std::string& knob, double value) {
    if (knob != "dial" || value < 0 || value > 200)
        return false;
    dialC_ = value;
    return true;
}

bool Vat::put(const std::string& thing, bool) {
    if (thing != "liquid")
        return false;
    net_.setTemperature(liquid_, net_.at(room_)); // poured in fresh
    return true;
}

Appliance::Around Vat::around() const {
    constexpr double kInLiquid = 450;
    return {net_.at(liquid_), net_.at(liquid_), kInLiquid};
}

double Vat::at(const std::string& point) const {
    return point == "liquid" ? net_.at(liquid_) : nothing();
}

std::vector<Truth> Vat::truths(const Room&) const {
    if (kind_ == "bath")
        return {{"bath-loss", "net_power_W", make_.heaterW},
                {"bath-loss", "loss_W_K", make_.toRoom}};
    return {{"oil-heat-up", "net_power_W", make_.heaterW}};
}

} // namespace simkitchen
