// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/cook/awake.h"
#include "app/cook/cook_plot.h"
#include "app/cook/look_pane.h"
#include "app/live/chime.h"
#include "app/widgets/quantity_field.h"

#include <QButtonGroup>
#include <QComboBox>
#include <QStackedWidget>

namespace dynamet::app {

/// Beside the cook: the next thing to do, large enough for two metres; clocks, core, forecast, the
/// next three, keys for what is done, what is seen.
class CookPage : public QWidget {
    Q_OBJECT
  public:
    CookPage(Document& document, LineDesk& lines, QWidget* parent = nullptr);
    CookDesk& desk() { return desk_; }
    const Chime& chime() const { return chime_; }
    const Awake& awake() const { return awake_; }
    void activate();
    /// Which dish has the room.
    std::size_t chosen() const { return chosen_; }
    void choose(std::size_t dish);
    bool isIdle() const { return desk_.isIdle(); }

  signals:
    void judgeWanted(const std::string& runId);
    void translateWanted();
    void instrumentsWanted();

  protected:
    void keyPressEvent(QKeyEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

  private:
    QWidget* buildEmpty();
    QWidget* buildRun();
    QWidget* buildSide();
    QWidget* buildKeys();
    void layKeys();
    void refresh();
    void showHeadline(const run::Move& move);
    void showDish();
    void fillStrip();
    void takeKnownProbe();
    void fillProbes();
    void ringFor(const run::Move& move);
    void log(run::What what, double value = 0, const std::string& words = {});
    void logWith(run::What what);
    void makeMove();
    void typeCore();
    void endRun();
    Document& document_;
    LineDesk& lines_;
    CookDesk desk_;
    Chime chime_;
    Awake awake_;
    std::size_t chosen_ = 0;
    bool held_ = false; ///< the cook chose the dish himself
    std::string rangFor_;
    std::optional<run::Move> move_;
    QStackedWidget* pages_;
    QWidget* strip_;
    QHBoxLayout* stripLine_;
    QLabel *headline_, *window_, *clocks_, *forecast_, *next_, *cautions_, *problem_, *log_,
        *signs_;
    QPushButton *done_, *later_;
    QuantityField* core_;
    QComboBox* probe_;
    CookPlot* plot_;
    LookPane* look_;
    QWidget* keys_ = nullptr;
    QGridLayout* keyGrid_ = nullptr;
    std::vector<QPushButton*> keyButtons_;
    int keysAcross_ = 0;
};

} // namespace dynamet::app
