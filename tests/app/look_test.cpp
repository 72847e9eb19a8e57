// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/look/palette.h"

#include <QApplication>
#include <QFile>
#include <QFontDatabase>
#include <QFontInfo>
#include <QFontMetrics>
#include <QRegularExpression>
#include <gtest/gtest.h>

namespace {

using namespace dynamet::app;

// WCAG 2.1: 1.4.3 asks 4.5 : 1 for text, 1.4.11 asks 3 : 1 for what shows where a control is and
// what is focused; what is disabled is exempt, ours keeps 3.
TEST(Look, BothThemesStandOutFromEveryGround) {
    for (const look::Theme* theme : {&look::lightTheme(), &look::darkTheme()}) {
        const std::string of = theme->dark ? "dark" : "light";
        for (const QColor& ground :
             {theme->page, theme->surface, theme->selected, theme->field, theme->sunken}) {
            const std::string on = of + " on " + ground.name().toStdString();
            for (const QColor& text : {theme->ink, theme->quietInk, theme->caution, theme->good})
                EXPECT_GE(look::contrast(text, ground), 4.5) << on << text.name().toStdString();
            EXPECT_GE(look::contrast(theme->accent, ground), 4.5) << on;
            EXPECT_GE(look::contrast(theme->reference, ground), 4.5) << on;
            EXPECT_GE(look::contrast(theme->disabled, ground), 3.0) << on;
        }
        EXPECT_GE(look::contrast(theme->edge, theme->field), 3.0) << of;
        EXPECT_GE(look::contrast(theme->edge, theme->surface), 3.0) << of;
        for (const QColor& ground : {theme->accent, theme->accentHover, theme->accentPressed})
            EXPECT_GE(look::contrast(theme->onAccent, ground), 4.5) << of;
        EXPECT_GE(look::contrast(theme->onAccentOff, theme->accentOff), 4.5) << of;
        EXPECT_GE(look::contrast(theme->caution, theme->cautionGround), 4.5) << of;
        for (const QColor& mark : {theme->heatMark, theme->wordMark})
            EXPECT_GE(look::contrast(theme->ink, mark), 4.5) << of;
    }
    EXPECT_NEAR(look::contrast(Qt::black, Qt::white), 21, 1e-6); // WCAG's own example
}

TEST(Look, TheSheetNamesNoColourOfItsOwnAndPaperIsLight) {
    QFile sheet(QStringLiteral(":/look/sheet.qss"));
    ASSERT_TRUE(sheet.open(QIODevice::ReadOnly));
    const QString text = QString::fromUtf8(sheet.readAll());
    EXPECT_FALSE(text.contains(QRegularExpression(QStringLiteral("#[0-9a-f]{6}|white|black"))));
    look::chooseTheme(look::ThemeChoice::dark);
    EXPECT_TRUE(look::theme().dark);
    EXPECT_FALSE(qApp->styleSheet().contains(QLatin1Char('@'))) << "a name is not known";
    {
        const look::OnPaper paper;
        EXPECT_FALSE(look::theme().dark);
    }
    EXPECT_TRUE(look::theme().dark);
    look::chooseTheme(look::ThemeChoice::light);
    EXPECT_FALSE(look::theme().dark);
    auto choice = look::ThemeChoice::asDesktop;
    for (int i = 0; i < 3; ++i)
        choice = look::after(choice);
    EXPECT_EQ(choice, look::ThemeChoice::asDesktop);
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
