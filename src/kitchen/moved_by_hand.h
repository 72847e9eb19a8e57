// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/heat_field.h"
#include "kitchen/site.h"

namespace dynamet::kitchen {

// What a cook's hand does to a heat; every changed number is assumed, from memory
// (docs/physics.md, "Handling").

/// Pressed food touches so many times better.
inline constexpr double kPressed = 1.4;

/// Turned off: a plate lives on what it stored, an oven's air and walls cool by e in twenty
/// minutes.
HeatField withHeatOff(HeatField field, const Site& site);
/// Its door open: the air loses 0.4 of its rise over the room, the walls a twentieth.
HeatField withDoorOpen(HeatField field, const Site& site);
/// Spooned over all the while with what is in the pan: its fat at the pan's temperature (200 °C at
/// most), elsewhere juice just below boiling.
HeatField basted(HeatField field, const Site& site);
/// Lifted off, in its vessel where it has one: no burner and no glow, the room's air.
HeatField awayFromHeat(HeatField field, const Site& site);

} // namespace dynamet::kitchen
