// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/plan/timeline_view.h"

#include "app/look/palette.h"
#include "app/widgets/kept_picture.h"

#include <QHelpEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>
#include <algorithm>
#include <cmath>

namespace dynamet::app {
namespace {

constexpr double kNames = 132, kRight = 14, kTop = 30, kBar = 26, kMostBar = 40, kGap = 4,
                 kLaneGap = 10;
/// A name stands in a bar that is so wide, px.
constexpr double kNamed = 70;
constexpr int kKeyMin = 5;

} // namespace

TimelineView::TimelineView(Document& document, QWidget* parent)
    : QWidget(parent), document_(document) {
    setAccessibleName(QStringLiteral("Timeline of the plan"));
    markAsPicture(*this);
    setFocusPolicy(Qt::StrongFocus);
    setMinimumSize(420, 200);
    setMouseTracking(true);
}

void TimelineView::show(const std::shared_ptr<const PlanAnswer>& answer) {
    answer_ = answer;
    lanes_ = answer_ ? lanesOf(*answer_, document_.kitchen(), document_.units()) : TimelineLanes{};
    setAccessibleDescription(
        lanes_.lanes.empty()
            ? QString()
            : QStringLiteral("%1 dishes on %2 appliances, served at %3; the list holds the same")
                  .arg(answer_->menu.dishes.size())
                  .arg(lanes_.appliances)
                  .arg(toQt(plan::clockText(lanes_.serveMin))));
    layOut();
    updateGeometry();
    update();
}

void TimelineView::choose(int menuDish) {
    if (chosen_ == menuDish)
        return;
    chosen_ = menuDish;
    update();
    emit dishChosen(menuDish);
}

double TimelineView::pixelsPerMinute() const {
    return (width() - kNames - kRight) /
           std::max(1.0, static_cast<double>(lanes_.toMin - lanes_.fromMin));
}

double TimelineView::xOf(double minute) const {
    return kNames + (minute - lanes_.fromMin) * pixelsPerMinute();
}

double TimelineView::heightAt(double bar) const {
    double out = kTop;
    for (const TimelineLane& lane : lanes_.lanes)
        out += static_cast<double>(lane.rows) * (bar + kGap) - kGap + kLaneGap;
    return out;
}

QSize TimelineView::sizeHint() const {
    return {700, static_cast<int>(std::ceil(heightAt(kBar)))};
}

/// The room that is left makes the bars higher.
void TimelineView::layOut() {
    bars_.clear();
    tops_.clear();
    const double spare = (height() - kTop) / std::max(1.0, heightAt(kBar) - kTop);
    bar_ = std::clamp(kBar * spare, kBar, kMostBar);
    double top = kTop;
    for (const TimelineLane& lane : lanes_.lanes) {
        tops_.push_back(top);
        for (const TimelineItem& item : lane.items)
            bars_.push_back(
                {QRectF(xOf(item.from), top + static_cast<double>(item.row) * (bar_ + kGap),
                        std::max(2.0, xOf(item.to) - xOf(item.from)), bar_),
                 &item});
        top += static_cast<double>(lane.rows) * (bar_ + kGap) - kGap + kLaneGap;
    }
}

QPointF TimelineView::placeOf(int menuDish) const {
    for (const Bar& bar : bars_)
        if (bar.item->menuDish == menuDish && bar.item->fill == Fill::cooking)
            return bar.box.center();
    return {};
}

const TimelineView::Bar* TimelineView::barAt(const QPointF& at) const {
    for (auto bar = bars_.rbegin(); bar != bars_.rend(); ++bar)
        if (bar->box.contains(at))
            return &*bar;
    return nullptr;
}

void TimelineView::paintClock(QPainter& painter) const {
    const double perMinute = pixelsPerMinute();
    constexpr double kLeastApart = 58;
    int step = 5;
    for (const int candidate : {5, 10, 15, 30, 60, 120, 240, 480, 720, 1440}) {
        step = candidate;
        if (candidate * perMinute >= kLeastApart)
            break;
    }
    painter.setFont(look::textFont(12));
    const int first =
        static_cast<int>(std::ceil(static_cast<double>(lanes_.fromMin) / step)) * step;
    for (int minute = first; minute < lanes_.toMin; minute += step) {
        const double x = xOf(minute);
        painter.setPen(QPen(look::rule(), 1));
        painter.drawLine(QPointF(x, kTop - 8), QPointF(x, height()));
        painter.setPen(look::quietInk());
        painter.drawText(QRectF(x - 30, 2, 60, 18), Qt::AlignCenter, toQt(plan::clockText(minute)));
    }
}

void TimelineView::paintBar(QPainter& painter, const Bar& bar) const {
    QRectF box = bar.box;
    if (dragged_ >= 0 && bar.item->menuDish == dragged_)
        box.translate(dragX_ - dragFromX_, 0);
    const bool isChosen = bar.item->menuDish == chosen_ && bar.item->fill != Fill::hands;
    painter.setPen(QPen(isChosen ? look::accent() : look::rule(), isChosen ? 2 : 1));
    switch (bar.item->fill) {
    case Fill::heating:
        painter.setBrush(QBrush(look::quietInk(), Qt::BDiagPattern));
        painter.drawRect(box);
        return;
    case Fill::rest:
        painter.setBrush(QBrush(look::quietInk(), Qt::Dense6Pattern));
        painter.drawRect(box.adjusted(0, 7, 0, -7));
        return;
    case Fill::wait: {
        QLinearGradient fades(box.topLeft(), box.topRight());
        fades.setColorAt(0, look::sunken());
        fades.setColorAt(1, look::cautionGround());
        painter.setBrush(fades);
        painter.drawRect(box.adjusted(0, 9, 0, -9));
        return;
    }
    case Fill::soft: {
        QLinearGradient fades(box.topLeft(), box.topRight());
        QColor end = bar.item->colour;
        end.setAlpha(30);
        fades.setColorAt(0, bar.item->colour);
        fades.setColorAt(1, end);
        painter.setPen(Qt::NoPen);
        painter.setBrush(fades);
        painter.drawRect(box);
        return;
    }
    case Fill::hands:
        painter.setPen(Qt::NoPen);
        painter.setBrush(bar.item->menuDish == chosen_ ? look::accent() : bar.item->colour);
        painter.drawRect(box.adjusted(0, 4, -0.5, -4));
        return;
    case Fill::cooking:
        break;
    }
    painter.setBrush(bar.item->colour);
    painter.drawRect(box);
    painter.setPen(look::contrast(bar.item->colour, look::surface()) > 3 ? look::surface()
                                                                         : look::ink());
    painter.setFont(look::textFont(13, true));
    const QString words = (bar.item->pinned ? QStringLiteral("▸ ") : QString()) + bar.item->words;
    const QFontMetricsF metrics(painter.font());
    if (box.width() >= kNamed)
        painter.drawText(box.adjusted(6, 0, -4, 0), Qt::AlignVCenter | Qt::AlignLeft,
                         metrics.elidedText(words, Qt::ElideRight, box.width() - 10));
}

void TimelineView::paintName(QPainter& painter, const Bar& bar) const {
    if (bar.item->fill != Fill::cooking || bar.item->words.isEmpty() || bar.box.width() >= kNamed)
        return;
    double right = bar.box.left(), left = kNames;
    for (const Bar& other : bars_) {
        if (std::abs(other.box.top() - bar.box.top()) > 1 || &other == &bar)
            continue;
        if (other.item->fill == Fill::heating && std::abs(other.box.right() - right) < 2)
            right = other.box.left();
    }
    for (const Bar& other : bars_)
        if (std::abs(other.box.top() - bar.box.top()) <= 1 && other.box.right() <= right + 1 &&
            other.box.left() < right - 1)
            left = std::max(left, other.box.right());
    painter.setPen(look::ink());
    painter.setFont(look::textFont(13, true));
    const QRectF room(left + 4, bar.box.top(), right - left - 10, bar.box.height());
    painter.drawText(
        room, Qt::AlignVCenter | Qt::AlignRight,
        QFontMetricsF(painter.font())
            .elidedText((bar.item->pinned ? QStringLiteral("▸ ") : QString()) + bar.item->words,
                        Qt::ElideRight, room.width()));
}

void TimelineView::paintLanes(QPainter& painter) const {
    painter.setFont(look::textFont(13));
    for (std::size_t i = 0; i < lanes_.lanes.size(); ++i) {
        const double high = static_cast<double>(lanes_.lanes[i].rows) * (bar_ + kGap) - kGap;
        painter.setPen(look::ink());
        painter.drawText(QRectF(6, tops_[i], kNames - 12, bar_), Qt::AlignVCenter | Qt::AlignLeft,
                         painter.fontMetrics().elidedText(lanes_.lanes[i].name, Qt::ElideRight,
                                                          static_cast<int>(kNames) - 14));
        painter.setPen(QPen(look::rule(), 1));
        painter.drawLine(QPointF(0, tops_[i] + high + kLaneGap / 2),
                         QPointF(width(), tops_[i] + high + kLaneGap / 2));
    }
}

void TimelineView::paintEvent(QPaintEvent*) {
    layOut();
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    if (lanes_.lanes.empty())
        return;
    paintClock(painter);
    paintLanes(painter);
    for (const Bar& bar : bars_)
        paintBar(painter, bar);
    for (const Bar& bar : bars_)
        paintName(painter, bar);
    painter.setPen(QPen(look::ink(), 2));
    for (std::size_t i = 0; i < lanes_.lanes.size(); ++i)
        for (const auto& [minute, row] : lanes_.lanes[i].looks) {
            const double y = tops_[i] + static_cast<double>(row) * (bar_ + kGap);
            painter.drawLine(QPointF(xOf(minute), y - 3), QPointF(xOf(minute), y + bar_ + 3));
        }
    const double serve = xOf(lanes_.serveMin);
    painter.setPen(QPen(look::accent(), 2));
    painter.drawLine(QPointF(serve, kTop - 8), QPointF(serve, height()));
    if (hasFocus()) {
        painter.setPen(QPen(look::accent(), 1));
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(rect().adjusted(0, 0, -1, -1));
    }
}

void TimelineView::mousePressEvent(QMouseEvent* event) {
    const Bar* bar = barAt(event->position());
    choose(bar ? bar->item->menuDish : -1);
    dragged_ = bar && event->button() == Qt::LeftButton ? bar->item->menuDish : -1;
    dragFromX_ = dragX_ = event->position().x();
}

void TimelineView::mouseMoveEvent(QMouseEvent* event) {
    if (dragged_ < 0)
        return;
    dragX_ = event->position().x();
    update();
}

void TimelineView::mouseReleaseEvent(QMouseEvent*) {
    const int dish = std::exchange(dragged_, -1);
    const int minutes = static_cast<int>(std::lround((dragX_ - dragFromX_) / pixelsPerMinute()));
    update();
    if (dish >= 0 && minutes != 0)
        emit moveWanted(dish, minutes);
}

void TimelineView::keyPressEvent(QKeyEvent* event) {
    const int dishes = answer_ ? static_cast<int>(answer_->menu.menu.dishes.size()) : 0;
    if (dishes == 0)
        return QWidget::keyPressEvent(event);
    switch (event->key()) {
    case Qt::Key_Down:
        return choose((chosen_ + 1) % dishes);
    case Qt::Key_Up:
        return choose((std::max(0, chosen_) + dishes - 1) % dishes);
    case Qt::Key_Left:
    case Qt::Key_Right:
        if (chosen_ >= 0)
            emit moveWanted(chosen_, event->key() == Qt::Key_Left ? -kKeyMin : kKeyMin);
        return;
    case Qt::Key_Delete:
    case Qt::Key_Backspace:
        if (chosen_ >= 0)
            emit unpinWanted(chosen_);
        return;
    default:
        QWidget::keyPressEvent(event);
    }
}

bool TimelineView::event(QEvent* event) {
    if (event->type() == QEvent::ToolTip) {
        const auto* help = static_cast<QHelpEvent*>(event);
        const Bar* bar = barAt(help->pos());
        QToolTip::showText(help->globalPos(), bar ? bar->item->help : QString(), this);
        return true;
    }
    return QWidget::event(event);
}

} // namespace dynamet::app
