// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/written_pane.h"

#include "app/look/palette.h"
#include "app/translate/binding_dialog.h"
#include "app/translate/choices_dialog.h"
#include "app/translate/piece_dialog.h"
#include "app/translate/recipe_dialog.h"
#include "app/translate/weather_dialog.h"
#include "app/translate/words_dialog.h"
#include "book/recipe_request.h"
#include "quantity/parse_measures.h"
#include "recipe_text/binding.h"
#include "recipe_text/filled.h"
#include "words/stage_words.h"

#include <QPointer>
#include <QPushButton>
#include <QVBoxLayout>

namespace dynamet::app {
namespace {

constexpr double kThicknessStepM = 0.001;

} // namespace

WrittenPane::WrittenPane(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), quick_(new QuickLine(document)),
      chooser_(new QComboBox), text_(new RecipeTextView(document)), facts_(new QLabel),
      movesWords_(new QLabel(QStringLiteral("Move to another appliance"))), moves_(new QComboBox),
      piece_(new QLabel) {
    setObjectName(QStringLiteral("pane"));
    setAttribute(Qt::WA_StyledBackground);
    thickness_ = new StepperSlider(
        QStringLiteral("Thickness"), kThicknessStepM,
        [this](double m) { return toQt(printLength(m, document_.units().inches)); },
        [this](const QString& typed) {
            return parseLengthM(toStd(typed), document_.units().inches ? 0.0254 : 1e-3);
        });
    start_ = new StepperSlider(
        QStringLiteral("Start"), 1,
        [this](double k) {
            return toQt(printTemperature(Temperature::kelvin(k), document_.units().temperature()));
        },
        [this](const QString& typed) {
            return parseTemperature(toStd(typed), document_.units().temperature())
                .map([](Temperature t) { return t.kelvin(); });
        });
    build();
    connect(chooser_, &QComboBox::currentIndexChanged, this, &WrittenPane::showRecipe);
    connect(moves_, &QComboBox::currentIndexChanged, this, &WrittenPane::changed);
    connect(quick_, &QuickLine::answered, this, [this] {
        chooser_->setEnabled(!quick_->recipe());
        showRecipe();
    });
    connect(quick_, &QuickLine::kept, this, [this](const QString& id) { chooseRecipe(toStd(id)); });
    for (StepperSlider* slider : {thickness_, start_}) {
        connect(slider, &StepperSlider::valueChanged, this, [this] {
            showFacts();
            emit changed();
        });
        connect(slider, &StepperSlider::held, this, &WrittenPane::held);
        connect(slider, &StepperSlider::tried, this,
                [this, slider](const StepperSlider::State& before) { noteTried(slider, before); });
    }
    connect(&document_, &Document::changed, this, &WrittenPane::fillRecipes);
    connect(&document_, &Document::unitsChanged, this, [this] {
        thickness_->refreshText();
        start_->refreshText();
        showWeather();
        showFacts();
        emit changed();
    });
    fillRecipes();
}

QPushButton* WrittenPane::button(const QString& words, void (WrittenPane::*does)()) {
    auto* out = new QPushButton(words);
    out->setAccessibleName(words);
    connect(out, &QPushButton::clicked, this, does);
    return out;
}

void WrittenPane::build() {
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(14, 12, 14, 12);
    box->setSpacing(10);
    auto* overline = new QLabel(QStringLiteral("WRITTEN FOR"));
    chooser_->setAccessibleName(QStringLiteral("Recipe"));
    facts_->setAccessibleName(QStringLiteral("Where it was written"));
    nextTime_ = new QLabel;
    nextTime_->setObjectName(QStringLiteral("caution"));
    nextTime_->setTextFormat(Qt::PlainText);
    nextTime_->setAccessibleName(QStringLiteral("What was to be done next time"));
    nextTime_->hide();
    for (QLabel* label : {facts_, piece_, nextTime_})
        label->setWordWrap(true);
    connect(text_, &RecipeTextView::bindingClicked, this, &WrittenPane::editBinding);
    facts_->setTextFormat(Qt::PlainText);
    piece_->setTextFormat(Qt::PlainText);
    facts_->setStyleSheet(QStringLiteral("font-weight: bold"));
    piece_->setObjectName(QStringLiteral("quiet"));
    moves_->setAccessibleName(movesWords_->text());
    for (QComboBox* chooser : {chooser_, moves_}) { // a long name cuts nothing else off
        chooser->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        chooser->setMinimumContentsLength(12);
    }
    auto* what = new QLabel(QStringLiteral("What if"));
    for (QLabel* label : {overline, movesWords_, what})
        label->setObjectName(QStringLiteral("overline"));
    auto* first = new QHBoxLayout;
    first->addWidget(chooser_, 1);
    first->addWidget(button(QStringLiteral("New…"), &WrittenPane::newRecipe));
    auto* second = new QHBoxLayout;
    auto* recipe = button(QStringLiteral("Recipe…"), &WrittenPane::editRecipe);
    auto* piece = button(QStringLiteral("Piece…"), &WrittenPane::editPiece);
    second->addWidget(recipe, 1);
    second->addWidget(piece, 1);
    whenWritten_ = {recipe, piece, what, thickness_, start_};
    box->addWidget(quick_);
    box->addWidget(overline);
    box->addLayout(first);
    box->addWidget(facts_);
    box->addWidget(nextTime_);
    box->addWidget(text_);
    box->addWidget(piece_);
    box->addLayout(second);
    auto* third = new QHBoxLayout;
    weather_ = button(QStringLiteral("Weather…"), &WrittenPane::editWeather);
    third->addWidget(button(QStringLiteral("House methods…"), &WrittenPane::editChoices), 1);
    third->addWidget(weather_, 1);
    box->addLayout(third);
    box->addWidget(movesWords_);
    box->addWidget(moves_);
    box->addWidget(what);
    box->addWidget(thickness_);
    box->addWidget(start_);
    box->addStretch();
}

void WrittenPane::fillRecipes() {
    const QSignalBlocker quiet(chooser_);
    quick_->leaveIfGone();
    if (day_ && !findSite(document_.kitchen(), day_->siteId))
        day_.reset();
    showWeather();
    const std::string kept = shown_.id;
    chooser_->clear();
    for (const recipe::Recipe& recipe : document_.recipes())
        chooser_->addItem(toQt(recipe.name));
    chooseRecipe(kept);
    const recipe::Recipe* r = recipe();
    if (r && *r == shown_) { // a newer rating or another school: the rows are old
        showFacts();
        emit changed();
        return;
    }
    showRecipe();
}

/// What can move, kept where the recipe is the same.
void WrittenPane::fillMoves() {
    const QSignalBlocker quiet(moves_);
    const int at = moves_->currentIndex();
    moves_->clear();
    if (const auto r = request())
        for (const std::string& words : words::movableWords(*r))
            moves_->addItem(toQt(words));
    moves_->setCurrentIndex(std::clamp(at, 0, std::max(0, moves_->count() - 1)));
    moves_->setVisible(moves_->count() > 1);
    movesWords_->setVisible(moves_->count() > 1);
}

const recipe::Recipe* WrittenPane::recipe() const {
    if (quick_->recipe())
        return &*quick_->recipe();
    const int at = chooser_->currentIndex();
    const auto& all = document_.recipes();
    return at >= 0 && at < static_cast<int>(all.size()) ? &all[static_cast<std::size_t>(at)]
                                                        : nullptr;
}

void WrittenPane::chooseRecipe(const std::string& id) {
    for (std::size_t i = 0; i < document_.recipes().size(); ++i)
        if (document_.recipes()[i].id == id)
            chooser_->setCurrentIndex(static_cast<int>(i));
}

void WrittenPane::showRecipe() {
    const recipe::Recipe* r = recipe();
    for (QWidget* only : whenWritten_)
        only->setVisible(r);
    if (!r) {
        text_->showWords(QStringLiteral("No recipe in this book yet: press New and paste one."));
        facts_->clear();
        piece_->clear();
        shown_ = {};
        fillMoves();
        return;
    }
    const recipe::Recipe before = std::exchange(shown_, *r);
    text_->showRecipe(*r);
    if (before.id != r->id || !(before.piece == r->piece)) {
        beginWhatIf(r->piece);
    }
    if (before.id != r->id)
        moves_->setCurrentIndex(0);
    fillMoves();
    showFacts();
    emit changed();
}

/// A what-if goes from half to twice the thickness, and from frozen to a warm room.
void WrittenPane::beginWhatIf(const recipe::FoodPiece& piece) {
    const auto [thin, thick] = cook::thicknessRange(piece);
    thickness_->begin(piece.thicknessM, thin, thick);
    const auto [cold, warm] = cook::startRange(piece);
    start_->begin(piece.startK, cold, warm);
}

/// Undo shows the recipe again that was tried with.
void WrittenPane::noteTried(StepperSlider* slider, const StepperSlider::State& before) {
    const auto put = [pane = QPointer(this), slider,
                      id = shown_.id](const StepperSlider::State& state) {
        return [=] {
            if (!pane)
                return;
            if (pane->shown_.id != id)
                pane->chooseRecipe(id);
            slider->put(state);
        };
    };
    const QString name =
        slider == thickness_ ? QStringLiteral("thickness") : QStringLiteral("start temperature");
    document_.noteTried(QStringLiteral("what if: %1").arg(name), name + toQt(shown_.id),
                        put(before), put(slider->state()));
}

std::optional<translate::Request> WrittenPane::request() const {
    const recipe::Recipe* r = recipe();
    if (!r)
        return std::nullopt;
    auto out =
        requestOf(*r, day_ ? kitchen::onDay(document_.kitchen(), *day_) : document_.kitchen(),
                  document_.choices());
    if (thickness_->moved() || start_->moved())
        out.writtenPiece = r->piece;
    if (thickness_->moved())
        out.recipe.piece.thicknessM = thickness_->value();
    if (start_->moved())
        out.recipe.piece.startK = start_->value();
    if (moves_->currentIndex() > 0)
        out.moved = static_cast<std::size_t>(moves_->currentIndex() - 1);
    out.others = book::othersOf(*r, document_.recipes());
    out.units = document_.units();
    return out;
}

void WrittenPane::editWeather() {
    WeatherDialog dialog(document_, day_, this);
    if (dialog.exec() != QDialog::Accepted || dialog.day() == day_)
        return;
    day_ = dialog.day();
    showWeather();
    emit changed();
}

void WrittenPane::showWeather() {
    const auto* site = day_ ? findSite(document_.kitchen(), day_->siteId) : nullptr;
    weather_->setText(
        site ? QStringLiteral("%1, %2 m/s…")
                   .arg(toQt(printTemperature(day_->air, document_.units().temperature())),
                        toQt(printFixed(day_->windMPerS, 1)))
             : QStringLiteral("Weather…"));
    weather_->setToolTip(
        site ? QStringLiteral("The weather at %1 on the day of the cook").arg(toQt(site->name))
             : QStringLiteral("Air and wind on the day of the cook, where they differ from "
                              "Kitchen's"));
}

void WrittenPane::keep(const Result<void>& done) {
    if (!done)
        document_.say(
            QStringLiteral("%1; nothing was changed.").arg(toQt(done.error(), document_.units())));
}

/// In the book, or in the line that is answered.
void WrittenPane::keepChange(const recipe::Recipe& changed) {
    if (!quick_->recipe())
        return keep(document_.changeRecipe(changed));
    quick_->change(changed);
}

void WrittenPane::editRecipe() {
    const recipe::Recipe* r = recipe();
    if (!r)
        return newRecipe();
    RecipeDialog dialog(document_, *r, this);
    if (dialog.exec() == QDialog::Accepted)
        keepChange(dialog.recipe());
}

void WrittenPane::newRecipe() {
    if (!document_.isOpen())
        return;
    WordsDialog words(document_, this);
    if (words.exec() != QDialog::Accepted)
        return;
    recipe::Recipe begun = beginRecipe(document_.kitchen(), document_.choices());
    if (!words.isEmpty()) {
        const std::string id = begun.id;
        begun = words.recipe();
        begun.id = id;
    } else {
        RecipeDialog dialog(document_, begun, this);
        if (dialog.exec() != QDialog::Accepted)
            return;
        begun = dialog.recipe();
    }
    if (const auto done = document_.addRecipe(begun); !done) {
        document_.say(
            QStringLiteral("%1; nothing was added.").arg(toQt(done.error(), document_.units())));
        return;
    }
    chooseRecipe(begun.id);
    if (words.isEmpty())
        editPiece();
}

void WrittenPane::editBinding(int link) {
    const recipe::Recipe* r = recipe();
    if (!r)
        return;
    const auto all = RecipeTextView::bindingsOf(*r);
    const auto at = static_cast<std::size_t>(link);
    if (at >= all.size())
        return;
    BindingDialog dialog(document_, all[at], this);
    if (dialog.exec() != QDialog::Accepted)
        return;
    recipe_text::ReadWith with;
    with.kitchen = &document_.kitchen();
    with.scales = food::scalesWith(document_.choices().scales);
    keepChange(correctedRecipe(*r, dialog.correction(), with));
}

void WrittenPane::editPiece() {
    const recipe::Recipe* r = recipe();
    if (!r)
        return;
    PieceDialog dialog(document_, *r, this);
    if (dialog.exec() == QDialog::Accepted)
        keepChange(dialog.recipe());
}

void WrittenPane::editChoices() {
    if (!document_.isOpen())
        return;
    const recipe::Recipe* r = recipe();
    ChoicesDialog dialog(document_, r ? r->piece.food.foodClass : "beef", this);
    if (dialog.exec() == QDialog::Accepted)
        keep(document_.choose(dialog.choices()));
}

void WrittenPane::showFacts() {
    const auto r = request();
    if (!r)
        return;
    facts_->setText(toQt(words::referenceWords(*r, document_.units())));
    piece_->setText(toQt(words::pieceWords(*r, document_.units())));
    const std::string next = lastNextTime(document_.book(), r->recipe.id).value_or(std::string());
    nextTime_->setText(QStringLiteral("Next time: %1").arg(toQt(next)));
    nextTime_->setVisible(!next.empty());
}

} // namespace dynamet::app
