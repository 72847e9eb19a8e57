// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"

#include <optional>

#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QWidget>

namespace dynamet::app {

/// One line as a cook would say it ("salmon, 12 min, wall oven"), answered without a recipe in the
/// book; what was understood stands under it, and it can be kept.
class QuickLine : public QWidget {
    Q_OBJECT
  public:
    explicit QuickLine(Document& document, QWidget* parent = nullptr);
    /// None while no line is answered.
    const std::optional<recipe::Recipe>& recipe() const { return recipe_; }
    void change(const recipe::Recipe& changed);
    /// Another book is open, or the appliance is not there any more.
    void leaveIfGone();

  signals:
    /// Another line, or none.
    void answered();
    void kept(const QString& recipeId);

  private:
    void ask();
    void leave();
    void keep();
    Document& document_;
    std::optional<recipe::Recipe> recipe_;
    QLineEdit* line_;
    QLabel* understood_;
    QPushButton* keep_;
};

} // namespace dynamet::app
