// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "recipe_text/filled.h"
#include "translate/translate.h"

#include <QLabel>
#include <QWidget>

namespace dynamet::app {

/// The words of a recipe with what they say marked, and under them the same words for an opened
/// row, what changes marked, with what cannot be carried over.
class RecipeTextView : public QWidget {
    Q_OBJECT
  public:
    explicit RecipeTextView(Document& document, QWidget* parent = nullptr);
    void showRecipe(const recipe::Recipe& recipe);
    void showWords(const QString& words);
    void showRow(const translate::Row& row, const translate::Prepared& prepared);
    void hideRow();
    /// Those of the recipe as its cook corrected them, in the order of the marks.
    static std::vector<recipe_text::Binding> bindingsOf(const recipe::Recipe& recipe);

  signals:
    void bindingClicked(int at);

  private:
    Document& document_;
    QLabel* text_;
    QLabel* there_;     ///< over the text of an opened row
    QLabel* rewritten_; ///< that text
    QLabel* notes_;     ///< what cannot be carried over to it
};

} // namespace dynamet::app
