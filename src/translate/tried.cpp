// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/tried.h"

#include "kitchen/open_lid.h"
#include "translate/tried_times.h"

namespace dynamet::translate {

CoverThere coverThere(kitchen::ApplianceKind kind) {
    if (groupOf(kind) == kitchen::HeatGroup::waterAndOil)
        return CoverThere::none;
    if (kitchen::hasLid(kind))
        return CoverThere::ownLid;
    return isHob(kind) ? CoverThere::panLid : CoverThere::foil;
}

bool isCovered(const recipe::Stage& stage, kitchen::ApplianceKind kind) {
    return coverThere(kind) == CoverThere::ownLid ? !stage.place.lidOpen
                                                  : stage.handling.cover != recipe::Cover::none;
}

recipe::Stage withTried(recipe::Stage stage, const Tried& tried, kitchen::ApplianceKind kind) {
    if (tried.turning)
        stage.handling.turning = *tried.turning;
    if (!tried.covered || *tried.covered == isCovered(stage, kind))
        return stage;
    switch (coverThere(kind)) {
    case CoverThere::none:
        break;
    case CoverThere::ownLid:
        stage.place.lidOpen = !*tried.covered;
        break;
    case CoverThere::panLid:
        stage.handling.cover = *tried.covered ? recipe::Cover::lid : recipe::Cover::none;
        break;
    case CoverThere::foil:
        stage.handling.cover = *tried.covered ? recipe::Cover::foil : recipe::Cover::none;
        break;
    }
    return stage;
}

TriedTimes triedTimes(double tookS) {
    constexpr double kFineS = 600, kCoarseS = 3 * 3600.0;
    return {tookS, tookS / 4, 3 * tookS, tookS < kFineS ? 10.0 : tookS < kCoarseS ? 60.0 : 300.0};
}

} // namespace dynamet::translate
