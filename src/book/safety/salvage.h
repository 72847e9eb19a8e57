// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/book.h"

#include <map>

namespace dynamet::book {

/// What could be read of a damaged book.
struct Salvaged {
    std::map<std::string, std::size_t> saved; ///< rows by table
    std::size_t leftOut = 0;          ///< rows that were read and name something that was lost
    std::vector<std::string> damaged; ///< tables of which rows are missing, or may be
    std::size_t rows() const;
};

/// Reads every row that can still be read of a damaged book into a new one, from both ends of each
/// table; the damaged file is not touched. Rows that hang in the air are left out and counted. io
/// where the new file exists; corruptData where nothing at all could be read.
Result<Salvaged> salvage(const std::string& damagedPath, const std::string& newPath,
                         const When& when);

} // namespace dynamet::book
