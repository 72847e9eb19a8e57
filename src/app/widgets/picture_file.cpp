// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/picture_file.h"

#include "app/look/palette.h"

#include <QFileInfo>
#include <QPdfWriter>
#include <QSaveFile>
#include <QSvgGenerator>

namespace dynamet::app {
namespace {

constexpr int kDpi = 96; // a pixel of the screen is one of the page (CSS)

using Paint = std::function<void(QPainter&)>;

bool writePng(QSaveFile& file, QSize size, const Paint& paint) {
    constexpr int kPixelScale = 2;
    QImage image(size * kPixelScale, QImage::Format_RGB32);
    QPainter painter(&image);
    painter.scale(kPixelScale, kPixelScale);
    paint(painter);
    painter.end();
    return image.save(&file, "PNG");
}

bool writeSvg(QSaveFile& file, QSize size, const QString& title, const Paint& paint) {
    QSvgGenerator svg;
    svg.setOutputDevice(&file);
    svg.setResolution(kDpi);
    svg.setSize(size);
    svg.setViewBox(QRect(QPoint(0, 0), size));
    svg.setTitle(title);
    QPainter painter;
    if (!painter.begin(&svg))
        return false;
    paint(painter);
    return painter.end();
}

bool writePdf(QSaveFile& file, QSize size, const QString& title, const Paint& paint) {
    constexpr double kPointsPerInch = 72;
    QPdfWriter pdf(&file);
    pdf.setTitle(title);
    pdf.setResolution(kDpi);
    pdf.setPageSize(QPageSize(QSizeF(size) * kPointsPerInch / kDpi, QPageSize::Point));
    pdf.setPageMargins(QMarginsF());
    QPainter painter;
    if (!painter.begin(&pdf))
        return false;
    paint(painter);
    return painter.end();
}

} // namespace

QString pictureFilter() {
    return QStringLiteral("Pictures (*.svg *.pdf *.png)");
}

QString writePicture(const QString& path, QSize size, const QString& title, const Paint& paint) {
    const QString ending = QFileInfo(path).suffix().toLower();
    if (ending != QLatin1String("png") && ending != QLatin1String("svg") &&
        ending != QLatin1String("pdf"))
        return QStringLiteral("the name has to end in .svg, .pdf or .png");
    const look::OnPaper light;
    const Paint onGround = [&](QPainter& painter) {
        painter.fillRect(QRect(QPoint(0, 0), size), look::surface());
        paint(painter);
    };
    QSaveFile file(path);
    if (!file.open(QIODevice::WriteOnly))
        return file.errorString();
    const bool drawn = ending == QLatin1String("png")   ? writePng(file, size, onGround)
                       : ending == QLatin1String("svg") ? writeSvg(file, size, title, onGround)
                                                        : writePdf(file, size, title, onGround);
    if (!drawn)
        return QStringLiteral("the picture could not be drawn");
    return file.commit() ? QString() : file.errorString();
}

} // namespace dynamet::app
