// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/shell/document.h"
#include "app/widgets/stepper_slider.h"

#include <QComboBox>
#include <QLabel>
#include <QWidget>

namespace dynamet::app {

/// Written for: the recipe's text with its heat words marked, where it was written, the piece, and
/// the what-if sliders for thickness and start.
class WrittenPane : public QWidget {
    Q_OBJECT
  public:
    explicit WrittenPane(Document& document, QWidget* parent = nullptr);
    const book::RecipeRecord* recipe() const;
    void chooseRecipe(const std::string& id);
    /// The request with what the sliders say.
    std::optional<translate::Request> request() const;

  signals:
    void changed();
    void held(bool down);

  private:
    void fillRecipes();
    void showRecipe();
    void showFacts();
    void editPiece();
    void editChoices();
    cook::FoodPiece shownPiece_; ///< as the recipe has it; the sliders may say otherwise
    Document& document_;
    QComboBox* chooser_;
    QLabel* text_;
    QLabel* facts_;
    QLabel* piece_;
    StepperSlider* thickness_;
    StepperSlider* start_;
};

} // namespace dynamet::app
