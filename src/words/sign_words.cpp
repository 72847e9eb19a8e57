// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/sign_words.h"

#include "food/signs.h"
#include "quantity/print.h"

#include <fmt/format.h>

namespace dynamet::words {
namespace {

std::string said(const char* when, const food::Sign& sign, Units units) {
    const auto degrees = [units](double k) {
        return printTemperature(Temperature::kelvin(k), units.temperature());
    };
    return fmt::format("{}: {} ({} to {})", when, sign.says, degrees(sign.lowK),
                       degrees(sign.highK));
}

} // namespace

std::vector<std::string> signsOf(const food::Food& food, double darker, double pullK,
                                 const kitchen::Appliance* on, Units units) {
    std::vector<std::string> out;
    constexpr double kTooEarlyK = 8;
    using At = food::Sign::At;
    if (darker > 0.15)
        for (const food::Sign& one : food::signsAt(food.foodClass, At::face, 413, 1))
            out.push_back(said("On the face", one, units));
    for (const food::Sign& one : food::signsAt(food.foodClass, At::core, pullK - kTooEarlyK, 1))
        out.push_back(said("At the first look", one, units));
    for (const food::Sign& one : food::signsAt(food.foodClass, At::core, pullK, 2)) {
        const std::string line = said("When it is done", one, units);
        if (out.empty() || out.back().find(one.says) == std::string::npos)
            out.push_back(line);
        else
            out.back() = line;
    }
    if (on && (isHob(on->kind) || on->kind == kitchen::ApplianceKind::deepFryer))
        for (const food::Sign& one :
             food::signsAt(food.foodClass, At::fat,
                           on->kind == kitchen::ApplianceKind::deepFryer ? 448 : 458, 1))
            out.push_back(said("Before it goes in, the fat", one, units));
    return out;
}

std::vector<std::string> signLines(const translate::Row& row, const translate::Prepared& prepared,
                                   Units units) {
    if (!row.reached)
        return {};
    return signsOf(prepared.request.recipe.piece.food, row.outcome.darker(), row.outcome.pullK,
                   findAppliance(prepared.request.kitchen, row.target.applianceId), units);
}

} // namespace dynamet::words
