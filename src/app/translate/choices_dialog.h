// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/widgets/dialog_foot.h"

#include <QComboBox>
#include <QDialog>
#include <QLabel>
#include <QPlainTextEdit>

namespace dynamet::app {

/// The whole book's sides where cooks disagree, each with its reason, and its doneness scales.
class ChoicesDialog : public QDialog {
    Q_OBJECT
  public:
    ChoicesDialog(Document& document, const std::string& foodClass, QWidget* parent = nullptr);
    const book::Choices& choices() const { return choices_; }

  private:
    QWidget* buildSchools();
    QWidget* buildScales();
    void showScale();
    /// Puts the edited levels into the book's own copy of the scale; false when a line is wrong.
    bool takeScale();
    void take();
    Document& document_;
    book::Choices choices_;
    std::vector<food::DonenessScale> scales_;
    std::vector<QComboBox*> sides_;
    QComboBox *scale_, *class_, *readAt_;
    QPlainTextEdit* levels_;
    QLabel* source_;
    DialogFoot* foot_;
    int shownScale_ = -1, shownClass_ = -1;
};

} // namespace dynamet::app
