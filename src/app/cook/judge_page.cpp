// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/cook/judge_page.h"

#include "app/cook/photo_rim_dialog.h"
#include "app/widgets/quantity_kinds.h"
#include "book/recipe_request.h"
#include "words/learned_words.h"
#include "words/stage_words.h"

#include <QFileDialog>
#include <QFormLayout>
#include <QHeaderView>
#include <QScrollArea>
#include <QVBoxLayout>

namespace dynamet::app {
namespace {

constexpr int kTasters = 4;

QStringList namesIn(const QString& text) {
    QStringList out;
    for (const QString& part : text.split(QLatin1Char(',')))
        if (!part.trimmed().isEmpty() && !out.contains(part.trimmed()))
            out << part.trimmed();
    return out;
}

} // namespace

JudgePage::JudgePage(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), dishes_(new QComboBox), heading_(new QLabel),
      told_words_(new QLabel), learned_(new QLabel), photos_(new QLabel), label_(new QLineEdit),
      verdict_(new QLineEdit), reason_(new QLineEdit), next_(new QLineEdit),
      qualities_(new QLineEdit), notes_(new QPlainTextEdit), scores_(new QTableWidget),
      use_(new QPushButton(QStringLiteral("Learn from it"))),
      aside_(new QPushButton(QStringLiteral("Set it aside"))) {
    setProperty("guide", QStringLiteral("cook"));
    const auto heat = kinds::temperature(document.units(), -30, 250, true);
    core_ = new QuantityField(QStringLiteral("Core as it was pulled"), heat);
    peak_ = new QuantityField(QStringLiteral("Hottest after the rest"), heat);
    raw_ = new QuantityField(QStringLiteral("Weight raw"), kinds::mass(50, true));
    served_ = new QuantityField(QStringLiteral("Weight as served"), kinds::mass(50, true));
    rim_ = new QuantityField(QStringLiteral("Grey rim"),
                             kinds::length(document.units(), 0, 0.1, true));
    build();
    connect(&document_, &Document::unitsChanged, this, [this] {
        const auto again = kinds::temperature(document_.units(), -30, 250, true);
        core_->setKind(again);
        peak_->setKind(again);
        rim_->setKind(kinds::length(document_.units(), 0, 0.1, true));
        showTold();
    });
}

JudgePage::~JudgePage() {
    beside_.finish();
}

void JudgePage::showRun(const std::string& runId) {
    const auto run = loadRun(document_.book(), runId, document_.kitchen());
    if (!run)
        return document_.say(toQt(run.error(), document_.units()));
    cooks_ = run->cooks;
    if (!cooks_.empty())
        open(cooks_.front().id);
}

void JudgePage::showCook(const std::string& cookId) {
    const auto cook = loadCook(document_.book(), cookId, document_.kitchen());
    if (!cook)
        return document_.say(toQt(cook.error(), document_.units()));
    cooks_ = {*cook};
    open(cookId);
}

void JudgePage::open(const std::string& cookId) {
    const auto cook = loadCook(document_.book(), cookId, document_.kitchen());
    if (!cook)
        return document_.say(toQt(cook.error(), document_.units()));
    cook_ = *cook;
    entries_ =
        run::standing(loadEntries(document_.book(), cookId).value_or(std::vector<run::Entry>{}));
    readings_ = loadReadings(document_.book(), cookId).value_or(std::vector<run::CoreReading>{});
    told_ = cook_.told;
    silent_.reset();
    fill();
    workOutTold();
}

void JudgePage::fill() {
    dishes_->clear();
    for (const book::CookRecord& one : cooks_)
        dishes_->addItem(toQt(one.name), toQt(one.id));
    dishes_->setCurrentIndex(dishes_->findData(toQt(cook_.id)));
    dishes_->setVisible(cooks_.size() > 1);
    const auto& stages = cook_.planned.recipe.stages;
    heading_->setText(QStringLiteral("%1 · %2").arg(
        toQt(cook_.name), stages.empty()
                              ? QString()
                              : toQt(words::placeWords(document_.kitchen(), stages.back().place,
                                                       document_.units()))));
    const run::Judged& judged = cook_.judged;
    const run::Standing stands = standingOf(entries_);
    std::optional<double> core = judged.coreK, raw = judged.rawKg, served = judged.servedKg;
    if (!core)
        core = run::coreAtPull(entries_, readings_);
    for (const run::Entry& entry : entries_)
        if (entry.what == run::What::weighed)
            (stands.pulled && entry.atS > stands.pulledS ? served : raw) = entry.value;
    core_->setValue(core);
    peak_->setValue(judged.peakK);
    raw_->setValue(raw);
    served_->setValue(served);
    rim_->setValue(judged.rimM);
    label_->setText(toQt(judged.label));
    verdict_->setText(toQt(judged.verdict));
    reason_->setText(toQt(judged.reason));
    next_->setText(toQt(judged.nextTime));
    notes_->setPlainText(toQt(judged.notes));
    photos_->setText(judged.photos.empty()
                         ? QStringLiteral("none yet")
                         : QStringLiteral("%1 kept in the book").arg(judged.photos.size()));
    QStringList qualities;
    for (const run::ScoreSum& sum : sumsOf(judged.scores))
        qualities << toQt(sum.quality);
    if (qualities.isEmpty())
        for (const std::string& usual : run::kUsualQualities)
            qualities << toQt(usual);
    qualities_->setText(qualities.join(QStringLiteral(", ")));
    scores_->setRowCount(0);
    fillScores();
}

void JudgePage::fillScores() {
    const QStringList qualities = namesIn(qualities_->text());
    std::vector<run::Score> kept = cook_.judged.scores;
    if (scores_->rowCount() > 0)
        if (const auto now = typed())
            kept = now->scores;
    QStringList tasters;
    for (const run::Score& one : kept)
        if (!tasters.contains(toQt(one.taster)))
            tasters << toQt(one.taster);
    scores_->clear();
    scores_->setColumnCount(static_cast<int>(qualities.size()) + 1);
    scores_->setRowCount(std::max(kTasters, static_cast<int>(tasters.size()) + 1));
    scores_->setHorizontalHeaderLabels(QStringList{QStringLiteral("taster")} + qualities);
    scores_->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    for (int r = 0; r < scores_->rowCount(); ++r)
        for (int c = 0; c < scores_->columnCount(); ++c)
            scores_->setItem(r, c, new QTableWidgetItem);
    for (int r = 0; r < tasters.size(); ++r) {
        scores_->item(r, 0)->setText(tasters[r]);
        for (const run::Score& one : kept) {
            const auto c = qualities.indexOf(toQt(one.quality));
            if (toQt(one.taster) == tasters[r] && c >= 0)
                scores_->item(r, static_cast<int>(c) + 1)->setText(QString::number(one.points));
        }
    }
}

Result<run::Judged> JudgePage::typed() const {
    run::Judged out = cook_.judged;
    for (const auto& [field, into] : {std::pair{core_, &out.coreK},
                                      {peak_, &out.peakK},
                                      {raw_, &out.rawKg},
                                      {served_, &out.servedKg},
                                      {rim_, &out.rimM}}) {
        const auto value = field->value();
        if (!value)
            return tl::unexpected(value.error());
        *into = *value;
    }
    out.label = toStd(label_->text().trimmed());
    out.verdict = toStd(verdict_->text().trimmed());
    out.reason = toStd(reason_->text().trimmed());
    out.nextTime = toStd(next_->text().trimmed());
    out.notes = toStd(notes_->toPlainText().trimmed());
    out.scores.clear();
    for (int r = 0; r < scores_->rowCount(); ++r) {
        const QString taster = scores_->item(r, 0)->text().trimmed();
        for (int c = 1; c < scores_->columnCount(); ++c) {
            QString text = scores_->item(r, c)->text().trimmed();
            if (text.isEmpty())
                continue;
            bool ok = false;
            const double points = text.replace(QLatin1Char(','), QLatin1Char('.')).toDouble(&ok);
            if (!ok || points < 1 || points > 9)
                return fail(Errc::invalidArgument,
                            toStd(QStringLiteral("%1, line %2: a score is a number from 1 to 9")
                                      .arg(scores_->horizontalHeaderItem(c)->text())
                                      .arg(r + 1)));
            if (taster.isEmpty())
                return fail(Errc::invalidArgument,
                            toStd(QStringLiteral("Line %1 has scores and no taster").arg(r + 1)));
            out.scores.push_back(
                {toStd(taster), toStd(scores_->horizontalHeaderItem(c)->text()), points});
        }
    }
    return out;
}

void JudgePage::save() {
    const auto judged = typed();
    if (!judged)
        return document_.say(toQt(judged.error(), document_.units()));
    if (const auto kept = document_.judge(cook_, *judged); !kept)
        return document_.say(toQt(kept.error(), document_.units()));
    cook_.judged = *judged;
    document_.say(QStringLiteral("Kept: what came out of %1.").arg(toQt(cook_.name)));
    showTold();
}

void JudgePage::workOutTold() {
    showTold();
    if (told_ || cook_.unreadable)
        return;
    run::Question question;
    question.request = requestOf(cook_.planned.recipe, document_.kitchen(), document_.choices());
    question.planned = cook_.planned;
    question.entries = entries_;
    question.readings = readings_;
    question.nowS = entries_.empty() ? 0 : entries_.back().atS;
    const quint64 id = ++id_;
    ++working_;
    beside_.start([this, id, question, cookId = cook_.id] {
        auto told = toldBy(question, cookId);
        beside_.hand([this, id, told = std::move(told)] {
            --working_;
            if (id != id_)
                return;
            if (told)
                told_ = *told;
            else
                silent_ = told.error();
            showTold();
        });
    });
}

void JudgePage::showTold() {
    const bool can = told_ && document_.isWritable();
    use_->setEnabled(can);
    aside_->setEnabled(can);
    use_->setChecked(cook_.accepted.value_or(false));
    aside_->setChecked(cook_.accepted && !*cook_.accepted);
    told_words_->setText(told_ ? toQt(words::toldWords(*told_, document_.units()))
                         : silent_
                             ? QStringLiteral("It tells nothing of kitchen and food: %1.")
                                   .arg(toQt(*silent_, document_.units()))
                             : QStringLiteral("Working out what it says of kitchen and food…"));
    QStringList learned;
    const auto& belief = document_.choices().learned;
    for (const auto& agreement : belief.agreements())
        if (agreement.id == "cook:" + cook_.id && !agreement.absorbed && cook_.accepted &&
            *cook_.accepted)
            learned << QStringLiteral("! It lies so far off all others that it is not used.");
    QStringList moved;
    for (const std::string& line : words::changedLines(belief, cook_.id))
        moved << toQt(line);
    if (!moved.isEmpty())
        learned << QStringLiteral("this one moved %1").arg(moved.join(QStringLiteral(", ")));
    for (const std::string& line :
         words::blameLines(belief, document_.kitchen(), document_.now().utcMs))
        learned << QStringLiteral("! ") + toQt(line);
    for (const std::string& line : words::learnedLines(belief))
        learned << toQt(line);
    learned_->setText(learned.isEmpty() ? QStringLiteral("No cook was learned from yet.")
                                        : QStringLiteral("All cooks so far: ") +
                                              learned.join(QStringLiteral("; ")));
}

void JudgePage::accept(bool use) {
    if (!told_)
        return;
    told_->observation.says = cook_.name;
    if (const auto kept = document_.learnFrom(cook_, toldJson(*told_), use); !kept) {
        document_.say(toQt(kept.error(), document_.units()));
        return;
    }
    cook_.accepted = use;
    cook_.told = told_;
    showTold();
}

void JudgePage::addPhoto() {
    const QString path = QFileDialog::getOpenFileName(
        this, QStringLiteral("Keep a photo"), {}, QStringLiteral("Photos (*.jpg *.jpeg *.png)"));
    if (path.isEmpty())
        return;
    const auto id = document_.keepPhoto(toStd(path));
    if (!id)
        return document_.say(toQt(id.error(), document_.units()));
    run::Judged judged = typed().value_or(cook_.judged);
    judged.photos.push_back(*id);
    if (const auto kept = document_.judge(cook_, judged); !kept)
        return document_.say(toQt(kept.error(), document_.units()));
    cook_.judged = judged;
    photos_->setText(QStringLiteral("%1 kept in the book").arg(judged.photos.size()));
}

void JudgePage::rimFromPhoto() {
    const QString path =
        QFileDialog::getOpenFileName(this, QStringLiteral("A photo of the cut"), {},
                                     QStringLiteral("Photos (*.jpg *.jpeg *.png)"));
    if (path.isEmpty())
        return;
    const QPixmap photo(path);
    if (photo.isNull())
        return document_.say(QStringLiteral("%1 is no picture that can be read").arg(path));
    PhotoRimDialog dialog(photo, document_.units(), this);
    if (dialog.exec() == QDialog::Accepted && dialog.rimM())
        rim_->setValue(*dialog.rimM());
}

} // namespace dynamet::app
