// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/qt_text.h"
#include "app/look/theme.h"
#include "app/widgets/kept_picture.h"
#include "trace/pyramid.h"

#include <QColor>
#include <QPointer>
#include <qcustomplot.h>

namespace dynamet::app {

/// A quiet plot in the app's look: no frame, ink axes, grid in rule colour.
class Plot : public QCustomPlot, public Drawn {
    Q_OBJECT
  public:
    explicit Plot(QWidget* parent = nullptr);
    static void dress(QCPAxisRect& rect);
    /// A line in the chosen unit over minutes: at most two points a pixel of what is in view, both
    /// extremes kept, and drawn anew from the trace's pyramid when the view or the size changes.
    QCPGraph* addLine(QCPAxisRect* rect, const Series& kelvins, const QColor& colour, Units units,
                      Qt::PenStyle style = Qt::SolidLine, bool difference = false);
    QSize drawnSize() const override { return size(); }
    void drawOn(QPainter& painter) override;

  protected:
    void resizeEvent(QResizeEvent* event) override;
    void changeEvent(QEvent* event) override;

  private:
    struct Trace {
        QPointer<QCPGraph> graph; ///< gone when the plot was cleared
        Pyramid pyramid;
        Units units;
        bool difference;
    };
    /// Gives a graph what of its trace can be seen between two times, s.
    void fill(const Trace& trace, double fromS, double toS) const;
    void fillVisible();
    /// Lines, marks and axes in the colours of a look.
    void recolour(const look::Theme& theme);
    std::vector<Trace> traces_;
};

} // namespace dynamet::app
