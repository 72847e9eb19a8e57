// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstddef>
#include <vector>

// The simulated kitchen's own physics; it shares no code with the program that measures it.
// Temperatures here are °C, as a cook who invents a kitchen thinks; heat in W and J.
namespace simkitchen {

/// Lumps of metal, air and water with heat going between them: by contact and air (W/K), and by
/// radiation (m² of black surface that see each other).
class Network {
  public:
    using Node = std::size_t;
    /// A lump that holds J/K; an infinite one keeps its temperature.
    Node add(double joulePerK, double celsius);
    static constexpr double kInfinite = 1e18;
    /// Heat paths; the returned number sets them anew.
    std::size_t conduct(Node a, Node b, double wattPerK);
    std::size_t radiate(Node a, Node b, double squareMetres);
    void setConduct(std::size_t path, double wattPerK) { conducts_[path].value = wattPerK; }
    void setRadiate(std::size_t path, double squareMetres) { radiates_[path].value = squareMetres; }
    void setCapacity(Node node, double joulePerK) { capacity_[node] = joulePerK; }
    void setTemperature(Node node, double celsius) { celsius_[node] = celsius; }
    /// What heats a lump from outside, until it is set anew.
    void heat(Node node, double watt) { power_[node] = watt; }
    double at(Node node) const { return celsius_[node]; }
    /// Goes on for a while in steps that no lump outruns.
    void step(double seconds);

  private:
    struct Path {
        Node a = 0, b = 0;
        double value = 0;
    };
    void flows(std::vector<double>& into) const;
    std::vector<double> capacity_, celsius_, power_;
    std::vector<Path> conducts_, radiates_;
};

} // namespace simkitchen
