// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/translate.h"

#include <string>
#include <vector>

namespace dynamet::words {

/// A row as it hangs on a shelf: what to set, when to look and take it out, what to mind, and where
/// its numbers come from.
struct ConversionCard {
    std::string recipe, source; ///< the recipe's name and where it was written
    std::string piece;
    std::string target, pull, times;
    std::vector<std::string> stages;     ///< one a line; empty for one heat
    std::vector<std::string> notes;      ///< like the recipe or how not, batches, what differs
    std::vector<std::string> signs;      ///< what tells without a probe
    std::vector<std::string> cautions;   ///< before the first step that needs them
    std::vector<std::string> provenance; ///< rated or assumed, and how old
};
/// "2026-11-30", UTC.
std::string dayWords(std::int64_t unixMs);
/// `detail` adds batches and waits where it is known.
ConversionCard cardOf(const translate::Row& row, const translate::Prepared& prepared,
                      const translate::RowDetail* detail, Units units);

} // namespace dynamet::words
