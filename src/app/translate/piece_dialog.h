// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/shell/document.h"
#include "app/widgets/dialog_foot.h"

#include <QCheckBox>
#include <QComboBox>
#include <QDialog>
#include <QLineEdit>
#include <QSpinBox>

namespace dynamet::app {

/// The piece of a recipe and what it must become: food, form, shape and measures, bone, fat cap,
/// surface, what is on it, the fat it is fried in; doneness by one of the book's scales.
class PieceDialog : public QDialog {
    Q_OBJECT
  public:
    PieceDialog(Document& document, const book::RecipeRecord& recipe, QWidget* parent = nullptr);
    const book::RecipeRecord& recipe() const { return recipe_; }

  private:
    QComboBox* combo(const QString& name, const QStringList& words, int at);
    QLineEdit* lengthField(const QString& name, double metres);
    void buildChoosers();
    void buildMeasures();
    QLayout* buildSeasonings();
    void takeUsualShape();
    void fillLevels();
    void take();
    Document& document_;
    book::RecipeRecord recipe_;
    std::vector<food::DonenessScale> scales_;
    QComboBox *food_, *form_, *shape_, *bone_, *surface_, *fat_, *scale_, *level_;
    QLineEdit *thickness_, *width_, *cap_, *start_, *others_;
    std::vector<QCheckBox*> on_;
    QSpinBox* rounds_;
    DialogFoot* foot_;
};

} // namespace dynamet::app
