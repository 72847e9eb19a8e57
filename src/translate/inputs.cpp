// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/inputs.h"

#include <algorithm>
#include <cmath>

namespace dynamet::translate {
namespace {

using kitchen::Term;

const char* nameOf(Term term) {
    switch (term) {
    case Term::air:
        return "air temperature";
    case Term::hAir:
        return "air movement";
    case Term::vapour:
        return "humidity";
    case Term::radiant:
    case Term::radiant2:
        return "wall temperature";
    case Term::view:
    case Term::view2:
        return "radiation seen";
    case Term::plate:
        return "plate at the start";
    case Term::plateSet:
        return "plate temperature";
    case Term::contact:
        return "contact";
    case Term::plateHeatCapacity:
        return "plate's heat store";
    case Term::plateFlux:
        return "power";
    case Term::plateLoss:
        return "plate's loss";
    case Term::liquid:
        return "liquid temperature";
    case Term::hLiquid:
        return "liquid movement";
    case Term::effusivity:
        return "stone's heat store";
    case Term::plateAmbient:
        return "heat around the plate";
    case Term::touchedShare:
        return "contact";
    case Term::power:
        return "power";
    case Term::loss:
        return "loss";
    }
    return "heat";
}

/// A field of a programme with whose heat it is.
struct Heat {
    const std::string* name;
    const kitchen::HeatField* field;
};
std::vector<Heat> heatsOf(const cook::Programme& programme) {
    std::vector<Heat> out;
    for (const cook::Stage& stage : programme.stages) {
        out.push_back({&stage.heatId, &stage.field});
        for (const cook::Change& change : stage.changes)
            if (change.field)
                out.push_back({&stage.heatId, &*change.field});
    }
    return out;
}

/// Of the number (temperatures) or of its logarithm.
double sdOf(const kitchen::FieldNumber& n) {
    return isTemperature(n.key.term) ? n.u : n.u / n.value;
}

/// A hob's power has already become the flux into its vessel; what a bath or an iron oven gives and
/// loses as a whole is in its temperature.
bool counts(const kitchen::FieldNumber& n) {
    return n.u > 0 && n.value != 0 && n.key.term != Term::power && n.key.term != Term::loss;
}

void shiftNumber(kitchen::HeatField& field, const Input& input, double deviation) {
    const kitchen::FieldNumber* number = find(field, input.key);
    if (!number || !counts(*number))
        return;
    kitchen::FieldNumber changed = *number;
    if (isTemperature(input.key.term))
        changed.value += deviation * sdOf(*number);
    else
        changed.value *= std::exp(deviation * sdOf(*number));
    if (input.key.term == Term::view || input.key.term == Term::view2)
        changed.value = std::min(changed.value, 1.0);
    put(field, changed);
}

/// More water, and less of everything else in proportion.
void shiftWater(food::Composition& c, double change) {
    const double water = std::clamp(c.water + change, 0.02, 0.98);
    const double scale = (1 - water) / (1 - c.water);
    c = {water,           c.protein * scale, c.fat * scale, c.carbohydrate * scale,
         c.fibre * scale, c.ash * scale};
}

} // namespace

double FoodSpread::wholeThicknessLn() const {
    return std::hypot(priors.shape, thicknessLn);
}

FoodSpread spreadOf(const evidence::Priors& priors, const recipe::FoodPiece& piece) {
    FoodSpread out{priors};
    switch (piece.thicknessBy) {
    case recipe::KnownBy::eye:
        out.thicknessLn = evidence::kByEye;
        break;
    case recipe::KnownBy::ruler:
        out.thicknessLn = evidence::kByRuler;
        break;
    case recipe::KnownBy::calipers:
        out.thicknessLn = std::min(evidence::kByRuler, evidence::kByCalipersM / piece.thicknessM);
        break;
    }
    out.startK = piece.startProbed ? evidence::kStartProbedK : evidence::kStartByHandK;
    return out;
}

std::vector<Input> inputsOf(const cook::Programme& programme, const FoodSpread& spread,
                            const recipe::FoodPiece& piece) {
    std::vector<Input> out;
    const auto heats = heatsOf(programme);
    const bool several = std::any_of(heats.begin(), heats.end(),
                                     [&](const Heat& h) { return *h.name != *heats.front().name; });
    for (const Heat& heat : heats)
        for (const kitchen::FieldNumber& n : heat.field->numbers) {
            const bool known = std::any_of(out.begin(), out.end(), [&](const Input& i) {
                return i.key == n.key && i.heatId == *heat.name;
            });
            if (!counts(n) || known)
                continue;
            const std::string name = nameOf(n.key.term);
            out.push_back({several ? name + " of " + *heat.name : name, Input::What::fieldNumber,
                           n.key, *heat.name, sdOf(n)});
        }
    out.push_back({"thickness", Input::What::thickness, {}, {}, spread.wholeThicknessLn()});
    out.push_back({"start temperature", Input::What::start, {}, {}, spread.startK});
    out.push_back({"moisture supply", Input::What::moisture, {}, {}, spread.priors.moistureLn});
    out.push_back({"composition", Input::What::composition, {}, {}, piece.food.waterU});
    std::erase_if(out, [](const Input& i) { return !(i.sd > 0); });
    return out;
}

std::vector<double> correlationsOf(const std::vector<Input>& inputs,
                                   const cook::Programme& programme) {
    const std::size_t n = inputs.size();
    const auto heats = heatsOf(programme);
    const auto correlation = [&](const Input& a, const Input& b) {
        if (a.what != Input::What::fieldNumber || b.what != Input::What::fieldNumber ||
            a.heatId != b.heatId)
            return 0.0;
        for (const Heat& heat : heats) {
            const auto *one = find(*heat.field, a.key), *other = find(*heat.field, b.key);
            if (*heat.name == a.heatId && one && other)
                return std::clamp(covarianceOf(*heat.field, a.key, b.key) / (one->u * other->u),
                                  -1.0, 1.0);
        }
        return 0.0;
    };
    std::vector<double> out(n * n, 0);
    for (std::size_t i = 0; i < n; ++i)
        for (std::size_t j = 0; j < n; ++j)
            out[i * n + j] = i == j ? 1 : correlation(inputs[i], inputs[j]);
    return out;
}

Deviated deviated(const recipe::FoodPiece& piece, const cook::Programme& programme,
                  const std::vector<Input>& inputs, std::span<const double> deviations) {
    Deviated out{piece, programme, false};
    for (std::size_t i = 0; i < inputs.size(); ++i) {
        const double z = deviations[i];
        if (z == 0)
            continue;
        switch (inputs[i].what) {
        case Input::What::fieldNumber:
            for (cook::Stage& stage : out.programme.stages)
                if (stage.heatId == inputs[i].heatId) {
                    shiftNumber(stage.field, inputs[i], z);
                    for (cook::Change& change : stage.changes)
                        if (change.field)
                            shiftNumber(*change.field, inputs[i], z);
                }
            break;
        case Input::What::thickness:
            out.piece.thicknessM *= std::exp(z * inputs[i].sd);
            break;
        case Input::What::start:
            out.piece.startK = std::max(243.15, out.piece.startK + z * inputs[i].sd);
            break;
        case Input::What::moisture:
            out.piece.moistureSupply *= std::exp(z * inputs[i].sd);
            break;
        case Input::What::composition:
            shiftWater(out.piece.food.composition, z * inputs[i].sd);
            out.composition = true;
            break;
        }
    }
    return out;
}

} // namespace dynamet::translate
