// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/translate/rows_model.h"

#include <QWidget>

namespace dynamet::app {

/// The numbers of the time axis that all bars of the rows share.
class AxisRuler : public QWidget {
    Q_OBJECT
  public:
    explicit AxisRuler(RowsModel& rows, QWidget* parent = nullptr);

    /// The axis of the rows `whole` pixels wide, from the painter's origin.
    void draw(QPainter& painter, int whole) const;

  protected:
    void paintEvent(QPaintEvent* event) override;

  private:
    RowsModel& rows_;
};

} // namespace dynamet::app
