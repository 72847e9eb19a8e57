// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "trace/series.h"

namespace dynamet {

/// A series without its missing readings: the series itself where none is missing (a log of months is
/// not copied), else a copy in `spare`. Holds as long as both live.
const Series& finite(const Series& series, Series& spare);

} // namespace dynamet
