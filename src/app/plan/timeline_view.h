// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/plan/timeline_lanes.h"

#include <QWidget>

namespace dynamet::app {

/// The plan drawn: clock time across, appliances as lanes, each cook's hands below, one line where
/// all is served. A bar is dragged, or moved by the arrow keys, to pin its dish there.
class TimelineView : public QWidget {
    Q_OBJECT
  public:
    explicit TimelineView(Document& document, QWidget* parent = nullptr);
    void show(const std::shared_ptr<const PlanAnswer>& answer);
    QSize sizeHint() const override;
    /// The dish of the menu whose bar is chosen; -1 = none.
    int chosen() const { return chosen_; }
    void choose(int menuDish);
    /// Where a minute of the clock is, for the pointer of a test.
    QPointF placeOf(int menuDish) const;
    double pixelsPerMinute() const;

  signals:
    void dishChosen(int menuDish);
    /// The dish is to begin so many minutes later (or earlier).
    void moveWanted(int menuDish, int minutes);
    void unpinWanted(int menuDish);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    bool event(QEvent* event) override;

  private:
    struct Bar {
        QRectF box;
        const TimelineItem* item = nullptr;
    };
    /// Where everything stands, at this size.
    void layOut();
    double heightAt(double bar) const;
    double xOf(double minute) const;
    /// A bar too short for its name has it at its left, where the lane is free.
    void paintName(QPainter& painter, const Bar& bar) const;
    void paintLanes(QPainter& painter) const;
    const Bar* barAt(const QPointF& at) const;
    void paintBar(QPainter& painter, const Bar& bar) const;
    void paintClock(QPainter& painter) const;
    Document& document_;
    std::shared_ptr<const PlanAnswer> answer_;
    TimelineLanes lanes_;
    std::vector<double> tops_; ///< of the lanes
    std::vector<Bar> bars_;
    double bar_ = 26; ///< height of a bar: as there is room
    int chosen_ = -1, dragged_ = -1;
    double dragFromX_ = 0, dragX_ = 0;
};

} // namespace dynamet::app
