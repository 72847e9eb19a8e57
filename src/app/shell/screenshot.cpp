// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/shell/screenshot.h"

#include <QApplication>
#include <QElapsedTimer>
#include <QPixmap>

namespace dynamet::app {
namespace {

void settle(MainWindow& window) {
    QElapsedTimer timer;
    timer.start();
    do
        QApplication::processEvents(QEventLoop::AllEvents, 20);
    while ((timer.elapsed() < 150 || !window.isIdle()) && timer.elapsed() < 60000);
    QApplication::processEvents();
}

} // namespace

QStringList viewNames() {
    return {QStringLiteral("first-start"), QStringLiteral("rate"), QStringLiteral("rate-grill"),
            QStringLiteral("translate"), QStringLiteral("translate-row")};
}

bool writePicture(MainWindow& window, const QString& view, const QString& file) {
    if (!viewNames().contains(view))
        return false;
    if (view == QLatin1String("rate")) {
        window.go(MainWindow::rate);
        window.lineUp().select("deck");
        window.ratePage().showNewestTest();
    } else if (view == QLatin1String("rate-grill")) {
        window.go(MainWindow::rate);
        window.lineUp().select("yard-grill");
    } else if (view != QLatin1String("first-start")) {
        window.lineUp().select("deck");
        window.go(MainWindow::translate);
        settle(window);
        if (view == QLatin1String("translate-row"))
            window.translatePage().chooseTarget("gale");
        else
            window.translatePage().reach().closeRow();
    }
    settle(window);
    return window.grab().save(file, "PNG");
}

} // namespace dynamet::app
