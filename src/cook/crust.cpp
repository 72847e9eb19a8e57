// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cook/crust.h"

#include "quantity/water.h"

#include <algorithm>
#include <cmath>

namespace dynamet::cook {
namespace {

// Fitted as a whole to the facts of tests/practice/crust_facts.json; each is known to a factor of
// two at best, alone (docs/physics.md, "Crust").
constexpr double kLayerConductivity = 0.106; ///< W/mK, of the dry layer per original thickness
constexpr double kGoldenS = 62;              ///< to an index of 1 at 150 °C, dry
constexpr double kActivation = 100000, kCharActivation = 127000; ///< J/mol
constexpr double kFullColour = 2.52;                             ///< colour alone goes no further
constexpr double kCharIndex = 6;                                 ///< what char adds
constexpr double kSupply = 0.197;                                ///< of a moist layer's diffusion
constexpr double kWetBrowning = 0.08;  ///< a wet face browns so much slower
constexpr double kVapourLayer = 0.007; ///< W/mK, the layer in vapour's way
constexpr double kCharS = 60, kCharK = 603.15, kGoldenK = 423.15, kGas = 8.314;
constexpr double kSteamHeat = 2000;   ///< J/kgK
constexpr double kDiffusivity = 2e-7; ///< m²/s, of the dry layer
constexpr double kMostActive = 0.99, kHalfActive = 0.10;
/// A part with more heat warms ahead of the mean by this power of its share: heat spreads sideways.
constexpr double kAhead = 0.55, kMostAhead = 3;
constexpr double kLongestStepS = 20;
constexpr double kColdestBrowningK = 335, kColdestCharK = 480; ///< nothing to speak of below

/// Unevenness: ln of the heat that a part gets has this standard deviation, by how the heat comes
/// (hollows and bars under contact; coals and hollows by sight; air and liquids reach everywhere).
constexpr double kUnevenTouch = 0.91, kUnevenSight = 1.49, kUnevenFlow = 0.96;
/// Middles of equal parts of a normal distribution, in an uneven number so that one is the mean
/// heat.
constexpr std::array<double, 5> kFiveParts{-1.2816, -0.5244, 0, 0.5244, 1.2816};
constexpr std::array<double, 3> kThreeParts{-0.9674, 0, 0.9674};

using Shares = std::array<double, FaceCrust::kParts>;

Shares sharesOf(double uneven, std::span<const double> parts) {
    Shares out{};
    double sum = 0;
    for (std::size_t i = 0; i < parts.size(); ++i)
        sum += out[i] = std::exp(uneven * parts[i]);
    for (double& share : out)
        share *= static_cast<double>(parts.size()) / sum;
    return out;
}

struct Unevenness {
    Shares touch, sight, flow;
    explicit Unevenness(std::span<const double> parts)
        : touch(sharesOf(kUnevenTouch, parts)), sight(sharesOf(kUnevenSight, parts)),
          flow(sharesOf(kUnevenFlow, parts)) {}
};

const Unevenness& unevenness(std::size_t parts) {
    static const Unevenness five(kFiveParts), three(kThreeParts);
    return parts == kThreeParts.size() ? three : five;
}

/// Shares of the mean contact where bars or ridges touch some parts only, in whole parts.
Shares barsOf(double touchedShare, std::size_t parts) {
    const double all = static_cast<double>(parts);
    const auto count = static_cast<std::size_t>(
        std::clamp(std::round(touchedShare * all), 1.0, std::max(1.0, all)));
    Shares out{};
    for (std::size_t i = parts - count; i < parts; ++i)
        out[i] = all / static_cast<double>(count);
    return out;
}

double arrhenius(double energy, double kelvin, double at) {
    return std::exp(-energy / kGas * (1 / kelvin - 1 / at));
}

/// How far a colour has come towards its own end.
double saturated(double colour) {
    return kFullColour * -std::expm1(-colour / kFullColour);
}

} // namespace

FaceCrust::FaceCrust(double startK, double driedKgM2, double waterKgM3, std::size_t parts)
    : count_(parts == kThreeParts.size() ? parts : kParts), startK_(startK), warmedK_(startK) {
    for (Part& part : parts_) {
        part.topK = startK;
        part.missing += driedKgM2;
        if (driedKgM2 > 0 && waterKgM3 > 0)
            part.dryM = 0.5 * driedKgM2 / waterKgM3;
    }
}

double FaceCrust::Part::index() const {
    return (1 - charred) * saturated(colour) + kCharIndex * charred;
}

double FaceCrust::index() const {
    double sum = 0;
    for (const Part& part : parts())
        sum += part.index();
    return sum / static_cast<double>(count_);
}

double FaceCrust::spread() const {
    const double middle = index();
    double sum = 0;
    for (const Part& part : parts())
        sum += (part.index() - middle) * (part.index() - middle);
    return std::sqrt(sum / static_cast<double>(count_));
}

double FaceCrust::markIndex() const {
    double sum = 0;
    int count = 0;
    for (std::size_t i = 0; i < count_; ++i)
        if (marked_[i]) {
            sum += parts_[i].index();
            ++count;
        }
    return count > 0 ? sum / count : 0;
}

double FaceCrust::charredShare() const {
    double sum = 0;
    for (const Part& part : parts())
        sum += part.charred;
    return sum / static_cast<double>(count_);
}

double FaceCrust::dryLayerM() const {
    double sum = 0;
    for (const Part& part : parts())
        sum += part.dryM;
    return sum / static_cast<double>(count_);
}

/// What the parts of a face have in common at a moment.
struct FaceCrust::Shared {
    double frontK = 0, boilingK = 0, latent = 0;
    double touch = 0, touchSource = 0;                    ///< of a plate, W/m²K and W/m²
    double flow = 0, flowSource = 0;                      ///< of air, liquid and a given flux
    std::array<std::pair<double, double>, 4> radiators{}; ///< view times σ, K
    std::size_t radiatorCount = 0;
    double inwardFlux = 0;
    bool boils = false, dries = false;
    double filmH = 0, filmMass = 0; ///< of vapour, per W/m²K
    double supply = 0;              ///< kg²/m⁴s: divided by what is missing it is what comes
    bool bare = false;              ///< nothing wet below
    bool filmed = false;
    double startK = 0, warmedK = 0; ///< where the face began, and how far it has warmed
    CrustTraits traits;

