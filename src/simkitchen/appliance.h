// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <map>
#include <memory>
#include <string>
#include <vector>

namespace simkitchen {

/// What is around all appliances.
struct Room {
    double airC = 21;
    double windMPerS = 0; ///< outdoors
    double pressurePa = 99500;
};

/// A number that is true here and that a test should find, in the unit of its name.
struct Truth {
    std::string test, name; ///< protocol and quantity as Dynamet calls them
    double value = 0;
};

/// Something that heats, with knobs to turn, things to put in, and points where a probe can be.
class Appliance {
  public:
    virtual ~Appliance() = default;
    virtual void step(const Room& room, double seconds) = 0;
    /// Turns a knob; false where there is none of that name or the value is beyond it.
    virtual bool set(const std::string& knob, double value) = 0;
    /// Puts a thing in or takes it out; false where it knows none such.
    virtual bool put(const std::string& thing, bool in) = 0;
    /// Temperature at a point; NaN where there is nothing now.
    virtual double at(const std::string& point) const = 0;
    virtual std::vector<std::string> points() const = 0;
    virtual std::vector<std::string> knobs() const = 0;
    virtual std::vector<std::string> things() const { return {}; }
    /// What a piece of food meets there: the air, what it sees, and W/m²K of its faces.
    struct Around {
        double airC = 20, wallC = 20, convective = 12;
    };
    virtual Around around() const;
    /// Electric power now, W, and what stands on a scale under it, kg; NaN for none.
    virtual double watts() const;
    virtual double kilograms() const;
    virtual std::unique_ptr<Appliance> clone() const = 0;
    /// What tests of it as it is set now should find.
    virtual std::vector<Truth> truths(const Room& room) const = 0;
};

} // namespace simkitchen
