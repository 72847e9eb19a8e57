// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/rate/rate_sheet_view.h"

#include <QComboBox>
#include <QWidget>

namespace dynamet::app {

/// A second rate sheet beside the first: another appliance, or this one as it was rated up to an
/// earlier day. Hidden while nothing is chosen.
class ComparedSheet : public QWidget {
    Q_OBJECT
  public:
    explicit ComparedSheet(Document& document, QWidget* parent = nullptr);
    /// The chooser stands in the page's header.
    QComboBox* choice() { return choice_; }
    void showAppliance(const std::string& id);

  private:
    void showChosen();
    Document& document_;
    std::string applianceId_;
    QComboBox* choice_;
    QLabel* title_;
    RateSheetView* sheet_;
};

} // namespace dynamet::app
