// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/instrument.h"

#include "kitchen/heat_field.h"

#include <cmath>

namespace dynamet::kitchen {

const char* enumName(InstrumentKind kind) {
    switch (kind) {
    case InstrumentKind::probe:
        return "probe";
    case InstrumentKind::infrared:
        return "infrared";
    case InstrumentKind::builtInDial:
        return "built_in_dial";
    case InstrumentKind::scale:
        return "scale";
    case InstrumentKind::energyMeter:
        return "energy_meter";
    case InstrumentKind::gasMeter:
        return "gas_meter";
    case InstrumentKind::clock:
        return "clock";
    }
    return "probe";
}

const Instrument* findInstrument(std::span<const Instrument> instruments, const std::string& id) {
    for (const Instrument& instrument : instruments)
        if (!id.empty() && instrument.id == id)
            return &instrument;
    return nullptr;
}

std::optional<Calibration> calibrationAt(const Instrument& instrument, std::int64_t timeMs) {
    std::optional<Calibration> best;
    for (const Calibration& c : instrument.calibrations)
        if (c.validFromMs <= timeMs && (!best || c.validFromMs > best->validFromMs))
            best = c;
    return best;
}

double corrected(const Instrument* instrument, std::int64_t timeMs, double reading) {
    const auto calibration =
        instrument ? calibrationAt(*instrument, timeMs) : std::optional<Calibration>{};
    return calibration ? reading * calibration->gain + calibration->offset : reading;
}

RangeRisk rangeRisk(const Instrument& instrument, double expectedK, double uK) {
    const double hottest = expectedK + kTwoSided95 * uK;
    if (instrument.damageLimit && hottest >= *instrument.damageLimit)
        return RangeRisk::ruins;
    return instrument.highLimit && hottest >= *instrument.highLimit ? RangeRisk::bounds
                                                                    : RangeRisk::none;
}

double readingUncertainty(const Instrument& instrument, std::int64_t timeMs) {
    const auto calibration = calibrationAt(instrument, timeMs);
    const double base = calibration ? calibration->u : instrument.accuracy / std::sqrt(3.0);
    const double step = instrument.resolution / std::sqrt(12.0);
    return std::sqrt(base * base + step * step);
}

double readingHalfWidth(const Instrument& instrument, std::int64_t timeMs) {
    return kTwoSided95 * readingUncertainty(instrument, timeMs);
}

bool atLimit(const Instrument& instrument, double reading) {
    const double slack = instrument.resolution / 2;
    return (instrument.highLimit && reading >= *instrument.highLimit - slack) ||
           (instrument.lowLimit && reading <= *instrument.lowLimit + slack);
}

} // namespace dynamet::kitchen
