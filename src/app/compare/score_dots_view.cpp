// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/compare/score_dots_view.h"

#include "app/document/qt_text.h"
#include "app/look/palette.h"
#include "app/widgets/kept_picture.h"

#include <QPainter>
#include <algorithm>

namespace dynamet::app {

QColor cookColour(std::size_t at) {
    const QColor all[]{look::accent(), look::reference(), look::good(), look::ink()};
    return all[at % std::size(all)];
}

QString cookLetter(std::size_t at) {
    return QString(QChar(u'A' + static_cast<char16_t>(at)));
}

ScoreDotsView::ScoreDotsView(QWidget* parent) : QWidget(parent) {
    setAccessibleName(QStringLiteral("Scores of all tasters"));
    markAsPicture(*this);
    setMinimumHeight(110);
}

void ScoreDotsView::show(const words::ScoreDots& dots, std::size_t cooks) {
    dots_ = dots;
    cooks_ = cooks;
    setVisible(!dots.dots.empty());
    update();
}

void ScoreDotsView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setFont(look::textFont(12));
    constexpr int kFoot = 18, kLeft = 24, kTop = 20, kLowest = 1, kHighest = 9;
    const double high = height() - kFoot - kTop;
    const auto y = [&](double points) {
        return kTop + high * (kHighest - points) / (kHighest - kLowest);
    };
    painter.setPen(look::rule());
    for (const int points : {1, 5, 9}) {
        painter.setPen(look::rule());
        painter.drawLine(QPointF(kLeft, y(points)), QPointF(width(), y(points)));
        painter.setPen(look::quietInk());
        painter.drawText(QRectF(0, y(points) - 8, kLeft - 6, 16), Qt::AlignRight | Qt::AlignVCenter,
                         QString::number(points));
    }
    const auto qualities = std::max<std::size_t>(1, dots_.qualities.size());
    const double wide = (width() - kLeft) / static_cast<double>(qualities);
    const double each = wide / static_cast<double>(cooks_ + 1);
    for (std::size_t q = 0; q < dots_.qualities.size(); ++q) {
        painter.setPen(look::ink());
        const double left = kLeft + wide * static_cast<double>(q);
        painter.drawText(QRectF(left, height() - kFoot, wide, kFoot), Qt::AlignCenter,
                         toQt(dots_.qualities[q]));
        for (std::size_t c = 0; c < cooks_; ++c) {
            const double x = left + each * (static_cast<double>(c) + 1);
            painter.setPen(look::quietInk());
            painter.drawText(QRectF(x - 8, 0, 16, 14), Qt::AlignCenter, cookLetter(c));
        }
    }
    for (const words::ScoreDot& dot : dots_.dots) {
        const auto tasters = std::max<std::size_t>(1, dots_.tasters.size());
        const double aside =
            (static_cast<double>(dot.taster) + 0.5) / static_cast<double>(tasters) - 0.5;
        const double x = kLeft + wide * static_cast<double>(dot.quality) +
                         each * (static_cast<double>(dot.cook) + 1) + aside * each * 0.6;
        painter.setPen(QPen(Qt::white, 1));
        painter.setBrush(cookColour(dot.cook));
        painter.drawEllipse(QPointF(x, y(dot.points)), 5, 5);
    }
}

} // namespace dynamet::app
