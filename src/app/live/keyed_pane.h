// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/live/live_run.h"

#include <QLabel>
#include <QLineEdit>
#include <QWidget>

namespace dynamet::app {

/// Readings by hand, one after another: what is to be read now in large type, a number and Enter
/// take it, Enter alone goes on to what is read next, Backspace in the empty field takes the newest
/// back.
class KeyedPane : public QWidget {
    Q_OBJECT
  public:
    KeyedPane(Document& document, LiveRun& run, QWidget* parent = nullptr);
    /// From the first role on.
    void begin();
    void refresh();

  protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

  private:
    void take();
    const rating::KeyedRole* role() const;
    Document& document_;
    LiveRun& run_;
    QLabel* now_;
    QLineEdit* field_;
    QLabel* so_;
    QLabel* problem_;
    std::size_t at_ = 0;
};

} // namespace dynamet::app
