// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QComboBox>
#include <QElapsedTimer>
#include <QPointer>

namespace dynamet::app {

/// What is typed into a closed list chooses the first entry that begins so, else the first with a
/// word that does, spaces included ("gas b", "pork sh"). Installed once on the application.
class TypeToChoose : public QObject {
    Q_OBJECT
  public:
    using QObject::QObject;
    bool eventFilter(QObject* watched, QEvent* event) override;

  private:
    QPointer<QComboBox> in_;
    QString typed_;
    QElapsedTimer since_;
};

} // namespace dynamet::app
