// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/holding.h"

namespace dynamet::translate {
namespace {

using food::Body;
using kitchen::ApplianceKind;

constexpr double kFlatDoughM = 0.015;     ///< flatbread and pizza lie on a plate or a grate
constexpr double kTenderByTimeK = 358.15; ///< meat this hot inside is done by time, not by core

bool flatDough(const recipe::FoodPiece& piece) {
    return piece.food.body == Body::dough && piece.thicknessM <= kFlatDoughM;
}

std::string notInPan(const recipe::FoodPiece& piece) {
    switch (piece.food.body) {
    case Body::dough:
        return flatDough(piece)
                   ? ""
                   : "a loaf needs heat from all sides: a pan bakes its underside only";
    case Body::batter:
    case Body::baked:
    case Body::potted:
        return "it needs heat from above: a pan on a hob gives it none";
    default:
        return "";
    }
}

std::string notOnPlate(const recipe::FoodPiece& piece) {
    if (piece.food.body == Body::liquid)
        return "it would run off the plate";
    return notInPan(piece);
}

std::string notInBasket(const recipe::FoodPiece& piece) {
    const bool stands = piece.food.body == Body::solid || piece.food.body == Body::dough;
    return stands ? "" : "the basket has holes: it would need a dish, which is not rated";
}

std::string notOverFlame(const recipe::FoodPiece& piece) {
    if (piece.food.body == Body::solid || flatDough(piece))
        return "";
    return "over the flame it would need a dish, which is not rated";
}

std::string notInBath(const recipe::FoodPiece& piece) {
    switch (piece.food.body) {
    case Body::dough:
    case Body::batter:
    case Body::baked:
    case Body::runny:
        return "it needs dry heat: a bath makes no crust and no crumb";
    default:
        return "";
    }
}

std::string notInOil(const recipe::FoodPiece& piece, double goalK) {
    if (piece.food.body != Body::solid && piece.food.body != Body::dough)
        return "it would come apart in the oil, and boil over";
    if (piece.food.losesJuice && goalK >= kTenderByTimeK)
        return "meat that is done by hours of gentle heat dries out in oil";
    return "";
}

} // namespace

bool probeFits(const recipe::FoodPiece& piece) {
    return piece.thicknessM >= kThinnestProbedM;
}

std::string whyNotHeld(const recipe::FoodPiece& piece, double goalK, const kitchen::Appliance& on,
                       const kitchen::Zone& zone) {
    if (isHob(on.kind))
        return notInPan(piece);
    switch (on.kind) {
    case ApplianceKind::griddle:
        return notOnPlate(piece);
    case ApplianceKind::airFryer:
        return notInBasket(piece);
    case ApplianceKind::coalChimney:
        return notOverFlame(piece);
    case ApplianceKind::gasGrill:
    case ApplianceKind::charcoalKettle:
    case ApplianceKind::coveredCeramicGrill:
    case ApplianceKind::pelletGrill:
        return zone.direct ? notOverFlame(piece) : "";
    case ApplianceKind::waterBath:
        return notInBath(piece);
    case ApplianceKind::deepFryer:
        return notInOil(piece, goalK);
    default:
        return "";
    }
}

} // namespace dynamet::translate
