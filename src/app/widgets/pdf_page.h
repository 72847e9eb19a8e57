// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>

#include <QPageLayout>
#include <QString>

class QTextDocument;

namespace dynamet::app {

/// One page of PDF: `fill(text, step)` lays the text out, smaller with each step from 0 on, until
/// it fits or `steps` are used up; then it goes on over further pages. Empty when it is written,
/// else why not.
QString writePdfPage(const QString& path, const QPageLayout& layout, const QString& title,
                     int steps, const std::function<void(QTextDocument&, int)>& fill);

} // namespace dynamet::app
