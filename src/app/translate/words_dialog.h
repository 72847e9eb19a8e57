// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/widgets/dialog_foot.h"
#include "app/widgets/text_table.h"
#include "recipe_text/filled.h"

#include <QComboBox>
#include <QDialog>
#include <QLineEdit>
#include <QPlainTextEdit>
#include <QTimer>

namespace dynamet::app {

/// A recipe in its own words, pasted or opened: what is understood of them is marked and told while
/// they are typed, and what they leave open is said with the usual that is taken for it.
class WordsDialog : public QDialog {
    Q_OBJECT
  public:
    explicit WordsDialog(Document& document, QWidget* parent = nullptr);
    /// With the stages that the words say.
    const recipe::Recipe& recipe() const { return recipe_; }
    /// Puts words into it, as if they were pasted.
    void begin(const QString& name, const QString& words);
    /// The cook begins without words.
    bool isEmpty() const { return empty_; }

  private:
    QWidget* buildLeft();
    QWidget* buildRight();
    void openFile();
    void readAgain();
    void mark(const std::vector<recipe_text::Binding>& bindings);
    void take();
    Document& document_;
    recipe::Recipe recipe_;
    std::optional<recipe_text::Filled> filled_;
    bool empty_ = false;
    QLineEdit *name_, *author_;
    QComboBox* on_;
    QPlainTextEdit* text_;
    TextTable* understood_;
    QLabel *stages_, *asked_;
    DialogFoot* foot_;
    QTimer soon_;
};

} // namespace dynamet::app
