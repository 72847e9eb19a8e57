// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"

#include <QWidget>

namespace dynamet::app {

/// A surface as its spots were read: a patch of the ramp and a number for each, in rows.
class SpotMap : public QWidget {
    Q_OBJECT
  public:
    explicit SpotMap(Document& document, QWidget* parent = nullptr);
    /// `perRow` 0 = all in one row. Kelvins.
    void showSpots(const std::vector<double>& spots, int perRow);

  protected:
    void paintEvent(QPaintEvent* event) override;

  private:
    Document& document_;
    std::vector<double> spots_;
    int perRow_ = 1;
};

} // namespace dynamet::app
