// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "words/compare_words.h"

#include <QWidget>

namespace dynamet::app {

/// Scores as dots, one a taster: qualities across, cooks as lines of their own, 1 to 9 upwards.
class ScoreDotsView : public QWidget {
    Q_OBJECT
  public:
    explicit ScoreDotsView(QWidget* parent = nullptr);
    void show(const words::ScoreDots& dots, std::size_t cooks);

  protected:
    void paintEvent(QPaintEvent*) override;

  private:
    words::ScoreDots dots_;
    std::size_t cooks_ = 0;
};

/// Colours and letters by which cooks are told apart; never by colour alone.
QColor cookColour(std::size_t at);
QString cookLetter(std::size_t at);

} // namespace dynamet::app
