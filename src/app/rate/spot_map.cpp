// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/spot_map.h"

#include "app/look/palette.h"
#include "app/widgets/kept_picture.h"

#include <QPainter>

namespace dynamet::app {

SpotMap::SpotMap(Document& document, QWidget* parent) : QWidget(parent), document_(document) {
    setAccessibleName(QStringLiteral("Map of the surface"));
    markAsPicture(*this);
    setMinimumHeight(140);
}

void SpotMap::showSpots(const std::vector<double>& spots, int perRow) {
    spots_ = spots;
    perRow_ = perRow > 0 ? perRow : static_cast<int>(std::max<std::size_t>(1, spots.size()));
    QStringList spoken;
    for (double k : spots_)
        spoken << toQt(printTemperature(Temperature::kelvin(k), document_.units().temperature()));
    setAccessibleDescription(spoken.join(QStringLiteral(", ")));
    setVisible(!spots_.empty());
    update();
}

void SpotMap::paintEvent(QPaintEvent*) {
    if (spots_.empty())
        return;
    QPainter p(this);
    const int count = static_cast<int>(spots_.size());
    const int rows = (count + perRow_ - 1) / perRow_;
    const double w = static_cast<double>(width()) / perRow_;
    const double h = std::min(static_cast<double>(height()) / rows, 90.0);
    p.setFont(look::textFont(15, true));
    for (int i = 0; i < count; ++i) {
        const double celsius = spots_[static_cast<std::size_t>(i)] - kZeroCelsiusK;
        const int row = i / perRow_, column = i % perRow_;
        const QRectF cell(column * w, row * h, w - 2, h - 2);
        const QColor colour = look::heatColour(celsius);
        p.fillRect(cell, colour);
        const bool dark =
            look::contrast(colour, look::surface()) >= look::contrast(colour, look::ink());
        p.setPen(dark ? look::surface() : look::ink());
        p.drawText(
            cell, Qt::AlignCenter,
            toQt(printTemperature(Temperature::celsius(celsius), document_.units().temperature())));
    }
}

} // namespace dynamet::app
