// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "heat/cook_by_solver.h"

#include <functional>

namespace dynamet::heat::testing {

/// Keeps the books of a piece whose water leaves: heat in through the faces, heat stored, and what
/// the leaving vapour carries (latent heat, and the water's own up to where it leaves). Reads the
/// solver's state only, step by step.
class EnergyBook {
  public:
    /// `heatInto(face row)` is the heat in W/m² that a face gets, evaporation left out.
    EnergyBook(const PieceSolver& solver, const Material& material,
               std::function<double(std::size_t)> heatInto)
        : solver_(solver), material_(material), heatInto_(std::move(heatInto)), start_(stored()),
          heatBefore_(heatNow()), goneBefore_(goneBySlot()) {}

    void note(const StepReport& step) {
        const double now = heatNow(), dt = step.endS - step.startS;
        in_ += dt * (heatBefore_ + now) / 2;
        heatBefore_ = now;
        const auto gone = goneBySlot();
        const auto leaving = leavings();
        for (std::size_t slot = 0; slot < leaving.size(); ++slot) {
            const double mass = areaOf(slot) * (gone[slot] - goneBefore_[slot]);
            const double each =
                leavingBefore_.empty() ? leaving[slot] : (leavingBefore_[slot] + leaving[slot]) / 2;
            carried_ += mass * each;
            gone_ += mass;
        }
        leavingBefore_ = leaving;
        goneBefore_ = gone;
    }

    double in() const { return in_; }
    double gone() const { return gone_; } ///< kg
    /// What is missing of the heat that came in, as a share of it.
    double missing() const { return (in_ - (stored() - start_) - carried_) / in_; }

  private:
    std::size_t columns() const { return solver_.grid().across.size(); }
    std::size_t nodes() const { return solver_.grid().up.size(); }
    double areaOf(std::size_t slot) const {
        const Grid& g = solver_.grid();
        if (slot < columns())
            return g.bottomArea * g.volumeAcross[slot];
        if (slot < 2 * columns())
            return g.topArea * g.volumeAcross[slot - columns()];
        return g.sideArea * g.volumeUp[slot - 2 * columns()];
    }
    /// Rows from a piece of face inwards.
    std::vector<std::size_t> inwards(std::size_t slot) const {
        std::vector<std::size_t> out;
        if (slot >= 2 * columns())
            for (std::size_t x = columns(); x-- > 0;)
                out.push_back(solver_.row(x, slot - 2 * columns()));
        else if (slot >= columns())
            for (std::size_t y = nodes(); y-- > 0;)
                out.push_back(solver_.row(slot - columns(), y));
        else
            for (std::size_t y = 0; y < nodes(); ++y)
                out.push_back(solver_.row(slot, y));
        return out;
    }
    /// J/kg of what leaves a piece of face now: at the boiling point where the face is dry or
    /// boils.
    double leavingAt(std::size_t slot) const {
        const std::size_t face = inwards(slot).front();
        const Vapour& vapour = *sea_;
        const double here = solver_.state().kelvin[face];
        const bool boils = solver_.state().waterLeft[face] <= 0 || here > vapour.boilingK() - 1e-3;
        const double t = boils ? vapour.boilingK() : here;
        const double latent = boils ? vapour.latentAtBoiling() : vapour.wet(t, 0, 1).latent;
        const double own =
            (material_.enthalpy(t, 1) - material_.enthalpy(t, 0)) / material_.waterPerVolume();
        return latent + own;
    }
    std::vector<double> goneBySlot() const {
        std::vector<double> out = solver_.state().evaporated;
        for (std::size_t slot = 0; slot < out.size(); ++slot)
            out[slot] += solver_.state().steam[slot];
        return out;
    }
    std::vector<double> leavings() const {
        std::vector<double> out(2 * columns() + nodes(), 0);
        for (std::size_t slot = 0; slot < out.size(); ++slot)
            if (areaOf(slot) > 0)
                out[slot] = leavingAt(slot);
        return out;
    }
    double heatNow() const {
        double sum = 0;
        for (std::size_t slot = 0; slot < 2 * columns() + nodes(); ++slot)
            if (const double area = areaOf(slot); area > 0)
                sum += area * heatInto_(inwards(slot).front());
        return sum;
    }
    double stored() const {
        const Grid& g = solver_.grid();
        double sum = 0;
        for (std::size_t x = 0; x < columns(); ++x)
            for (std::size_t y = 0; y < nodes(); ++y) {
                const std::size_t i = solver_.row(x, y);
                sum += g.volumeUp[y] * g.volumeAcross[x] *
                       material_.enthalpy(solver_.state().kelvin[i], solver_.state().waterLeft[i]);
            }
        return sum;
    }

    const PieceSolver& solver_;
    const Material& material_;
    std::function<double(std::size_t)> heatInto_;
    std::shared_ptr<const Vapour> sea_ = seaLevel();
    double start_, heatBefore_;
    double in_ = 0, carried_ = 0, gone_ = 0;
    std::vector<double> goneBefore_, leavingBefore_;
};

} // namespace dynamet::heat::testing
