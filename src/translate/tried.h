// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/appliance.h"
#include "recipe/recipe.h"

#include <optional>

namespace dynamet::translate {

/// What a hand tries on one row: another setting, out after so long whatever the core says (s, of
/// the last stage), turned otherwise, covered or not. What is not set is as the row has it.
struct Tried {
    std::optional<kitchen::Setting> setting;
    std::optional<double> lastS;
    std::optional<recipe::Turning> turning;
    std::optional<bool> covered;
    bool any() const { return setting || lastS || turning || covered; }
    bool operator==(const Tried&) const = default;
};

/// What can be put over food there: a pan's lid, the appliance's own, foil; nothing where food
/// lies in water or oil.
enum class CoverThere { none, panLid, ownLid, foil };
CoverThere coverThere(kitchen::ApplianceKind kind);

/// Is a stage covered as `coverThere` has it?
bool isCovered(const recipe::Stage& stage, kitchen::ApplianceKind kind);

/// A stage on an appliance of that kind, turned and covered as it is tried.
recipe::Stage withTried(recipe::Stage stage, const Tried& tried, kitchen::ApplianceKind kind);

} // namespace dynamet::translate
