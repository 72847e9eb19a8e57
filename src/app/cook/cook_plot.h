// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/cook/cook_desk.h"
#include "app/widgets/plot.h"
#include "words/cook_picture.h"

namespace dynamet::app {

/// The core of one dish: what was read over the band that is predicted, the pull line with its soft
/// ends, now.
class CookPlot : public Plot {
    Q_OBJECT
  public:
    explicit CookPlot(QWidget* parent = nullptr);
    void show(const words::CookPicture& picture, const Units& units);

  private:
    QCPGraph *low_, *high_, *middle_, *read_, *typed_, *pullLine_, *from_, *until_, *now_;
};

} // namespace dynamet::app
