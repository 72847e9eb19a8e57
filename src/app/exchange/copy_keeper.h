// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"

#include <QThreadPool>
#include <QTimer>

namespace dynamet::app {

/// Sees to it that an open book has its copy of the day, off the interface's thread.
class CopyKeeper : public QObject {
    Q_OBJECT
  public:
    explicit CopyKeeper(Document& document, QObject* parent = nullptr);
    ~CopyKeeper() override { pool_.waitForDone(); }
    bool isIdle() const { return !working_; }

  private:
    void keep();
    Document& document_;
    QThreadPool pool_;
    QTimer timer_;
    bool working_ = false;
};

} // namespace dynamet::app
