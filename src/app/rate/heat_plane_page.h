// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/rate/heat_plane_view.h"
#include "app/widgets/text_table.h"

#include <QLabel>

namespace dynamet::app {

/// The heat plane with its words, its table twin and its export.
class HeatPlanePage : public QWidget {
    Q_OBJECT
  public:
    explicit HeatPlanePage(Document& document, QWidget* parent = nullptr);
    void showAppliance(const std::string& id);
    /// Writes the picture as SVG; false when the file cannot be written.

  private:
    void showWords();
    QString wordsOf(int index) const;
    Document& document_;
    std::string applianceId_;
    std::vector<kitchen::PlaneMark> marks_;
    HeatPlaneView* view_;
    QLabel *words_, *compared_;
    TextTable* table_;
};

} // namespace dynamet::app
