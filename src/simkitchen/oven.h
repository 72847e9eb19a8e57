// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "simkitchen/appliance.h"
#include "simkitchen/network.h"

namespace simkitchen {

/// A cavity with an element, its air and its walls, switched by a bulb that lags; a block of
/// blackened metal or a piece of food on its rack.
struct OvenMake {
    double elementW = 2600, elementJ_K = 900, airJ_K = 300, wallJ_K = 9500;
    double elementToAir = 14;      ///< W/K
    double elementToWallM2 = 0.06; ///< black surface
    double airToWall = 34;
    double wallToRoom = 3.6, airToRoom = 1.0, doorOpen = 26; ///< W/K
    double bulbLagS = 50, hysteresisC = 6;
    double dialReads = -14; ///< the bulb switches so much beside what the dial says, K
    double blockAir = 13;   ///< W/m²K at the rack
    double spreadFrontC = -6, spreadBackC = 5, spreadTopC = 4; ///< places against the middle
};

class Oven : public Appliance {
  public:
    explicit Oven(const OvenMake& make, const Room& room);
    void step(const Room& room, double seconds) override;
    bool set(const std::string& knob, double value) override;
    bool put(const std::string& thing, bool in) override;
    double at(const std::string& point) const override;
    std::vector<std::string> points() const override;
    std::vector<std::string> knobs() const override { return {"dial", "door"}; }
    std::vector<std::string> things() const override { return {"block"}; }
    Around around() const override;
    double watts() const override { return heating_ ? make_.elementW : 0; }
    std::unique_ptr<Appliance> clone() const override { return std::make_unique<Oven>(*this); }
    std::vector<Truth> truths(const Room& room) const override;

  private:
    OvenMake make_;
    Network net_;
    Network::Node element_, air_, wall_, room_, block_;
    std::size_t airOut_, blockAir_, blockWall_;
    double bulbC_, dialC_ = 0;
    bool heating_ = false, open_ = false, block_in_ = false;
};

/// The block's own numbers, as a cook has them from a scale and a ruler.
inline constexpr double kBlockKg = 0.30, kBlockM2 = 0.0150, kBlockJ_kgK = 896, kBlockBlack = 0.95;

} // namespace simkitchen
