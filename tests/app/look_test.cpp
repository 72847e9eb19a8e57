// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/look/palette.h"

#include <QFontDatabase>
#include <QFontInfo>
#include <QFontMetrics>
#include <gtest/gtest.h>

namespace {

using namespace dynamet::app;

// WCAG 2.1, success criterion 1.4.3: at least 4.5 : 1 for text.
TEST(Look, TextStandsOutFromEveryGroundItIsOn) {
    for (const QColor& ground : {look::kPage, look::kSurface, look::kSelected}) {
        EXPECT_GE(look::contrast(look::kInk, ground), 4.5);
        EXPECT_GE(look::contrast(look::kQuietInk, ground), 4.5);
        EXPECT_GE(look::contrast(look::kCaution, ground), 4.5);
        EXPECT_GE(look::contrast(look::kGood, ground), 4.5);
    }
    EXPECT_GE(look::contrast(look::kOnAccent, look::kAccent), 4.5);
    EXPECT_GE(look::contrast(look::kCaution, look::kCautionGround), 4.5);
    EXPECT_NEAR(look::contrast(Qt::black, Qt::white), 21, 1e-6); // WCAG's own example
}

TEST(Look, TheHeatRampGetsDarkerAllTheWay) {
    double before = 99;
    for (double celsius = 20; celsius <= 600; celsius += 5) {
        const double now = look::contrast(look::heatColour(celsius), Qt::black);
        EXPECT_LE(now, before + 1e-9) << celsius;
        before = now;
    }
}

TEST(Look, TheShippedFontIsUsedAndItsFiguresAreEqual) {
    EXPECT_EQ(QFontInfo(look::textFont(13)).family(), QStringLiteral("B612"));
    const QFontMetrics metrics(look::textFont(28));
    for (QChar c : QStringLiteral("0123456789"))
        EXPECT_EQ(metrics.horizontalAdvance(c), metrics.horizontalAdvance(QLatin1Char('0')))
            << c.toLatin1();
}

TEST(Look, TheAxisIsOneForAll) {
    EXPECT_LT(look::axisPlace(100), look::axisPlace(200));
    EXPECT_NEAR(look::axisPlace(200) - look::axisPlace(100),
                look::axisPlace(300) - look::axisPlace(200), 1e-9);
    EXPECT_LT(look::axisPlace(600) - look::axisPlace(300),
              look::axisPlace(300) - look::axisPlace(0))
        << "compressed above";
}

} // namespace
