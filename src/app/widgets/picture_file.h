// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QPainter>
#include <QSize>
#include <QString>
#include <functional>

namespace dynamet::app {

enum class PictureKind { svg, png };

/// Writes what `paint` draws into `size`, a PNG with twice the pixels; the file is there whole or
/// not at all. Empty when done, else the reason.
QString writePicture(const QString& path, PictureKind kind, QSize size, const QString& title,
                     const std::function<void(QPainter&)>& paint);

} // namespace dynamet::app
