// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "device/talk.h"

#include <QElapsedTimer>
#include <QSerialPort>
#include <QTimer>

namespace dynamet::app {

/// One instrument on its line: opens the port, asks, hears, and comes back when it was unplugged.
class SerialLink : public QObject {
    Q_OBJECT
  public:
    /// closed: by us; lost: unplugged, or not there yet; silent: open, but nothing was understood.
    enum class State { closed, lost, silent, talking, wrongSpeed };
    SerialLink(const device::Connection& connection, const QElapsedTimer& clock,
               QObject* parent = nullptr);
    ~SerialLink() override;
    void open();
    void close();
    State state() const;
    /// Why it is lost; the first cause, not what followed from it.
    const QString& problem() const { return problem_; }
    const device::Connection& connection() const { return connection_; }
    const device::Talk& talk() const { return talk_; }
    /// The newest line that could not be used.
    const QString& unusable() const { return unusable_; }

  signals:
    void reading(const dynamet::device::Reading& reading, double arrivedS);
    /// It named itself or a channel, complained, was lost or came back.
    void changed();

  private:
    void tryOpen();
    void lose(const QString& why);
    void hear();
    void tick();
    device::Connection connection_;
    const QElapsedTimer& clock_;
    device::Talk talk_;
    QSerialPort port_;
    QTimer tick_;
    QString problem_, unusable_;
    bool wanted_ = false, spoke_ = false;
    double heardS_ = 0, askedS_ = 0;
};

} // namespace dynamet::app
