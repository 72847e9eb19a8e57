// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/rate/drift_pane.h"
#include "app/rate/find_pane.h"
#include "app/rate/found_pane.h"
#include "app/rate/heat_plane_page.h"
#include "app/rate/how_pane.h"
#include "app/rate/rate_sheet_view.h"
#include "app/rate/sheet_beside.h"
#include "app/rate/thermometers_pane.h"
#include "app/rate/trace_pane.h"

#include <QButtonGroup>
#include <QHBoxLayout>
#include <QStackedWidget>

namespace dynamet::app {

/// Rate: the sheet on top, the bench (How, Trace, Found) below. Layout and the course of a test.
class RatePage : public QWidget {
    Q_OBJECT
  public:
    explicit RatePage(Document& document, QWidget* parent = nullptr);
    void showAppliance(const std::string& id);
    void importLog(const QString& path = {});
    void save();
    RateSheetView& sheet() { return *sheet_; }
    /// Shows a saved or draft test on the bench.
    void showTest(const std::string& testId);
    void showNewestTest();
    void showTestOf(const std::string& protocol);
    enum Page { bench = 0, find, drift, plane, thermometers };
    void showPage(int page);
    FindPane& findPane() { return *find_; }

  protected:
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;

  private:
    enum class Attention { how, trace, found };
    void buildHeader(QVBoxLayout* box);
    QWidget* buildBench();
    void buildPages(QVBoxLayout* box);
    void showProtocols();
    void chooseProtocol(const std::string& id);
    void attend(Attention attention);
    void takeKeyed();
    Result<book::TestRecord> newTest() const;
    void work(const book::TestRecord& test);
    void cellChosen();
    void refresh();
    void readLines();
    void showDraft();
    void listCellTests();
    void listWith();
    void addHeightSeries();
    kitchen::SheetWith with() const;
    void askOnce();
    void say(const QString& words);

    Document& document_;
    std::string applianceId_;
    const rating::Protocol* protocol_ = nullptr;
    std::optional<book::TestRecord> test_;
    std::optional<rating::Reduction> reduction_;
    bool saved_ = false;
    bool asked_ = false; ///< for missing conditions, this session
    QLabel* title_;
    QLabel* about_;
    QWidget* methods_;
    QLabel* cell_;
    QPushButton* draft_;
    std::string draftId_;
    std::vector<book::TestLine>
        lines_; ///< tests of the appliance, newest first; read when the book changes
    RateSheetView* sheet_;
    SheetBeside* beside_;
    QComboBox* cellTests_; ///< tests of the chosen cell
    QComboBox* with_;      ///< vessel of a hob, insert of anything else
    QHBoxLayout* bench_;
    HowPane* how_;
    TracePane* trace_;
    FoundPane* found_;
    QStackedWidget* pages_;
    QButtonGroup* tabs_;
    FindPane* find_;
    DriftPane* drift_;
    HeatPlanePage* plane_;
    ThermometersPane* thermometers_;
};

} // namespace dynamet::app
