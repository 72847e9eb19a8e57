// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/plan/timeline_view.h"

#include "app/look/palette.h"
#include "plan/plan_steps.h"
#include "words/plan_words.h"
#include "words/stage_words.h"

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

/// Bars of one lane that overlap stand under one another.
std::size_t rowFor(std::vector<std::vector<std::pair<int, int>>>& rows, int from, int to) {
    for (std::size_t r = 0; r < rows.size(); ++r)
        if (std::none_of(rows[r].begin(), rows[r].end(), [&](const auto& other) {
                return from < other.second && other.first < to;
            })) {
            rows[r].emplace_back(from, to);
            return r;
        }
    rows.push_back({{from, to}});
    return rows.size() - 1;
}

} // namespace

TimelineView::TimelineView(Document& document, QWidget* parent)
    : QWidget(parent), document_(document) {
    setAccessibleName(QStringLiteral("Timeline of the plan"));
    setFocusPolicy(Qt::StrongFocus);
    setMinimumSize(420, 200);
    setMouseTracking(true);
}

void TimelineView::show(const std::shared_ptr<const PlanAnswer>& answer) {
    answer_ = answer;
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
    return (width() - kNames - kRight) / std::max(1.0, static_cast<double>(toMin_ - fromMin_));
}

double TimelineView::xOf(double minute) const {
    return kNames + (minute - fromMin_) * pixelsPerMinute();
}

QSize TimelineView::sizeHint() const {
    const double end = lanes_.empty() ? 200 : lanes_.back().top + lanes_.back().height + kLaneGap;
    return {700, static_cast<int>(std::ceil(end)) + 8};
}

