// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// The outcome's sums over the section: what it looks like when cut, rim, juices.
#include "cook/simulation.h"

#include "food/juices.h"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace dynamet::cook {
namespace {

std::vector<double> shares(const std::vector<double>& volumes) {
    const double sum = std::accumulate(volumes.begin(), volumes.end(), 0.0);
    std::vector<double> out;
    for (double v : volumes)
        out.push_back(v / sum);
    return out;
}

/// Depth from the start of a line of peaks down to which it passed `grey`, linear between nodes.
double depthOf(const std::vector<double>& at, const std::vector<double>& peak, double grey) {
    for (std::size_t i = 0; i < peak.size(); ++i) {
        if (peak[i] >= grey)
            continue;
        if (i == 0)
            return 0;
        const double share = (peak[i - 1] - grey) / std::max(peak[i - 1] - peak[i], 1e-9);
        return std::lerp(at[i - 1], at[i], share);
    }
    return at.back();
}

/// The middle column from the first face up, and from the second face down.
std::pair<double, double> rims(const Section& s, std::size_t column, bool twoFaces, double grey) {
    std::vector<double> up, down, fromFirst = s.upM, fromSecond;
    for (std::size_t y = 0; y < s.upM.size(); ++y)
        up.push_back(s.at(column, y));
    down.assign(up.rbegin(), up.rend());
    for (std::size_t y = s.upM.size(); y-- > 0;)
        fromSecond.push_back(s.upM.back() - s.upM[y]);
    const double second = depthOf(fromSecond, down, grey);
    return {twoFaces ? depthOf(fromFirst, up, grey) : 0, second};
}

} // namespace

std::vector<double> Simulation::peakNodes() const {
    const heat::Grid& grid = solver_.grid();
    const heat::PieceState& state = solver_.state();
    std::vector<double> out;
    for (std::size_t x = 0; x < grid.across.size(); ++x)
        for (std::size_t y = 0; y < grid.up.size(); ++y)
            out.push_back(state.peakK[solver_.row(x, state.turned ? grid.up.size() - 1 - y : y)]);
    return out;
}

Section Simulation::section() const {
    const heat::Grid& grid = solver_.grid();
    Section out;
    out.shape = piece_.shape;
    out.thicknessM = piece_.thicknessM;
    out.widthM = piece_.widthM;
    out.halved = !(piece_.bone == heat::Bone::oneSide && piece_.shape == heat::Shape::block);
    out.upM = grid.up;
    out.acrossM = grid.across;
    out.upShare = shares(grid.volumeUp);
    out.acrossShare = shares(grid.volumeAcross);
    out.peakK = peakNodes();
    return out;
}

Frame Simulation::frame() const {
    Frame out{timeS(), peakNodes(), {}, {}};
    for (std::size_t face = 0; face < 3; ++face) {
        out.browning[face] = moment_.crust[face].index();
        out.crustSpread[face] = moment_.crust[face].spread();
    }
    return out;
}

void Simulation::fill(Outcome& outcome) {
    catchUp();
    for (std::size_t face = 0; face < 3; ++face) {
        const FaceCrust& crust = moment_.crust[face];
        outcome.browning[face] = crust.index();
        outcome.crustSpread[face] = crust.spread();
        outcome.charred[face] = crust.charredShare();
        outcome.dryLayerM[face] = crust.dryLayerM();
        outcome.markedShare[face] = crust.markedShare();
        outcome.markIndex[face] = crust.markIndex();
    }
    outcome.raised = moment_.raised;
    for (const auto face : {heat::bottomFace, heat::topFace, heat::sideFace})
        outcome.hasFace[foodFace(face)] = solver_.hasFace(face);
    const bool twoFaces = hasTwoFaces(piece_.shape);
    outcome.topAlone = twoFaces && food::seenFromAbove(piece_.food);
    if (!twoFaces)
        outcome.browning[0] = outcome.browning[1] =
            std::max(outcome.browning[0], outcome.browning[1]);
    outcome.kills.clear();
    for (std::size_t i = 0; i < organisms_.size(); ++i)
        outcome.kills.push_back({organisms_[i], moment_.logs[i]});
    outcome.dangerS = moment_.dangerS;
    outcome.hottestTouchK = moment_.hottestTouchK;
    outcome.smokesFromS = moment_.smokesFromS;
    outcome.section = section();
    const Section& s = outcome.section;
    outcome.coldestPeakK = *std::min_element(s.peakK.begin(), s.peakK.end());
    const double grey = piece_.food.greyingK;
    auto [first, second] = rims(s, solver_.grid().coreAcross, twoFaces, grey);
    // Grey all the way through: each face owns its half.
    if (twoFaces && first + second >= s.upM.back())
        first = second = s.upM.back() / 2;
    outcome.rimM = std::max(first, second);
    if (s.acrossM.size() == 1)
        outcome.rimShare =
            twoFaces ? std::min(1.0, (first + second) / s.upM.back()) : 1 - evennessOf(s, 0, grey);
    else
        outcome.rimShare = 1 - evennessOf(s, 0, grey);
    outcome.softened = -std::expm1(-moment_.softening);
    outcome.rendered = -std::expm1(-moment_.rendering);
    outcome.evaporatedShare = std::clamp(solver_.waterLostShare(), 0.0, 1.0);
    outcome.juiceShare = 0;
    if (piece_.food.losesJuice) {
        for (std::size_t x = 0; x < s.acrossM.size(); ++x)
            for (std::size_t y = 0; y < s.upM.size(); ++y)
                outcome.juiceShare += s.acrossShare[x] * s.upShare[y] * food::juiceLoss(s.at(x, y));
        // What has dried out near the face cannot run out of it as well.
        outcome.juiceShare *= 1 - outcome.evaporatedShare;
        if (piece_.surface == recipe::SurfaceState::salted)
            outcome.juiceShare *= food::kSaltedJuice;
        outcome.juiceU = food::kJuiceLossU * outcome.juiceShare;
    }
    outcome.weightLossShare =
        outcome.waterLossShare() * food::waterShareOf(piece_.food, piece_.thicknessM);
}

} // namespace dynamet::cook
