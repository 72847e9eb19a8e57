// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/plan/plan_worker.h"

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
    enum class Fill { heating, cooking, rest, wait, hands, soft };
    struct Bar {
        QRectF box;
        Fill fill = Fill::cooking;
        int menuDish = -1;
        QColor colour;
        QString words, help;
        bool pinned = false;
    };
    struct Lane {
        QString name;
        double top = 0, height = 0;
    };
    void layOut();
    void addBars(std::size_t dish, const std::vector<double>& laneTops);
    double xOf(double minute) const;
    /// A bar too short for its name has it at its left, where the lane is free.
    void paintName(QPainter& painter, const Bar& bar) const;
    const Bar* barAt(const QPointF& at) const;
    void paintBar(QPainter& painter, const Bar& bar) const;
    void paintClock(QPainter& painter) const;
    Document& document_;
    std::shared_ptr<const PlanAnswer> answer_;
    std::vector<Lane> lanes_;
    std::vector<Bar> bars_;
    std::vector<std::pair<QPointF, int>> looks_;
    int fromMin_ = 0, toMin_ = 60;
    double bar_ = 26; ///< height of a bar: as there is room
    int chosen_ = -1, dragged_ = -1;
    double dragFromX_ = 0, dragX_ = 0;
};

} // namespace dynamet::app
