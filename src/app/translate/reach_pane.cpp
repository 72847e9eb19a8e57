// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/reach_pane.h"

#include "app/translate/row_delegate.h"
#include "app/widgets/kept_picture.h"
#include "app/widgets/save_path_dialog.h"
#include "app/widgets/sheet_page.h"

#include <QCheckBox>
#include <QKeyEvent>
#include <QMenu>
#include <QVBoxLayout>

namespace dynamet::app {
namespace {

/// The page of the rows: as a picture it is all rows over their time axis.
class RowsOnAxis : public QWidget, public Drawn {
  public:
    RowsOnAxis(const QListView& list, const AxisRuler& ruler) : list_(list), ruler_(ruler) {
        setAccessibleName(QStringLiteral("Rows on their time axis"));
    }
    QSize drawnSize() const override {
        return {list_.width(), rowsHeight(list_, list_.width()) + ruler_.height()};
    }
    void drawOn(QPainter& painter) override {
        drawRows(list_, painter, list_.width());
        painter.translate(0, rowsHeight(list_, list_.width()));
        ruler_.draw(painter, list_.width());
    }

  private:
    const QListView& list_;
    const AxisRuler& ruler_;
};

} // namespace

ReachPane::ReachPane(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), model_(new RowsModel(document, this)),
      progress_(new QLabel), list_(new QListView), ruler_(new AxisRuler(*model_)),
      others_(new QPushButton), sheet_(new QPushButton), stack_(new QStackedWidget),
      row_(new RowPane(document, *model_)) {
    setObjectName(QStringLiteral("pane"));
    setAttribute(Qt::WA_StyledBackground);
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 12, 0, 12);
    auto* head = new QHBoxLayout;
    head->setContentsMargins(14, 0, 14, 0);
    auto* overline = new QLabel(QStringLiteral("ON YOUR APPLIANCES"));
    overline->setObjectName(QStringLiteral("overline"));
    progress_->setObjectName(QStringLiteral("quiet"));
    progress_->setAccessibleName(QStringLiteral("Progress of the translation"));
    auto* keep = new QPushButton(QStringLiteral("Keep"));
    keep->setAccessibleName(QStringLiteral("Keep this translation"));
    keep->setToolTip(
        QStringLiteral("Keep this translation in the book, to compare with later ones"));
    connect(keep, &QPushButton::clicked, this, &ReachPane::keepWanted);
    const auto enable = [this, keep] {
        for (QPushButton* one : {keep, sheet_})
            one->setEnabled(model_->rowCount() > 0);
    };
    connect(model_, &QAbstractItemModel::modelReset, keep, enable);
    connect(model_, &QAbstractItemModel::rowsInserted, keep, enable);
    connect(model_, &QAbstractItemModel::rowsRemoved, keep, enable);
    enable();
    head->addWidget(overline);
    head->addSpacing(12);
    head->addWidget(progress_);
    head->addStretch();
    head->addWidget(keep);
    box->addLayout(head);
    stack_->addWidget(buildList());
    stack_->addWidget(row_);
    connect(row_, &RowPane::closeWanted, this, &ReachPane::closeRow);
    connect(row_, &RowPane::detailWanted, this, &ReachPane::detailWanted);
    connect(row_, &RowPane::triedWanted, this, &ReachPane::triedWanted);
    connect(row_, &RowPane::shown, this, &ReachPane::rowShown);
    connect(row_, &RowPane::rowWanted, this, &ReachPane::openRowOf);
    box->addWidget(stack_, 1);
}

QWidget* ReachPane::buildList() {
    auto* page = new RowsOnAxis(*list_, *ruler_);
    auto* box = new QVBoxLayout(page);
    box->setContentsMargins(0, 0, 0, 0);
    list_->setModel(model_);
    list_->setItemDelegate(new RowDelegate(this));
    list_->setAccessibleName(QStringLiteral("Rows of the translation"));
    list_->setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
    list_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    connect(list_, &QListView::activated, this,
            [this](const QModelIndex& index) { openRow(index.row()); });
    connect(list_, &QListView::clicked, this,
            [this](const QModelIndex& index) { openRow(index.row()); });
    box->addWidget(list_, 1);
    list_->setMouseTracking(true);
    list_->viewport()->installEventFilter(this);
    box->addWidget(ruler_);
    box->addWidget(buildFilters());
    others_->setAccessibleName(QStringLiteral("Appliances that cannot hold this food"));
    others_->setFlat(true);
    others_->setCheckable(true);
    others_->hide();
    connect(others_, &QPushButton::toggled, this, [this](bool all) {
        model_->showAll(all);
        showOthers();
    });
    box->addWidget(others_, 0, Qt::AlignLeft);
    auto* legend = new QLabel(QStringLiteral(
        "Bar: from first look to latest; thick mark: expected. Triangle: the rule of thumb."));
    legend->setObjectName(QStringLiteral("quiet"));
    legend->setWordWrap(true);
    legend->setContentsMargins(14, 4, 14, 0);
    box->addWidget(legend);
    return page;
}

