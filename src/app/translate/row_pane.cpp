// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/row_pane.h"

#include "app/look/ink_icon.h"
#include "app/look/palette.h"
#include "app/translate/card_page.h"
#include "app/widgets/save_path_dialog.h"
#include "formats/recipe_source.h"
#include "formats/text_file.h"
#include "words/rewrite_words.h"
#include "words/sign_words.h"
#include "words/stage_words.h"
#include "words/way_words.h"

#include <QVBoxLayout>

namespace dynamet::app {

RowPane::RowPane(Document& document, RowsModel& rows, QWidget* parent)
    : QScrollArea(parent), document_(document), rows_(rows), title_(new QLabel), pull_(new QLabel),
      times_(new QLabel), stages_(new QLabel), lines_(new QLabel), warnings_(new QLabel),
      cautions_(new QLabel), ways_(new QLabel), tried_(new TriedPane(document)),
      cuts_(new CutsPane(document)), curves_(new Plot),
      back_(new QPushButton(QStringLiteral("Back to all rows"))) {
    build();
}

void RowPane::build() {
    auto* page = new QWidget;
    auto* box = new QVBoxLayout(page);
    box->setContentsMargins(14, 4, 14, 0);
    box->setSpacing(8);
    back_->setIcon(look::inkIcon(QStringLiteral(":/look/icons/back.svg")));
    back_->setAccessibleName(QStringLiteral("Back to all rows"));
    connect(back_, &QPushButton::clicked, this, &RowPane::closeWanted);
    title_->setObjectName(QStringLiteral("sentence"));
    title_->setWordWrap(true);
    pull_->setObjectName(QStringLiteral("readout"));
    pull_->setAccessibleName(QStringLiteral("Pull"));
    pull_->setWordWrap(true);
    stages_->setWordWrap(true);
    stages_->setAccessibleName(QStringLiteral("Stages, in order"));
    lines_->setWordWrap(true);
    lines_->setAccessibleName(QStringLiteral("Reasons and times"));
    warnings_->setObjectName(QStringLiteral("caution"));
    warnings_->setWordWrap(true);
    warnings_->setAccessibleName(QStringLiteral("Cautions"));
    ways_->setWordWrap(true);
    ways_->setAccessibleName(QStringLiteral("Other ways here"));
    ways_->hide();
    cautions_->setWordWrap(true);
    cautions_->setAccessibleName(QStringLiteral("Before you begin"));
    curves_->setMinimumHeight(140);
    curves_->setAccessibleName(QStringLiteral("Core and faces over time"));
    auto* head = new QHBoxLayout;
    auto* named = new QVBoxLayout;
    named->setSpacing(0);
    named->addWidget(title_);
    named->addWidget(pull_);
    times_->setObjectName(QStringLiteral("sentence"));
    times_->setAccessibleName(QStringLiteral("When to look"));
    times_->setWordWrap(true);
    named->addWidget(times_);
    head->addWidget(back_, 0, Qt::AlignTop);
    head->addSpacing(8);
    head->addLayout(named, 1);
    auto* card = new QPushButton(QStringLiteral("Card…"));
    card->setAccessibleName(QStringLiteral("Write the row as a card"));
    connect(card, &QPushButton::clicked, this, &RowPane::writeRow);
    auto* menu = new QPushButton(QStringLiteral("On the menu"));
    menu->setAccessibleName(QStringLiteral("Put the dish on the menu, made here"));
    connect(menu, &QPushButton::clicked, this, [this] {
        if (const translate::Row* row = foundRow())
            emit menuWanted(row->target);
    });
    auto* cook = new QPushButton(QStringLiteral("Cook this"));
    cook->setObjectName(QStringLiteral("act"));
    cook->setAccessibleName(QStringLiteral("Cook this now"));
    connect(cook, &QPushButton::clicked, this, [this] {
        if (const translate::Row* row = openRowItem())
            emit cookWanted(row->target);
    });
    box->addLayout(head);
    auto* does = new QHBoxLayout;
    does->addWidget(cook, 2);
    does->addWidget(menu, 1);
    does->addWidget(card, 1);
    box->addLayout(does);
    box->addWidget(stages_);
    box->addWidget(tried_);
    connect(tried_, &TriedPane::changed, this, &RowPane::tryRow);
    connect(tried_, &TriedPane::rowWanted, this, &RowPane::rowWanted);
    box->addWidget(cuts_, 1);
    auto* legend =
        new QLabel(QStringLiteral("Thick: core (dotted: core in the recipe). Red: the side that "
                                  "went down first; dashed: the other side."));
    legend->setObjectName(QStringLiteral("quiet"));
    legend->setWordWrap(true);
    box->addWidget(curves_, 1);
    box->addWidget(legend);
    box->addWidget(warnings_);
    box->addWidget(lines_);
    box->addWidget(ways_);
    box->addWidget(cautions_);
    setWidgetResizable(true); // a low window, or many reasons
    setFrameShape(QFrame::NoFrame);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    setWidget(page);
    page->setAutoFillBackground(false);
    viewport()->setAutoFillBackground(false);
}

const translate::Row* RowPane::foundRow() const {
    if (!open_ || !rows_.prepared())
        return nullptr;
    for (int i = 0; i < rows_.rowCount(); ++i) {
        const RowsModel::Item& item = rows_.item(i);
        if (item.row.target == *open_ && !item.pending)
            return &item.row;
    }
    return nullptr;
}

const translate::Row* RowPane::openRowItem() const {
    const translate::Row* found = foundRow();
    return found && triedRow_ && triedRow_->target == *open_ ? &*triedRow_ : found;
}

std::optional<run::PlannedCook> RowPane::planned(const translate::Target& target) const {
    const translate::Row* row = openRowItem();
    if (!row || !(row->target == target) || !rows_.prepared() || !row->reached)
        return std::nullopt;
    return run::plannedOf(*rows_.prepared(), *row);
}

void RowPane::open(const translate::Target& target) {
    open_ = target;
    refresh();
    back_->setFocus();
}

void RowPane::refresh() {
    const translate::Row* found = foundRow();
    if (!found)
        return;
    tried_->showRow(*found, *rows_.prepared());
    if (triedRow_ && !(tried_->tried().any() && triedRow_->target == *open_))
        triedRow_.reset();
    if (!triedRow_) {
        showRow(*found);
        detail_.reset();
        ways_->hide();
    }
    if (tried_->tried().any())
        emit triedWanted(*found, tried_->tried());
    else
        emit detailWanted(*found);
}

/// A hand tries something, or nothing any more.
void RowPane::tryRow() {
    const translate::Row* found = foundRow();
    if (!found)
        return;
    if (tried_->tried().any())
        emit triedWanted(*found, tried_->tried());
    else
        refresh();
}

void RowPane::showTried(const translate::Row& row, const translate::RowDetail& detail) {
    if (!foundRow() || row.target != *open_ || !(row.tried == tried_->tried()))
        return;
    triedRow_ = row;
    detail_ = detail;
    ways_->hide();
    showRow(*triedRow_);
    if (!detail.outcome)
        return;
    cuts_->showCuts(*rows_.prepared(), *triedRow_, *detail.outcome);
    drawCurves(*detail.outcome);
}

void RowPane::showRow(const translate::Row& row) {
    const auto units = document_.units();
    title_->setText(toQt(words::rowTitle(row, document_.kitchen(), units)));
    pull_->setText(row.reached ? toQt(words::pullWords(row, units))
                               : toQt(words::reasonWords(row, units)));
    const QString times = row.reached ? toQt(words::timeWords(row)) : QString();
    const auto unit = times.lastIndexOf(u' '); // never alone on a line
    times_->setText(unit < 0 ? times : QString(times).replace(unit, 1, QChar(QChar::Nbsp)));
    times_->setVisible(row.reached);
    QStringList stages, warnings;
    for (const std::string& line : words::rowStageLines(row, *rows_.prepared(), units))
        stages << toQt(line);
    stages_->setText(stages.join(QStringLiteral("\n")));
    stages_->setVisible(!stages.isEmpty());
    for (const std::string& line : words::warningLines(row, *rows_.prepared(), units))
        warnings << QStringLiteral("! %1").arg(toQt(line));
    warnings_->setText(warnings.join(QStringLiteral("\n")));
    warnings_->setVisible(!warnings.isEmpty());
    QStringList cautions;
    if (row.reached)
        for (const std::string& line : words::rowCautions(row, *rows_.prepared()))
            cautions << toQt(line);
    cautions_->setText(QStringLiteral("Before you begin\n") + cautions.join(QStringLiteral("\n")));
    cautions_->setVisible(!cautions.isEmpty());
    showLines(row, {});
    curves_->setVisible(row.reached);
    cuts_->setVisible(row.reached);
    emit shown(row);
}

void RowPane::writeRow() {
    const translate::Row* row = openRowItem();
    if (!row)
        return;
    // As it is now: rows may be worked out anew while the dialog is open.
    const auto card =
        words::cardOf(*row, *rows_.prepared(), detail_ ? &*detail_ : nullptr, document_.units());
    const auto text = words::rewrittenFor(*row, *rows_.prepared());
    const recipe::Recipe& recipe = rows_.prepared()->request.recipe;
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

void RowPane::showLines(const translate::Row& row, const std::vector<std::string>& more) {
    QStringList lines;
    const auto units = document_.units();
    for (const std::string& line : words::detailLines(row, *rows_.prepared(), units))
        lines << toQt(line);
    const auto signs = words::signLines(row, *rows_.prepared(), units);
    if (!signs.empty())
        lines << QStringLiteral("Without a probe:");
    for (const std::string& line : signs)
        lines << QStringLiteral("  ") + toQt(line);
    for (const std::string& line : more)
        lines << toQt(line);
    lines_->setText(lines.join(QStringLiteral("\n")));
}

void RowPane::showDetail(const translate::Row& row, const translate::RowDetail& detail) {
    if (!open_ || !rows_.prepared() || row.target != *open_ || !detail.outcome ||
        tried_->tried().any())
        return;
    detail_ = detail;
    showLines(row, words::detailLines(detail, *rows_.prepared(), document_.units()));
    QStringList ways;
    if (detail.ways)
        for (const std::string& line :
             words::wayLines(*detail.ways, *rows_.prepared(), document_.units()))
            ways << toQt(line);
    ways_->setText(QStringLiteral("Other ways here\n") + ways.join(QStringLiteral("\n")));
    ways_->setVisible(!ways.isEmpty());
    cuts_->showCuts(*rows_.prepared(), row, *detail.outcome);
    drawCurves(*detail.outcome);
}

void RowPane::drawCurves(const cook::Outcome& outcome) {
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
    curves_->addLine(rect, seriesOf(outcome.samples, &cook::Sample::bottomK), look::accent(),
                     units);
    curves_->addLine(rect, seriesOf(outcome.samples, &cook::Sample::topK), look::ink(), units,
                     Qt::DashLine);
    curves_->addLine(rect, seriesOf(rows_.prepared()->outcome.samples, &cook::Sample::coreK),
                     look::reference(), units, Qt::DotLine);
    curves_
        ->addLine(rect, seriesOf(outcome.samples, &cook::Sample::coreK), look::reference(), units)
        ->setPen(QPen(look::reference(), 2));
    curves_->xAxis->setLabel(QStringLiteral("minutes, rest included"));
    curves_->yAxis->setLabel(QString::fromUtf8(unitSign(units.temperature())));
    curves_->rescaleAxes();
    curves_->replot();
}

} // namespace dynamet::app
