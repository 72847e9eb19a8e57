// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QObject>
#include <QString>

namespace dynamet::app {

/// Asks the desktop not to lock or dim its screen while something cooks
/// (org.freedesktop.ScreenSaver, Inhibit and UnInhibit). Where nobody answers, nothing happens.
class Awake : public QObject {
    Q_OBJECT
  public:
    explicit Awake(QObject* parent = nullptr) : QObject(parent) {}
    ~Awake() override;
    void keep(bool awake);
    bool isAsked() const { return asked_; }
    /// The desktop said yes.
    bool isGranted() const { return cookie_ != 0; }

  private:
    bool asked_ = false;
    quint32 cookie_ = 0;
};

} // namespace dynamet::app