/// Lanes in the line-up's order, then the cooks; then every bar in its lane.
void TimelineView::layOut() {
    lanes_.clear();
    bars_.clear();
    looks_.clear();
    if (!answer_ || !answer_->made.found.plan)
        return;
    const plan::MenuProblem& menu = answer_->menu;
    const plan::Plan& made = *answer_->made.found.plan;
    const auto steps = plan::stepsOf(menu, made);
    fromMin_ = toMin_ = menu.menu.serveMin;
    for (const plan::PlanStep& step : steps) {
        fromMin_ = std::min(fromMin_, step.atMin);
        toMin_ = std::max(toMin_, step.untilMin);
    }
    for (const plan::Placed& placed : made.dishes)
        toMin_ = std::max(toMin_, menu.baseMin + placed.served);
    fromMin_ -= 5;
    toMin_ += 10;

    // What stands in which lane, before where the lanes are.
    struct Item {
        int from = 0, to = 0;
        Fill fill = Fill::cooking;
        std::size_t dish = 0;
        QColor colour;
        QString words, help;
    };
    std::vector<std::vector<Item>> byPlace(menu.places.size()), byCook(menu.menu.cooks.size());
    const kitchen::Kitchen& kitchen = document_.kitchen();
    for (const plan::PlanStep& step : steps) {
        Item item{step.atMin,
                  step.untilMin,
                  Fill::hands,
                  step.dish,
                  look::kQuietInk,
                  {},
                  toQt(plan::clockText(step.atMin)) + QStringLiteral("  ") +
                      toQt(words::planStepWords(menu, made, step, kitchen, document_.units()))};
        const auto cook = static_cast<std::size_t>(step.cook);
        if (step.kind == plan::StepKind::heat) {
            item.fill = Fill::heating;
            byPlace[static_cast<std::size_t>(step.place)].push_back(item);
            item.fill = Fill::hands;
            item.to = item.from + std::max(1, static_cast<int>(step.heats.handsS / 60));
            byCook[cook].push_back(item);
        } else if (step.kind == plan::StepKind::hands) {
            item.colour = look::kInk;
            byCook[cook].push_back(item);
        }
    }
    for (std::size_t d = 0; d < made.dishes.size(); ++d) {
        const plan::Placed& placed = made.dishes[d];
        const plan::DishWay& way = menu.dishes[d].ways[static_cast<std::size_t>(placed.way)];
        const QString name = toQt(words::dishName(menu, d));
        const int begun = menu.baseMin + placed.start;
        std::size_t stage = 0, lastPlace = 0;
        for (const plan::Use& use : way.way.uses) {
            const auto place = static_cast<std::size_t>(use.resource);
            const plan::Span span = spanOf(use, placed);
            Item item{menu.baseMin + span.from,
                      menu.baseMin + span.to,
                      Fill::cooking,
                      d,
                      look::kReference,
                      name,
                      {}};
            if (use.waits) {
                item.fill = Fill::wait;
                item.help = name + QStringLiteral(" waits here");
            } else {
                const recipe::Place& at = way.stages[stage].place;
                if (const auto field = fieldAt(kitchen, at.applianceId, at.setting, at.zone,
                                               at.vesselId, at.insertId))
                    item.colour = look::heatColour(representative(*field, 293.15).kelvin - 273.15);
                item.help = name + QStringLiteral(": ") +
                            toQt(words::placeWords(kitchen, at, document_.units()));
                const int sure = begun + way.stageSpans[stage].to;
                if (sure < item.to) {
                    Item soft = item;
                    soft.from = sure;
                    soft.fill = Fill::soft;
                    soft.words.clear();
                    byPlace[place].push_back(soft);
                    item.to = sure;
                }
                lastPlace = place;
                ++stage;
            }
            byPlace[place].push_back(item);
        }
        const int off = begun + way.expectedAt;
        const int rested = off + way.way.shortestRest;
        const int served = menu.baseMin + placed.served;
        byPlace[lastPlace].push_back(
            {off, rested, Fill::rest, d, look::kQuietInk, {}, name + QStringLiteral(" rests")});
        if (!way.waitsIn && served > rested)
            byPlace[lastPlace].push_back({rested,
                                          served,
                                          Fill::wait,
                                          d,
                                          look::kQuietInk,
                                          {},
                                          name + QStringLiteral(" waits under foil")});
    }
    std::vector<std::size_t> order(menu.places.size());
    for (std::size_t i = 0; i < order.size(); ++i)
        order[i] = i;
    std::stable_sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) {
        const auto at = [&](std::size_t i) {
            return std::find_if(
                       kitchen.appliances.begin(), kitchen.appliances.end(),
                       [&](const auto& one) { return one.id == menu.places[i].applianceId; }) -
                   kitchen.appliances.begin();
        };
        const auto group = [&](std::size_t i) {
            const auto* on = findAppliance(kitchen, menu.places[i].applianceId);
            return on ? static_cast<int>(groupOf(on->kind)) : 0;
        };
        return std::pair(group(a), at(a)) < std::pair(group(b), at(b));
    });
    double top = kTop;
    const auto addLane = [&](const QString& name, std::vector<Item>& items) {
        if (items.empty())
            return;
        std::stable_sort(items.begin(), items.end(),
                         [](const Item& a, const Item& b) { return a.from < b.from; });
        // Solid bars keep their place; what belongs to a dish follows it in its row.
        std::vector<std::vector<std::pair<int, int>>> rows;
        std::map<std::size_t, std::size_t> rowOfDish;
        const double lane = top;
        std::size_t most = 1;
        for (const Item& item : items) {
            const bool own = item.fill != Fill::hands && item.fill != Fill::heating;
            std::size_t row = 0;
            if (own && rowOfDish.contains(item.dish))
                row = rowOfDish[item.dish];
            else if (item.fill != Fill::hands)
                row = rowFor(rows, item.from, item.to);
            if (own)
                rowOfDish[item.dish] = row;
            if (own && row < rows.size())
                rows[row].emplace_back(item.from, item.to);
            most = std::max(most, row + 1);
            Bar bar;
            bar.box = QRectF(xOf(item.from), lane + static_cast<double>(row) * (bar_ + kGap),
                             std::max(2.0, xOf(item.to) - xOf(item.from)), bar_);
            bar.fill = item.fill;
            bar.menuDish = static_cast<int>(menu.ofMenu[item.dish]);
            bar.colour = item.colour;
            bar.words = item.words;
            bar.help = item.help;
            bar.pinned = menu.menu.dishes[menu.ofMenu[item.dish]].beginsS.has_value() &&
                         !item.words.isEmpty();
            bars_.push_back(bar);
        }
        const double high = static_cast<double>(most) * (bar_ + kGap) - kGap;
        lanes_.push_back({name, lane, high});
        top += high + kLaneGap;
    };
    for (const std::size_t i : order) {
        const auto* on = findAppliance(kitchen, menu.places[i].applianceId);
        addLane(on ? toQt(on->name) : QString(), byPlace[i]);
    }
    for (std::size_t c = 0; c < byCook.size(); ++c)
        addLane(toQt(menu.menu.cooks[c]) + QStringLiteral("’s hands"), byCook[c]);
    for (const plan::PlanStep& step : steps)
        if (step.kind == plan::StepKind::hands && step.task == plan::Task::look)
            for (const Bar& bar : bars_)
                if (bar.fill == Fill::cooking &&
                    bar.menuDish == static_cast<int>(menu.ofMenu[step.dish]) &&
                    bar.box.left() <= xOf(step.atMin) && xOf(step.atMin) <= bar.box.right()) {
                    looks_.emplace_back(QPointF(xOf(step.atMin), bar.box.top()), bar.menuDish);
                    break;
                }
    setAccessibleDescription(
        QStringLiteral("%1 dishes on %2 appliances, served at %3; the list holds the same")
            .arg(made.dishes.size())
            .arg(lanes_.size() - byCook.size())
            .arg(toQt(plan::clockText(menu.menu.serveMin))));
}

