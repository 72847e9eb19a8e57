// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/shell/units.h"
#include "trace/series.h"

#include <QColor>
#include <qcustomplot.h>

namespace dynamet::app {

/// A quiet plot in the app's look: no frame, ink axes, grid in rule colour.
class Plot : public QCustomPlot {
    Q_OBJECT
  public:
    explicit Plot(QWidget* parent = nullptr);
    static void dress(QCPAxisRect& rect);
    /// A line in the chosen unit over minutes.
    QCPGraph* addLine(QCPAxisRect* rect, const Series& kelvins, const QColor& colour, Units units,
                      Qt::PenStyle style = Qt::SolidLine, bool difference = false);

  private:
    std::size_t pixelsAcross() const;
};

} // namespace dynamet::app
