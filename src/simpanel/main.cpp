// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Turns the simulated kitchen's dials: dynamet-simpanel FOLDER/control.
#include "panel.h"

#include <QApplication>
#include <QCommandLineParser>

int main(int count, char** words) {
    QApplication application(count, words);
    QApplication::setApplicationName(QStringLiteral("dynamet-simpanel"));
    QCommandLineParser parser;
    parser.setApplicationDescription(QStringLiteral("The dials of the simulated kitchen"));
    parser.addHelpOption();
    parser.addPositionalArgument(QStringLiteral("control"),
                                 QStringLiteral("The kitchen's line, FOLDER/control."));
    parser.process(application);
    Panel panel(parser.positionalArguments().value(0));
    panel.show();
    return QApplication::exec();
}
