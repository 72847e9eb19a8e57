// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/reduce.h"

#include "quantity/temperature.h"
#include "quantity/water.h"
#include "rating/block.h"
#include "rating/preheat.h"
#include "rating/water_heat_up.h"
#include "rating/zone_sweep.h"

#include <fmt/format.h>
#include <set>

namespace dynamet::rating {
namespace {

/// Hands out named values and remembers which were asked for, so that a misspelt one is refused.
class Values {
  public:
    explicit Values(const TestInput& test) : test_(test) {}
    double read(const std::string& name, double fallback) {
        asked_.insert(name);
        const auto at = test_.values.find(name);
        return at == test_.values.end() ? fallback : at->second;
    }
    double kelvin(const std::string& name, double fallbackC) {
        return read(name, fallbackC) + kZeroCelsiusK;
    }
    std::optional<double> ifGiven(const std::string& name) {
        asked_.insert(name);
        const auto at = test_.values.find(name);
        return at == test_.values.end() || at->second == 0 ? std::nullopt
                                                           : std::optional<double>(at->second);
    }
    Result<bool> nothingLeft() const {
        for (const auto& [name, value] : test_.values)
            if (!asked_.contains(name))
                return fail(Errc::invalidArgument,
                            fmt::format("{} does not know the value \"{}\"", test_.protocol, name));
        return true;
    }

  private:
    const TestInput& test_;
    std::set<std::string> asked_;
};

const Series* channel(const TestInput& test, const std::string& role) {
    const auto at = test.channels.find(role);
    return at == test.channels.end() ? nullptr : &at->second;
}

Error missing(const TestInput& test, const std::string& role) {
    return {Errc::invalidArgument,
            fmt::format("{} needs a column with the role \"{}\"", test.protocol, role)};
}

double pressureOf(Values& values) {
    const double altitude = values.read("altitude_m", 0);
    const auto pressure = standardPressurePa(altitude);
    return values.read("pressure_Pa", pressure.value_or(kStandardPressurePa));
}

Result<Reduction> water(const TestInput& test, Values& values) {
    const Series* log = channel(test, "water");
    if (!log)
        return tl::unexpected(missing(test, "water"));
    WaterHeatUp t;
    t.water = *log;
    t.waterKg = values.read("water_kg", 0);
    t.potKg = values.read("pot_kg", 0);
    t.potSpecificHeat = values.read("pot_c_J_kgK", t.potSpecificHeat);
    t.evaporatedKg = values.read("evaporated_kg", 0);
    t.ambientK = values.kelvin("ambient_C", 22);
    t.pressurePa = pressureOf(values);
    t.energyJ = values.ifGiven("energy_J");
    t.inputW = values.ifGiven("input_W");
    t.lossW_K = values.read("loss_W_K", t.lossW_K);
    t.fromK = values.kelvin("from_C", 30);
    t.toK = values.kelvin("to_C", 80);
    t.lid = test.lid;
    if (const auto ok = values.nothingLeft(); !ok)
        return tl::unexpected(ok.error());
    return reduceWaterHeatUp(t);
}

Result<Reduction> preheat(const TestInput& test, Values& values) {
    const Series* air = channel(test, "air");
    const Series* plate = channel(test, "plate");
    if (!air && !plate)
        return tl::unexpected(missing(test, "air"));
    Preheat t;
    t.air = plate ? *plate : *air;
    t.plate = plate != nullptr;
    t.rule.slopeLimitPerS = (t.plate ? 1.0 : 0.3) / 60;
    t.setK = values.kelvin("set_C", 180);
    if (const auto limit = values.ifGiven("limit_C"))
        t.limitK = *limit + kZeroCelsiusK;
    t.uBiasK = values.read("u_bias_K", t.uBiasK);
    if (const auto ok = values.nothingLeft(); !ok)
        return tl::unexpected(ok.error());
    return reducePreheat(t);
}

Result<Reduction> block(const TestInput& test, Values& values) {
    const Series* log = channel(test, "block");
    if (!log)
        return tl::unexpected(missing(test, "block"));
    BlockTest t;
    t.block = *log;
    if (const Series* air = channel(test, "air"))
        t.air = *air;
    t.massKg = values.read("mass_kg", t.massKg);
    t.areaM2 = values.read("area_m2", t.areaM2);
    t.emissivity = values.read("emissivity", t.emissivity);
    t.specificHeat20 = values.read("c_J_kgK", t.specificHeat20);
    t.airProbeLagS = values.read("air_lag_s", t.airProbeLagS);
    t.uBiasK = values.read("u_bias_K", t.uBiasK);
    t.forcedFlow = test.forcedFlow;
    if (const auto limit = values.ifGiven("limit_C"))
        t.limitK = *limit + kZeroCelsiusK;
    if (const auto ok = values.nothingLeft(); !ok)
        return tl::unexpected(ok.error());
    return reduceBlock(t);
}

Result<Reduction> zone(const TestInput& test, Values& values) {
    ZoneSweep t;
    if (const auto probe = test.keyed.find("probe"); probe != test.keyed.end())
        t.readingsK = probe->second;
    else if (const Series* log = channel(test, "probe"))
        t.readingsK = log->value;
    else
        return tl::unexpected(missing(test, "probe"));
    if (const auto dial = test.keyed.find("dial"); dial != test.keyed.end())
        t.dialK = dial->second;
    else if (const Series* log = channel(test, "dial"))
        t.dialK = log->value;
    t.limitK = values.kelvin("limit_C", 300);
    t.settledForS = values.read("waited_s", t.settledForS);
    t.accuracyK = values.read("u_bias_K", t.accuracyK);
    if (const auto ok = values.nothingLeft(); !ok)
        return tl::unexpected(ok.error());
    return reduceZoneSweep(t);
}

} // namespace

Result<Reduction> reduce(const TestInput& test) {
    Values values(test);
    if (test.protocol == "water-heat-up")
        return water(test, values);
    if (test.protocol == "preheat")
        return preheat(test, values);
    if (test.protocol == "block")
        return block(test, values);
    if (test.protocol == "zone-sweep")
        return zone(test, values);
    return fail(Errc::notFound, fmt::format("no protocol \"{}\"; there are water-heat-up, preheat, "
                                            "block and zone-sweep",
                                            test.protocol));
}

std::vector<std::string> rolesOf(const std::string& protocol) {
    if (protocol == "water-heat-up")
        return {"water"};
    if (protocol == "preheat")
        return {"air", "plate"};
    if (protocol == "block")
        return {"block", "air"};
    return {"probe", "dial"};
}

} // namespace dynamet::rating
