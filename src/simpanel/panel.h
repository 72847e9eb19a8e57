// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QLabel>
#include <QSerialPort>
#include <QVBoxLayout>
#include <QWidget>
#include <map>

/// Dials, doors and things of the simulated kitchen, as its control line names them, and where each
/// probe is.
class Panel : public QWidget {
    Q_OBJECT
  public:
    explicit Panel(const QString& port, QWidget* parent = nullptr);
    bool isConnected() const { return port_.isOpen(); }

  private:
    void hear();
    void say(const QString& line);
    void build(const QStringList& list);
    QWidget* knob(const QString& appliance, const QString& name);
    QWidget* probe(int channel, const QStringList& points);
    QSerialPort port_;
    QByteArray heard_;
    QLabel* clock_;
    QLabel* said_;
    QVBoxLayout* box_;
    bool built_ = false;
};
