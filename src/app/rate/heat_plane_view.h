// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/widgets/kept_picture.h"
#include "kitchen/heat_plane.h"

#include <QWidget>

namespace dynamet::app {

/// The picture of the heat plane: effective temperature across, coefficient upward (logarithmic),
/// lines of equal heat into a 40 °C face, measured settings solid with their ± ellipse,
/// interpolated lined, assumed hollow. Arrow keys walk the marks, Enter holds one for comparison.
class HeatPlaneView : public QWidget, public Drawn {
    Q_OBJECT
  public:
    explicit HeatPlaneView(Document& document, QWidget* parent = nullptr);
    void showMarks(const std::vector<kitchen::PlaneMark>& marks, const std::string& applianceId);
    void choose(int index);
    int chosen() const { return chosen_; }
    int held() const { return held_; }
    /// Draws it into any paint device (the screen, an SVG) of a size.
    void draw(QPainter& painter, const QSize& size) const;
    QSize drawnSize() const override { return {960, 600}; }
    void drawOn(QPainter& painter) override { draw(painter, drawnSize()); }

  signals:
    void markChosen(int index);
    void markHeld(int index);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;

  private:
    QPointF place(double kelvin, double coefficient, const QRectF& area) const;
    QRectF areaOf(const QSize& size) const;
    void drawAxes(QPainter& p, const QRectF& area) const;
    void drawFluxLines(QPainter& p, const QRectF& area) const;
    void drawMark(QPainter& p, const QRectF& area, int index) const;
    Document& document_;
    std::vector<kitchen::PlaneMark> marks_;
    std::string applianceId_;
    int chosen_ = -1, held_ = -1;
};

} // namespace dynamet::app
