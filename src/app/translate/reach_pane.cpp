// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/reach_pane.h"

#include "app/look/palette.h"
#include "app/translate/card_page.h"
#include "app/translate/row_delegate.h"
#include "app/widgets/save_path_dialog.h"
#include "app/widgets/sheet_page.h"
#include "formats/recipe_source.h"
#include "formats/text_file.h"
#include "words/rewrite_words.h"
#include "words/sign_words.h"
#include "words/stage_words.h"
#include "words/way_words.h"

#include <QCheckBox>
#include <QKeyEvent>
#include <QMenu>
#include <QScrollArea>
#include <QVBoxLayout>

namespace dynamet::app {

ReachPane::ReachPane(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), model_(new RowsModel(document, this)),
      progress_(new QLabel), list_(new QListView), ruler_(new AxisRuler(*model_)),
      others_(new QPushButton), sheet_(new QPushButton), stack_(new QStackedWidget),
      detailTitle_(new QLabel), detailPull_(new QLabel), detailStages_(new QLabel),
      detailLines_(new QLabel), detailWarnings_(new QLabel), detailCautions_(new QLabel),
      detailWays_(new QLabel), cuts_(new CutsPane(document)), curves_(new Plot),
      back_(new QPushButton(QStringLiteral("Back to all rows"))) {
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
    stack_->addWidget(buildDetail());
    box->addWidget(stack_, 1);
}

QWidget* ReachPane::buildList() {
    auto* page = new QWidget;
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

QWidget* ReachPane::buildDetail() {
    auto* page = new QWidget;
    auto* box = new QVBoxLayout(page);
    box->setContentsMargins(14, 4, 14, 0);
    box->setSpacing(8);
    back_->setIcon(QIcon(QStringLiteral(":/look/icons/back.svg")));
    back_->setAccessibleName(QStringLiteral("Back to all rows"));
    connect(back_, &QPushButton::clicked, this, &ReachPane::closeRow);
    detailTitle_->setObjectName(QStringLiteral("sentence"));
    detailTitle_->setWordWrap(true);
    detailPull_->setObjectName(QStringLiteral("readout"));
    detailPull_->setAccessibleName(QStringLiteral("Pull"));
    detailPull_->setWordWrap(true);
    detailStages_->setWordWrap(true);
    detailStages_->setAccessibleName(QStringLiteral("Stages, in order"));
    detailLines_->setWordWrap(true);
    detailLines_->setAccessibleName(QStringLiteral("Reasons and times"));
    detailWarnings_->setObjectName(QStringLiteral("caution"));
    detailWarnings_->setWordWrap(true);
    detailWarnings_->setAccessibleName(QStringLiteral("Cautions"));
    detailWays_->setWordWrap(true);
    detailWays_->setAccessibleName(QStringLiteral("Other ways here"));
    detailWays_->hide();
    detailCautions_->setWordWrap(true);
    detailCautions_->setAccessibleName(QStringLiteral("Before you begin"));
    curves_->setMinimumHeight(140);
    curves_->setAccessibleName(QStringLiteral("Core and faces over time"));
    auto* head = new QHBoxLayout;
    auto* named = new QVBoxLayout;
    named->setSpacing(0);
    named->addWidget(detailTitle_);
    named->addWidget(detailPull_);
    head->addWidget(back_, 0, Qt::AlignTop);
    head->addSpacing(8);
    head->addLayout(named, 1);
    auto* card = new QPushButton(QStringLiteral("Card…"));
    card->setAccessibleName(QStringLiteral("Write the row as a card"));
    connect(card, &QPushButton::clicked, this, &ReachPane::writeRow);
    head->addWidget(card, 0, Qt::AlignTop);
    box->addLayout(head);
    box->addWidget(detailStages_);
    box->addWidget(cuts_, 1);
    auto* legend =
        new QLabel(QStringLiteral("Thick: core (dotted: core in the recipe). Red: the side that "
                                  "went down first; dashed: the other side."));
    legend->setObjectName(QStringLiteral("quiet"));
    legend->setWordWrap(true);
    box->addWidget(curves_, 1);
    box->addWidget(legend);
    box->addWidget(detailWarnings_);
    box->addWidget(detailLines_);
    box->addWidget(detailWays_);
    box->addWidget(detailCautions_);
    auto* scroll = new QScrollArea; // a low window, or many reasons
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setWidget(page);
    page->setAutoFillBackground(false);
    scroll->viewport()->setAutoFillBackground(false);
    return scroll;
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
    return isOpen() ? open_ : std::nullopt;
}

void ReachPane::openRow(int at) {
    if (at < 0 || at >= model_->rowCount() || model_->item(at).pending)
        return;
    open_ = model_->item(at).row.target;
    stack_->setCurrentIndex(1);
    refreshOpenRow();
    back_->setFocus();
}

void ReachPane::closeRow() {
    stack_->setCurrentIndex(0);
    list_->setFocus();
    emit rowClosed();
}

const translate::Row* ReachPane::openRowItem() const {
    if (!isOpen() || !model_->prepared())
        return nullptr;
    for (int i = 0; i < model_->rowCount(); ++i) {
        const RowsModel::Item& item = model_->item(i);
        if (item.row.target == *open_ && !item.pending)
            return &item.row;
    }
    return nullptr;
}

void ReachPane::refreshOpenRow() {
    const translate::Row* row = openRowItem();
    if (!row)
        return;
    const auto units = document_.units();
    detailTitle_->setText(toQt(words::rowTitle(*row, document_.kitchen(), units)));
    detailPull_->setText(row->reached ? toQt(words::pullWords(*row, units))
                                      : toQt(words::reasonWords(*row, units)));
    QStringList stages, warnings;
    for (const std::string& line : words::rowStageLines(*row, *model_->prepared(), units))
        stages << toQt(line);
    detailStages_->setText(stages.join(QStringLiteral("\n")));
    detailStages_->setVisible(!stages.isEmpty());
    for (const std::string& line : words::warningLines(*row, *model_->prepared(), units))
        warnings << QStringLiteral("! %1").arg(toQt(line));
    detailWarnings_->setText(warnings.join(QStringLiteral("\n")));
    detailWarnings_->setVisible(!warnings.isEmpty());
    QStringList cautions;
    if (row->reached)
        for (const std::string& line : words::rowCautions(*row, *model_->prepared()))
            cautions << toQt(line);
    detailCautions_->setText(QStringLiteral("Before you begin\n") +
                             cautions.join(QStringLiteral("\n")));
    detailCautions_->setVisible(!cautions.isEmpty());
    detail_.reset();
    showLines(*row, {});
    detailWays_->hide();
    curves_->setVisible(row->reached);
    cuts_->setVisible(row->reached);
    emit detailWanted(*row);
    emit rowShown(*row);
}

void ReachPane::writeRow() {
    const translate::Row* row = openRowItem();
    if (!row)
        return;
    // As it is now: rows may be worked out anew while the dialog is open.
    const auto card =
        words::cardOf(*row, *model_->prepared(), detail_ ? &*detail_ : nullptr, document_.units());
    const auto text = words::rewrittenFor(*row, *model_->prepared());
    const recipe::Recipe& recipe = model_->prepared()->request.recipe;
    formats::RecipeSource source{{}, recipe.name, recipe.author, recipe.text, {}};
    if (text)
        source.text = text->after.text;
    writeAsked(document_, this, QStringLiteral("Card of the row"), QStringLiteral("card.pdf"),
               QStringLiteral("PDF (*.pdf);;The recipe's words for it (*.txt);;schema.org JSON-LD "
                              "(*.jsonld)"),
               [card, source](const QString& path) {
                   const QString ending = path.section(QLatin1Char('.'), -1).toLower();
                   if (ending == QStringLiteral("txt") ||
                       ending.startsWith(QStringLiteral("json"))) {
                       const auto done =
                           formats::writeTextFile(toStd(path), ending == QStringLiteral("txt")
                                                                   ? source.text + "\n"
                                                                   : formats::recipeJsonLd(source));
                       return done ? QString() : toQt(done.error().message);
                   }
                   return writeCard(card, path);
               });
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

void ReachPane::showLines(const translate::Row& row, const std::vector<std::string>& more) {
    QStringList lines;
    const auto units = document_.units();
    for (const std::string& line : words::detailLines(row, *model_->prepared(), units))
        lines << toQt(line);
    const auto signs = words::signLines(row, *model_->prepared(), units);
    if (!signs.empty())
        lines << QStringLiteral("Without a probe:");
    for (const std::string& line : signs)
        lines << QStringLiteral("  ") + toQt(line);
    for (const std::string& line : more)
        lines << toQt(line);
    detailLines_->setText(lines.join(QStringLiteral("\n")));
}

void ReachPane::showDetail(const translate::Row& row, const translate::RowDetail& detail) {
    if (!isOpen() || !model_->prepared() || row.target != *open_ || !detail.outcome)
        return;
    detail_ = detail;
    showLines(row, words::detailLines(detail, *model_->prepared(), document_.units()));
    QStringList ways;
    if (detail.ways)
        for (const std::string& line :
             words::wayLines(*detail.ways, *model_->prepared(), document_.units()))
            ways << toQt(line);
    detailWays_->setText(QStringLiteral("Other ways here\n") + ways.join(QStringLiteral("\n")));
    detailWays_->setVisible(!ways.isEmpty());
    cuts_->showCuts(*model_->prepared(), row, *detail.outcome);
    drawCurves(*detail.outcome);
}

void ReachPane::drawCurves(const cook::Outcome& outcome) {
    curves_->clearPlottables();
    const Units& units = document_.units();
    const auto seriesOf = [](const std::vector<cook::Sample>& samples,
                             double cook::Sample::*member) {
        Series out;
        for (const cook::Sample& s : samples) {
            out.timeS.push_back(s.timeS);
            out.value.push_back(s.*member);
        }
        return out;
    };
    auto* rect = curves_->axisRect();
    curves_->addLine(rect, seriesOf(outcome.samples, &cook::Sample::bottomK), look::kAccent, units);
    curves_->addLine(rect, seriesOf(outcome.samples, &cook::Sample::topK), look::kInk, units,
                     Qt::DashLine);
    curves_->addLine(rect, seriesOf(model_->prepared()->outcome.samples, &cook::Sample::coreK),
                     look::kReference, units, Qt::DotLine);
    curves_->addLine(rect, seriesOf(outcome.samples, &cook::Sample::coreK), look::kReference, units)
        ->setPen(QPen(look::kReference, 2));
    curves_->xAxis->setLabel(QStringLiteral("minutes, rest included"));
    curves_->yAxis->setLabel(QString::fromUtf8(unitSign(units.temperature())));
    curves_->rescaleAxes();
    curves_->replot();
}

void ReachPane::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape && isOpen()) {
        closeRow();
        return;
    }
    QWidget::keyPressEvent(event);
}

} // namespace dynamet::app
