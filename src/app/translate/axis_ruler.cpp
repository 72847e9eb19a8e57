// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/axis_ruler.h"

#include "app/look/palette.h"
#include "quantity/parse_duration.h"
#include "translate/time_axis.h"

#include <QPainter>

namespace dynamet::app {
namespace {
constexpr int kEdge = 12, kHeight = 24; // the bars' own edge
} // namespace

AxisRuler::AxisRuler(RowsModel& rows, QWidget* parent) : QWidget(parent), rows_(rows) {
    setFixedHeight(kHeight);
    setAccessibleName(QStringLiteral("Time axis of the rows"));
    connect(&rows, &RowsModel::dataChanged, this, [this] { update(); });
    connect(&rows, &RowsModel::modelReset, this, [this] { update(); });
}

void AxisRuler::paintEvent(QPaintEvent*) {
    QPainter p(this);
    draw(p, width());
}

void AxisRuler::draw(QPainter& p, int whole) const {
    if (rows_.rows().empty())
        return;
    p.setFont(look::textFont(11));
    const double end = rows_.axisEndS();
    const int wide = whole - 2 * kEdge;
    p.fillRect(QRect(kEdge, 2, wide, 1), look::quietInk());
    for (const double mark : translate::axisMarks(end, wide / 90)) {
        const int x = kEdge + static_cast<int>(mark / end * wide);
        p.fillRect(QRect(x, 2, 1, 5), look::quietInk());
        p.setPen(look::quietInk());
        p.drawText(QRect(x == kEdge ? x : x - 40, 7, 80, 16),
                   static_cast<int>((x == kEdge ? Qt::AlignLeft : Qt::AlignHCenter) | Qt::AlignTop),
                   mark == 0 ? QStringLiteral("0") : toQt(printDuration(mark)));
    }
}

} // namespace dynamet::app
