// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "heat/split_system.h"

namespace dynamet::heat {

SplitSystem::SplitSystem(std::size_t lines, std::size_t rowsPerLine)
    : lines_(lines), rows_(rowsPerLine) {
    const std::size_t n = lines * rowsPerLine;
    for (auto* v : {&mass, &up.low, &up.mid, &up.high, &fLow_, &fMid_, &fHigh_})
        v->assign(n, 0);
    mass.assign(n, 1);
    if (lines > 1)
        for (auto* v : {&across.low, &across.mid, &across.high, &gLow_, &gMid_, &gHigh_})
            v->assign(n, 0);
}

void SplitSystem::freezeRow(std::size_t row) {
    up.low[row] = up.mid[row] = up.high[row] = 0;
    if (lines_ > 1)
        across.low[row] = across.mid[row] = across.high[row] = 0;
}

void SplitSystem::factor(double tau) {
    for (std::size_t line = 0; line < lines_; ++line) {
        const std::size_t first = line * rows_;
        double reciprocal = 0, above = 0;
        for (std::size_t i = first; i < first + rows_; ++i) {
            const double low = i > first ? -tau * up.low[i] * reciprocal : 0.0;
            fLow_[i] = low;
            reciprocal = 1 / (mass[i] - tau * up.mid[i] - low * above);
            fMid_[i] = reciprocal;
            above = -tau * up.high[i];
            fHigh_[i] = above;
        }
    }
    if (lines_ < 2)
        return;
    for (std::size_t i = 0; i < rows_; ++i) {
        gLow_[i] = 0;
        gMid_[i] = 1 / (mass[i] - tau * across.mid[i]);
        gHigh_[i] = -tau * across.high[i];
    }
    for (std::size_t i = rows_; i < mass.size(); ++i) {
        gLow_[i] = -tau * across.low[i] * gMid_[i - rows_];
        gMid_[i] = 1 / (mass[i] - tau * across.mid[i] - gLow_[i] * gHigh_[i - rows_]);
        gHigh_[i] = -tau * across.high[i];
    }
}

void SplitSystem::solve(const std::vector<double>& b, std::vector<double>& x) const {
    for (std::size_t line = 0; line < lines_; ++line) {
        const std::size_t first = line * rows_, last = first + rows_ - 1;
        x[first] = b[first];
        for (std::size_t i = first + 1; i <= last; ++i)
            x[i] = b[i] - fLow_[i] * x[i - 1];
        x[last] *= fMid_[last];
        for (std::size_t i = last; i-- > first;)
            x[i] = (x[i] - fHigh_[i] * x[i + 1]) * fMid_[i];
    }
    if (lines_ < 2)
        return;
    const std::size_t n = mass.size();
    for (std::size_t i = 0; i < rows_; ++i)
        x[i] *= mass[i];
    for (std::size_t i = rows_; i < n; ++i)
        x[i] = x[i] * mass[i] - gLow_[i] * x[i - rows_];
    for (std::size_t i = n - rows_; i < n; ++i)
        x[i] *= gMid_[i];
    for (std::size_t i = n - rows_; i-- > 0;)
        x[i] = (x[i] - gHigh_[i] * x[i + rows_]) * gMid_[i];
}

} // namespace dynamet::heat
