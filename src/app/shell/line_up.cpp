// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/shell/line_up.h"

#include "app/look/palette.h"

#include <QLabel>
#include <QPainter>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>
#include <array>

namespace dynamet::app {
namespace {

constexpr int kRowHeight = 44, kGroupHeight = 22, kEdge = 10, kAxisHeight = 26;
constexpr int kWidth = 232, kFoldedWidth = 72;
/// Numbers of the axis, round in each unit.
constexpr std::array<int, 5> kAxisC{20, 100, 200, 300, 600}, kAxisF{70, 200, 400, 600, 1100};

int axisX(double celsius, int left, int width) {
    return left + static_cast<int>(look::axisPlace(celsius) * width);
}

/// Measured ticks are solid, interpolated ones lined, assumed ones hollow.
void paintTick(QPainter& p, const kitchen::CombTick& tick, int x, int top, int height) {
    const QColor colour = look::heatColour(tick.kelvin - kZeroCelsiusK).darker(125);
    const QRect body(x - 2, top, 5, height);
    if (tick.provenance == kitchen::Provenance::measured) {
        p.fillRect(body, colour);
    } else if (tick.provenance == kitchen::Provenance::interpolated) {
        for (int y = body.top(); y <= body.bottom(); y += 3)
            p.fillRect(QRect(body.left(), y, body.width(), 1), colour);
        p.fillRect(QRect(x, top, 1, height), colour);
    } else {
        p.setPen(QPen(colour, 1));
        p.drawRect(body.adjusted(0, 0, -1, -1));
    }
}

} // namespace

LineUpModel::LineUpModel(Document& document, QObject* parent)
    : QAbstractListModel(parent), document_(document) {
    connect(&document, &Document::changed, this, &LineUpModel::rebuild);
    rebuild();
}

void LineUpModel::rebuild() {
    beginResetModel();
    rows_.clear();
    const kitchen::Kitchen& kitchen = document_.kitchen();
    for (const kitchen::Appliance& a : kitchen.appliances) {
        const auto newest = document_.newestRatings().find(a.id);
        const QString age = newest == document_.newestRatings().end()
                                ? QStringLiteral("never rated")
                                : agoWords(newest->second, document_.now().utcMs);
        rows_.push_back({a.id, toQt(a.name), QString::fromUtf8(kitchen::kindName(a.kind)), age,
                         groupOf(a.kind), combOf(kitchen, a)});
    }
    std::stable_sort(rows_.begin(), rows_.end(),
                     [](const Row& a, const Row& b) { return a.group < b.group; });
    endResetModel();
}

int LineUpModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(rows_.size());
}

QVariant LineUpModel::data(const QModelIndex& index, int role) const {
    const Row& r = row(index.row());
    if (role == Qt::DisplayRole)
        return r.name;
    if (role == Qt::AccessibleTextRole || role == Qt::ToolTipRole)
        return QStringLiteral("%1, %2, rated: %3").arg(r.name, r.kind, r.age);
    if (role == IdRole)
        return toQt(r.id);
    if (role == GroupRole)
        return static_cast<int>(r.group);
    if (role == RowRole)
        return index.row();
    return {};
}

QSize CombDelegate::sizeHint(const QStyleOptionViewItem&, const QModelIndex& index) const {
    const bool first =
        index.row() == 0 || index.siblingAtRow(index.row() - 1).data(LineUpModel::GroupRole) !=
                                index.data(LineUpModel::GroupRole);
    return {120, kRowHeight + (first ? kGroupHeight : 0)};
}

