// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/rate/compared_sheet.h"
#include "app/rate/rate_controller.h"
#include "app/rate/rate_sheet_view.h"
#include "app/widgets/setting_edit.h"

namespace dynamet::app {

/// The rate sheet, a second one beside it, and the line below: the row is the setting that is
/// rated, typing another adds its row; the chosen cell opens its tests.
class CellChooser : public QWidget {
    Q_OBJECT
  public:
    CellChooser(Document& document, RateController& rating, QWidget* parent = nullptr);
    RateSheetView& sheet() { return *sheet_; }
    /// Another appliance begins without a chosen cell.
    void showAppliance(bool another);
    void showSheet();
    void choose(const kitchen::Setting& setting, const std::string& zone);
    /// At most this high.
    void sizeSheet(int pageHeight);

  signals:
    void cellChosen();
    void testWanted(const std::string& testId);

  private:
    QLayout* buildSettingLine();
    void showCell();
    void listTests(const kitchen::Setting& setting);
    Document& document_;
    RateController& rating_;
    int pageHeight_ = 800;
    RateSheetView* sheet_;
    ComparedSheet* compared_;
    SettingEdit* setting_;
    QLabel* where_;    ///< the cell that is rated, in words
    QComboBox* tests_; ///< of the chosen cell
};

} // namespace dynamet::app
