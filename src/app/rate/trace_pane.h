// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/rate/spot_map.h"
#include "app/widgets/plot.h"
#include "rating/uncertainty/reduction.h"

#include <QLabel>
#include <QWidget>

namespace dynamet::app {

/// Trace: the readings, the fit over them, the residuals under them; a table twin in words.
class TracePane : public QWidget {
    Q_OBJECT
  public:
    explicit TracePane(Document& document, QWidget* parent = nullptr);
    void showNothing(const QString& words);
    void showTrace(const rating::TestInput& input, const rating::Reduction* reduction);

  private:
    void drawReadings(const rating::TestInput& input, const rating::Reduction* reduction);
    void drawMap(const rating::TestInput& input, const rating::Reduction* reduction);
    void drawKeyed(const rating::TestInput& input, const rating::Reduction* reduction);
    Document& document_;
    QLabel* words_;
    Plot* plot_;
    SpotMap* map_;
};

} // namespace dynamet::app
