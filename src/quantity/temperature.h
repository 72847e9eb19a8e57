// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <version> // before <compare>, which moc of Qt 6.4 cannot read as the first header

#include <compare>

namespace dynamet {

inline constexpr double kZeroCelsiusK = 273.15;

/// A difference of temperatures, K (the same number in °C; 1.8 times as many °F).
class KelvinDelta {
  public:
    constexpr KelvinDelta() = default;
    constexpr explicit KelvinDelta(double kelvin) : kelvin_(kelvin) {}
    static constexpr KelvinDelta fahrenheit(double f) { return KelvinDelta(f / 1.8); }
    constexpr double kelvin() const { return kelvin_; }
    constexpr double fahrenheit() const { return kelvin_ * 1.8; }
    friend constexpr KelvinDelta operator+(KelvinDelta a, KelvinDelta b) {
        return KelvinDelta(a.kelvin_ + b.kelvin_);
    }
    friend constexpr KelvinDelta operator-(KelvinDelta a, KelvinDelta b) {
        return KelvinDelta(a.kelvin_ - b.kelvin_);
    }
    friend constexpr KelvinDelta operator*(KelvinDelta a, double s) {
        return KelvinDelta(a.kelvin_ * s);
    }
    friend constexpr auto operator<=>(KelvinDelta, KelvinDelta) = default;

  private:
    double kelvin_ = 0;
};

/// A point on the temperature scale. point − point = difference; point + point does not compile.
class Temperature {
  public:
    constexpr Temperature() = default;
    static constexpr Temperature kelvin(double k) { return Temperature(k); }
    static constexpr Temperature celsius(double c) { return Temperature(c + kZeroCelsiusK); }
    static constexpr Temperature fahrenheit(double f) {
        return Temperature((f - 32) / 1.8 + kZeroCelsiusK);
    }
    constexpr double kelvin() const { return k_; }
    constexpr double celsius() const { return k_ - kZeroCelsiusK; }
    constexpr double fahrenheit() const { return celsius() * 1.8 + 32; }
    friend constexpr KelvinDelta operator-(Temperature a, Temperature b) {
        return KelvinDelta(a.k_ - b.k_);
    }
    friend constexpr Temperature operator+(Temperature a, KelvinDelta d) {
        return Temperature(a.k_ + d.kelvin());
    }
    friend constexpr Temperature operator-(Temperature a, KelvinDelta d) {
        return Temperature(a.k_ - d.kelvin());
    }
    friend constexpr auto operator<=>(Temperature, Temperature) = default;

  private:
    constexpr explicit Temperature(double k) : k_(k) {}
    double k_ = kZeroCelsiusK;
};

} // namespace dynamet
