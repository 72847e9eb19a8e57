// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/inputs/test_reader.h"

#include "quantity/print.h"
#include "quantity/water.h"
#include "trace/screen.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::rating {
namespace {

Measure measureOf(const ValueSpec& spec, double typed) {
    if (spec.kind == ValueKind::temperature)
        return Temperature::celsius(typed);
    return KelvinDelta{typed};
}

std::string amount(const ValueSpec& spec, double typed) {
    const std::string number = fmt::format("{:.6g}", typed);
    return spec.unit.empty() ? number : number + " " + spec.unit;
}

} // namespace

Result<void> checkRange(const ValueSpec& spec, double named) {
    const double typed = named / spec.siPerUnit;
    const bool none = spec.optional && named == 0;
    const double slack = 1e-9 * std::max(std::abs(spec.low), std::abs(spec.high));
    if (none || (std::isfinite(typed) && typed >= spec.low - slack && typed <= spec.high + slack))
        return {};
    if (std::isfinite(typed) &&
        (spec.kind == ValueKind::temperature || spec.kind == ValueKind::difference))
        return fail(Errc::invalidArgument,
                    {"value_outside",
                     {Name{spec.label}, measureOf(spec, typed), measureOf(spec, spec.low),
                      measureOf(spec, spec.high)}});
    return fail(Errc::invalidArgument,
                fmt::format("{}: {} is outside {} to {}", spec.label, amount(spec, typed),
                            amount(spec, spec.low), amount(spec, spec.high)));
}

Result<void> checkChoice(const ValueSpec& spec, const std::string& word) {
    std::string known;
    for (const Choice& choice : spec.choices) {
        if (choice.word == word)
            return {};
        known += (known.empty() ? "" : ", ") + choice.word;
    }
    return fail(Errc::invalidArgument,
                fmt::format("{}: there is no \"{}\"; choose from {}", spec.name, word, known));
}

TestReader::TestReader(const TestInput& test)
    : test_(test), protocol_(*findProtocol(test.protocol)) {
    for (const auto& [name, value] : test.values) {
        const ValueSpec* spec = protocol_.value(name);
        if (!spec || spec->kind == ValueKind::choice)
            complain({Errc::invalidArgument,
                      spec
                          ? fmt::format("{} is a choice in words, not a number", name)
                          : fmt::format("{} does not know the value \"{}\"", test.protocol, name)});
        else if (const auto ok = checkRange(*spec, value); !ok)
            complain(ok.error());
    }
    for (const auto& [name, word] : test.choices) {
        const ValueSpec* spec = protocol_.value(name);
        if (!spec || spec->kind != ValueKind::choice)
            complain({Errc::invalidArgument,
                      spec
                          ? fmt::format("{} should be a number, not \"{}\"", name, word)
                          : fmt::format("{} does not know the value \"{}\"", test.protocol, name)});
        else if (const auto ok = checkChoice(*spec, word); !ok)
            complain(ok.error());
    }
    for (const ValueSpec& spec : protocol_.values)
        if (spec.required && !test.values.contains(spec.name) &&
            !(spec.logTells && !test.channels.empty()))
            complain({Errc::invalidArgument,
                      fmt::format("{} needs {} ({})", test.protocol, spec.name, spec.label)});
}

void TestReader::complain(Error error) {
    if (!complaint_)
        complaint_ = std::move(error);
}

void TestReader::missing(const char* role) {
    complain({Errc::invalidArgument,
              fmt::format("{} needs a column with the role \"{}\"", test_.protocol, role)});
}

void TestReader::log(const char* role, Series& into) {
    if (const auto at = test_.channels.find(role); at != test_.channels.end())
        into = screened(role, at->second);
    else
        missing(role);
}

void TestReader::weights(const char* role, std::optional<Series>& into) {
    if (const auto at = test_.channels.find(role); at != test_.channels.end())
        into = at->second;
}

void TestReader::log(const char* role, std::optional<Series>& into) {
    if (const auto at = test_.channels.find(role); at != test_.channels.end())
        into = screened(role, at->second);
}

/// Codes and spikes are gaps; a probe that stands still or is cut off is named.
Series TestReader::screened(const std::string& role, const Series& log) {
    Screened out = screenReadings(log);
    const bool liquid = test_.choices.contains("medium") || role == "oil" ||
                        (role == "water" && test_.protocol != "bath-loss");
    const bool mayJump = test_.protocol == "load-dip" || test_.protocol == "burn-down";
    for (const Flaw& flaw : out.flaws) {
        const Name who{role};
        const Number count{static_cast<double>(flaw.count)};
        const Seconds from{flaw.fromS - log.timeS.front()};
        if (flaw.kind == FlawKind::code)
            doubts_.push_back({"no_probe_codes", {who, count, from}});
        else if (flaw.kind == FlawKind::spike)
            doubts_.push_back({"spikes", {who, count, from}});
        else if (flaw.kind == FlawKind::stuck && !liquid)
            doubts_.push_back(
                {"stuck",
                 {who, Temperature::kelvin(flaw.kelvin), from, Seconds{flaw.toS - flaw.fromS}}});
        else if (flaw.kind == FlawKind::step && !mayJump)
            doubts_.push_back(
                {"step",
                 {who, Temperature::kelvin(flaw.kelvin), Temperature::kelvin(flaw.toK), from}});
        else if (flaw.kind == FlawKind::ceiling)
            doubts_.push_back({"ceiling", {who, Temperature::kelvin(flaw.kelvin), count}});
    }
    checkFall(role, out.series);
    checkDip(role, out.series);
    return std::move(out.series);
}

