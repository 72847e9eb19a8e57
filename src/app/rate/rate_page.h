// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/live/run_page.h"
#include "app/rate/cell_chooser.h"
#include "app/rate/coals_pane.h"
#include "app/rate/drift_pane.h"
#include "app/rate/find_pane.h"
#include "app/rate/heat_plane_page.h"
#include "app/rate/open_coals_pane.h"
#include "app/rate/rate_header.h"
#include "app/rate/test_bench.h"
#include "app/rate/thermometers_pane.h"

#include <QStackedWidget>

namespace dynamet::app {

/// Rate: the header, and below it one of the pages Bench (the sheet on top, the test below), Find,
/// Drift, Heat plane, Thermometers and, for an iron oven, Coals.
class RatePage : public QWidget {
    Q_OBJECT
  public:
    explicit RatePage(Document& document, QWidget* parent = nullptr);
    void showAppliance(const std::string& id);
    void importLog(const QString& path = {});
    void save();
    bool hasAppliance() const { return rating_.appliance() != nullptr; }
    /// What the appliance gives at each setting, as a page to hang beside it.
    void writeWallSheet();
    /// Shows a saved or draft test on the bench.
    void showTest(const std::string& testId);
    void showNewestTest();
    void showTestOf(const std::string& protocol);
    /// F5: takes the page for a run, or begins or ends it there.
    void live();
    void showInstruments();
    /// Goes on with a run that was cut off, or keeps what is there of it as a draft.
    void goOnWith(const book::CutOffRun& run);
    void endCutOff(const book::CutOffRun& run);
    RunPage& runPage() { return *run_; }
    LineDesk& desk() { return desk_; }
    enum Page { bench = 0, find, drift, plane, thermometers, coals };
    void showPage(int page);
    int page() const { return pages_->currentIndex(); }
    FindPane& findPane() { return *find_; }
    const TestBench& testBench() const { return *bench_; }

  signals:
    /// The page, or what is on the bench: what can be done now may be other than before.
    void situationChanged();

  protected:
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

  private:
    QWidget* buildBench();
    void refresh();
    void refreshHeader();
    void standAtCell();

    void beginLive();
    Document& document_;
    LineDesk desk_;
    RateController rating_;
    RateHeader* header_;
    CellChooser* cells_;
    TestBench* bench_;
    QStackedWidget* pages_;
    FindPane* find_;
    DriftPane* drift_;
    HeatPlanePage* plane_;
    ThermometersPane* thermometers_;
    CoalsPane* coals_;         ///< an iron oven's
    OpenCoalsPane* openCoals_; ///< under a grate; the same page
    RunPage* run_;             ///< takes the whole page while a test is made
    QStackedWidget* whole_;
};

} // namespace dynamet::app
