// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translate/time_axis.h"

#include <algorithm>

namespace dynamet::translate {

double momentAt(double lastS, int place, int places) {
    return lastS * place / places;
}

std::vector<double> axisMarks(double endS, int most) {
    std::vector<double> out;
    for (double step : {10.0, 30.0, 60.0, 120.0, 300.0, 600.0, 900.0, 1800.0, 3600.0, 7200.0,
                        14400.0, 28800.0, 86400.0}) {
        if (endS / step > std::max(most, 2))
            continue;
        for (double at = 0; at <= endS; at += step)
            out.push_back(at);
        break;
    }
    return out;
}

double axisEndS(const std::vector<Row>& rows) {
    double end = 600;
    for (const Row& row : rows) {
        if (!row.reached)
            continue;
        end = std::max(end, row.outcome.pullS);
        if (row.window) {
            end = std::max(end, row.window->latestS.value_or(row.window->expectS * 1.3));
        }
        if (row.rule)
            end = std::max(end, row.rule->seconds);
    }
    return end * 1.03;
}

} // namespace dynamet::translate
