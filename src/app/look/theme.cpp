// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/look/theme.h"

#include "app/look/desktop_look.h"

#include <QApplication>
#include <QFile>
#include <QPalette>
#include <utility>

namespace dynamet::app::look {
namespace {

struct Shown {
    const Theme* theme = &lightTheme();
    int onPaper = 0; ///< how many draw on it
    ThemeChoice choice = ThemeChoice::light;
    DesktopLook* desktop = nullptr;
};
Shown& shown() {
    static Shown out;
    return out;
}

QPalette paletteOf(const Theme& t) {
    QPalette p;
    p.setColor(QPalette::Window, t.page);
    p.setColor(QPalette::Base, t.surface);
    p.setColor(QPalette::AlternateBase, t.page);
    p.setColor(QPalette::Button, t.surface);
    for (auto role :
         {QPalette::WindowText, QPalette::Text, QPalette::ButtonText, QPalette::ToolTipText})
        p.setColor(role, t.ink);
    p.setColor(QPalette::PlaceholderText, t.quietInk);
    p.setColor(QPalette::Highlight, t.accent);
    p.setColor(QPalette::HighlightedText, t.onAccent);
    p.setColor(QPalette::ToolTipBase, t.surface);
    p.setColor(QPalette::Link, t.accent);
    for (auto role : {QPalette::WindowText, QPalette::Text, QPalette::ButtonText})
        p.setColor(QPalette::Disabled, role, t.disabled);
    return p;
}

/// The sheet with the colours' names filled in.
QString sheetOf(const Theme& t) {
    QFile file(QStringLiteral(":/look/sheet.qss"));
    if (!file.open(QIODevice::ReadOnly))
        return {};
    QString out = QString::fromUtf8(file.readAll());
    const std::pair<const char*, QColor> names[]{{"page", t.page},
                                                 {"surface", t.surface},
                                                 {"sunken", t.sunken},
                                                 {"field", t.field},
                                                 {"ink", t.ink},
                                                 {"quietInk", t.quietInk},
                                                 {"disabled", t.disabled},
                                                 {"rule", t.rule},
                                                 {"edge", t.edge},
                                                 {"bar", t.bar},
                                                 {"accent", t.accent},
                                                 {"accentHover", t.accentHover},
                                                 {"accentPressed", t.accentPressed},
                                                 {"accentOff", t.accentOff},
                                                 {"onAccent", t.onAccent},
                                                 {"onAccentOff", t.onAccentOff},
                                                 {"caution", t.caution},
                                                 {"cautionGround", t.cautionGround},
                                                 {"good", t.good},
                                                 {"selected", t.selected}};
    for (const auto& [name, colour] : names)
        out.replace(QStringLiteral("@%1@").arg(QLatin1String(name)), colour.name());
    return out.replace(QStringLiteral("@dark@"), t.dark ? QStringLiteral("-dark") : QString());
}

void show(const Theme& theme) {
    shown().theme = &theme;
    QApplication::setPalette(paletteOf(theme));
    qApp->setStyleSheet(sheetOf(theme));
}

} // namespace

const Theme& lightTheme() {
    static const Theme out = [] {
        Theme t;
        t.page = QColor(0xed, 0xf0, 0xf0);
        t.surface = QColor(0xfa, 0xfb, 0xfb);
        t.sunken = QColor(0xe3, 0xe8, 0xe8);
        t.field = QColor(0xff, 0xff, 0xff);
        t.ink = QColor(0x1b, 0x24, 0x26);
        t.quietInk = QColor(0x4a, 0x58, 0x5b);
        t.disabled = QColor(0x76, 0x82, 0x84);
        t.rule = QColor(0xc6, 0xcf, 0xd0);
        t.edge = QColor(0x7f, 0x8d, 0x8f);
        t.bar = QColor(0xb3, 0xbe, 0xc0);
        t.accent = QColor(0xa8, 0x42, 0x18);
        t.accentHover = QColor(0x8d, 0x36, 0x13);
        t.accentPressed = QColor(0x74, 0x2b, 0x0e);
        t.accentOff = QColor(0xd9, 0xc3, 0xb9);
        t.onAccent = QColor(0xff, 0xff, 0xff);
        t.onAccentOff = QColor(0x5c, 0x4a, 0x42);
        t.caution = QColor(0x7a, 0x4c, 0x00);
        t.cautionGround = QColor(0xf7, 0xea, 0xcc);
        t.good = QColor(0x2b, 0x5f, 0x45);
        t.selected = QColor(0xdd, 0xe5, 0xe4);
        t.reference = QColor(0x3f, 0x55, 0x6b);
        t.heatMark = QColor(0xf3, 0xdc, 0xc9);
        t.wordMark = QColor(0xdf, 0xe6, 0xe6);
        return t;
    }();
    return out;
}

const Theme& darkTheme() {
    static const Theme out = [] {
        Theme t;
        t.page = QColor(0x14, 0x1a, 0x1b);
        t.surface = QColor(0x1d, 0x25, 0x26);
        t.sunken = QColor(0x2a, 0x34, 0x35);
        t.field = QColor(0x11, 0x16, 0x17);
        t.ink = QColor(0xe9, 0xee, 0xee);
        t.quietInk = QColor(0xad, 0xb9, 0xba);
        t.disabled = QColor(0x86, 0x93, 0x95);
        t.rule = QColor(0x43, 0x4f, 0x51);
        t.edge = QColor(0x7d, 0x8b, 0x8d);
        t.bar = QColor(0x5d, 0x6a, 0x6c);
        t.accent = QColor(0xe8, 0x93, 0x62);
        t.accentHover = QColor(0xf0, 0xa8, 0x7c);
        t.accentPressed = QColor(0xcf, 0x7b, 0x4b);
        t.accentOff = QColor(0x4a, 0x38, 0x2f);
        t.onAccent = QColor(0x1c, 0x10, 0x09);
        t.onAccentOff = QColor(0xb9, 0xa5, 0x9b);
        t.caution = QColor(0xf3, 0xcf, 0x86);
        t.cautionGround = QColor(0x3b, 0x2e, 0x14);
        t.good = QColor(0x93, 0xd3, 0xb1);
        t.selected = QColor(0x2e, 0x3b, 0x3c);
        t.reference = QColor(0x9f, 0xba, 0xd4);
        t.heatMark = QColor(0x5a, 0x35, 0x20);
        t.wordMark = QColor(0x33, 0x3f, 0x41);
        t.dark = true;
        return t;
    }();
    return out;
}

const Theme& theme() {
    return shown().onPaper > 0 ? lightTheme() : *shown().theme;
}

const Theme& windowTheme() {
    return *shown().theme;
}

QColor twinIn(const Theme& theme, const QColor& colour) {
    const Theme& other = theme.dark ? lightTheme() : darkTheme();
    for (QColor Theme::*const one :
         {&Theme::ink, &Theme::quietInk, &Theme::surface, &Theme::sunken, &Theme::rule, &Theme::bar,
          &Theme::accent, &Theme::reference, &Theme::good, &Theme::caution, &Theme::page})
        if ((other.*one).rgb() == (colour.rgb() | 0xff000000U)) {
            QColor out = theme.*one;
            out.setAlpha(colour.alpha());
            return out;
        }
    return colour;
}

ThemeChoice after(ThemeChoice choice) {
    return choice == ThemeChoice::asDesktop ? ThemeChoice::light
           : choice == ThemeChoice::light   ? ThemeChoice::dark
                                            : ThemeChoice::asDesktop;
}

QString themeWords(ThemeChoice choice) {
    return choice == ThemeChoice::asDesktop ? QStringLiteral("Look: as the desktop")
           : choice == ThemeChoice::light   ? QStringLiteral("Look: light")
                                            : QStringLiteral("Look: dark");
}

void chooseTheme(ThemeChoice choice) {
    Shown& now = shown();
    now.choice = choice;
    if (choice == ThemeChoice::asDesktop) {
        if (!now.desktop) {
            now.desktop = new DesktopLook(qApp);
            QObject::connect(now.desktop, &DesktopLook::changed, qApp, [] {
                if (shown().choice == ThemeChoice::asDesktop)
                    show(shown().desktop->isDark() ? darkTheme() : lightTheme());
            });
        }
        return show(now.desktop->isDark() ? darkTheme() : lightTheme());
    }
    show(choice == ThemeChoice::dark ? darkTheme() : lightTheme());
}

ThemeChoice chosenTheme() {
    return shown().choice;
}

OnPaper::OnPaper() {
    ++shown().onPaper;
}
OnPaper::~OnPaper() {
    --shown().onPaper;
}

} // namespace dynamet::app::look
