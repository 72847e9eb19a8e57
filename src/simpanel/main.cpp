// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Turns the simulated kitchen's dials: dynamet-simpanel FOLDER/control.
#include "panel.h"

#include <QApplication>

int main(int count, char** words) {
    QApplication application(count, words);
    const QStringList all = QApplication::arguments();
    Panel panel(all.value(1));
    panel.show();
    return QApplication::exec();
}
