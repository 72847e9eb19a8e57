// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QObject>

namespace dynamet::app::look {

/// What a cook or a file calls something is shown as it is written, never read as HTML: every label
/// and tool tip that was not made rich on purpose is plain, from before its first layout on.
/// Buttons of dialogs carry no icons of the desktop.
class PlainLabels : public QObject {
  public:
    using QObject::QObject;
    bool eventFilter(QObject* watched, QEvent* event) override;
};

} // namespace dynamet::app::look
