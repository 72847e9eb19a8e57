// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/plan/plan_worker.h"

#include <QColor>

namespace dynamet::app {

/// What a stretch of a lane is: heating up, cooking, its window's soft end, rest, wait, hands.
enum class Fill { heating, cooking, soft, rest, wait, hands };

/// A stretch of a lane, minutes of the wall clock; stretches of one row do not overlap.
struct TimelineItem {
    int from = 0, to = 0;
    Fill fill = Fill::cooking;
    int menuDish = -1;
    QColor colour;
    QString words, help;
    bool pinned = false;
    std::size_t row = 0;
};
struct TimelineLane {
    QString name;
    std::size_t rows = 1;
    std::vector<TimelineItem> items;
    std::vector<std::pair<int, std::size_t>> looks; ///< minute, and the row of what is looked at
};
/// A plan as lanes: appliances in the line-up's order, then each cook's hands; empty without a
/// plan.
struct TimelineLanes {
    int fromMin = 0, toMin = 60, serveMin = 0;
    std::vector<TimelineLane> lanes;
    std::size_t appliances = 0; ///< lanes that are appliances
};
TimelineLanes lanesOf(const PlanAnswer& answer, const kitchen::Kitchen& kitchen, Units units);

} // namespace dynamet::app