QPointF TimelineView::placeOf(int menuDish) const {
    for (const Bar& bar : bars_)
        if (bar.menuDish == menuDish && bar.fill == Fill::cooking)
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
    const int first = static_cast<int>(std::ceil(static_cast<double>(fromMin_) / step)) * step;
    for (int minute = first; minute < toMin_; minute += step) {
        const double x = xOf(minute);
        painter.setPen(QPen(look::kRule, 1));
        painter.drawLine(QPointF(x, kTop - 8), QPointF(x, height()));
        painter.setPen(look::kQuietInk);
        painter.drawText(QRectF(x - 30, 2, 60, 18), Qt::AlignCenter, toQt(plan::clockText(minute)));
    }
}

void TimelineView::paintBar(QPainter& painter, const Bar& bar) const {
    QRectF box = bar.box;
    if (dragged_ >= 0 && bar.menuDish == dragged_)
        box.translate(dragX_ - dragFromX_, 0);
    const bool isChosen = bar.menuDish == chosen_ && bar.fill != Fill::hands;
    painter.setPen(QPen(isChosen ? look::kAccent : look::kRule, isChosen ? 2 : 1));
    switch (bar.fill) {
    case Fill::heating:
        painter.setBrush(QBrush(look::kQuietInk, Qt::BDiagPattern));
        painter.drawRect(box);
        return;
    case Fill::rest:
        painter.setBrush(QBrush(look::kQuietInk, Qt::Dense6Pattern));
        painter.drawRect(box.adjusted(0, 7, 0, -7));
        return;
    case Fill::wait: {
        QLinearGradient fades(box.topLeft(), box.topRight());
        fades.setColorAt(0, look::kSunken);
        fades.setColorAt(1, look::kCautionGround);
        painter.setBrush(fades);
        painter.drawRect(box.adjusted(0, 9, 0, -9));
        return;
    }
    case Fill::soft: {
        QLinearGradient fades(box.topLeft(), box.topRight());
        QColor end = bar.colour;
        end.setAlpha(30);
        fades.setColorAt(0, bar.colour);
        fades.setColorAt(1, end);
        painter.setPen(Qt::NoPen);
        painter.setBrush(fades);
        painter.drawRect(box);
        return;
    }
    case Fill::hands:
        painter.setPen(Qt::NoPen);
        painter.setBrush(bar.menuDish == chosen_ ? look::kAccent : bar.colour);
        painter.drawRect(box.adjusted(0, 4, -0.5, -4));
        return;
    case Fill::cooking:
        break;
    }
    painter.setBrush(bar.colour);
    painter.drawRect(box);
    painter.setPen(look::contrast(bar.colour, look::kSurface) > 3 ? look::kSurface : look::kInk);
    painter.setFont(look::textFont(13, true));
    const QString words = (bar.pinned ? QStringLiteral("▸ ") : QString()) + bar.words;
    const QFontMetricsF metrics(painter.font());
    if (box.width() >= kNamed)
        painter.drawText(box.adjusted(6, 0, -4, 0), Qt::AlignVCenter | Qt::AlignLeft,
                         metrics.elidedText(words, Qt::ElideRight, box.width() - 10));
}

