// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <vector>

namespace simkitchen {

/// A piece of food whose own numbers nobody outside knows.
struct PieceMake {
    double thicknessM = 0.038, startC = 6;
    double conductivity = 0.47;    ///< W/mK
    double heatPerVolume = 3.65e6; ///< J/m³K
    double wetShare = 0.9;         ///< of its face that gives off water at first
    double driesAt = 0.8;          ///< kg/m² given off until half of that is dry
    double black = 0.95;
};

/// Half of a slab in layers: conduction inside, air, radiation and evaporation at its face (the
/// wet-bulb way: mass goes as heat does).
class Piece {
  public:
    Piece() : Piece(PieceMake{}) {}
    explicit Piece(const PieceMake& make);
    void step(double airC, double wallC, double convective, double seconds);
    double coreC() const { return layers_.front(); }
    double faceC() const { return layers_.back(); }

  private:
    PieceMake make_;
    double gaveOff_ = 0;         ///< kg/m²
    std::vector<double> layers_; ///< from the middle to the face, °C
};

} // namespace simkitchen
