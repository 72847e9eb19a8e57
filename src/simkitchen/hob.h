// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "simkitchen/appliance.h"
#include "simkitchen/network.h"

namespace simkitchen {

/// A burner under a pot of water with its lid on, or under an empty plate; the pot boils its water
/// away once the lid is off.
struct BurnerMake {
    double fullW = 2100; ///< what goes into pot or plate at full
    double fromTheWallW = 2800;
    double comesUpS = 25; ///< the hob's own lag
    double potKg = 1.25, potJ_kgK = 490, waterKg = 1.6;
    double potToWater = 260; ///< W/K
    double potToRoom = 0.75;
    double plateKg = 2.4, plateJ_kgK = 470, plateM2 = 0.062;
    double plateToAir = 9; ///< W/m²K, both faces together on that area
    double plateBlack = 0.6;
};

class Burner : public Appliance {
  public:
    Burner(const BurnerMake& make, const Room& room);
    void step(const Room& room, double seconds) override;
    bool set(const std::string& knob, double value) override;
    bool put(const std::string& thing, bool in) override;
    double at(const std::string& point) const override;
    std::vector<std::string> points() const override { return {"water", "pot", "plate"}; }
    std::vector<std::string> knobs() const override { return {"dial", "lid"}; }
    std::vector<std::string> things() const override { return {"water", "plate"}; }
    Around around() const override;
    double watts() const override { return powerW_ / make_.fullW * make_.fromTheWallW; }
    double kilograms() const override;
    std::unique_ptr<Appliance> clone() const override { return std::make_unique<Burner>(*this); }
    std::vector<Truth> truths(const Room& room) const override;

  private:
    BurnerMake make_;
    Network net_;
    Network::Node water_, pot_, plate_, room_;
    std::size_t plateRadiates_, plateAir_;
    double dial_ = 0, powerW_ = 0, waterKg_ = 0;
    bool lid_ = true;
    enum class On { nothing, pot, plate } on_ = On::nothing;
};

/// A vessel of water or oil with an element in it: a bath or a fryer.
struct VatMake {
    double heaterW = 1100, liquidKg = 12, liquidJ_kgK = 4180;
    double perK = 0; ///< how much more a warmer liquid holds, J/kgK per K
    double bodyJ_K = 700, toRoom = 3.1;
    double dialReads = 0.6, hysteresisC = 0.3;
};

class Vat : public Appliance {
  public:
    Vat(std::string kind, const VatMake& make, const Room& room);
    void step(const Room& room, double seconds) override;
    bool set(const std::string& knob, double value) override;
    bool put(const std::string& thing, bool in) override;
    double at(const std::string& point) const override;
    std::vector<std::string> points() const override { return {"liquid"}; }
    std::vector<std::string> knobs() const override { return {"dial"}; }
    std::vector<std::string> things() const override { return {"liquid"}; }
    Around around() const override;
    double watts() const override { return heating_ ? make_.heaterW : 0; }
    std::unique_ptr<Appliance> clone() const override { return std::make_unique<Vat>(*this); }
    std::vector<Truth> truths(const Room& room) const override;

  private:
    std::string kind_;
    VatMake make_;
    Network net_;
    Network::Node liquid_, room_;
    double dialC_ = 0;
    bool heating_ = false;
};

} // namespace simkitchen