void TimelineView::paintName(QPainter& painter, const Bar& bar) const {
    if (bar.fill != Fill::cooking || bar.words.isEmpty() || bar.box.width() >= kNamed)
        return;
    double right = bar.box.left(), left = kNames;
    for (const Bar& other : bars_) {
        if (std::abs(other.box.top() - bar.box.top()) > 1 || &other == &bar)
            continue;
        if (other.fill == Fill::heating && std::abs(other.box.right() - right) < 2)
            right = other.box.left();
    }
    for (const Bar& other : bars_)
        if (std::abs(other.box.top() - bar.box.top()) <= 1 && other.box.right() <= right + 1 &&
            other.box.left() < right - 1)
            left = std::max(left, other.box.right());
    painter.setPen(look::kInk);
    painter.setFont(look::textFont(13, true));
    const QRectF room(left + 4, bar.box.top(), right - left - 10, bar.box.height());
    painter.drawText(room, Qt::AlignVCenter | Qt::AlignRight,
                     QFontMetricsF(painter.font())
                         .elidedText((bar.pinned ? QStringLiteral("▸ ") : QString()) + bar.words,
                                     Qt::ElideRight, room.width()));
}

void TimelineView::paintEvent(QPaintEvent*) {
    bar_ = kBar;
    layOut();
    if (!lanes_.empty()) { // the room that is left makes the bars higher
        const double needs = lanes_.back().top + lanes_.back().height - kTop;
        bar_ = std::clamp(kBar * (height() - kTop - kLaneGap) / needs, kBar, kMostBar);
        layOut();
    }
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    if (lanes_.empty())
        return;
    paintClock(painter);
    painter.setFont(look::textFont(13));
    for (const Lane& lane : lanes_) {
        painter.setPen(look::kInk);
        painter.drawText(QRectF(6, lane.top, kNames - 12, std::min(lane.height, bar_)),
                         Qt::AlignVCenter | Qt::AlignLeft,
                         painter.fontMetrics().elidedText(lane.name, Qt::ElideRight,
                                                          static_cast<int>(kNames) - 14));
        painter.setPen(QPen(look::kRule, 1));
        painter.drawLine(QPointF(0, lane.top + lane.height + kLaneGap / 2),
                         QPointF(width(), lane.top + lane.height + kLaneGap / 2));
    }
    for (const Bar& bar : bars_)
        paintBar(painter, bar);
    for (const Bar& bar : bars_)
        paintName(painter, bar);
    painter.setPen(QPen(look::kInk, 2));
    for (const auto& [at, dish] : looks_)
        painter.drawLine(at + QPointF(0, -3), at + QPointF(0, bar_ + 3));
    const double serve = xOf(answer_->menu.menu.serveMin);
    painter.setPen(QPen(look::kAccent, 2));
    painter.drawLine(QPointF(serve, kTop - 8), QPointF(serve, height()));
    if (hasFocus()) {
        painter.setPen(QPen(look::kAccent, 1));
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(rect().adjusted(0, 0, -1, -1));
    }
}

void TimelineView::mousePressEvent(QMouseEvent* event) {
    const Bar* bar = barAt(event->position());
    choose(bar ? bar->menuDish : -1);
    dragged_ = bar && event->button() == Qt::LeftButton ? bar->menuDish : -1;
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
        QToolTip::showText(help->globalPos(), bar ? bar->help : QString(), this);
        return true;
    }
    return QWidget::event(event);
}

} // namespace dynamet::app
