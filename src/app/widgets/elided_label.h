// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QLabel>

namespace dynamet::app {

/// A line of plain text that never widens its window: what does not fit is cut with dots and stands
/// in the tooltip.
class ElidedLabel : public QLabel {
    Q_OBJECT
  public:
    explicit ElidedLabel(QWidget* parent = nullptr);
    QSize minimumSizeHint() const override;
    void setText(const QString& words);

  protected:
    void paintEvent(QPaintEvent* event) override;
};

} // namespace dynamet::app
