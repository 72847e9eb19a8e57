// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "trace/finite.h"

#include <algorithm>
#include <cmath>

namespace dynamet {

const Series& finite(const Series& series, Series& spare) {
    if (std::all_of(series.value.begin(), series.value.end(),
                    [](double v) { return std::isfinite(v); }))
        return series;
    spare = between(series, -1e300, 1e300);
    return spare;
}

} // namespace dynamet
