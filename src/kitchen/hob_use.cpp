// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/hob_use.h"

#include <cmath>

namespace dynamet::kitchen {
namespace {

constexpr double kHandU = 15 / 1.96;   ///< K, how closely a cook holds a pan
constexpr double kLitreHeat = 4190;    ///< J/K of a litre
constexpr double kLiddedPotLoss = 1.0; ///< W/K
constexpr double kTapK = 288.15;

} // namespace

HeatField withHeldPan(HeatField field) {
    const FieldNumber* pan = seenBy(field, Face::bottom, Term::plate);
    if (!pan || !seenBy(field, Face::bottom, Term::plateFlux) ||
        seenBy(field, Face::bottom, Term::plateSet))
        return field;
    FieldNumber held = *pan;
    held.key = {Face::bottom, Term::plateSet};
    held.u = kHandU;
    held.from = "held by the cook";
    put(field, held);
    return field;
}

std::optional<double> litreBoilsS(double powerW, const Site& site) {
    const double toBoilK = boilingPointAt(site).kelvin() - kTapK;
    const double lost = kLiddedPotLoss * toBoilK;
    if (!(powerW > lost))
        return std::nullopt;
    return -kLitreHeat / kLiddedPotLoss * std::log1p(-lost / powerW);
}

} // namespace dynamet::kitchen
