// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/widgets/cut_view.h"
#include "translate/time_axis.h"
#include "words/translation_words.h"

#include <QLabel>
#include <QPushButton>
#include <QSlider>

namespace dynamet::app {

/// The recipe's cut beside a row's, a slider through the cook, and the picture on disk.
class CutsPane : public QWidget {
    Q_OBJECT
  public:
    explicit CutsPane(Document& document, QWidget* parent = nullptr);
    using QWidget::show;
    void showCuts(const translate::Prepared& prepared, const translate::Row& row,
                  const cook::Outcome& outcome);

  private:
    void showMoment(int place);
    Document& document_;
    CutView* view_;
    QSlider* moment_;
    QLabel* when_;
};

/// One outcome as a cut view shows it.
CutShown cutOf(const QString& title, const cook::Outcome& outcome, const food::Food& food,
               const Units& units);

} // namespace dynamet::app
