// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/reach_pane.h"

#include "app/look/palette.h"
#include "app/translate/card_page.h"
#include "app/translate/row_delegate.h"
#include "app/widgets/save_path_dialog.h"
#include "words/stage_words.h"
#include "words/way_words.h"

#include <QDir>
#include <QKeyEvent>
#include <QScrollArea>
#include <QVBoxLayout>

namespace dynamet::app {

ReachPane::ReachPane(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), model_(new RowsModel(document, this)),
      progress_(new QLabel), list_(new QListView), ruler_(new AxisRuler(*model_)),
      others_(new QPushButton), stack_(new QStackedWidget), detailTitle_(new QLabel),
      detailPull_(new QLabel), detailStages_(new QLabel), detailLines_(new QLabel),
      detailWarnings_(new QLabel), detailCautions_(new QLabel), detailWays_(new QLabel),
      cuts_(new CutsPane(document)), curves_(new Plot),
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
    const auto enable = [this, keep] { keep->setEnabled(model_->rowCount() > 0); };
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
    showOthers();
    progress_->setText(words);
}

void ReachPane::showOthers() {
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
}

void ReachPane::writeRow() {
    const translate::Row* row = openRowItem();
    if (!row)
        return;
    // As it is now: rows may be worked out anew while the dialog is open.
    const auto card =
        words::cardOf(*row, *model_->prepared(), detail_ ? &*detail_ : nullptr, document_.units());
    SavePathDialog dialog(QStringLiteral("Card of the row"), QStringLiteral("File of the card"),
                          QDir::home().filePath(QStringLiteral("card.pdf")),
                          QStringLiteral("PDF (*.pdf)"), this);
    if (dialog.exec() != QDialog::Accepted || dialog.path().isEmpty())
        return;
    const QString problem = writeCard(card, dialog.path());
    document_.say(problem.isEmpty()
                      ? QStringLiteral("Written: %1").arg(dialog.path())
                      : QStringLiteral("%1 could not be written (%2); nothing was changed.")
                            .arg(dialog.path(), problem));
}

void ReachPane::showLines(const translate::Row& row, const std::vector<std::string>& more) {
    QStringList lines;
    const auto units = document_.units();
    for (const std::string& line : words::detailLines(row, *model_->prepared(), units))
        lines << toQt(line);
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
