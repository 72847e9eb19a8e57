// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "formats/column_roles.h"

#include <algorithm>

namespace dynamet::formats {
namespace {

std::vector<std::size_t> probesOf(const CsvDialect& dialect) {
    std::vector<std::size_t> out;
    for (std::size_t c = 0; c < dialect.columns.size(); ++c)
        if (dialect.columns[c].use == ColumnUse::readings)
            out.push_back(c);
    return out;
}

bool isTaken(const ColumnRoles& found, const std::string& role) {
    return std::any_of(found.roles.begin(), found.roles.end(),
                       [&](const auto& one) { return one.second == role; });
}

} // namespace

ColumnRoles rolesByName(const CsvDialect& dialect, const rating::Protocol& protocol,
                        const std::vector<std::string>& roles) {
    ColumnRoles out;
    const std::vector<std::size_t> probes = probesOf(dialect);
    if (roles.empty() || probes.empty())
        return out;
    if (probes.size() == 1) {
        const std::string& own = dialect.columns[probes.front()].role;
        const bool known = std::find(roles.begin(), roles.end(), own) != roles.end();
        out.roles[probes.front()] = known ? own : roles.front();
        return out;
    }
    std::vector<std::size_t> nameless;
    for (const std::size_t c : probes) {
        const std::string& role = dialect.columns[c].role;
        if (role.empty()) {
            nameless.push_back(c);
        } else if (std::find(roles.begin(), roles.end(), role) != roles.end()) {
            if (isTaken(out, role))
                out.certain = false; // two of one name
            else if (!protocol.firstColumnOnly || out.roles.empty())
                out.roles[c] = role;
        }
    }
    // One nameless probe beside named ones is the leading one, if nobody else is.
    if (!isTaken(out, roles.front()) && nameless.size() == 1 &&
        !(protocol.firstColumnOnly && !out.roles.empty()))
        out.roles[nameless.front()] = roles.front();
    const bool led = protocol.firstColumnOnly ? !out.roles.empty() : isTaken(out, roles.front());
    const bool places = protocol.id == "cavity-map";
    if (!led && !(places && out.roles.size() > 1))
        out.certain = false;
    return out;
}

} // namespace dynamet::formats