void CombDelegate::paint(QPainter* painter, const QStyleOptionViewItem& option,
                         const QModelIndex& index) const {
    const auto* proxy = qobject_cast<const QSortFilterProxyModel*>(index.model());
    const auto* model = qobject_cast<const LineUpModel*>(proxy->sourceModel());
    const LineUpModel::Row& row = model->row(index.data(LineUpModel::RowRole).toInt());
    QPainter& p = *painter;
    p.save();
    QRect area = option.rect;
    const bool first = area.height() > kRowHeight;
    if (first) {
        const QRect head(area.left() + kEdge, area.top(), area.width() - 2 * kEdge, kGroupHeight);
        p.setFont(look::textFont(11, true));
        p.setPen(look::quietInk());
        if (narrow) // its words would be cut: a line tells the groups apart
            p.drawLine(head.left(), head.center().y(), head.right(), head.center().y());
        else
            p.drawText(head, Qt::AlignVCenter,
                       QString::fromUtf8(kitchen::groupName(row.group)).toUpper());
        area.setTop(area.top() + kGroupHeight);
    }
    if (option.state & QStyle::State_Selected) {
        p.fillRect(area, look::selected());
        p.fillRect(QRect(area.left(), area.top(), 4, area.height()), look::accent());
    }
    p.setFont(look::textFont(13, option.state & QStyle::State_Selected));
    p.setPen(look::ink());
    const QRect line(area.left() + kEdge, area.top() + 3, area.width() - 2 * kEdge, 18);
    if (narrow) {
        p.drawText(line, Qt::AlignVCenter,
                   p.fontMetrics().elidedText(row.name, Qt::ElideRight, line.width()));
    } else {
        const int aged = QFontMetrics(look::textFont(12)).horizontalAdvance(row.age) + 8;
        p.drawText(line, Qt::AlignVCenter | Qt::AlignLeft,
                   p.fontMetrics().elidedText(row.name, Qt::ElideRight, line.width() - aged));
        p.setFont(look::textFont(12));
        p.setPen(look::quietInk());
        p.drawText(line, Qt::AlignVCenter | Qt::AlignRight, row.age);
    }
    const int left = area.left() + kEdge, width = area.width() - 2 * kEdge;
    if (row.comb.empty() && !narrow) { // nothing to draw: say why
        p.setFont(look::textFont(12));
        p.setPen(look::quietInk());
        p.drawText(QRect(left, area.top() + 21, width, 17), Qt::AlignVCenter,
                   QStringLiteral("not known: it has no pan yet"));
    }
    if ((option.state & QStyle::State_HasFocus) && (option.state & QStyle::State_Selected)) {
        p.setPen(QPen(look::accent(), 1));
        p.drawRect(area.adjusted(0, 0, -1, -1));
    }
    p.fillRect(QRect(left, area.top() + 38, width, 1), look::rule());
    for (const kitchen::CombTick& tick : row.comb)
        paintTick(p, tick, axisX(tick.kelvin - kZeroCelsiusK, left, width), area.top() + 24, 14);
    p.restore();
}

LineUp::LineUp(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), model_(new LineUpModel(document, this)),
      proxy_(new QSortFilterProxyModel(this)), delegate_(new CombDelegate(this)),
      filter_(new QLineEdit), add_(new QPushButton), list_(new QListView), empty_(new QWidget) {
    setObjectName(QStringLiteral("pane"));
    setAttribute(Qt::WA_StyledBackground);
    setAccessibleName(QStringLiteral("Line-up"));
    setFixedWidth(232);
    proxy_->setSourceModel(model_);
    proxy_->setFilterCaseSensitivity(Qt::CaseInsensitive);
    filter_->setPlaceholderText(QStringLiteral("Find  ( / )"));
    filter_->setAccessibleName(QStringLiteral("Filter the line-up"));
    list_->setModel(proxy_);
    list_->setItemDelegate(delegate_);
    list_->setAccessibleName(QStringLiteral("Line-up of appliances"));
    list_->setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
    list_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    list_->setUniformItemSizes(false);
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 8, 0, kAxisHeight);
    box->setSpacing(6);
    auto* top = new QHBoxLayout;
    top->setContentsMargins(8, 0, 8, 0);
    top->addWidget(filter_);
    add_->setText(QStringLiteral("Add"));
    add_->setAccessibleName(QStringLiteral("Add an appliance"));
    connect(add_, &QPushButton::clicked, this, &LineUp::addWanted);
    top->addWidget(add_);
    box->addLayout(top);
    auto* emptyBox = new QVBoxLayout(empty_);
    auto* words = new QLabel(QStringLiteral(
        "No appliance yet.\n\nPress Add, name the first oven, burner or grill, and rate it: "
        "the line-up then shows what heat it really gives."));
    words->setWordWrap(true);
    words->setObjectName(QStringLiteral("quiet"));
    emptyBox->addWidget(words);
    emptyBox->addStretch();
    box->addWidget(empty_);
    box->addWidget(list_, 1);
    connect(filter_, &QLineEdit::textChanged, proxy_, &QSortFilterProxyModel::setFilterFixedString);
    connect(filter_, &QLineEdit::textEdited, this, [this](const QString& typed) {
        if (typed.contains(QLatin1Char('/'))) { // the key that leads here, pressed once more
            filter_->setText(QString(typed).remove(QLatin1Char('/')));
            filter_->selectAll();
        }
    });
    connect(filter_, &QLineEdit::returnPressed, this, [this] {
        if (proxy_->rowCount() > 0)
            list_->setCurrentIndex(proxy_->index(0, 0));
        list_->setFocus();
    });
    connect(list_->selectionModel(), &QItemSelectionModel::currentChanged, this,
            [this](const QModelIndex& index) {
                if (index.isValid())
                    emit applianceChosen(toStd(index.data(LineUpModel::IdRole).toString()));
            });
    // A reset forgets the current row: come back to the appliance that was chosen.
    connect(model_, &QAbstractItemModel::modelAboutToBeReset, this,
            [this] { setProperty("kept", toQt(currentId())); });
    connect(model_, &QAbstractItemModel::modelReset, this, [this] { chooseFirstIfNone(); });
    chooseFirstIfNone();
}

