// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/widgets/cut_view.h"
#include "words/translation_words.h"

#include <QGridLayout>
#include <QLabel>
#include <QWidget>

namespace dynamet::app {

/// What the food must become: the cut, the facts, the safety line, and how the book cooks.
class OutcomePane : public QWidget {
    Q_OBJECT
  public:
    explicit OutcomePane(Document& document, QWidget* parent = nullptr);
    void showOutcome(const translate::Prepared& prepared);
    void showProblem(const QString& words);

  private:
    Document& document_;
    QLabel* readout_;
    QLabel* under_;
    CutView* cut_;
    QWidget* facts_;
    QLabel* safety_;
    QLabel* ownTime_; ///< what became of the time that the author gives
    QLabel* book_;
};

} // namespace dynamet::app
