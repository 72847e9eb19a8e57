// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/beside.h"
#include "app/document/document.h"

#include <QTimer>

namespace dynamet::app {

/// Sees to it that an open book has its copy of the day, off the interface's thread.
class CopyKeeper : public QObject {
    Q_OBJECT
  public:
    explicit CopyKeeper(Document& document, QObject* parent = nullptr);
    ~CopyKeeper() override { beside_.finish(); }
    bool isIdle() const { return !working_; }

  private:
    void keep();
    Document& document_;
    Beside beside_;
    QTimer timer_;
    bool working_ = false;
};

} // namespace dynamet::app
