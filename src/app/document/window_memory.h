// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/qt_text.h"

#include "app/look/theme.h"
#include <QByteArray>
#include <QSettings>

namespace dynamet::app {

/// The user's own settings on this machine.
QSettings userSettings();

/// What a cook finds again at the next start: the units, the last book, the window's place. Kept in
/// the user's own settings, never in a book.
struct WindowMemory {
    Units units;
    look::ThemeChoice theme = look::ThemeChoice::asDesktop;
    QString lastBook;
    QByteArray geometry;
};
WindowMemory readMemory();
void keepMemory(const WindowMemory& memory);

} // namespace dynamet::app
