// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/look/desktop_look.h"

#include <QDBusConnection>
#include <QDBusMessage>
#include <QGuiApplication>
#include <QPalette>

namespace dynamet::app::look {
namespace {

constexpr const char* kService = "org.freedesktop.portal.Desktop";
constexpr const char* kPath = "/org/freedesktop/portal/desktop";
constexpr const char* kSettings = "org.freedesktop.portal.Settings";
constexpr const char* kGroup = "org.freedesktop.appearance";
constexpr const char* kKey = "color-scheme";
constexpr unsigned kPrefersDark = 1; // of the portal's description

/// What is inside however many variants.
unsigned schemeOf(QVariant value) {
    while (value.canConvert<QDBusVariant>())
        value = value.value<QDBusVariant>().variant();
    return value.toUInt();
}

} // namespace

DesktopLook::DesktopLook(QObject* parent) : QObject(parent) {
    constexpr int kHalf = 128;
    static const bool darkWindows =
        QGuiApplication::palette().color(QPalette::Window).lightness() < kHalf;
    dark_ = darkWindows;
    QDBusConnection bus = QDBusConnection::sessionBus();
    if (!bus.isConnected())
        return;
    constexpr int kPatienceMs = 300;
    QDBusMessage ask =
        QDBusMessage::createMethodCall(QString::fromLatin1(kService), QString::fromLatin1(kPath),
                                       QString::fromLatin1(kSettings), QStringLiteral("Read"));
    ask.setArguments({QString::fromLatin1(kGroup), QString::fromLatin1(kKey)});
    const QDBusMessage answer = bus.call(ask, QDBus::Block, kPatienceMs);
    if (answer.type() == QDBusMessage::ReplyMessage && !answer.arguments().isEmpty())
        dark_ = schemeOf(answer.arguments().constFirst()) == kPrefersDark;
    bus.connect(QString::fromLatin1(kService), QString::fromLatin1(kPath),
                QString::fromLatin1(kSettings), QStringLiteral("SettingChanged"), this,
                SLOT(settingChanged(QString, QString, QDBusVariant)));
}

void DesktopLook::settingChanged(const QString& group, const QString& key,
                                 const QDBusVariant& value) {
    if (group != QLatin1String(kGroup) || key != QLatin1String(kKey))
        return;
    const bool dark = schemeOf(value.variant()) == kPrefersDark;
    if (dark == dark_)
        return;
    dark_ = dark;
    emit changed();
}

} // namespace dynamet::app::look
