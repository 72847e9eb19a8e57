// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/cook/awake.h"

#include <QDBusConnection>
#include <QDBusMessage>
#include <QDBusPendingCallWatcher>
#include <QDBusPendingReply>

namespace dynamet::app {
namespace {

QDBusMessage call(const char* method) {
    return QDBusMessage::createMethodCall(QStringLiteral("org.freedesktop.ScreenSaver"),
                                          QStringLiteral("/org/freedesktop/ScreenSaver"),
                                          QStringLiteral("org.freedesktop.ScreenSaver"),
                                          QString::fromLatin1(method));
}

} // namespace

Awake::~Awake() {
    keep(false);
}

void Awake::keep(bool awake) {
    if (awake == asked_)
        return;
    asked_ = awake;
    QDBusConnection bus = QDBusConnection::sessionBus();
    if (!bus.isConnected())
        return;
    if (!awake) {
        if (cookie_ != 0)
            bus.asyncCall(call("UnInhibit") << cookie_);
        cookie_ = 0;
        return;
    }
    auto* answer = new QDBusPendingCallWatcher(
        bus.asyncCall(call("Inhibit")
                      << QStringLiteral("Dynamet") << QStringLiteral("Something is cooking")),
        this);
    connect(answer, &QDBusPendingCallWatcher::finished, this, [this, answer] {
        const QDBusPendingReply<quint32> reply = *answer;
        if (reply.isValid())
            cookie_ = reply.value();
        answer->deleteLater();
        if (!asked_ && cookie_ != 0) { // it ended before the answer came
            asked_ = true;
            keep(false);
        }
    });
}

} // namespace dynamet::app
