// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/heat_field.h"

namespace dynamet::kitchen {

/// A place's heat where food covers this share (0…1) of the pan, grate or shelf: pieces hide one
/// another's sides, air passes less easily between and below them, and their steam stays about
/// them. The changed numbers are assumed, from memory (docs/physics.md, "Crowding"). Liquids stay
/// as they are.
HeatField crowded(HeatField field, double covered);

} // namespace dynamet::kitchen
