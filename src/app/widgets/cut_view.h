// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/widgets/kept_picture.h"
#include "cook/cut.h"

#include <QWidget>
#include <optional>

namespace dynamet::app {

/// A cut to show: the outcome with its section, and what is written under it.
struct CutShown {
    QString title;
    QString core, crust, rim; ///< in words, one line each; also what a screen reader gets
    cook::Outcome outcome;
};

/// The food as it would look when cut: highest temperature so far as doneness colour, a dashed line
/// where it greyed, the crust on its faces; one cut, or the recipe's beside the target's on one
/// scale. Painted the same on screen and in files.
class CutView : public QWidget, public Drawn {
    Q_OBJECT
  public:
    explicit CutView(QWidget* parent = nullptr);
    using QWidget::show;
    void showCuts(std::vector<CutShown> cuts, double greyingK, bool meat);
    /// A moment of the cook; none shows the end.
    void setMoment(std::optional<double> timeS);
    double lastMomentS() const;
    void paintInto(QPainter& painter, const QRectF& area) const;
    QSize drawnSize() const override { return {960, 360}; }
    void drawOn(QPainter& painter) override { paintInto(painter, QRectF({}, drawnSize())); }

  protected:
    void paintEvent(QPaintEvent*) override;

  private:
    void paintCut(QPainter& painter, const CutShown& cut, const QRectF& area,
                  double pixelsPerM) const;
    QImage flesh(const CutShown& cut, const cook::Frame* frame, QSize size) const;
    std::vector<CutShown> cuts_;
    double greyingK_ = 335;
    bool meat_ = true;
    std::optional<double> momentS_;
};

} // namespace dynamet::app
