// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/rate_sheet_view.h"

#include "app/look/palette.h"
#include "words/hob_words.h"

#include <QHeaderView>
#include <QPainter>

namespace dynamet::app {
namespace {

void paintPatch(QPainter& p, const QRect& place, const kitchen::Representative& shown) {
    const QColor colour = look::heatColour(shown.kelvin - kZeroCelsiusK);
    if (shown.provenance == kitchen::Provenance::measured) {
        p.fillRect(place, colour);
        return;
    }
    p.setPen(QPen(colour.darker(120), shown.provenance == kitchen::Provenance::assumed ? 1 : 2));
    p.drawRect(place.adjusted(0, 0, -1, -1));
    if (shown.provenance == kitchen::Provenance::interpolated)
        for (int y = place.top() + 3; y < place.bottom(); y += 4)
            p.drawLine(place.left(), y, place.right(), y);
}

} // namespace

RateSheetModel::RateSheetModel(Document& document, QObject* parent)
    : QAbstractTableModel(parent), document_(document) {}

void RateSheetModel::setSheet(const std::string& applianceId, std::int64_t untilMs,
                              const kitchen::SheetWith& with) {
    beginResetModel();
    sheet_ = {};
    if (const auto* appliance = findAppliance(document_.kitchen(), applianceId))
        sheet_ = untilMs > 0 ? rateSheet(ratedUntil(document_.kitchen(), applianceId,
                                                    document_.ratedHistory(applianceId), untilMs),
                                         *appliance, with)
                             : rateSheet(document_.kitchen(), *appliance, with);
    endResetModel();
}

int RateSheetModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(sheet_.settings.size());
}

int RateSheetModel::columnCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(sheet_.zones.size());
}

const kitchen::SheetCell& RateSheetModel::cell(const QModelIndex& index) const {
    return sheet_
        .cells[static_cast<std::size_t>(index.row())][static_cast<std::size_t>(index.column())];
}

QString RateSheetModel::cellText(const QModelIndex& index) const {
    const kitchen::SheetCell& at = cell(index);
    if (!at.shown)
        return QStringLiteral("not known");
    const QString heat =
        toQt(printTemperature(Temperature::kelvin(at.shown->kelvin),
                              document_.units().temperature(), halfWidthK(*at.shown)));
    if (!at.power)
        return heat;
    return toQt(words::hobLine(*at.power, at.litreS, toStd(heat), at.lastsS));
}

QString RateSheetModel::restsOn(const QModelIndex& index) const {
    const kitchen::SheetCell& at = cell(index);
    if (!at.shown)
        return at.why ? toQt(*at.why, document_.units()) : QString();
    const kitchen::Provenance from = at.power ? at.power->provenance : at.shown->provenance;
    const QString words = QString::fromUtf8(enumName(from));
    if (from != kitchen::Provenance::measured || at.measuredMs == 0)
        return words;
    return QStringLiteral("%1 %2").arg(words, agoWords(at.measuredMs, document_.now().utcMs));
}

QVariant RateSheetModel::data(const QModelIndex& index, int role) const {
    if (role == Qt::DisplayRole)
        return cellText(index);
    if (role == Qt::AccessibleTextRole || role == Qt::ToolTipRole)
        return QStringLiteral("%1, %2: %3, %4")
            .arg(toQt(sheet_.labels[static_cast<std::size_t>(index.row())]),
                 toQt(sheet_.zones[static_cast<std::size_t>(index.column())]), cellText(index),
                 restsOn(index));
    return {};
}

QVariant RateSheetModel::headerData(int section, Qt::Orientation orientation, int role) const {
    if (role == Qt::TextAlignmentRole)
        return static_cast<int>(Qt::AlignLeft | Qt::AlignVCenter);
    if (role != Qt::DisplayRole)
        return {};
    const auto& words = orientation == Qt::Horizontal ? sheet_.zones : sheet_.labels;
    const auto at = static_cast<std::size_t>(section);
    return at < words.size() ? toQt(words[at]) : QString(); // asked amid a reset, for what was
}

void CellDelegate::paint(QPainter* painter, const QStyleOptionViewItem& option,
                         const QModelIndex& index) const {
    const auto* model = qobject_cast<const RateSheetModel*>(index.model());
    const kitchen::SheetCell& cell = model->cell(index);
    const auto from = cell.power   ? cell.power->provenance
                      : cell.shown ? cell.shown->provenance
                                   : kitchen::Provenance::assumed;
    QPainter& p = *painter;
    p.save();
    if (option.state & QStyle::State_Selected) {
        p.fillRect(option.rect, look::selected());
        p.fillRect(QRect(option.rect.left(), option.rect.top(), 3, option.rect.height()),
                   look::accent());
    }
    if ((option.state & QStyle::State_HasFocus) && (option.state & QStyle::State_Selected)) {
        p.setPen(QPen(look::accent(), 1));
        p.drawRect(option.rect.adjusted(0, 0, -1, -1));
    }
    if (cell.shown) {
        kitchen::Representative patch = *cell.shown;
        patch.provenance = from;
        paintPatch(p, QRect(option.rect.left() + 10, option.rect.center().y() - 8, 18, 17), patch);
    }
    p.setFont(look::textFont(13, from == kitchen::Provenance::measured));
    p.setPen(from == kitchen::Provenance::assumed ? look::quietInk() : look::ink());
    const QString words = index.data().toString();
    const int wide = p.fontMetrics().horizontalAdvance(words);
    const QRect place = option.rect.adjusted(38, 0, -4, 0);
    p.drawText(place, Qt::AlignVCenter,
               p.fontMetrics().elidedText(words, Qt::ElideRight, place.width()));
    p.setFont(look::textFont(12));
    p.setPen(look::quietInk());
    const QRect rest = place.adjusted(wide + 24, 0, -4, 0);
    if (rest.width() > 80)
        p.drawText(rest, Qt::AlignVCenter | Qt::AlignRight,
                   p.fontMetrics().elidedText(model->restsOn(index), Qt::ElideRight, rest.width()));
    p.restore();
}

