// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QPainter>
#include <QSize>
#include <QString>
#include <functional>

namespace dynamet::app {

/// What a file dialog offers for a picture.
QString pictureFilter();

/// Writes what `paint` draws into `size` on paper: .svg and .pdf in lines and letters, .png with
/// twice the pixels; the ending says which. The file is there whole or not at all. Empty when done,
/// else the reason.
QString writePicture(const QString& path, QSize size, const QString& title,
                     const std::function<void(QPainter&)>& paint);

} // namespace dynamet::app
