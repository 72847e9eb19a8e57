// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "trace/series.h"

namespace dynamet {

/// Lowest and highest value over runs of readings, each level twice as coarse as the one before:
/// a trace of any length is drawn from a level that has about as many runs as the plot has pixels.
struct Pyramid {
    struct Level {
        std::vector<double> fromS, toS, low, high;
        std::vector<unsigned char> lowFirst; ///< which of the two came first
    };
    Series series;             ///< the readings themselves, without missing ones
    std::vector<Level> levels; ///< levels[0] holds pairs of readings
};

Pyramid buildPyramid(const Series& series);
/// At most two points a pixel between two times: both extremes of every run, in their order, so
/// that no spike is lost. The readings themselves where they are few enough.
Series drawnPoints(const Pyramid& pyramid, double fromS, double toS, std::size_t pixels);

} // namespace dynamet
