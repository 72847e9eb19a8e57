// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <compare>
#include <optional>
#include <string>
#include <vector>

namespace dynamet::kitchen {

/// Where a number comes from; per number, never per field.
enum class Provenance { measured, interpolated, assumed };
const char* enumName(Provenance provenance);

/// Faces are the appliance's. `all` holds for every face that has no number of its own.
enum class Face { all, top, bottom, side };

/// What a face sees. Temperatures K, coefficients W/m²K, fluxes W/m², pressures Pa, heat capacity
/// J/m²K; view = view factor × emissivity of the food; power W (hobs: becomes a plate flux), loss
/// W/K, effusivity of a stone floor W s^½/m²K. Words are kept in books: only ever append.
enum class Term {
    air,
    hAir,
    vapour,
    radiant,
    view,
    radiant2,
    view2,
    plate,
    contact,
    plateHeatCapacity,
    plateFlux,
    plateLoss,
    plateSet,
    liquid,
    hLiquid,
    power,
    loss,
    effusivity,
    plateAmbient, ///< what a plate loses to, where that is not the room
    touchedShare  ///< of the face that ridges or bars touch; absent = all of it
};

struct FieldKey {
    Face face = Face::all;
    Term term = Term::air;
    friend auto operator<=>(const FieldKey&, const FieldKey&) = default;
};
/// "all.air_K", "bottom.plate_flux_W_m2": stable words for books and JSON.
std::string keyName(const FieldKey& key);
std::optional<FieldKey> fieldKey(const std::string& word);
/// Differences of temperatures are linear, everything else is spread in its logarithm.
bool isTemperature(Term term);

/// A number of a field: value, standard uncertainty (same unit), where it comes from.
struct FieldNumber {
    FieldKey key;
    double value = 0;
    double u = 0;
    Provenance provenance = Provenance::assumed;
    std::string reductionId = {}; ///< of a measured number
    std::string from = {};        ///< in words: "between 160C and 200C", "typical for its kind"
    bool operator==(const FieldNumber&) const = default;
};

struct FieldCovariance {
    FieldKey a, b;
    double covariance = 0;
    bool operator==(const FieldCovariance&) const = default;
};

/// A number that changes in time (a fire burning down): added to the number's value.
struct FieldCurve {
    FieldKey key;
    std::vector<double> timeS;
    std::vector<double> change;
    std::string reductionId;
    bool operator==(const FieldCurve&) const = default;
};

/// What a piece's faces see at one appliance, setting, zone, insert and vessel.
struct HeatField {
    std::vector<FieldNumber> numbers; ///< sorted by key
    std::vector<FieldCovariance> covariances;
    std::vector<FieldCurve> curves;
    bool operator==(const HeatField&) const = default;
};

const FieldNumber* find(const HeatField& field, FieldKey key);
/// The face's own number, else that of all faces; nullptr when neither is there.
const FieldNumber* seenBy(const HeatField& field, Face face, Term term);
/// Adds or replaces a number.
void put(HeatField& field, const FieldNumber& number);
double covarianceOf(const HeatField& field, FieldKey a, FieldKey b);

/// The one temperature a field is shown by: the liquid's; a plate's set one; where a pan over a
/// burner holds with food on half of its base; else air and radiation as food feels them.
struct Representative {
    double kelvin = 0;
    double u = 0;
    Provenance provenance = Provenance::assumed;
};
Representative representative(const HeatField& field, double ambientK);
/// Half-width of a 95 % interval in standard deviations, where u has no degrees of freedom of its
/// own.
inline constexpr double kTwoSided95 = 1.96;
/// 95 % half-width, K.
inline double halfWidthK(const Representative& shown) {
    return kTwoSided95 * shown.u;
}

} // namespace dynamet::kitchen
