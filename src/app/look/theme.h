// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QColor>
#include <QString>

namespace dynamet::app::look {

/// The colours of one look. Light: a clean steel bench in good light, ink-dark text, one warm
/// accent for "act here". Dark: the same kitchen after service.
struct Theme {
    QColor page, surface, sunken, field;
    QColor ink, quietInk, disabled;
    QColor rule, edge, bar;
    QColor accent, accentHover, accentPressed, accentOff, onAccent, onAccentOff;
    QColor caution, cautionGround, good;
    QColor selected, reference;
    QColor heatMark, wordMark; ///< grounds of words in a recipe's text
    bool dark = false;
};
const Theme& lightTheme();
const Theme& darkTheme();
/// The one that is drawn in now.
const Theme& theme();
/// The window's, also while something is drawn on paper.
const Theme& windowTheme();
/// What a colour of either look is in this one; any other colour stays.
QColor twinIn(const Theme& theme, const QColor& colour);

/// What the cook wants; kept with the window's memory.
enum class ThemeChoice { asDesktop, light, dark };
/// The next one, for a key that goes round.
ThemeChoice after(ThemeChoice choice);
QString themeWords(ThemeChoice choice);
/// Sets palette and style sheet; the desktop is asked, and followed when it changes.
void chooseTheme(ThemeChoice choice);
ThemeChoice chosenTheme();

/// While it lives everything is drawn in the light colours: paper is white.
class OnPaper {
  public:
    OnPaper();
    ~OnPaper();
    OnPaper(const OnPaper&) = delete;
    OnPaper& operator=(const OnPaper&) = delete;
};

inline const QColor& page() {
    return theme().page;
}
inline const QColor& surface() {
    return theme().surface;
}
inline const QColor& sunken() {
    return theme().sunken;
}
inline const QColor& ink() {
    return theme().ink;
}
inline const QColor& quietInk() {
    return theme().quietInk;
}
inline const QColor& rule() {
    return theme().rule;
}
inline const QColor& bar() {
    return theme().bar;
}
inline const QColor& accent() {
    return theme().accent;
}
inline const QColor& onAccent() {
    return theme().onAccent;
}
inline const QColor& caution() {
    return theme().caution;
}
inline const QColor& cautionGround() {
    return theme().cautionGround;
}
inline const QColor& good() {
    return theme().good;
}
inline const QColor& selected() {
    return theme().selected;
}
/// Curves of the recipe's own appliance.
inline const QColor& reference() {
    return theme().reference;
}

} // namespace dynamet::app::look
