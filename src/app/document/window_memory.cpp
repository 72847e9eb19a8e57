// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/document/window_memory.h"

#include <algorithm>

namespace dynamet::app {
QSettings userSettings() {
    return QSettings(QSettings::IniFormat, QSettings::UserScope, QStringLiteral("dynamet"),
                     QStringLiteral("dynamet"));
}

WindowMemory readMemory() {
    const QSettings from = userSettings();
    WindowMemory out;
    out.units.fahrenheit = from.value(QStringLiteral("units/fahrenheit"), false).toBool();
    out.units.inches = from.value(QStringLiteral("units/inches"), false).toBool();
    out.units.gasMarks = from.value(QStringLiteral("units/gas_marks"), false).toBool();
    out.theme = static_cast<look::ThemeChoice>(
        std::clamp(from.value(QStringLiteral("window/look"), 0).toInt(), 0, 2));
    out.lastBook = from.value(QStringLiteral("book/last")).toString();
    out.geometry = from.value(QStringLiteral("window/geometry")).toByteArray();
    return out;
}

void keepMemory(const WindowMemory& memory) {
    QSettings to = userSettings();
    to.setValue(QStringLiteral("units/fahrenheit"), memory.units.fahrenheit);
    to.setValue(QStringLiteral("units/inches"), memory.units.inches);
    to.setValue(QStringLiteral("units/gas_marks"), memory.units.gasMarks);
    to.setValue(QStringLiteral("window/look"), static_cast<int>(memory.theme));
    to.setValue(QStringLiteral("book/last"), memory.lastBook);
    to.setValue(QStringLiteral("window/geometry"), memory.geometry);
}

} // namespace dynamet::app
