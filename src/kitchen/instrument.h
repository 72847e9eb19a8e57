// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <optional>
#include <span>
#include <string>
#include <vector>

namespace dynamet::kitchen {

enum class InstrumentKind { probe, infrared, builtInDial, scale, energyMeter, gasMeter, clock };
const char* enumName(InstrumentKind kind);

/// A correction that holds from a date on: reading × gain + offset is the best estimate.
struct Calibration {
    std::string id;
    std::int64_t validFromMs = 0; ///< UTC
    double offset = 0;            ///< in the instrument's SI unit
    double gain = 1;
    double u = 0; ///< standard uncertainty of a corrected reading
    bool operator==(const Calibration&) const = default;
};

/// A measuring instrument. Accuracy and limits in SI (K, kg, J, m³, s).
struct Instrument {
    std::string id;
    std::string name;
    InstrumentKind kind = InstrumentKind::probe;
    double accuracy = 1.0;   ///< half-width of an even distribution, when not calibrated
    double resolution = 0.1; ///< smallest step shown
    std::optional<double> lowLimit, highLimit; ///< a reading there only bounds
    std::optional<double> damageLimit;         ///< above it the instrument is ruined
    double diameterM = 0.004;
    double responseInAirS = 100; ///< time constant in still oven air
    double responseInFoodS = 3;
    double emissivitySet = 0.95; ///< infrared only
    double bandLowUm = 8, bandHighUm = 14;
    double spotRatio = 12; ///< distance : spot
    std::vector<Calibration> calibrations;
    bool operator==(const Instrument&) const = default;
};

/// The instrument of that id; nullptr for none and for an empty id.
const Instrument* findInstrument(std::span<const Instrument> instruments, const std::string& id);
/// The calibration in force at a time (the latest that is valid then); none = nullopt.
std::optional<Calibration> calibrationAt(const Instrument& instrument, std::int64_t timeMs);
/// A reading (SI) put right by the calibration in force then; as it is without one, or without an
/// instrument.
double corrected(const Instrument* instrument, std::int64_t timeMs, double reading);
/// Standard uncertainty of one reading: the calibration's, else accuracy / √3, with the resolution.
double readingUncertainty(const Instrument& instrument, std::int64_t timeMs);
/// 95 % half-width of one reading, same unit.
double readingHalfWidth(const Instrument& instrument, std::int64_t timeMs);
/// True when a reading stands at (or beyond) a limit: it bounds, it does not measure.
bool atLimit(const Instrument& instrument, double reading);
/// What stands against reading an expected temperature (K, with its standard uncertainty) with it:
/// nothing, over its range (the result will only be a bound), or it may be ruined.
enum class RangeRisk { none, bounds, ruins };
RangeRisk rangeRisk(const Instrument& instrument, double expectedK, double uK);

} // namespace dynamet::kitchen
