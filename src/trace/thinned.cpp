// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "trace/thinned.h"

#include <algorithm>
#include <cmath>

namespace dynamet {

void Thinned::add(double timeS, double value) {
    if (std::isnan(value))
        return;
    if (!stretches_.empty() && timeS < stretches_.back().fromS + widthS_) {
        Stretch& s = stretches_.back();
        s.low = std::min(s.low, value);
        s.high = std::max(s.high, value);
        s.last = value;
        return;
    }
    stretches_.push_back({timeS, value, value, value});
    if (stretches_.size() > most_)
        halve();
}

/// Stretches become twice as long, and neighbours that now fall into one are joined.
void Thinned::halve() {
    const double span = stretches_.back().fromS - stretches_.front().fromS;
    widthS_ = std::max(2 * widthS_, 2 * span / static_cast<double>(most_));
    std::vector<Stretch> out;
    out.reserve(most_ + 1);
    for (const Stretch& s : stretches_)
        if (!out.empty() && s.fromS < out.back().fromS + widthS_) {
            Stretch& joined = out.back();
            joined.low = std::min(joined.low, s.low);
            joined.high = std::max(joined.high, s.high);
            joined.last = s.last;
        } else {
            out.push_back(s);
        }
    stretches_ = std::move(out);
}

} // namespace dynamet
