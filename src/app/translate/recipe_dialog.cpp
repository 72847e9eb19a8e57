// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/recipe_dialog.h"

#include "app/widgets/scrolled.h"
#include "book/recipe_request.h"
#include "quantity/parse_duration.h"
#include "words/likeness_words.h"

#include <QFormLayout>
#include <QLabel>
#include <QScreen>
#include <QTimer>
#include <QVBoxLayout>
#include <algorithm>

namespace dynamet::app {

RecipeDialog::RecipeDialog(Document& document, const recipe::Recipe& recipe, QWidget* parent)
    : QDialog(parent), document_(document), recipe_(recipe), took_(new QLineEdit),
      name_(new QLineEdit), author_(new QLineEdit), rest_(new QLineEdit), aside_(new QCheckBox),
      text_(new QPlainTextEdit), on_(new QComboBox), stages_(new QWidget),
      stagesBox_(new QVBoxLayout(stages_)), foot_(new DialogFoot(this)) {
    setWindowTitle(QStringLiteral("The recipe"));
    setProperty("guide", QStringLiteral("translate"));
    auto* all = new QVBoxLayout(this);
    auto* content = new QWidget;
    auto* box = new QVBoxLayout(content);
    box->setContentsMargins(0, 0, 0, 0);
    box->addLayout(buildHead());
    auto* overline = new QLabel(QStringLiteral("STAGES, IN COOKING ORDER"));
    overline->setObjectName(QStringLiteral("overline"));
    box->addWidget(overline);
    stagesBox_->setContentsMargins(0, 0, 0, 0);
    stagesBox_->setSpacing(0);
    box->addWidget(stages_, 1);
    auto* add = new QPushButton(QStringLiteral("Add a stage before the last"));
    add->setAccessibleName(QStringLiteral("Add a stage before the last"));
    connect(add, &QPushButton::clicked, this, &RecipeDialog::addStage);
    box->addWidget(add, 0, Qt::AlignLeft);
    box->addLayout(buildTook());
    box->addLayout(buildRest());
    box->addLayout(buildJudged());
    all->addWidget(scrolled(content), 1);
    all->addWidget(foot_);
    connect(foot_, &DialogFoot::saveWanted, this, &RecipeDialog::take);
    showStages(recipe.stages);
}

QLayout* RecipeDialog::buildHead() {
    auto* form = new QFormLayout;
    name_->setText(toQt(recipe_.name));
    author_->setText(toQt(recipe_.author));
    text_->setPlainText(toQt(recipe_.text));
    text_->setMaximumHeight(96);
    text_->setTabChangesFocus(true);
    const auto row = [&](const QString& words, QWidget* field) {
        field->setAccessibleName(words);
        form->addRow(words, field);
    };
    row(QStringLiteral("Name"), name_);
    row(QStringLiteral("By"), author_);
    row(QStringLiteral("Words"), text_);
    return form;
}

QLayout* RecipeDialog::buildTook() {
    auto* line = new QHBoxLayout;
    const recipe::WrittenTime& time = recipe_.time;
    QString shown;
    if (time.said())
        shown = toQt(recipe::saidTime(time.lowS));
    if (time.highS > time.lowS)
        shown = QStringLiteral("%1 - %2").arg(time.lowS / 60).arg(time.highS / 60) +
                QStringLiteral(" min");
    took_->setText(shown);
    took_->setPlaceholderText(QStringLiteral("50 min, or 45-55 min"));
    took_->setFixedWidth(160);
    took_->setAccessibleName(QStringLiteral("The author's time to the goal"));
    aside_->setText(QStringLiteral("set aside"));
    aside_->setAccessibleName(QStringLiteral("Set the author's time aside"));
    aside_->setChecked(time.setAside);
    aside_->setToolTip(QStringLiteral("It stays in the book and counts for nothing"));
    line->addWidget(new QLabel(QStringLiteral("To its goal it took there, says its author")));
    line->addWidget(took_);
    line->addWidget(aside_);
    auto* why =
        new QLabel(QStringLiteral("narrows every window; leave it open where none is given"));
    why->setObjectName(QStringLiteral("quiet"));
    line->addWidget(why);
    line->addStretch();
    return line;
}

Result<recipe::WrittenTime> RecipeDialog::took() const {
    if (took_->text().trimmed().isEmpty())
        return recipe::WrittenTime{};
    const auto read = parseDuration(toStd(took_->text().trimmed()));
    if (!read)
        return tl::unexpected(read.error().in(toStd(took_->accessibleName())));
    return recipe::WrittenTime{read->lowS, read->highS, aside_->isChecked()};
}

QLayout* RecipeDialog::buildRest() {
    auto* line = new QHBoxLayout;
    rest_->setText(toQt(recipe::saidTime(recipe_.rest.shortestS)));
    rest_->setFixedWidth(84);
    rest_->setAccessibleName(QStringLiteral("Rest at least"));
    on_->addItems({QStringLiteral("on a rack"), QStringLiteral("on a board")});
    on_->setCurrentIndex(recipe_.rest.onBoard ? 1 : 0);
    on_->setAccessibleName(QStringLiteral("Rest on"));
    line->addWidget(new QLabel(QStringLiteral("Then it rests at least")));
    line->addWidget(rest_);
    line->addWidget(on_);
    auto* cover = new QLabel(QStringLiteral("open or under foil: see House methods"));
    cover->setObjectName(QStringLiteral("quiet"));
    line->addWidget(cover);
    line->addStretch();
    return line;
}

QLayout* RecipeDialog::buildJudged() {
    auto* line = new QHBoxLayout;
    line->addWidget(new QLabel(QStringLiteral("Where a time ends it, what must be the same:")));
    const auto& chosen = recipe_.goal.judgedBy;
    for (const food::Tolerance& tolerance : food::judgementOf(recipe_.piece.food)) {
        const QString word = QString::fromUtf8(words::qualityWord(tolerance.quality));
        auto* box = new QCheckBox(word);
        box->setAccessibleName(QStringLiteral("Judged by %1").arg(word));
        box->setChecked(chosen.empty() ||
                        std::find(chosen.begin(), chosen.end(), tolerance.quality) != chosen.end());
        line->addWidget(box);
        judged_[tolerance.quality] = box;
    }
    line->addStretch();
    return line;
}

/// All of them, or none, is the food's own way and not a choice.
std::vector<food::Quality> RecipeDialog::judgedBy() const {
    std::vector<food::Quality> out;
    for (const auto& [quality, box] : judged_)
        if (box->isChecked())
            out.push_back(quality);
    return out.size() == judged_.size() ? std::vector<food::Quality>{} : out;
}

void RecipeDialog::showStages(const std::vector<recipe::Stage>& stages) {
    for (StageEdit* edit : edits_)
        edit->deleteLater();
    while (QLayoutItem* item = stagesBox_->takeAt(0))
        delete item;
    edits_.clear();
    for (std::size_t i = 0; i < stages.size(); ++i) {
        auto* edit = new StageEdit(document_, static_cast<int>(i) + 1, i + 1 == stages.size(),
                                   stages[i], stages_);
        // The field that asked is rebuilt: not before its own click is over.
        connect(edit, &StageEdit::removeWanted, this,
                [this, i] { QTimer::singleShot(0, this, [this, i] { removeStage(i); }); });
        connect(edit, &StageEdit::earlierWanted, this,
                [this, i] { QTimer::singleShot(0, this, [this, i] { moveEarlier(i); }); });
        stagesBox_->addWidget(edit);
        edits_.push_back(edit);
    }
    stagesBox_->addStretch();
    fit();
    QTimer::singleShot(0, this, &RecipeDialog::fit); // once the new stages are laid out
}

/// As high as its stages need, as far as the screen goes.
void RecipeDialog::fit() {
    constexpr int kWidth = 980, kAround = 440, kEdge = 40, kBeside = 48, kSmallScreen = 700;
    const QSize room = screen()->availableGeometry().size() - QSize(kEdge, kEdge);
    stagesBox_->activate();
    const int wanted = kAround + stages_->sizeHint().height();
    // Sideways scrolling only where there is no help for it (a screen at 200 %).
    const int needs = stages_->parentWidget()->minimumSizeHint().width() + kBeside;
    const int wide = std::min(kWidth, room.width());
    resize(room.width() < kSmallScreen ? wide : std::max(wide, needs),
           std::min(wanted, room.height()));
}

std::optional<std::vector<recipe::Stage>> RecipeDialog::typedStages() {
    std::vector<recipe::Stage> out;
    for (const StageEdit* edit : edits_) {
        auto stage = edit->stage();
        if (!stage) {
            foot_->showProblem(stage.error(), document_.units());
            return std::nullopt;
        }
        out.push_back(std::move(*stage));
    }
    foot_->clearProblem();
    return out;
}

void RecipeDialog::addStage() {
    auto all = typedStages();
    if (!all)
        return;
    recipe::Stage copy = all->back();
    copy.end = {};
    all->insert(all->end() - 1, copy);
    showStages(*all);
}

void RecipeDialog::removeStage(std::size_t at) {
    auto all = typedStages();
    if (!all || at >= all->size())
        return;
    all->erase(all->begin() + static_cast<std::ptrdiff_t>(at));
    showStages(*all);
}

void RecipeDialog::moveEarlier(std::size_t at) {
    auto all = typedStages();
    if (!all || at == 0 || at >= all->size())
        return;
    std::swap((*all)[at], (*all)[at - 1]);
    showStages(*all);
}

void RecipeDialog::take() {
    auto all = typedStages();
    if (!all)
        return;
    const auto rest = parseDuration(toStd(rest_->text()));
    if (!rest)
        return foot_->showProblem(rest.error().in(toStd(rest_->accessibleName())),
                                  document_.units());
    const auto time = took();
    if (!time)
        return foot_->showProblem(time.error(), document_.units());
    recipe::Recipe changed = recipe_;
    changed.time = *time;
    changed.name = toStd(name_->text().trimmed());
    changed.author = toStd(author_->text().trimmed());
    changed.text = toStd(text_->toPlainText());
    changed.stages = std::move(*all);
    changed.goal.judgedBy = judgedBy();
    changed.rest.shortestS = rest->highS;
    changed.rest.onBoard = on_->currentIndex() == 1;
    if (const auto whole = checkRecipe(changed, document_.kitchen()); !whole)
        return foot_->showProblem(whole.error(), document_.units());
    recipe_ = changed;
    accept();
}

} // namespace dynamet::app
