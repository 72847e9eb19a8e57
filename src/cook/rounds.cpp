// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cook/rounds.h"

#include <cmath>
#include <fmt/format.h>

namespace dynamet::cook {

double plateAfter(const heat::LumpedPlate& plate, double startK, double seconds) {
    constexpr double kStepS = 0.5; // well below a plate's seconds per kelvin
    const auto rate = [&](double kelvin) {
        return (burnerOf(plate, kelvin, 0).first - plate.loss * (kelvin - plate.ambientK)) /
               plate.heatCapacity;
    };
    double kelvin = startK;
    for (double t = 0; t < seconds; t += kStepS) {
        const double dt = std::min(kStepS, seconds - t);
        kelvin += dt * rate(kelvin + dt / 2 * rate(kelvin));
    }
    return kelvin;
}

Result<std::vector<Round>> cookRounds(const recipe::FoodPiece& piece, const Programme& programme,
                                      const CookTarget& target, int rounds, double gapS,
                                      const Effort& effort, const Tables& tables) {
    const kitchen::FieldKey key{kitchen::Face::bottom, kitchen::Term::plate};
    Programme now = programme;
    std::vector<Round> out;
    for (int round = 0; round < rounds; ++round) {
        auto outcome = cookProgramme(piece, now, target, effort, tables);
        if (!outcome)
            return tl::unexpected(outcome.error().in(fmt::format("round {}", round + 1)));
        const auto plate =
            boundaryOf(now.last().field, kitchen::Face::bottom, programme.last().site).lumpedPlate;
        const kitchen::FieldNumber* number = find(now.last().field, key);
        out.push_back({plate ? plate->startK : NAN, *outcome});
        if (!plate || !number || !std::isfinite(outcome->touchAtPullK))
            continue;
        kitchen::FieldNumber next = *number;
        next.value = plateAfter(*plate, outcome->touchAtPullK, gapS);
        put(now.last().field, next);
    }
    return out;
}

} // namespace dynamet::cook
