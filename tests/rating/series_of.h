// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "generator/bodies.h"
#include "trace/series.h"

inline dynamet::Series seriesOf(const generator::Log& log) {
    dynamet::Series out;
    out.timeS = log.seconds;
    for (double c : log.celsius)
        out.value.push_back(c + 273.15);
    return out;
}
