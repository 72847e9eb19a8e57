// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/rate/rate_controller.h"
#include "app/widgets/elided_label.h"

#include <QButtonGroup>
#include <QComboBox>
#include <QPushButton>

namespace dynamet::app {

/// The top line of Rate: which appliance, with what, a test that waits, and the pages.
class RateHeader : public QWidget {
    Q_OBJECT
  public:
    RateHeader(Document& document, RateController& rating, QWidget* parent = nullptr);
    void refresh(const std::string& testInHand);
    void showPage(int page);
    /// Does it burn coals that can be counted: an iron oven, a kettle?
    bool hasCoals() const;

  signals:
    void pageChosen(int page);
    void withChosen();
    void testWanted(const std::string& testId);

  private:
    void listWith();
    void showUnfinished(const std::string& testInHand);
    Document& document_;
    RateController& rating_;
    std::string unfinishedId_;
    ElidedLabel *title_, *about_;
    QPushButton* unfinished_;
    QComboBox* with_; ///< vessel of a hob, insert of anything else
    QButtonGroup* tabs_;
};

} // namespace dynamet::app
