// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/shell/document.h"
#include "app/widgets/cut_view.h"
#include "app/widgets/plot.h"

#include <QGridLayout>
#include <QLabel>
#include <QWidget>

namespace dynamet::app {

/// What the food must become: the peak profile through the thickness, the facts, the safety line.
class OutcomePane : public QWidget {
    Q_OBJECT
  public:
    explicit OutcomePane(Document& document, QWidget* parent = nullptr);
    void show(const translate::Prepared& prepared);
    void showProblem(const QString& words);

  private:
    void drawProfile(const translate::Prepared& prepared);
    Document& document_;
    QLabel* readout_;
    QLabel* under_;
    CutView* cut_;
    Plot* plot_;
    QWidget* facts_;
    QLabel* safety_;
};

} // namespace dynamet::app
