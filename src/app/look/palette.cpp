// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/look/palette.h"

#include "app/look/plain_labels.h"

#include <QApplication>
#include <QFontDatabase>
#include <QStyleFactory>
#include <algorithm>
#include <array>
#include <cmath>

namespace dynamet::app::look {
namespace {

double luminance(const QColor& c) {
    const auto part = [](double v) {
        return v <= 0.03928 ? v / 12.92 : std::pow((v + 0.055) / 1.055, 2.4);
    };
    return 0.2126 * part(c.redF()) + 0.7152 * part(c.greenF()) + 0.0722 * part(c.blueF());
}

struct Stop {
    double celsius;
    int r, g, b;
};
// Slate, olive, sand, brick, deep brick; lightness falls all the way.
constexpr std::array<Stop, 5> kRamp{{{20, 0xc3, 0xcf, 0xd8},
                                     {100, 0xa9, 0xb4, 0x86},
                                     {200, 0xc0, 0x94, 0x4f},
                                     {300, 0xa3, 0x50, 0x33},
                                     {600, 0x57, 0x1d, 0x17}}};

} // namespace

double contrast(const QColor& a, const QColor& b) {
    const double la = luminance(a), lb = luminance(b);
    return (std::max(la, lb) + 0.05) / (std::min(la, lb) + 0.05);
}

QColor heatColour(double celsius) {
    const double c = std::clamp(celsius, kRamp.front().celsius, kRamp.back().celsius);
    std::size_t i = 1;
    while (i + 1 < kRamp.size() && kRamp[i].celsius < c)
        ++i;
    const Stop &a = kRamp[i - 1], &b = kRamp[i];
    const double share = (c - a.celsius) / (b.celsius - a.celsius);
    const auto mix = [share](int x, int y) {
        return static_cast<int>(std::lround(std::lerp(x, y, share)));
    };
    return QColor(mix(a.r, b.r), mix(a.g, b.g), mix(a.b, b.b));
}

double axisPlace(double celsius) {
    const double c = std::clamp(celsius, 0.0, 600.0);
    return c <= 300 ? c / 300 * 0.84 : 0.84 + (c - 300) / 300 * 0.16;
}

QFont textFont(int pixels, bool bold) {
    QFont font(QStringLiteral("B612"));
    font.setPixelSize(pixels);
    font.setBold(bold);
    return font;
}

void applyLook(ThemeChoice choice) {
    for (const char* file :
         {":/look/B612-Regular.otf", ":/look/B612-Bold.otf", ":/look/B612-Italic.otf"})
        QFontDatabase::addApplicationFont(QString::fromLatin1(file));
    qApp->installEventFilter(new PlainLabels(qApp));
    QApplication::setStyle(QStyleFactory::create(QStringLiteral("Fusion")));
    QApplication::setFont(textFont(13));
    chooseTheme(choice);
}

} // namespace dynamet::app::look
