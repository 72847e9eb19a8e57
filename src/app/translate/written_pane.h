// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/translate/quick_line.h"
#include "app/translate/recipe_text_view.h"
#include "app/widgets/stepper_slider.h"
#include "kitchen/cook_day.h"
#include "words/translation_words.h"

#include <optional>

#include <QComboBox>
#include <QLabel>
#include <QPushButton>
#include <QWidget>

namespace dynamet::app {

/// Written for: the recipe's text with its heat words marked, where it was written, the piece, and
/// the what-if sliders for thickness and start.
class WrittenPane : public QWidget {
    Q_OBJECT
  public:
    explicit WrittenPane(Document& document, QWidget* parent = nullptr);
    const recipe::Recipe* recipe() const;
    void chooseRecipe(const std::string& id);
    /// What goes to other appliances: 0 the whole cook, else a stage counted from 1.
    void move(int what) { moves_->setCurrentIndex(what); }
    RecipeTextView& text() { return *text_; }
    /// The request with what the sliders say.
    std::optional<translate::Request> request() const;

  signals:
    void changed();
    void held(bool down);

  private:
    void build();
    QPushButton* button(const QString& words, void (WrittenPane::*does)());
    void fillRecipes();
    void showRecipe();
    void showFacts();
    void beginWhatIf(const recipe::FoodPiece& piece);
    void noteTried(StepperSlider* slider, const StepperSlider::State& before);
    void fillMoves();
    /// Says why a change was not kept.
    void keep(const Result<void>& done);
    void editRecipe();
    /// A mark was clicked: what it means can be corrected.
    void editBinding(int link);
    void newRecipe();
    void editPiece();
    void editChoices();
    void editWeather();
    void showWeather();
    std::optional<kitchen::CookDay> day_; ///< of the cook, while the window is open
    QPushButton* weather_ = nullptr;
    void keepChange(const recipe::Recipe& changed);
    recipe::Recipe shown_; ///< as the book has it; the sliders may say otherwise
    Document& document_;
    QuickLine* quick_;
    QComboBox* chooser_;
    RecipeTextView* text_;
    QLabel* facts_;
    QLabel* movesWords_;
    QComboBox* moves_; ///< what goes to other appliances: the whole cook or one stage
    QLabel* piece_;
    QLabel* nextTime_ = nullptr; ///< of its last cook
    StepperSlider* thickness_;
    StepperSlider* start_;
    std::vector<QWidget*> whenWritten_; ///< shown only with a recipe
};

} // namespace dynamet::app