/// Nothing that is rated falls by half within minutes, but a plate that takes a cold load and a
/// thermometer that is moved: a probe that was pulled out is told, one that never comes back
/// refused.
void TestReader::checkFall(const std::string& role, const Series& log) {
    const bool may = test_.protocol == "load-dip" || test_.protocol == "instrument-check";
    const auto fall = may ? std::nullopt : findFall(log);
    if (!fall)
        return;
    const Seconds at{fall->atS - log.timeS.front()};
    if (!fall->recovers)
        complain(
            {Errc::refused,
             "",
             0,
             {"pulled_out",
              {Name{role}, Temperature::kelvin(fall->fromK), Temperature::kelvin(fall->toK), at}}});
    else
        doubts_.push_back(
            {"fell",
             {Name{role}, Temperature::kelvin(fall->fromK), Temperature::kelvin(fall->toK), at}});
}

/// What is heated up never cools on its way, unless something cold went in.
void TestReader::checkDip(const std::string& role, const Series& log) {
    constexpr double kLeastK = 2;
    if (test_.protocol != "water-heat-up" && test_.protocol != "oil-heat-up")
        return;
    Series up = log; // an oil's thermostat may hold it at the end
    const auto top = std::max_element(up.value.begin(), up.value.end(), [](double a, double b) {
        return std::isnan(a) || (!std::isnan(b) && a < b);
    });
    const auto count = static_cast<std::size_t>(top - up.value.begin()) + 1;
    up.timeS.resize(std::min(count, up.timeS.size()));
    up.value.resize(std::min(count, up.value.size()));
    if (const auto dip = findDip(up, kLeastK))
        complain({Errc::refused,
                  "",
                  0,
                  {"liquid_fell",
                   {Name{role}, Temperature::kelvin(dip->fromK), Temperature::kelvin(dip->toK),
                    Seconds{dip->atS - log.timeS.front()}}}});
}

bool TestReader::eitherLog(const char* usual, const char* other, Series& into) {
    if (test_.channels.contains(other)) {
        log(other, into);
        return true;
    }
    log(usual, into);
    return false;
}

void TestReader::readings(const char* role, std::vector<double>& into) {
    readingsIfAny(role, into);
    if (into.empty())
        missing(role);
}

void TestReader::readingsIfAny(const char* role, std::vector<double>& into) {
    if (const auto at = test_.keyed.find(role); at != test_.keyed.end())
        into = at->second;
    else if (const auto log = test_.channels.find(role); log != test_.channels.end())
        into = log->second.value;
}

std::optional<double> TestReader::number(const char* name) {
    const ValueSpec& spec = *protocol_.value(name); // a typing error of ours stops every test
    const auto at = test_.values.find(name);
    std::optional<double> found =
        at != test_.values.end() ? std::optional(at->second) : spec.fallback;
    if (!found || (spec.optional && *found == 0))
        return std::nullopt;
    return spec.kind == ValueKind::temperature ? *found + kZeroCelsiusK : *found;
}

void TestReader::value(const char* name, double& into) {
    into = number(name).value_or(into);
}

void TestReader::value(const char* name, int& into) {
    into = static_cast<int>(number(name).value_or(into));
}

void TestReader::value(const char* name, std::optional<double>& into) {
    if (const auto found = number(name))
        into = found;
}

std::string TestReader::chosenWord(const char* name) {
    const auto at = test_.choices.find(name);
    return at != test_.choices.end() ? at->second : protocol_.value(name)->choices.front().word;
}

bool TestReader::isSecond(const char* name) {
    return chosenWord(name) == protocol_.value(name)->choices.at(1).word;
}

double TestReader::pressurePa() {
    if (const auto given = number("pressure_Pa"))
        return *given;
    return standardPressurePa(number("altitude_m").value_or(0)).value_or(kStandardPressurePa);
}

std::optional<double> TestReader::inputEnergyJ() {
    if (const auto electric = number("energy_J"))
        return electric;
    if (const auto gas = number("gas_m3"))
        return *gas * *number("heating_J_m3");
    if (const auto fuel = number("fuel_kg"))
        return *fuel * *number("heating_J_kg");
    return std::nullopt;
}

Result<void> TestReader::checked() const {
    if (complaint_)
        return tl::unexpected(*complaint_);
    return {};
}

} // namespace dynamet::rating
