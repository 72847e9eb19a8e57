// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/room.h"

#include <algorithm>
#include <cmath>

namespace dynamet::translate {

std::optional<Room> roomAt(const kitchen::Kitchen& kitchen, const recipe::FoodPiece& piece,
                           const recipe::Place& place) {
    constexpr double kFilled = 0.85; // the rest is gaps (common practice, no source)
    const auto* on = findAppliance(kitchen, place.applianceId);
    const auto takes = recipe::coverOf(piece);
    if (!on || !takes || !(*takes > 0) ||
        (piece.pieces < 2 && piece.coversM2 <= 0 && piece.besideM2 <= 0))
        return std::nullopt;
    const auto* vessel = findVessel(kitchen, place.vesselId);
    Room out;
    if (isHob(on->kind) && !vessel)
        return std::nullopt;
    out.areaM2 =
        vessel && isHob(on->kind)
            ? baseAreaM2(*vessel)
            : on->capacityM2 / static_cast<double>(std::max<std::size_t>(1, on->zones.size()));
    if (vessel && !isHob(on->kind))
        out.areaM2 = std::min(out.areaM2, baseAreaM2(*vessel));
    // One piece may fill what is left; several need their gaps.
    const double left = std::max(0.0, out.areaM2 - piece.besideM2);
    out.fits = static_cast<int>(std::floor(kFilled * left / *takes));
    if (out.fits == 0 && *takes <= left)
        out.fits = 1;
    out.together = std::min(out.fits, piece.pieces);
    out.rounds = out.fits > 0 ? (piece.pieces + out.fits - 1) / out.fits : 1;
    out.covered = std::min(1.0, (out.together * *takes + piece.besideM2) / out.areaM2);
    return out;
}

} // namespace dynamet::translate
