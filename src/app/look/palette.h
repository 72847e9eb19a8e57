// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/look/theme.h"

#include <QColor>
#include <QFont>

namespace dynamet::app::look {

inline constexpr int kGrid = 8;
inline constexpr int kTarget = 40;    ///< height of what is tapped at the desk
inline constexpr int kRunTarget = 60; ///< and while it cooks

/// Contrast ratio of two opaque colours (WCAG 2.1).
double contrast(const QColor& a, const QColor& b);

/// Colour of a temperature: slate, olive, sand, brick; always the same at 20, 100, 200, 300 and
/// 600 °C, darker the hotter.
QColor heatColour(double celsius);

/// Loads the shipped font, sets the style and a theme. Call once.
void applyLook(ThemeChoice choice = ThemeChoice::light);
QFont textFont(int pixels, bool bold = false);

/// Position 0…1 on the common temperature axis: even up to 300 °C, compressed above.
double axisPlace(double celsius);

} // namespace dynamet::app::look
