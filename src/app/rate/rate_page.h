// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/rate/compared_sheet.h"
#include "app/rate/drift_pane.h"
#include "app/rate/find_pane.h"
#include "app/rate/heat_plane_page.h"
#include "app/rate/rate_sheet_view.h"
#include "app/rate/test_bench.h"
#include "app/rate/thermometers_pane.h"
#include "app/widgets/elided_label.h"
#include "app/widgets/setting_edit.h"

#include <QButtonGroup>
#include <QHBoxLayout>
#include <QStackedWidget>

namespace dynamet::app {

/// Rate: the sheet on top, the bench below; beside the bench the pages Find, Drift, Heat plane and
/// Thermometers. The row of the sheet is the setting that is rated: typing another adds its row.
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
    void resizeEvent(QResizeEvent* event) override;

  private:
    void buildHeader(QVBoxLayout* box);
    QWidget* buildBench();
    QLayout* buildSettingLine();
    void buildPages(QVBoxLayout* box);
    void showSheet();
    void sizeSheet();
    void cellChosen();
    void settingTyped(const kitchen::Setting& setting);
    void refresh();
    void readLines();
    void showDraft();
    void listCellTests();
    void listWith();
    kitchen::SheetWith with() const;

    Document& document_;
    std::string applianceId_;
    std::vector<kitchen::Setting> typedSettings_; ///< of this appliance, this session
    std::string draftId_;
    std::vector<book::TestLine>
        lines_; ///< tests of the appliance, newest first; read when the book changes
    ElidedLabel *title_, *about_;
    QPushButton* draft_;
    RateSheetView* sheet_;
    ComparedSheet* beside_;
    SettingEdit* setting_;
    QLabel* where_;        ///< the cell that is rated, in words
    QComboBox* cellTests_; ///< tests of the chosen cell
    QComboBox* with_;      ///< vessel of a hob, insert of anything else
    TestBench* bench_;
    QStackedWidget* pages_;
    QButtonGroup* tabs_;
    FindPane* find_;
    DriftPane* drift_;
    HeatPlanePage* plane_;
    ThermometersPane* thermometers_;
};

} // namespace dynamet::app
