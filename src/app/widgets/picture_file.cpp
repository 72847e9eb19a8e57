// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/picture_file.h"

#include "app/look/palette.h"

#include <QSaveFile>
#include <QSvgGenerator>

namespace dynamet::app {

QString writePicture(const QString& path, PictureKind kind, QSize size, const QString& title,
                     const std::function<void(QPainter&)>& paint) {
    constexpr int kPixelScale = 2;
    const look::OnPaper light;
    QSaveFile file(path);
    if (!file.open(QIODevice::WriteOnly))
        return file.errorString();
    if (kind == PictureKind::png) {
        QImage image(size * kPixelScale, QImage::Format_RGB32);
        image.fill(look::surface());
        QPainter painter(&image);
        painter.scale(kPixelScale, kPixelScale);
        paint(painter);
        painter.end();
        if (!image.save(&file, "PNG"))
            return QStringLiteral("the picture could not be written");
    } else {
        QSvgGenerator svg;
        svg.setOutputDevice(&file);
        svg.setSize(size);
        svg.setViewBox(QRect(QPoint(0, 0), size));
        svg.setTitle(title);
        QPainter painter(&svg);
        paint(painter);
        painter.end();
    }
    return file.commit() ? QString() : file.errorString();
}

} // namespace dynamet::app
