// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "formats/protocol_table.h"

#include <fmt/format.h>
#include <fmt/ranges.h>
#include <nlohmann/json.hpp>

namespace dynamet::formats {
namespace {

std::vector<std::string> wordsOf(const rating::ValueSpec& spec) {
    std::vector<std::string> out;
    for (const rating::Choice& choice : spec.choices)
        out.push_back(choice.word);
    return out;
}

} // namespace

std::string valueWords(const rating::ValueSpec& spec) {
    if (spec.kind == rating::ValueKind::choice)
        return fmt::format("{} ({})", fmt::join(wordsOf(spec), ", "), spec.label);
    std::string out =
        fmt::format("{:.6g} to {:.6g}", spec.low * spec.siPerUnit, spec.high * spec.siPerUnit);
    if (spec.fallback)
        out += fmt::format(", else {:.6g}", *spec.fallback);
    return out + " (" + spec.label + ")";
}

nlohmann::json protocolJson(const rating::Protocol& protocol) {
    nlohmann::json out{{"id", protocol.id},
                       {"title", protocol.title},
                       {"from_log", protocol.fromLog},
                       {"also_log", protocol.alsoLog},
                       {"roles", protocol.roles},
                       {"values", nlohmann::json::array()}};
    for (const rating::ValueSpec& spec : protocol.values) {
        nlohmann::json value{{"name", spec.name},
                             {"label", spec.label},
                             {"kind", enumName(spec.kind)},
                             {"required", spec.required}};
        if (spec.kind == rating::ValueKind::choice) {
            value["choices"] = wordsOf(spec);
        } else {
            value["low"] = spec.low * spec.siPerUnit;
            value["high"] = spec.high * spec.siPerUnit;
            if (spec.fallback)
                value["default"] = *spec.fallback;
        }
        out["values"].push_back(value);
    }
    return out;
}

std::string protocolMarkdown() {
    std::string out =
        "| protocol | columns or typed readings (`--key`) | values |\n|---|---|---|\n";
    for (const rating::Protocol& protocol : rating::allProtocols()) {
        std::vector<std::string> values;
        for (const rating::ValueSpec& spec : protocol.values)
            values.push_back(spec.kind == rating::ValueKind::choice
                                 ? fmt::format("{} ({})", spec.name, fmt::join(wordsOf(spec), ", "))
                             : spec.required ? "**" + spec.name + "**"
                                             : spec.name);
        out += fmt::format("| {} | {}{} | {} |\n", protocol.id, fmt::join(protocol.roles, ", "),
                           protocol.fromLog || protocol.roles.empty() ? ""
                           : protocol.logsWeight                      ? " (a scale's log)"
                           : protocol.alsoLog                         ? " (typed, or a log)"
                                                                      : " (typed)",
                           fmt::join(values, ", "));
    }
    return out;
}

} // namespace dynamet::formats
