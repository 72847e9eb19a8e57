// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/widgets/form_dialog.h"

#include <QCheckBox>
#include <QSpinBox>

namespace dynamet::app {

/// The piece of a recipe and its goal: food, form, shape and measures, bone, fat cap,
/// surface, what is on it, the fat it is fried in; doneness by one of the book's scales. Another
/// food brings its own usual shape, measures, start, form and doneness.
class PieceDialog : public FormDialog {
    Q_OBJECT
  public:
    PieceDialog(Document& document, const recipe::Recipe& recipe, QWidget* parent = nullptr);
    const recipe::Recipe& recipe() const { return recipe_; }

  private:
    Result<void> take() override;
    void buildChoosers();
    void buildMeasures();
    QWidget* buildSeasonings();
    void takeFood();
    void fillLevels();
    void showMeasures();
    const food::Food& food() const;
    const food::DonenessScale& scale() const;
    Result<void> takeMeasures(recipe::FoodPiece& piece) const;
    Result<recipe::Goal> goal() const;
    recipe::Recipe recipe_;
    std::vector<food::DonenessScale> scales_;
    QComboBox *food_, *form_, *shape_, *bone_, *surface_, *fat_, *scale_, *level_;
    QComboBox *thicknessBy_, *startBy_;
    QuantityField *thickness_, *width_, *cap_, *start_;
    QLineEdit* others_;
    std::vector<QCheckBox*> on_;
    QSpinBox *pieces_, *rounds_;
    QuantityField *covers_, *beside_; ///< that each and that other food takes up
    QSpinBox* addCount(const QString& name, int most, int value);
};

} // namespace dynamet::app