/// Which rows are shown: only rated ones, only what is free today.
QWidget* ReachPane::buildFilters() {
    auto* line = new QWidget;
    auto* box = new QHBoxLayout(line);
    box->setContentsMargins(14, 0, 14, 0);
    auto* rated = new QCheckBox(QStringLiteral("only rated"));
    rated->setAccessibleName(QStringLiteral("Only rated appliances"));
    auto* inUse = new QPushButton(QStringLiteral("In use today…"));
    inUse->setAccessibleName(QStringLiteral("In use today"));
    inUse->setToolTip(QStringLiteral("What is in use is left out until the window is closed"));
    auto* menu = new QMenu(inUse);
    inUse->setMenu(menu);
    const auto apply = [this, rated, menu, inUse] {
        RowsModel::Filter filter;
        filter.onlyRated = rated->isChecked();
        for (const QAction* one : menu->actions())
            if (one->isChecked())
                filter.inUse.insert(toStd(one->data().toString()));
        inUse->setText(filter.inUse.empty()
                           ? QStringLiteral("In use today…")
                           : QStringLiteral("%1 in use today…").arg(filter.inUse.size()));
        model_->setFilter(filter);
        showOthers();
    };
    connect(rated, &QCheckBox::toggled, this, apply);
    connect(menu, &QMenu::aboutToShow, this, [this, menu, apply] {
        const auto chosen = model_->filter().inUse;
        menu->clear();
        for (const kitchen::Appliance& one : document_.kitchen().appliances) {
            QAction* action = menu->addAction(toQt(one.name));
            action->setCheckable(true);
            action->setData(toQt(one.id));
            action->setChecked(chosen.contains(one.id));
            connect(action, &QAction::toggled, this, apply);
        }
    });
    filtered_ = new QLabel;
    filtered_->setObjectName(QStringLiteral("quiet"));
    box->addWidget(rated);
    box->addWidget(inUse);
    box->addWidget(filtered_);
    box->addStretch();
    sheet_->setText(QStringLiteral("Sheet…"));
    sheet_->setAccessibleName(QStringLiteral("Write all rows as a sheet"));
    sheet_->setToolTip(QStringLiteral("One recipe on all appliances: PDF, HTML or a spreadsheet"));
    connect(sheet_, &QPushButton::clicked, this, &ReachPane::writeFleet);
    box->addWidget(sheet_);
    return line;
}

void ReachPane::showProgress(int done, int total) {
    progress_->setText(done < total ? QStringLiteral("%1 of %2").arg(done).arg(total)
                       : total == 1 ? QStringLiteral("1 place")
                                    : QStringLiteral("%1 places").arg(total));
    if (done >= total)
        showOthers();
}

void ReachPane::showProblem(const QString& words) {
    model_->clear();
    stack_->setCurrentIndex(0);
    emit rowClosed();
    showOthers();
    progress_->setText(words);
}

void ReachPane::showOthers() {
    const int out = model_->filteredOut();
    filtered_->setText(out > 0 ? QStringLiteral("%1 left out").arg(out) : QString());
    const int hidden = model_->hidden();
    others_->setVisible(hidden > 0 || others_->isChecked());
    others_->setText(others_->isChecked()
                         ? QStringLiteral("Hide what cannot hold this food")
                         : QStringLiteral("%1 more cannot hold this food: show why").arg(hidden));
}

/// Rows keep their places under the pointer.
bool ReachPane::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::Enter)
        model_->setWatched(true);
    if (event->type() == QEvent::Leave) {
        model_->setWatched(false);
        showOthers();
    }
    return QWidget::eventFilter(watched, event);
}

bool ReachPane::isOpen() const {
    return stack_->currentIndex() == 1;
}

std::optional<translate::Target> ReachPane::openTarget() const {
    return isOpen() ? row_->target() : std::nullopt;
}

void ReachPane::openRow(int at) {
    if (at < 0 || at >= model_->rowCount() || model_->item(at).pending)
        return;
    stack_->setCurrentIndex(1);
    row_->open(model_->item(at).row.target);
}

void ReachPane::openRowOf(const translate::Target& target) {
    for (int i = 0; i < model_->rowCount(); ++i)
        if (model_->item(i).row.target == target)
            return openRow(i);
}

void ReachPane::closeRow() {
    stack_->setCurrentIndex(0);
    list_->setFocus();
    emit rowClosed();
}

void ReachPane::writeFleet() {
    if (!model_->prepared())
        return;
    const words::Sheet sheet =
        words::fleetSheet(*model_->prepared(), model_->rows(), document_.units());
    writeAsked(document_, this, QStringLiteral("All rows as a sheet"), QStringLiteral("fleet.pdf"),
               QStringLiteral("PDF (*.pdf);;Page (*.html);;Spreadsheet (*.xlsx)"),
               [sheet](const QString& path) { return writeSheet(sheet, path); });
}

void ReachPane::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape && isOpen()) {
        closeRow();
        return;
    }
    QWidget::keyPressEvent(event);
}

} // namespace dynamet::app
