// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/shell/main_window.h"

#include <QStringList>

namespace dynamet::app {

/// Names of the views that can be pictured.
QStringList viewNames();
/// Brings the window to a view of the demo kitchen, waits until it is idle and writes a PNG of
/// 1280 × 800. False when the name is unknown or the file cannot be written.
bool writePicture(MainWindow& window, const QString& view, const QString& file);

} // namespace dynamet::app
