// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/coals_view.h"

#include "app/look/palette.h"
#include "app/widgets/kept_picture.h"

#include <QPainter>

namespace dynamet::app {
namespace {
constexpr double kTitle = 24, kCoal = 0.075, kGap = 24;
} // namespace

CoalsView::CoalsView(QWidget* parent) : QWidget(parent) {
    setMinimumSize(320, 190);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Expanding);
    setAccessibleName(QStringLiteral("Where the coals lie"));
    markAsPicture(*this);
}

void CoalsView::clear() {
    coals_.reset();
    setAccessibleDescription(QString());
    update();
}

void CoalsView::showCoals(const kitchen::CoalsLaid& coals) {
    coals_ = coals;
    setAccessibleDescription(
        QStringLiteral("%1 under it in a ring below the rim, %2 on the lid around its rim")
            .arg(coals.under)
            .arg(coals.lid));
    update();
}

void CoalsView::paintDisc(QPainter& p, const QRectF& area, const QString& title,
                          const std::vector<kitchen::CoalSpot>& spots) const {
    p.setPen(look::ink());
    p.setFont(look::textFont(16, true));
    p.drawText(QRectF(area.left(), area.top(), area.width(), kTitle), Qt::AlignCenter, title);
    const double side = std::min(area.width(), area.height() - kTitle);
    QRectF disc(0, 0, side, side);
    disc.moveCenter(QPointF(area.center().x(), area.top() + kTitle + side / 2));
    disc.adjust(4, 4, -4, -4);
    p.setPen(QPen(look::quietInk(), 2));
    p.setBrush(Qt::NoBrush);
    p.drawEllipse(disc);
    const double radius = disc.width() / 2, coal = kCoal * radius;
    p.setPen(QPen(look::ink(), 1));
    p.setBrush(look::heatColour(600)); // a glowing coal's
    for (const kitchen::CoalSpot& spot : spots)
        p.drawEllipse(
            QPointF(disc.center().x() + spot.x * radius, disc.center().y() + spot.y * radius), coal,
            coal);
}

void CoalsView::paintEvent(QPaintEvent*) {
    if (!coals_)
        return;
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const double width = (QWidget::width() - kGap) / 2.0;
    paintDisc(painter, QRectF(0, 0, width, height()),
              QStringLiteral("%1 under it").arg(coals_->under),
              kitchen::placementUnder(coals_->under));
    paintDisc(painter, QRectF(width + kGap, 0, width, height()),
              coals_->lid > 0 ? QStringLiteral("%1 on the lid").arg(coals_->lid)
                              : QStringLiteral("none on the lid"),
              kitchen::placementOnLid(coals_->lid));
}

} // namespace dynamet::app
