// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cook/recorder.h"

namespace dynamet::cook {
namespace {
constexpr double kSampleEveryS = 10;
constexpr std::size_t kMostFrames = 120;
} // namespace

void Recorder::note(const Simulation& simulation, bool always) {
    const double now = simulation.timeS();
    if (always || now - sampledS_ >= kSampleEveryS) {
        samples_.push_back(simulation.sample());
        sampledS_ = now;
    }
    if (!always && now - framedS_ < frameEveryS_)
        return;
    frames_.push_back(simulation.frame());
    framedS_ = now;
    if (frames_.size() <= kMostFrames)
        return;
    std::vector<Frame> kept;
    for (std::size_t i = 0; i < frames_.size(); i += 2)
        kept.push_back(std::move(frames_[i]));
    frames_ = std::move(kept);
    frameEveryS_ *= 2;
}

void Recorder::moveInto(Outcome& outcome) {
    outcome.samples = std::move(samples_);
    outcome.frames = std::move(frames_);
}

} // namespace dynamet::cook
