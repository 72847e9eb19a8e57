// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QColor>
#include <QFont>

namespace dynamet::app::look {

// A clean steel bench in good light: quiet surfaces, ink-dark text, one warm accent for "act here".
inline const QColor kPage{0xed, 0xf0, 0xf0};
inline const QColor kSurface{0xfa, 0xfb, 0xfb};
inline const QColor kSunken{0xe3, 0xe8, 0xe8};
inline const QColor kInk{0x1b, 0x24, 0x26};
inline const QColor kQuietInk{0x4a, 0x58, 0x5b};
inline const QColor kRule{0xc6, 0xcf, 0xd0};
inline const QColor kAccent{0xa8, 0x42, 0x18};
inline const QColor kOnAccent{0xff, 0xff, 0xff};
inline const QColor kCaution{0x7a, 0x4c, 0x00};
inline const QColor kCautionGround{0xf7, 0xea, 0xcc};
inline const QColor kGood{0x2b, 0x5f, 0x45};
inline const QColor kSelected{0xdd, 0xe5, 0xe4};
inline const QColor kReference{0x3f, 0x55, 0x6b}; ///< curves of the recipe's own appliance

inline constexpr int kGrid = 8;
inline constexpr int kTarget = 40;    ///< height of what is tapped at the desk
inline constexpr int kRunTarget = 60; ///< and while it cooks

/// Contrast ratio of two opaque colours (WCAG 2.1).
double contrast(const QColor& a, const QColor& b);

/// Colour of a temperature: slate, olive, sand, brick; always the same at 20, 100, 200, 300 and
/// 600 °C, darker the hotter.
QColor heatColour(double celsius);

/// Loads the shipped font and sets palette and style sheet of the application. Call once.
void applyLook();
QFont textFont(int pixels, bool bold = false);

/// Position 0…1 on the common temperature axis: even up to 300 °C, compressed above.
double axisPlace(double celsius);

} // namespace dynamet::app::look
