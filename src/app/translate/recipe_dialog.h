// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/translate/stage_edit.h"
#include "app/widgets/dialog_foot.h"

#include <QCheckBox>
#include <QDialog>
#include <QPlainTextEdit>

class QVBoxLayout;

namespace dynamet::app {

/// A recipe: its name, whose it is, its text, the stages it is cooked in, and its rest.
class RecipeDialog : public QDialog {
    Q_OBJECT
  public:
    RecipeDialog(Document& document, const recipe::Recipe& recipe, QWidget* parent = nullptr);
    const recipe::Recipe& recipe() const { return recipe_; }

  private:
    void fit();
    QLayout* buildHead();
    QLayout* buildRest();
    /// What counts where a time ends the cook: a box for each that its food is judged by.
    QLayout* buildJudged();
    std::vector<food::Quality> judgedBy() const;
    void showStages(const std::vector<recipe::Stage>& stages);
    /// What stands in the fields; empty, with the reason shown, when a field cannot be read.
    std::optional<std::vector<recipe::Stage>> typedStages();
    void addStage();
    void removeStage(std::size_t at);
    void moveEarlier(std::size_t at);
    void take();
    Document& document_;
    recipe::Recipe recipe_;
    /// How long its author says it took to the goal, where one ends it.
    QLayout* buildTook();
    Result<recipe::WrittenTime> took() const;
    QLineEdit *took_, *name_, *author_, *rest_;
    QCheckBox* aside_;
    QPlainTextEdit* text_;
    QComboBox* on_;
    std::map<food::Quality, QCheckBox*> judged_;
    QWidget* stages_;
    QVBoxLayout* stagesBox_;
    std::vector<StageEdit*> edits_;
    DialogFoot* foot_;
};

} // namespace dynamet::app
