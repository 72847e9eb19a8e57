// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/widgets/form_dialog.h"
#include "recipe_text/binding.h"

namespace dynamet::app {

/// What was understood of some words of a recipe, and what the cook says they mean instead.
class BindingDialog : public FormDialog {
    Q_OBJECT
  public:
    BindingDialog(Document& document, const recipe_text::Binding& binding,
                  QWidget* parent = nullptr);
    const recipe::Correction& correction() const { return correction_; }

  private:
    Result<void> take() override;
    void showNumber();
    recipe_text::Binding binding_;
    recipe::Correction correction_;
    QComboBox* kind_;
    QLineEdit* number_;
};

} // namespace dynamet::app
