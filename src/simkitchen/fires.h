// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "simkitchen/appliance.h"
#include "simkitchen/network.h"

namespace simkitchen {

/// A gas grill of two zones under one lid: each burner heats its own grate, the lid mixes the air.
struct GrillMake {
    double burnerW = 4100, mixes = 9, grateJ_K = 5200, lidJ_K = 7800;
    double grateToAir = 11, airToLid = 14, lidToRoom = 7.5, windPerMPerS = 0.16;
    double draught = 4.5, airJ_K = 260; ///< W/K out of the back
};

class Grill : public Appliance {
  public:
    Grill(const GrillMake& make, const Room& room);
    void step(const Room& room, double seconds) override;
    bool set(const std::string& knob, double value) override;
    bool put(const std::string&, bool) override { return false; }
    double at(const std::string& point) const override;
    std::vector<std::string> points() const override { return {"left", "right"}; }
    std::vector<std::string> knobs() const override { return {"left", "right", "lid"}; }
    std::unique_ptr<Appliance> clone() const override { return std::make_unique<Grill>(*this); }
    std::vector<Truth> truths(const Room& room) const override;

  private:
    GrillMake make_;
    Network net_;
    Network::Node air_[2], grate_[2], lid_, room_;
    std::size_t lidOut_, out_[2];
    double dial_[2]{0, 0};
    bool open_ = false;
};

/// A kettle with coals that are lit, glow, grow ash and die; fresh ones catch from the glowing.
struct KettleMake {
    double perCoalW = 62;   ///< of one in full glow, vents open
    double catchesS = 1100; ///< until half of a fresh one glows
    double lastsS = 3300;   ///< until half of a glowing one is ash
    double wallJ_K = 5400, airToWall = 15, wallToRoom = 9.5, draught = 5, airJ_K = 240;
    double windPerMPerS = 0.12;
};

class Kettle : public Appliance {
  public:
    Kettle(const KettleMake& make, const Room& room);
    void step(const Room& room, double seconds) override;
    /// "coals": so many lit ones are poured in; "vent": 0 to 1.
    bool set(const std::string& knob, double value) override;
    bool put(const std::string&, bool) override { return false; }
    double at(const std::string& point) const override;
    std::vector<std::string> points() const override { return {"grate", "lid dial"}; }
    std::vector<std::string> knobs() const override { return {"coals", "vent"}; }
    std::unique_ptr<Appliance> clone() const override { return std::make_unique<Kettle>(*this); }
    std::vector<Truth> truths(const Room& room) const override;

  private:
    KettleMake make_;
    Network net_;
    Network::Node air_, wall_, room_;
    std::size_t wallOut_, out_;
    double black_ = 0, glowing_ = 0, vent_ = 1;
};

} // namespace simkitchen
