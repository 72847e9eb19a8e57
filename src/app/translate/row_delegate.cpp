// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/row_delegate.h"

#include "app/look/palette.h"
#include "app/translate/rows_model.h"
#include "words/translation_words.h"

#include <QPainter>

namespace dynamet::app {
namespace {

constexpr int kHeading = 24, kHeight = 66, kEdge = 12, kBarTop = 46, kBarHeight = 12;

struct Axis {
    int left, width;
    double endS;
    int at(double seconds) const {
        return left + static_cast<int>(std::min(1.0, seconds / endS) * width);
    }
};

void paintTriangle(QPainter& p, int x, int top) {
    const QPolygon triangle({QPoint(x - 5, top - 2), QPoint(x + 5, top - 2), QPoint(x, top + 7)});
    p.setPen(QPen(look::ink(), 1));
    p.setBrush(look::surface());
    p.drawPolygon(triangle);
}

void paintBar(QPainter& p, const Axis& axis, int top, const translate::Row& row) {
    p.fillRect(QRect(axis.left, top + kBarHeight / 2, axis.width, 1), look::rule());
    if (!row.window) {
        p.fillRect(QRect(axis.at(row.outcome.pullS) - 1, top - 2, 3, kBarHeight + 4), look::ink());
        return;
    }
    const translate::Window& w = *row.window;
    const int look = axis.at(w.lookS),
              latest = w.latestS ? axis.at(*w.latestS) : axis.left + axis.width;
    p.fillRect(QRect(look, top, std::max(2, latest - look), kBarHeight), look::bar());
    p.fillRect(QRect(axis.at(w.expectS) - 1, top - 3, 3, kBarHeight + 6), look::ink());
}

QString headingOf(RowsModel::Group group) {
    switch (group) {
    case RowsModel::Group::best:
        return QStringLiteral("LIKE THE RECIPE");
    case RowsModel::Group::possible:
        return QStringLiteral("POSSIBLE, WITH DIFFERENCES");
    case RowsModel::Group::cannot:
        break;
    }
    return QStringLiteral("CANNOT, AND WHY");
}

/// The one word of caution that a row has room for; the gravest.
QString cautionWord(const translate::Row& row) {
    QString caution;
    for (const auto& warning : row.warnings)
        if (warning.code == "below_minimum" || warning.code == "scorched" ||
            warning.code == "danger_zone")
            caution = QStringLiteral("! %1").arg(
                warning.code == "below_minimum" ? QStringLiteral("below minimum")
                : warning.code == "scorched"    ? QStringLiteral("scorched")
                                                : QStringLiteral("danger zone"));
        else if (warning.code == "assumed_field" && caution.isEmpty())
            caution = QStringLiteral("assumed");
    return caution;
}

} // namespace

QSize RowDelegate::sizeHint(const QStyleOptionViewItem&, const QModelIndex& index) const {
    const auto* model = qobject_cast<const RowsModel*>(index.model());
    return {200, kHeight + (model && model->leadsGroup(index.row()) ? kHeading : 0)};
}

void RowDelegate::paint(QPainter* painter, const QStyleOptionViewItem& option,
                        const QModelIndex& index) const {
    const auto* model = qobject_cast<const RowsModel*>(index.model());
    const RowsModel::Item& item = model->item(index.row());
    const translate::Row& row = item.row;
    const auto units = model->document().units();
    QPainter& p = *painter;
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    QRect area = option.rect;
    if (area.height() > kHeight) {
        p.setFont(look::textFont(12, true));
        p.setPen(look::quietInk());
        p.drawText(QRect(area.left() + kEdge, area.top(), area.width() - 2 * kEdge, kHeading),
                   Qt::AlignBottom | Qt::AlignLeft, headingOf(model->group(index.row())));
        area.setTop(area.bottom() + 1 - kHeight);
    }
    if (option.state & QStyle::State_Selected) {
        p.fillRect(area, look::selected());
        p.fillRect(QRect(area.left(), area.top(), 4, area.height()), look::accent());
    }
    p.fillRect(QRect(area.left() + kEdge, area.bottom(), area.width() - 2 * kEdge, 1),
               look::rule());
    const QRect first(area.left() + kEdge, area.top() + 4, area.width() - 2 * kEdge, 19);
    const QRect second(first.left(), first.bottom() + 1, first.width(), 18);
    const QString title = toQt(words::rowTitle(row, model->document().kitchen(), units));
    p.setFont(look::textFont(14, true));
    p.setPen(item.pending || !row.reached ? look::quietInk() : look::ink());
    const QString right =
        item.pending || !row.reached ? QString() : toQt(words::pullAlone(row, units));
    const int rightWidth = QFontMetrics(look::textFont(13)).horizontalAdvance(right) + 8;
    p.drawText(first, Qt::AlignVCenter,
               p.fontMetrics().elidedText(title, Qt::ElideRight, first.width() - rightWidth));
    p.setFont(look::textFont(13));
    if (item.pending) {
        p.drawText(second, Qt::AlignVCenter, QStringLiteral("being computed"));
        p.fillRect(QRect(second.left(), area.top() + kBarTop + kBarHeight / 2, second.width(), 1),
                   look::rule());
        p.restore();
        return;
    }
    if (!row.reached) {
        const QRect reason(second.left(), second.top(), second.width(),
                           area.bottom() - second.top() - 3);
        p.drawText(reason, Qt::TextWordWrap, toQt(words::reasonWords(row, units)));
        p.restore();
        return;
    }
    p.drawText(first, Qt::AlignVCenter | Qt::AlignRight, right);
    QString crust =
        model->prepared() ? toQt(words::crustWords(row, model->prepared()->outcome)) : QString();
    // Times first, the caution next, the crust where there is room left: nothing overprints.
    const QString caution = cautionWord(row);
    const QFontMetrics metrics = p.fontMetrics();
    const int gap = 12;
    int room = second.width();
    const QString times = toQt(words::timeWords(row));
    int cautionWide = caution.isEmpty() ? 0 : metrics.horizontalAdvance(caution) + gap;
    // Its own whole width would elide it where the font's widths are no whole pixels.
    const int timesWide = std::min(metrics.horizontalAdvance(times) + 2, room - cautionWide);
    p.drawText(QRect(second.left(), second.top(), timesWide, second.height()), Qt::AlignVCenter,
               metrics.elidedText(times, Qt::ElideRight, timesWide));
    room -= timesWide + cautionWide;
    const int crustWide = metrics.horizontalAdvance(crust) + gap;
    if (crustWide <= room)
        p.drawText(second, Qt::AlignVCenter | Qt::AlignRight, crust);
    if (!caution.isEmpty()) {
        p.setPen(look::caution());
        p.drawText(second.adjusted(0, 0, crustWide <= room ? -crustWide : 0, 0),
                   Qt::AlignVCenter | Qt::AlignRight, caution);
    }
    const Axis axis{second.left(), second.width(), model->axisEndS()};
    paintBar(p, axis, area.top() + kBarTop, row);
    if (row.rule)
        paintTriangle(p, axis.at(row.rule->seconds), area.top() + kBarTop);
    p.restore();
}

} // namespace dynamet::app
