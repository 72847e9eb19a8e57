// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QWidget>

namespace dynamet::app {

/// The whole course of a test as a thin line: a mark for each step, the one at hand filled.
class CourseLine : public QWidget {
    Q_OBJECT
  public:
    explicit CourseLine(QWidget* parent = nullptr);
    void showCourse(int steps, int at);
    QSize sizeHint() const override { return {200, 18}; }

  protected:
    void paintEvent(QPaintEvent* event) override;

  private:
    int steps_ = 0, at_ = 0;
};

} // namespace dynamet::app
