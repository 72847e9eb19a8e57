// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/compare/compare_page.h"

#include "app/look/palette.h"
#include "app/widgets/save_path_dialog.h"
#include "app/widgets/sheet_page.h"
#include "book/recipe_request.h"
#include "words/stage_words.h"

#include <QHBoxLayout>
#include <QInputDialog>
#include <QPushButton>
#include <QScrollArea>
#include <QVBoxLayout>
#include <algorithm>

namespace dynamet::app {
namespace {

constexpr std::size_t kMost = 4;

QVector<double> qt(const std::vector<double>& values) {
    return {values.begin(), values.end()};
}

} // namespace

ComparePage::ComparePage(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), recipe_(new QComboBox), trial_(new QComboBox),
      list_(new QListWidget), blind_(new QCheckBox(QStringLiteral("Blind: letters only"))),
      says_(new QLabel), confounders_(new QLabel), empty_(new QLabel), cuts_(new CutView),
      plot_(new Plot), table_(new TextTable(QStringLiteral("What differs"))),
      dots_(new ScoreDotsView), verdict_(new QLineEdit) {
    setProperty("guide", QStringLiteral("compare"));
    auto* line = new QHBoxLayout(this);
    line->setContentsMargins(0, 0, 0, 0);
    line->setSpacing(1);
    line->addWidget(buildLeft());
    line->addWidget(buildRight(), 1);
    connect(&document_, &Document::opened, this, [this] {
        chosen_.clear();
        compared_.clear();
    });
    connect(&document_, &Document::changed, this, [this] {
        if (isVisible())
            activate();
    });
    connect(&document_, &Document::unitsChanged, this, &ComparePage::show);
}

ComparePage::~ComparePage() {
    beside_.finish();
}

void ComparePage::activate() {
    cooks_ =
        listCooks(document_.book(), document_.kitchen()).value_or(std::vector<book::CookRecord>{});
    trials_ = listTrials(document_.book()).value_or(std::vector<book::Trial>{});
    fillRecipes();
    fillCooks();
}

void ComparePage::beside(const std::string& cookId) {
    activate();
    for (const book::CookRecord& cook : cooks_)
        if (cook.id == cookId)
            recipe_->setCurrentIndex(recipe_->findData(toQt(cook.recipeId)));
    trial_->setCurrentIndex(0);
    chosen_ = {cookId};
    for (const book::CookRecord& cook : cooks_)
        if (chosen_.size() < 2 && cook.id != cookId &&
            toQt(cook.recipeId) == recipe_->currentData().toString())
            chosen_.push_back(cook.id);
    fillCooks();
}

void ComparePage::showTrial(const std::string& trialId) {
    activate();
    trial_->setCurrentIndex(std::max(0, trial_->findData(toQt(trialId))));
    chosen_.clear();
    fillCooks();
}

void ComparePage::fillRecipes() {
    const QVariant was = recipe_->currentData(), wasTrial = trial_->currentData();
    recipe_->clear();
    for (const book::CookRecord& cook : cooks_)
        if (recipe_->findData(toQt(cook.recipeId)) < 0)
            recipe_->addItem(
                toQt(cook.planned.recipe.name.empty() ? cook.name : cook.planned.recipe.name),
                toQt(cook.recipeId));
    recipe_->setCurrentIndex(std::max(0, recipe_->findData(was)));
    trial_->clear();
    trial_->addItem(QStringLiteral("all its cooks"), QString());
    for (const book::Trial& trial : trials_)
        trial_->addItem(QStringLiteral("Trial: %1").arg(toQt(trial.name)), toQt(trial.id));
    trial_->setCurrentIndex(std::max(0, trial_->findData(wasTrial)));
}

void ComparePage::fillCooks() {
    const QSignalBlocker still(list_);
    list_->clear();
    const std::string recipe = toStd(recipe_->currentData().toString());
    const std::string trial = toStd(trial_->currentData().toString());
    std::vector<std::string> there;
    for (const book::CookRecord& cook : cooks_) {
        if (cook.unreadable)
            continue;
        if (trial.empty() ? cook.recipeId != recipe
                          : loadRun(document_.book(), cook.runId, document_.kitchen())
                                    .value_or(book::CookRun{})
                                    .trialId != trial)
            continue;
        there.push_back(cook.id);
        const QString verdict = toQt(cook.judged.verdict);
        auto* item = new QListWidgetItem(
            QStringLiteral("%1\n%2 ago%3")
                .arg(toQt(words::placeWords(document_.kitchen(), cook.planned.recipe.last().place,
                                            document_.units())),
                     agoWords(cook.createdMs, document_.now().utcMs),
                     verdict.isEmpty() ? QString() : QStringLiteral(" · ") + verdict));
        item->setData(Qt::UserRole, toQt(cook.id));
        item->setFlags(item->flags() | Qt::ItemIsUserCheckable);
        list_->addItem(item);
    }
    std::erase_if(chosen_, [&](const std::string& id) {
        return std::find(there.begin(), there.end(), id) == there.end();
    });
    if (chosen_.empty()) // the newest, as many as fit
        for (const std::string& id : there)
            if (chosen_.size() < (trial.empty() ? 2 : kMost))
                chosen_.push_back(id);
    for (int i = 0; i < list_->count(); ++i)
        list_->item(i)->setCheckState(
            std::find(chosen_.begin(), chosen_.end(),
                      toStd(list_->item(i)->data(Qt::UserRole).toString())) != chosen_.end()
                ? Qt::Checked
                : Qt::Unchecked);
    compute();
}

void ComparePage::choose() {
    chosen_.clear();
    for (int i = 0; i < list_->count(); ++i)
        if (list_->item(i)->checkState() == Qt::Checked && chosen_.size() < kMost)
            chosen_.push_back(toStd(list_->item(i)->data(Qt::UserRole).toString()));
    compute();
}

void ComparePage::compute() {
    compared_.clear();
    worked_.clear();
    std::vector<run::Question> questions;
    for (const std::string& id : chosen_) {
        const auto at = std::find_if(cooks_.begin(), cooks_.end(),
                                     [&](const auto& one) { return one.id == id; });
        if (at == cooks_.end())
            continue;
        words::ComparedCook one;
        one.name = at->name;
        one.place = words::placeWords(document_.kitchen(), at->planned.recipe.last().place,
                                      document_.units());
        one.person = at->person;
        one.planned = at->planned;
        one.entries =
            run::standing(loadEntries(document_.book(), id).value_or(std::vector<run::Entry>{}));
        one.readings = loadReadings(document_.book(), id).value_or(std::vector<run::CoreReading>{});
        one.judged = at->judged;
        run::Question question;
        question.request = requestOf(at->planned.recipe, document_.kitchen(), document_.choices());
        question.planned = one.planned;
        question.entries = one.entries;
        question.readings = one.readings;
        question.nowS = one.entries.empty() ? 0 : one.entries.back().atS;
        questions.push_back(std::move(question));
        compared_.push_back(std::move(one));
    }
    worked_.resize(compared_.size());
    show();
    const quint64 id = ++id_;
    for (std::size_t i = 0; i < questions.size(); ++i) {
        ++working_;
        beside_.start([this, id, i, question = questions[i]] {
            Worked worked;
            run::Question before = question;
            before.readings.clear();
            std::erase_if(before.entries,
                          [](const run::Entry& entry) { return entry.what == run::What::reading; });
            if (auto made = forecastOf(before))
                worked.before = std::move(*made);
            if (auto made = forecastOf(question)) {
                if (auto outcome = outcomeOf(question, *made))
                    worked.outcome = std::move(*outcome);
                worked.after = std::move(*made);
            }
            beside_.hand([this, id, i, worked = std::move(worked)] {
                --working_;
                if (id != id_)
                    return;
                worked_[i] = worked;
                if (worked.after)
                    compared_[i].peakK = worked.after->peak.kelvin;
                show();
            });
        });
    }
}

QString ComparePage::title() const {
    const bool ofTrial = trial_->currentIndex() > 0;
    return ofTrial ? trial_->currentText() : recipe_->currentText();
}

void ComparePage::show() {
    const bool enough = compared_.size() >= 2;
    empty_->setVisible(!enough);
    empty_->setText(
        cooks_.empty()
            ? QStringLiteral("Nothing was cooked yet. Cook a dish from Translate (“Cook this”); "
                             "when two cooks of it are in the book they stand beside each other "
                             "here.")
            : QStringLiteral("Tick two to four cooks of one dish."));
    for (QWidget* widget : std::initializer_list<QWidget*>{says_, cuts_, plot_, table_, verdict_})
        widget->setVisible(enough);
    if (!enough) {
        confounders_->hide();
        dots_->hide();
        return;
    }
    says_->setText(title());
    QStringList also;
    for (const std::string& line : words::confounderLines(compared_, document_.units()))
        also << QStringLiteral("! ") + toQt(line);
    confounders_->setText(
        also.join(QLatin1Char(' ')) +
        (also.isEmpty() ? QString() : QStringLiteral(" It may be the reason of what differs.")));
    confounders_->setVisible(!also.isEmpty());
    QStringList headers{QString()};
    for (std::size_t i = 0; i < compared_.size(); ++i) {
        const QString label = toQt(compared_[i].judged.label);
        headers << (blind_->isChecked()
                        ? (label.isEmpty() ? cookLetter(i) : label)
                        : QStringLiteral("%1  %2").arg(cookLetter(i), toQt(compared_[i].place)));
    }
    QVector<QStringList> rows;
    const auto sheet =
        words::compareSheet(toStd(title()), compared_, document_.kitchen(), document_.units());
    for (const auto& row : sheet.rows) {
        QStringList cells;
        for (const std::string& cell : row)
            cells << toQt(cell);
        if (!blind_->isChecked() || !cells.front().startsWith(QStringLiteral("where")))
            rows << cells;
    }
    table_->showRows(headers, rows);
    dots_->show(words::dotsOf(compared_), compared_.size());
    showCuts();
    showCurves();
    const std::string trial = toStd(trial_->currentData().toString());
    verdict_->setEnabled(!trial.empty() && document_.isWritable());
    verdict_->setPlaceholderText(trial.empty()
                                     ? QStringLiteral("A verdict belongs to a trial: choose or "
                                                      "plan one at the left")
                                     : QStringLiteral("Verdict: which, and why"));
    for (const book::Trial& one : trials_)
        if (one.id == trial && !verdict_->hasFocus())
            verdict_->setText(toQt(one.verdict));
}

void ComparePage::showCuts() {
    std::vector<CutShown> cuts;
    double greying = 335;
    bool meat = true;
    for (std::size_t i = 0; i < compared_.size(); ++i) {
        if (!worked_[i].outcome)
            continue;
        const auto& food = compared_[i].planned.recipe.piece.food;
        greying = food.greyingK;
        meat = food.body == food::Body::solid;
        CutShown cut;
        cut.title = cookLetter(i);
        cut.outcome = *worked_[i].outcome;
        cuts.push_back(std::move(cut));
    }
    cuts_->showCuts(std::move(cuts), greying, meat);
}

void ComparePage::showCurves() {
    plot_->clearGraphs();
    double last = 1, low = 1e9, high = -1e9;
    for (std::size_t i = 0; i < compared_.size(); ++i) {
        const auto& one = compared_[i];
        const double now = one.entries.empty() ? 0 : one.entries.back().atS;
        const auto before = words::pictureOf(one.planned, one.entries, one.readings,
                                             worked_[i].before, now, document_.units());
        QColor colour = cookColour(i), pale = colour;
        constexpr int kPale = 30;
        pale.setAlpha(kPale);
        auto* lower = plot_->addGraph();
        auto* upper = plot_->addGraph();
        lower->setPen(Qt::NoPen);
        upper->setPen(Qt::NoPen);
        lower->setData(qt(before.bandMin), qt(before.low));
        upper->setData(qt(before.bandMin), qt(before.high));
        upper->setBrush(pale);
        upper->setChannelFillGraph(lower);
        auto* read = plot_->addGraph();
        static const Qt::PenStyle kStyles[] = {Qt::SolidLine, Qt::DashLine, Qt::DotLine,
                                               Qt::DashDotLine};
        read->setPen(QPen(colour, 2.5, kStyles[i % 4]));
        read->setData(qt(before.readMin), qt(before.read));
        if (!before.typed.empty()) {
            auto* typed = plot_->addGraph();
            typed->setLineStyle(QCPGraph::lsNone);
            typed->setScatterStyle(QCPScatterStyle(QCPScatterStyle::ssDisc, colour, 8));
            typed->setData(qt(before.typedMin), qt(before.typed));
        }
        last = std::max({last, before.bandMin.empty() ? 0 : before.bandMin.back(),
                         before.readMin.empty() ? 0 : before.readMin.back()});
        low = std::min(low, before.lowest);
        high = std::max(high, before.highest);
    }
    plot_->xAxis->setLabel(QStringLiteral("minutes since it went in; band: as predicted"));
    plot_->yAxis->setLabel(document_.units().fahrenheit ? QStringLiteral("core, °F")
                                                        : QStringLiteral("core, °C"));
    plot_->xAxis->setRange(0, last);
    if (low < high)
        plot_->yAxis->setRange(low, high);
    plot_->replot(QCustomPlot::rpQueuedReplot);
}

QString ComparePage::writeReport(const QString& path) {
    words::Sheet sheet =
        words::compareSheet(toStd(title()), compared_, document_.kitchen(), document_.units());
    const std::string trial = toStd(trial_->currentData().toString());
    for (const book::Trial& one : trials_)
        if (one.id == trial && !one.verdict.empty())
            sheet.lead.insert(sheet.lead.begin(), "Verdict: " + one.verdict);
    return writeSheet(sheet, path);
}

void ComparePage::newTrial() {
    if (document_.recipes().empty())
        return document_.say(QStringLiteral("A trial is of one dish: add its recipe first."));
    bool ok = false;
    const QString name = QInputDialog::getText(this, QStringLiteral("A new trial"),
                                               QStringLiteral("What is to be found out"),
                                               QLineEdit::Normal, {}, &ok);
    if (!ok || name.trimmed().isEmpty())
        return;
    book::Trial trial;
    trial.id = book::newId();
    trial.name = trial.question = toStd(name.trimmed());
    trial.recipeId = toStd(recipe_->currentData().toString());
    if (const auto kept = document_.addTrial(trial); !kept)
        return document_.say(toQt(kept.error(), document_.units()));
    document_.say(QStringLiteral("Trial “%1”: cook its dish in each way from Translate (“Cook "
                                 "this”, and choose the trial). They stand beside each other here.")
                      .arg(name.trimmed()));
    activate();
    trial_->setCurrentIndex(trial_->findData(toQt(trial.id)));
    fillCooks();
}

void ComparePage::keepVerdict() {
    const std::string id = toStd(trial_->currentData().toString());
    for (const book::Trial& one : trials_) {
        if (one.id != id || one.verdict == toStd(verdict_->text().trimmed()))
            continue;
        book::Trial to = one;
        to.verdict = toStd(verdict_->text().trimmed());
        if (const auto kept = document_.changeTrial(one, to); !kept)
            return document_.say(toQt(kept.error(), document_.units()));
        return;
    }
}

} // namespace dynamet::app