void SettingHeader::paintSection(QPainter* painter, const QRect& rect, int section) const {
    const auto& sheet = qobject_cast<RateSheetModel*>(model())->sheet();
    if (static_cast<std::size_t>(section) >= sheet.burners.size())
        return;
    const auto& burners = sheet.burners[static_cast<std::size_t>(section)];
    painter->save();
    painter->fillRect(rect, look::surface());
    painter->fillRect(QRect(rect.left(), rect.bottom(), rect.width(), 1), look::sunken());
    painter->setRenderHint(QPainter::Antialiasing);
    int x = rect.left() + 8;
    for (double share : burners) {
        const QRectF disc(x, rect.center().y() - 7, 15, 15);
        painter->setPen(QPen(look::ink(), 1.2));
        painter->setBrush(Qt::NoBrush);
        painter->drawEllipse(disc);
        painter->setBrush(look::ink());
        if (share > 0)
            painter->drawPie(disc, 90 * 16, -static_cast<int>(share * 360 * 16));
        x += 20;
    }
    painter->setFont(look::textFont(13));
    painter->setPen(look::ink());
    painter->drawText(
        QRect(x + (burners.empty() ? 0 : 4), rect.top(), rect.right() - x, rect.height()),
        Qt::AlignVCenter, model()->headerData(section, Qt::Vertical, Qt::DisplayRole).toString());
    painter->restore();
}

RateSheetView::RateSheetView(Document& document, QWidget* parent)
    : QTableView(parent), document_(document), model_(new RateSheetModel(document, this)) {
    setModel(model_);
    setItemDelegate(new CellDelegate(this));
    setVerticalHeader(new SettingHeader(this));
    setAccessibleName(QStringLiteral("Rate sheet"));
    setSelectionMode(QAbstractItemView::SingleSelection);
    setEditTriggers(QAbstractItemView::NoEditTriggers);
    horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    verticalHeader()->setDefaultSectionSize(26);
    verticalHeader()->setSectionResizeMode(QHeaderView::Fixed);
    verticalHeader()->setFixedWidth(190);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    setTabKeyNavigation(false);
    verticalHeader()->setSectionsClickable(true);
    connect(verticalHeader(), &QHeaderView::sectionPressed, this, [this](int row) {
        setCurrentIndex(model_->index(row, std::max(0, currentIndex().column())));
    });
    setShowGrid(true);
    setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
    connect(&document, &Document::unitsChanged, this, [this] { viewport()->update(); });
}

void RateSheetView::showSheet(const std::string& applianceId, std::int64_t untilMs,
                              const kitchen::SheetWith& with) {
    const auto keptSetting = model_->sheet().applianceId == applianceId ? setting() : std::nullopt;
    const int column = currentIndex().column();
    model_->setSheet(applianceId, untilMs, with);
    if (model_->rowCount() == 0 || model_->columnCount() == 0)
        return;
    int row = 0;
    for (int i = 0; keptSetting && i < model_->rowCount(); ++i)
        if (model_->sheet().settings[static_cast<std::size_t>(i)] == *keptSetting)
            row = i;
    setCurrentIndex(
        model_->index(row, keptSetting ? std::clamp(column, 0, model_->columnCount() - 1) : 0));
    scrollTo(currentIndex());
}

std::optional<kitchen::Setting> RateSheetView::setting() const {
    if (!currentIndex().isValid())
        return std::nullopt;
    return model_->sheet().settings[static_cast<std::size_t>(currentIndex().row())];
}

std::string RateSheetView::zone() const {
    return currentIndex().isValid()
               ? model_->sheet().zones[static_cast<std::size_t>(currentIndex().column())]
               : "";
}

kitchen::Representative RateSheetView::expected() const {
    return currentIndex().isValid()
               ? model_->cell(currentIndex()).shown.value_or(kitchen::Representative{})
               : kitchen::Representative{};
}

void RateSheetView::selectCell(const std::string& settingText, const std::string& zone) {
    const auto* appliance = findAppliance(document_.kitchen(), model_->sheet().applianceId);
    for (int row = 0; appliance && row < model_->rowCount(); ++row)
        for (int column = 0; column < model_->columnCount(); ++column)
            if (kitchen::settingText(appliance->controls,
                                     model_->sheet().settings[static_cast<std::size_t>(row)]) ==
                    settingText &&
                model_->sheet().zones[static_cast<std::size_t>(column)] == zone)
                setCurrentIndex(model_->index(row, column));
    scrollTo(currentIndex());
}

void RateSheetView::currentChanged(const QModelIndex& current, const QModelIndex& previous) {
    QTableView::currentChanged(current, previous);
    emit cellChosen();
}

} // namespace dynamet::app
