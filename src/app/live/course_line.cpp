// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/live/course_line.h"

#include "app/look/palette.h"

#include <QPainter>

namespace dynamet::app {

CourseLine::CourseLine(QWidget* parent) : QWidget(parent) {
    setFixedHeight(18);
    setAccessibleName(QStringLiteral("Course of the test"));
}

void CourseLine::showCourse(int steps, int at) {
    steps_ = steps;
    at_ = at;
    setAccessibleDescription(QStringLiteral("step %1 of %2").arg(at + 1).arg(steps));
    update();
}

void CourseLine::paintEvent(QPaintEvent*) {
    if (steps_ < 1)
        return;
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    constexpr double kInset = 8, kSmall = 4, kLarge = 6.5;
    const double y = height() / 2.0, wide = width() - 2 * kInset;
    const auto x = [&](int i) { return kInset + (steps_ > 1 ? wide * i / (steps_ - 1) : 0); };
    painter.setPen(QPen(look::ink(), 1));
    painter.drawLine(QPointF(x(0), y), QPointF(x(steps_ - 1), y));
    for (int i = 0; i < steps_; ++i) {
        const bool now = i == at_;
        painter.setBrush(now ? look::accent() : i < at_ ? look::ink() : QColor(Qt::white));
        const double r = now ? kLarge : kSmall;
        painter.drawEllipse(QPointF(x(i), y), r, r);
    }
}

} // namespace dynamet::app
