// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "formats/csv_dialect.h"
#include "rating/inputs/protocols.h"

#include <map>

namespace dynamet::formats {

/// Which column of a log has which role in a test.
struct ColumnRoles {
    std::map<std::size_t, std::string> roles; ///< by column; what is not in it is not used
    bool certain = true; ///< false: names do not tell, somebody has to say which is which
};

/// Roles by the columns' names; a single probe is the leading one. `roles`: those that the test can
/// have here, the leading one first.
ColumnRoles rolesByName(const CsvDialect& dialect, const rating::Protocol& protocol,
                        const std::vector<std::string>& roles);

} // namespace dynamet::formats
