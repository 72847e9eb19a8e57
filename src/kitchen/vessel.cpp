// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/vessel.h"

#include <numbers>

namespace dynamet::kitchen {

const char* enumName(VesselKind kind) {
    switch (kind) {
    case VesselKind::pot:
        return "pot";
    case VesselKind::pan:
        return "pan";
    case VesselKind::tray:
        return "tray";
    case VesselKind::rack:
        return "rack";
    case VesselKind::lid:
        return "lid";
    case VesselKind::basket:
        return "basket";
    case VesselKind::board:
        return "board";
    case VesselKind::dish:
        return "dish";
    case VesselKind::ridgedPan:
        return "ridged_pan";
    }
    return "pan";
}

const char* enumName(InsertKind kind) {
    switch (kind) {
    case InsertKind::none:
        return "none";
    case InsertKind::plate:
        return "plate";
    case InsertKind::raisedGrate:
        return "raised_grate";
    case InsertKind::deflector:
        return "deflector";
    case InsertKind::waterTrough:
        return "water_trough";
    case InsertKind::stone:
        return "stone";
    }
    return "none";
}

double baseAreaM2(const Vessel& vessel) {
    return std::numbers::pi / 4 * vessel.baseDiameterM * vessel.baseDiameterM;
}

double heatCapacityPerArea(const Vessel& vessel) {
    return vessel.massKg * vessel.specificHeatJPerKgK / baseAreaM2(vessel);
}

} // namespace dynamet::kitchen
