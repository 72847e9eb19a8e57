// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "words/sheets.h"

#include <QString>

namespace dynamet::app {

/// Writes a sheet as PDF (A4: across, a list of few columns upright), HTML, CSV or XLSX by the ending of
/// its path. Empty when it is written, else why not.
QString writeSheet(const words::Sheet& sheet, const QString& path);

} // namespace dynamet::app
