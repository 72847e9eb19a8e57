// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/coal_plan.h"

#include <QWidget>

namespace dynamet::app {

/// Where the coals lie: the ground below the oven and its lid, seen from above, side by side.
class CoalsView : public QWidget {
    Q_OBJECT
  public:
    explicit CoalsView(QWidget* parent = nullptr);
    /// Nothing to draw yet, or no longer.
    void clear();
    void showCoals(const kitchen::CoalsLaid& coals);
    QSize sizeHint() const override { return {560, 280}; }

  protected:
    void paintEvent(QPaintEvent* event) override;

  private:
    void paintDisc(QPainter& painter, const QRectF& area, const QString& title,
                   const std::vector<kitchen::CoalSpot>& spots) const;
    std::optional<kitchen::CoalsLaid> coals_;
};

} // namespace dynamet::app
