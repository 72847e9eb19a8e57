// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/heat_plane_view.h"

#include "app/look/palette.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <cmath>

namespace dynamet::app {
namespace {

constexpr double kLowC = 40, kHighC = 520, kLowH = 5, kHighH = 1000;
constexpr double kFluxes[] = {0.5e3, 1e3, 2e3, 5e3, 10e3, 20e3, 50e3, 100e3};

double clampedC(double kelvin) {
    return std::clamp(kelvin - kZeroCelsiusK, kLowC, kHighC);
}

} // namespace

HeatPlaneView::HeatPlaneView(Document& document, QWidget* parent)
    : QWidget(parent), document_(document) {
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(QStringLiteral("Heat plane"));
    setMinimumHeight(260);
}

void HeatPlaneView::showMarks(const std::vector<kitchen::PlaneMark>& marks,
                              const std::string& applianceId) {
    marks_ = marks;
    applianceId_ = applianceId;
    held_ = -1;
    chosen_ = -1;
    int first = -1, measured = -1;
    for (int i = static_cast<int>(marks_.size()) - 1; i >= 0; --i)
        if (const auto& m = marks_[static_cast<std::size_t>(i)]; m.applianceId == applianceId) {
            first = i;
            if (m.provenance == kitchen::Provenance::measured)
                measured = i;
        }
    choose(measured >= 0 ? measured : first);
    update();
}

void HeatPlaneView::choose(int index) {
    if (index < 0 || index >= static_cast<int>(marks_.size()))
        return;
    chosen_ = index;
    update();
    emit markChosen(index);
}

QRectF HeatPlaneView::areaOf(const QSize& size) const {
    return QRectF(56, 12, size.width() - 72, size.height() - 60);
}

QPointF HeatPlaneView::place(double kelvin, double coefficient, const QRectF& area) const {
    const double x = (clampedC(kelvin) - kLowC) / (kHighC - kLowC);
    const double y =
        std::log(std::clamp(coefficient, kLowH, kHighH) / kLowH) / std::log(kHighH / kLowH);
    return {area.left() + x * area.width(), area.bottom() - y * area.height()};
}

void HeatPlaneView::drawAxes(QPainter& p, const QRectF& area) const {
    const auto unit = document_.units().temperature();
    p.setFont(look::textFont(12));
    for (int c = 50; c <= 500; c += 50) {
        const double x = place(c + kZeroCelsiusK, kLowH, area).x();
        p.setPen(QPen(look::sunken(), 1));
        p.drawLine(QPointF(x, area.top()), QPointF(x, area.bottom()));
        p.setPen(look::ink());
        p.drawText(QRectF(x - 30, area.bottom() + 4, 60, 16), Qt::AlignCenter,
                   toQt(printFixed(numberIn(Temperature::celsius(c), unit), 0)));
    }
    for (double h : {5.0, 10.0, 20.0, 50.0, 100.0, 200.0, 500.0, 1000.0}) {
        const double y = place(300, h, area).y();
        p.setPen(QPen(look::sunken(), 1));
        p.drawLine(QPointF(area.left(), y), QPointF(area.right(), y));
        p.setPen(look::ink());
        p.drawText(QRectF(0, y - 8, area.left() - 6, 16), Qt::AlignRight | Qt::AlignVCenter,
                   QString::number(h));
    }
    p.setPen(look::quietInk());
    p.drawText(QRectF(area.left(), area.bottom() + 22, area.width(), 16), Qt::AlignCenter,
               QStringLiteral("acts like, %1   (upwards: heat transfer, W/m²K)")
                   .arg(QString::fromUtf8(unitSign(unit))));
}

void HeatPlaneView::drawFluxLines(QPainter& p, const QRectF& area) const {
    p.setFont(look::textFont(11));
    for (double flux : kFluxes) {
        QPainterPath path;
        bool begun = false;
        QPointF last;
        for (double c = kLowC + 4; c <= kHighC; c += 4) {
            const double h = kitchen::coefficientFor(flux, c + kZeroCelsiusK);
            if (h < kLowH || h > kHighH)
                continue;
            last = place(c + kZeroCelsiusK, h, area);
            begun ? path.lineTo(last) : path.moveTo(last);
            begun = true;
        }
        p.setPen(QPen(look::rule(), 1, Qt::DashLine));
        p.setBrush(Qt::NoBrush);
        p.drawPath(path);
        p.setPen(look::quietInk());
        if (begun)
            p.drawText(QRectF(last.x() - 72, last.y() - 16, 70, 14), Qt::AlignRight,
                       QStringLiteral("%1 kW/m²").arg(flux / 1000));
    }
}

void HeatPlaneView::drawMark(QPainter& p, const QRectF& area, int index) const {
    const kitchen::PlaneMark& m = marks_[static_cast<std::size_t>(index)];
    const QPointF at = place(m.kelvin, m.coefficient, area);
    const bool mine = m.applianceId == applianceId_;
    QColor colour = look::heatColour(m.kelvin - kZeroCelsiusK).darker(115);
    if (!mine)
        colour.setAlpha(110);
    if (m.provenance == kitchen::Provenance::measured && mine) {
        QPolygonF outline;
        for (const kitchen::PlanePoint& point : kitchen::ellipse95(m))
            outline << place(point.kelvin, point.coefficient, area);
        p.setPen(QPen(colour, 1));
        p.setBrush(Qt::NoBrush);
        p.drawPolyline(outline);
    }
    p.setPen(QPen(colour, 2));
    p.setBrush(m.provenance == kitchen::Provenance::measured ? QBrush(colour)
                                                             : QBrush(look::surface()));
    p.drawEllipse(at, 5, 5);
    if (m.provenance == kitchen::Provenance::interpolated)
        p.drawLine(at - QPointF(4, 0), at + QPointF(4, 0));
    if (index == chosen_ || index == held_) {
        p.setPen(QPen(index == chosen_ ? look::accent() : look::ink(), 2));
        p.setBrush(Qt::NoBrush);
        p.drawEllipse(at, 10, 10);
    }
}

void HeatPlaneView::draw(QPainter& p, const QSize& size) const {
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(QRect(QPoint(0, 0), size), look::surface());
    const QRectF area = areaOf(size);
    drawAxes(p, area);
    drawFluxLines(p, area);
    for (int pass = 0; pass < 2; ++pass) // the appliance in hand on top
        for (std::size_t i = 0; i < marks_.size(); ++i)
            if ((marks_[i].applianceId == applianceId_) == (pass == 1))
                drawMark(p, area, static_cast<int>(i));
}

void HeatPlaneView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    draw(p, size());
    if (hasFocus()) {
        p.setPen(QPen(look::accent(), 1));
        p.drawRect(rect().adjusted(0, 0, -1, -1));
    }
}

void HeatPlaneView::keyPressEvent(QKeyEvent* event) {
    const int step = event->key() == Qt::Key_Right || event->key() == Qt::Key_Down ? 1
                     : event->key() == Qt::Key_Left || event->key() == Qt::Key_Up  ? -1
                                                                                   : 0;
    if (step != 0) {
        choose(std::clamp(chosen_ + step, 0, static_cast<int>(marks_.size()) - 1));
    } else if (event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter) {
        held_ = held_ == chosen_ ? -1 : chosen_;
        emit markHeld(held_);
        update();
    } else {
        QWidget::keyPressEvent(event);
    }
}

void HeatPlaneView::mousePressEvent(QMouseEvent* event) {
    int nearest = -1;
    double least = 20;
    for (std::size_t i = 0; i < marks_.size(); ++i) {
        const QPointF d =
            place(marks_[i].kelvin, marks_[i].coefficient, areaOf(size())) - event->position();
        if (const double away = std::hypot(d.x(), d.y()); away < least) {
            least = away;
            nearest = static_cast<int>(i);
        }
    }
    choose(nearest);
}

} // namespace dynamet::app