void LineUp::chooseFirstIfNone() {
    const bool any = model_->rowCount() > 0;
    empty_->setVisible(!any);
    list_->setVisible(any);
    if (!any)
        return;
    const std::string kept = toStd(property("kept").toString());
    QSignalBlocker quiet(list_->selectionModel());
    list_->setCurrentIndex(proxy_->index(0, 0));
    for (int i = 0; i < proxy_->rowCount(); ++i)
        if (toStd(proxy_->index(i, 0).data(LineUpModel::IdRole).toString()) == kept)
            list_->setCurrentIndex(proxy_->index(i, 0));
    list_->scrollTo(list_->currentIndex());
    list_->viewport()->update();
}

std::string LineUp::currentId() const {
    const QModelIndex index = list_->currentIndex();
    return index.isValid() ? toStd(index.data(LineUpModel::IdRole).toString()) : std::string();
}

void LineUp::select(const std::string& applianceId) {
    filter_->clear(); // a filter would hide it
    for (int i = 0; i < proxy_->rowCount(); ++i)
        if (toStd(proxy_->index(i, 0).data(LineUpModel::IdRole).toString()) == applianceId) {
            list_->setCurrentIndex(proxy_->index(i, 0));
            list_->scrollTo(list_->currentIndex());
        }
}

void LineUp::focusFilter() {
    filter_->setFocus();
    filter_->selectAll();
}

void LineUp::setFolded(bool folded) {
    setFixedWidth(folded ? kFoldedWidth : kWidth);
    delegate_->narrow = folded;
    add_->setText(folded ? QStringLiteral("+") : QStringLiteral("Add"));
    filter_->setVisible(!folded);
    for (QLabel* words : empty_->findChildren<QLabel*>())
        words->setVisible(!folded);
    list_->doItemsLayout();
}

void LineUp::paintEvent(QPaintEvent* event) {
    QWidget::paintEvent(event);
    if (model_->rowCount() == 0 || delegate_->narrow)
        return;
    QPainter p(this);
    drawAxis(p, height() - kAxisHeight);
}

QSize LineUp::drawnSize() const {
    return {width(), rowsHeight(*list_, width()) + kAxisHeight};
}

void LineUp::drawOn(QPainter& painter) {
    drawRows(*list_, painter, width());
    drawAxis(painter, rowsHeight(*list_, width()));
}

void LineUp::drawAxis(QPainter& p, int top) const {
    p.setFont(look::textFont(11));
    p.setPen(look::quietInk());
    const int left = kEdge, width = this->width() - 2 * kEdge, y = top + 4;
    const TemperatureUnit unit = document_.units().temperature();
    const auto& numbers = document_.units().fahrenheit ? kAxisF : kAxisC;
    for (const int number : numbers) {
        const int x = axisX((unit == TemperatureUnit::fahrenheit ? Temperature::fahrenheit(number)
                                                                 : Temperature::celsius(number))
                                .celsius(),
                            left, width);
        p.fillRect(QRect(x, y - 2, 1, 4), look::quietInk());
        const bool first = number == numbers.front(), last = number == numbers.back();
        const QString words =
            QString::number(number) + (first ? QString::fromUtf8(unitSign(unit)) : QString());
        const QRect place(first  ? left
                          : last ? x - 40
                                 : x - 25,
                          y + 2,
                          first  ? 60
                          : last ? 44
                                 : 40,
                          16);
        p.drawText(place, first ? Qt::AlignLeft : last ? Qt::AlignRight : Qt::AlignHCenter, words);
    }
}

} // namespace dynamet::app