    double gain(const Gets& gets, double topK) const; ///< W/m² at the front's temperature
    /// The same of one part, which is ahead of the mean or behind it.
    void goAhead(const Gets& gets, double topK);
    Shared(const CrustMoment& at, const CrustTraits& food, const heat::Vapour& vapour)
        : boilingK(vapour.boilingK()), latent(vapour.latentAtBoiling()),
          inwardFlux(std::max(0.0, at.inwardFlux)), bare(at.driedThrough || food.waterKgM3 <= 0),
          filmed(at.filmed), traits(food) {
        const heat::FaceBoundary& around = *at.around;
        frontK = bare ? at.frontK : std::min(at.frontK, boilingK);
        const auto add = [this](double h, double kelvin) {
            flow += h;
            flowSource += h * kelvin;
        };
        touch = at.touch;
        touchSource = at.touch * at.touchK;
        if (around.air)
            add(around.air->h, around.air->airK.at(at.timeS));
        if (around.liquid)
            add(around.liquid->h, around.liquid->kelvin.at(at.timeS));
        flowSource += around.flux;
        for (const heat::Radiator& radiator : around.radiators)
            if (radiatorCount < radiators.size())
                radiators[radiatorCount++] = {radiator.view * kStefanBoltzmann,
                                              radiator.kelvin.at(at.timeS)};
        boils = frontK > boilingK - 0.5;
        if (around.vapourPa && around.air) {
            filmH = around.air->h;
            filmMass =
                vapour.wet(std::min(frontK, boilingK - 1), *around.vapourPa, kMostActive).mass;
        }
        dries = !boils && filmH > 0;
        supply = 2.0 / 3 * kSupply * food.supply * vapour.diffusivity(frontK) * food.waterKgM3 *
                 food.waterKgM3 * at.waterLeft;
    }
};

void FaceCrust::advance(const CrustMoment& at, const CrustTraits& traits,
                        const heat::Vapour& vapour, double seconds) {
    Shared shared(at, traits, vapour);
    const int steps = std::max(1, static_cast<int>(std::ceil(seconds / kLongestStepS)));
    const Unevenness& uneven = unevenness(count_);
    const bool bars = at.touch > 0 && at.touchedShare < 1;
    const auto touched = barsOf(bars ? at.touchedShare : 1, count_);
    warmUp(shared, seconds);
    shared.startK = startK_;
    shared.warmedK = warmedK_;
    for (std::size_t i = 0; i < count_; ++i) {
        const std::size_t gets = crossed_ ? count_ - 1 - i : i;
        const double touch = bars ? touched[gets] : uneven.touch[gets];
        for (int step = 0; step < steps; ++step)
            advance(parts_[i], {touch, uneven.sight[gets], uneven.flow[gets]}, shared,
                    seconds / steps);
        marked_[i] = marked_[i] || (bars && touch > 0);
    }
    if (bars)
        markedShare_ = static_cast<double>(std::count(marked_.begin(), marked_.end(), true)) /
                       static_cast<double>(count_);
}

void FaceCrust::Part::heatUp(const Shared& s, const Gets& gets, double seconds) {
    double coefficient = gets.touch * s.touch + gets.flow * s.flow;
    double source = gets.touch * s.touchSource + gets.flow * s.flowSource;
    for (std::size_t i = 0; i < s.radiatorCount; ++i) {
        const auto& [strength, kelvin] = s.radiators[i];
        const double h = gets.sight * strength * (kelvin * kelvin + topK * topK) * (kelvin + topK);
        coefficient += h;
        source += h * kelvin;
    }
    const double way = dryM / kLayerConductivity;
    const double blowing = steam * kSteamHeat * way;
    const double passed = blowing > 1e-6 ? std::exp(-blowing) : 1; // of the heat, against the steam
    const double resistance = blowing > 1e-6 ? way * (1 - passed) / blowing : way;
    const double flux = (source - coefficient * s.frontK) / (1 + coefficient * resistance);
    const double lag = dryM * dryM / (2.5 * kDiffusivity);
    const double goal = s.frontK + std::max(0.0, flux) * resistance;
    topK = lag > 1e-3 * seconds ? goal + (topK - goal) * std::exp(-seconds / lag) : goal;
    steam = 0;
    if (s.boils)
        steam = std::max(0.0, flux * passed - s.inwardFlux) / s.latent;
    else if (s.dries)
        steam = std::max(0.0, s.filmMass /
                                  (1 / std::max(gets.flow * s.filmH, 1e-3) + dryM / kVapourLayer));
}

/// How dry the face itself is: 0 as wet as inside, 1 dry.
double FaceCrust::Part::dryOut(const Shared& s, double seconds) {
    const double supply = s.supply / missing;
    const double before = dryM;
    dryM = std::max(0.0, dryM + seconds * (steam - supply) / s.traits.waterKgM3);
    missing += std::max(0.0, seconds * steam - s.traits.waterKgM3 * (dryM - before));
    return dryM > 0 ? 1 : std::sqrt(std::min(1.0, steam / std::max(supply, 1e-12)));
}

double FaceCrust::Shared::gain(const Gets& gets, double topK) const {
    double out =
        gets.touch * (touchSource - touch * frontK) + gets.flow * (flowSource - flow * frontK);
    for (std::size_t i = 0; i < radiatorCount; ++i) {
        const auto& [strength, kelvin] = radiators[i];
        out += gets.sight * strength * (kelvin * kelvin + topK * topK) * (kelvin + topK) *
               (kelvin - frontK);
    }
    return out;
}

void FaceCrust::Shared::goAhead(const Gets& gets, double topK) {
    const double mean = gain({1, 1, 1}, topK), own = gain(gets, topK);
    if (mean <= 0 || own <= 0 || warmedK <= startK)
        return;
    const double ahead = std::pow(std::clamp(own / mean, 1 / kMostAhead, kMostAhead), kAhead);
    const double ownK = std::min(boilingK, startK + ahead * (warmedK - startK));
    boils = ownK > boilingK - 0.5;
    dries = !boils && filmH > 0;
    frontK = boils ? boilingK : ownK;
    inwardFlux *= ahead;
}

void FaceCrust::warmUp(const Shared& shared, double seconds) {
    warmedForS_ += seconds;
    if (!shared.boils) {
        warmedK_ = shared.frontK;
        return;
    }
    warmedK_ = std::max(warmedK_, shared.boilingK) +
               seconds * (shared.boilingK - startK_) / std::max(warmedForS_, 1.0);
}

void FaceCrust::advance(Part& part, const Gets& gets, Shared s, double seconds) {
    s.goAhead(gets, part.topK);
    double dryness = s.bare ? 1 : 0;
    if (s.bare || s.filmed) {
        part.topK = s.frontK;
    } else {
        part.heatUp(s, gets, seconds);
        dryness = part.dryOut(s, seconds);
    }
    if (part.topK < kColdestBrowningK)
        return;
    const double water = (1 - dryness) / std::max(s.traits.dryRatio, 1e-3);
    const double wet = water > 0 ? 1 / (1 + kHalfActive * kHalfActive / (water * water)) : 0;
    const double ease = kWetBrowning + (1 - kWetBrowning) * (1 - wet);
    part.colour +=
        seconds * s.traits.browning * ease / kGoldenS * arrhenius(kActivation, part.topK, kGoldenK);
    if (part.topK < kColdestCharK)
        return;
    const double charRate = arrhenius(kCharActivation, part.topK, kCharK) / kCharS;
    part.charred = 1 - (1 - part.charred) * std::exp(-charRate * seconds);
}

} // namespace dynamet::cook
