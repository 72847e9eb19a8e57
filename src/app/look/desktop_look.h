// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QDBusVariant>
#include <QObject>

namespace dynamet::app::look {

/// Whether the desktop is dark: the freedesktop portal's color-scheme where there is one, else how
/// bright the desktop's own windows are.
class DesktopLook : public QObject {
    Q_OBJECT
  public:
    explicit DesktopLook(QObject* parent = nullptr);
    bool isDark() const { return dark_; }

  signals:
    void changed();

  private slots:
    void settingChanged(const QString& group, const QString& key, const QDBusVariant& value);

  private:
    bool dark_ = false;
};

} // namespace dynamet::app::look
