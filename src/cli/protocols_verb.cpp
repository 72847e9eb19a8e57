// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cli/verb.h"
#include "formats/protocol_table.h"
#include "rating/inputs/protocols.h"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

namespace dynamet::cli {
namespace {

std::string linesOf(const rating::Protocol& protocol) {
    std::string out = protocol.id + ": " + protocol.title;
    for (const std::string& role : protocol.roles)
        out += "\n  reading " + role;
    for (const rating::ValueSpec& spec : protocol.values)
        out += fmt::format("\n  {:<20} {}{}", spec.name, formats::valueWords(spec),
                           spec.required ? "; required" : "");
    return out;
}

} // namespace

Result<Answer> protocols(const std::string& only) {
    Answer out;
    nlohmann::json all{{"format", "dynamet-protocol-list"},
                       {"version", 1},
                       {"protocols", nlohmann::json::array()}};
    for (const rating::Protocol& protocol : rating::allProtocols()) {
        if (!only.empty() && protocol.id != only)
            continue;
        all["protocols"].push_back(formats::protocolJson(protocol));
        out.text += (out.text.empty() ? "" : "\n") + linesOf(protocol);
    }
    if (out.text.empty())
        return fail(Errc::notFound,
                    fmt::format("no protocol \"{}\"; `protocols` lists them", only));
    out.json = all.dump();
    return out;
}

} // namespace dynamet::cli
