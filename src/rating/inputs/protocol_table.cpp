// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/inputs/protocol_table.h"

#include "rating/inputs/guide_text.h"

#include <array>
#include <nlohmann/json.hpp>
#include <stdexcept>
#include <string_view>

namespace dynamet::data {
extern const std::string_view protocols;
} // namespace dynamet::data

namespace dynamet::rating {
namespace {

using nlohmann::json;

// The shipped table is ours: what is wrong in it throws, at the first look, in every test.

KeyedKind keyedKind(const std::string& word) {
    return word == "count"     ? KeyedKind::count
           : word == "minutes" ? KeyedKind::minutes
                               : KeyedKind::temperature;
}

constexpr std::array kKinds{std::pair{ValueKind::number, "number"},
                            std::pair{ValueKind::count, "count"},
                            std::pair{ValueKind::mass, "mass"},
                            std::pair{ValueKind::length, "length"},
                            std::pair{ValueKind::energy, "energy"},
                            std::pair{ValueKind::duration, "duration"},
                            std::pair{ValueKind::temperature, "temperature"},
                            std::pair{ValueKind::difference, "difference"},
                            std::pair{ValueKind::choice, "choice"}};

ValueKind valueKind(const std::string& word) {
    for (const auto& [kind, name] : kKinds)
        if (word == name)
            return kind;
    throw std::invalid_argument("protocols.json: no kind of value " + word);
}

/// What holds when nothing is given: the default, else the usual value.
std::optional<double> fallbackOf(const json& row, const ValueSpec& spec) {
    if (spec.required || spec.optional)
        return row.contains("default") && row.at("default").is_number()
                   ? std::optional(row.at("default").get<double>())
                   : std::nullopt;
    if (row.contains("default") && row.at("default").is_number())
        return row.at("default").get<double>();
    return spec.usual.empty() ? std::nullopt
                              : std::optional(std::stod(spec.usual) * spec.siPerUnit);
}

ValueSpec readSpec(const std::string& name, const json& row) {
    ValueSpec out;
    out.name = name;
    out.label = row.at("label").get<std::string>();
    out.kind = valueKind(row.at("kind").get<std::string>());
    out.unit = row.value("unit", "");
    out.siPerUnit = row.value("si", 1.0);
    out.usual = row.value("usual", "");
    out.required = row.value("required", false);
    out.optional = row.value("optional", false);
    out.logTells = row.value("log_tells", false);
    out.asked = row.value("asked", true);
    if (out.kind == ValueKind::choice) {
        for (const json& one : row.at("choices"))
            out.choices.push_back({one.at(0).get<std::string>(), one.at(1).get<std::string>()});
        return out;
    }
    out.low = row.at("range").at(0).get<double>();
    out.high = row.at("range").at(1).get<double>();
    out.fallback = fallbackOf(row, out);
    return out;
}

/// "name", or ["name", {what is different here}].
ValueSpec specOf(const json& entry, const json& shared) {
    if (entry.is_string())
        return readSpec(entry.get<std::string>(), shared.at(entry.get<std::string>()));
    json row = shared.at(entry.at(0).get<std::string>());
    row.merge_patch(entry.at(1)); // null takes a property away
    return readSpec(entry.at(0).get<std::string>(), row);
}

Protocol readProtocol(const json& row, const json& sharedValues) {
    Protocol p;
    p.id = row.at("id").get<std::string>();
    p.shortName = row.at("short").get<std::string>();
    const GuideText page = readGuide(guidePage(p.id));
    p.title = page.title;
    p.finds = page.finds;
    p.needs = page.paragraph("You need");
    p.steps = page.items("Steps");
    p.cautions = page.items("What can hurt you");
    p.howLong = page.paragraph("How long");
    p.spoils = page.paragraph("What spoils it");
    p.workedOut = page.paragraph("How it is worked out");
    p.fromLog = row.at("from_log").get<bool>();
    p.alsoLog = row.value("also_log", false);
    p.logsWeight = row.value("logs_weight", false);
    p.needsAltitude = row.value("altitude", false);
    p.firstColumnOnly = row.value("first_column_only", false);
    p.roles = row.at("roles").get<std::vector<std::string>>();
    if (row.contains("keyed"))
        for (const json& k : row.at("keyed"))
            p.keyed.push_back({k.at(0).get<std::string>(), k.at(1).get<std::string>(),
                               keyedKind(k.at(2).get<std::string>()), k.at(3).get<std::string>(),
                               k.at(4).get<bool>()});
    for (const json& entry : row.at("values"))
        p.values.push_back(specOf(entry, sharedValues));
    return p;
}

ProtocolTable readTable() {
    const json table = json::parse(data::protocols);
    ProtocolTable out;
    for (const json& row : table.at("protocols"))
        out.protocols.push_back(readProtocol(row, table.at("values")));
    for (const kitchen::ApplianceKind kind : kitchen::allKinds())
        out.forKind[kind] = table.at("order").at(enumName(kind)).get<std::vector<std::string>>();
    out.quantityWords = table.at("quantities").get<std::map<std::string, std::string>>();
    out.points = table.at("points").get<std::set<std::string>>();
    return out;
}

} // namespace

const char* enumName(ValueKind kind) {
    for (const auto& [known, name] : kKinds)
        if (known == kind)
            return name;
    return "number";
}

const ProtocolTable& protocolTable() {
    static const ProtocolTable table = readTable();
    return table;
}

} // namespace dynamet::rating
