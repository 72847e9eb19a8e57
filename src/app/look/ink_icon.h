// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QIcon>

namespace dynamet::app::look {

/// A drawing of ours (":/look/icons/undo.svg") in the ink of whatever look is shown.
QIcon inkIcon(const QString& path);

} // namespace dynamet::app::look
