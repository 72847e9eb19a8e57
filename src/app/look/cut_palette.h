// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QColor>

namespace dynamet::app::look {

/// Colour of a cut face by doneness (0 raw, 1 greyed, 2 dried through): from dark to light all the
/// way, so that it reads in greyscale. Never the heat ramp.
QColor cutColour(double doneness, bool meat);
/// Colour of a crust by its browning index: darker the browner.
QColor crustColour(double browning);

} // namespace dynamet::app::look
