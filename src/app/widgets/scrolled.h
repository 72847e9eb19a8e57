// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QScrollArea>

namespace dynamet::app {

/// Content that is scrolled where the screen is too small for it, and looks as without where not.
QScrollArea* scrolled(QWidget* content);

/// Gives a window a size, no larger than its screen.
void resizeOnScreen(QWidget& window, QSize size);

} // namespace dynamet::app
