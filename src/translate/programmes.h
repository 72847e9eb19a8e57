// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/request.h"
#include "translate/tried.h"

namespace dynamet::translate {

/// The recipe as it was written, stage by stage. Errors name the stage whose appliance or setting
/// is unknown.
Result<cook::Programme> writtenProgramme(const Request& request);

/// The programme of a target at a setting, as it is simulated: the whole cook there, or only the
/// moved stage with the others as written. `stageS` is how long the moved stage takes where a time
/// ends it (0 = as written). Food is turned where its faces differ, or as it is tried.
Result<cook::Programme> programmeFor(const Request& request, const Target& target,
                                     const kitchen::Setting& setting, double stageS = 0,
                                     const Tried& tried = {});

/// The stages of such a programme: those of the recipe, the moved one at the target.
std::vector<recipe::Stage> stagesFor(const Request& request, const Target& target,
                                     const kitchen::Setting& setting, double stageS = 0,
                                     const Tried& tried = {});

/// Where the moved stage goes: the target at a setting, its lid as it was written.
recipe::Place placeOn(const Request& request, const Target& target,
                      const kitchen::Setting& setting);

/// What the stage that moved meets in a programme of `programmeFor`.
const kitchen::HeatField& movedField(const Request& request, const cook::Programme& programme);

/// How long the moved stage takes as written; 0 where a core ends it, or where all moves.
double writtenStageS(const Request& request);

/// The last stage that is left by a core; none when all goes by the clock.
std::optional<std::size_t> watchedStage(const cook::Programme& programme);
/// A programme that ends with that stage, which then is the last.
cook::Programme upTo(cook::Programme programme, std::size_t stage);

/// Where the last stage takes place; its air is the cook's.
const kitchen::Site* lastSite(const Request& request, const Target& target);

/// Stages of any places, as they are cooked; the last one to the recipe's goal unless it says else.
Result<cook::Programme> programmeOfStages(const Request& request,
                                          const std::vector<recipe::Stage>& stages);

} // namespace dynamet::translate
