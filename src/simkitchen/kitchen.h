// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "simkitchen/appliance.h"
#include "simkitchen/instrument.h"
#include "simkitchen/piece.h"

#include <map>
#include <random>

namespace simkitchen {

/// The hidden kitchen: appliances whose true numbers are unlike the usual ones, and instruments
/// that are a little off; all of it from a seed.
class Kitchen {
  public:
    explicit Kitchen(unsigned seed);
    void step(double seconds);
    double nowS() const { return nowS_; }
    Room& room() { return room_; }
    std::map<std::string, std::unique_ptr<Appliance>>& appliances() { return appliances_; }
    std::vector<Instrument>& instruments() { return instruments_; }
    Instrument* instrument(const std::string& id);
    std::mt19937_64& random() { return random_; }
    /// One line of the control language; the answer begins with "ok" or "no".
    std::string control(const std::string& line);
    static constexpr double kStepS = 0.25;

  private:
    double truthOf(const Channel& channel) const;
    std::string turn(const std::vector<std::string>& words);
    std::string put(const std::vector<std::string>& words, bool in);
    std::string plug(const std::vector<std::string>& words);
    std::string list() const;
    std::string truths() const;
    Room room_;
    std::map<std::string, std::unique_ptr<Appliance>> appliances_;
    std::vector<Instrument> instruments_;
    std::mt19937_64 random_;
    std::map<std::string, Piece> pieces_; ///< by the appliance that each lies in
    PieceMake made_;                      ///< of every piece: nobody outside knows its numbers
    double nowS_ = 0;
    std::map<std::string, double> wattHours_;
};

} // namespace simkitchen
