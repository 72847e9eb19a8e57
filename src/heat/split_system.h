// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <vector>

namespace dynamet::heat {

/// (M − τA_up) M⁻¹ (M − τA_across) x = b on lines of rows: A_up couples a row with its neighbours
/// in its line, A_across with the same row of the neighbouring lines (approximate matrix
/// factorisation; Verwer, Spee, Blom & Hundsdorfer, SIAM J. Sci. Comput. 20, 1999). With one line
/// it is exact.
class SplitSystem {
  public:
    SplitSystem() = default;
    SplitSystem(std::size_t lines, std::size_t rowsPerLine);

    /// Rows of one direction: what the row before, the row itself and the row after give it.
    struct Coupling {
        std::vector<double> low, mid, high;
    };
    std::vector<double> mass; ///< M, by row
    Coupling up, across;      ///< A_up, A_across
    /// Nothing leaves or enters this row any more.
    void freezeRow(std::size_t row);
    void factor(double tau);
    void solve(const std::vector<double>& b, std::vector<double>& x) const;

  private:
    std::size_t lines_ = 0, rows_ = 0;
    std::vector<double> fLow_, fMid_, fHigh_, gLow_, gMid_, gHigh_;
};

} // namespace dynamet::heat
