// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/document/window_memory.h"
#include "app/exchange/copy_keeper.h"
#include "app/look/palette.h"
#include "app/shell/main_window.h"
#include "app/shell/screenshot.h"

#include <QApplication>
#include <QCommandLineParser>
#include <QDateTime>
#include <QDir>
#include <QFileInfo>
#include <QScreen>
#include <QTemporaryDir>
#include <cstdio>

namespace {

using namespace dynamet;

/// Pictures and tests stand still at this moment: 2026-11-20 12:00 UTC.
constexpr qint64 kFixedMs = 1795176000000;

book::When realNow() {
    const QDateTime now = QDateTime::currentDateTime();
    return {now.toMSecsSinceEpoch(), now.offsetFromUtc() / 60};
}

int unknownView(const QString& view) {
    std::fprintf(stderr, "dynamet: there is no view \"%s\"; the views are %s\n", qPrintable(view),
                 qPrintable(app::viewNames().join(QStringLiteral(", "))));
    return 2;
}

/// An instrument that is on the line this time only.
void connectLine(app::MainWindow& window, const QString& path) {
    if (path.isEmpty())
        return;
    app::KnownLine line;
    line.connection.path = app::toStd(path);
    window.ratePage().desk().add(line, app::LineDesk::Keep::thisTime);
}

/// Pictures are taken of a copy, so that nothing can change the demo book.
int pictures(const QString& demoBook, const QString& file, const QString& view,
             const QString& line) {
    QTemporaryDir folder;
    const QString copy = folder.filePath(QStringLiteral("demo.dynamet"));
    QFile::copy(demoBook, copy);
    QFile::setPermissions(copy, QFile::ReadOwner | QFile::WriteOwner);
    app::Document document([] { return book::When{kFixedMs, 0}; });
    if (view != QLatin1String("first-start"))
        if (const auto opened = document.open(copy); !opened) {
            std::fprintf(stderr, "dynamet: %s\n", opened.error().message.c_str());
            return 1;
        }
    app::MainWindow window(document, demoBook);
    window.resize(1280, 800);
    connectLine(window, line);
    window.show();
    if (!writePicture(window, view, file)) {
        std::fprintf(stderr, "dynamet: %s could not be written\n", qPrintable(file));
        return 1;
    }
    std::printf("%s: %s\n", qPrintable(view), qPrintable(file));
    return 0;
}

/// The demo kitchen that is installed with the program; empty = there is none.
QString installedDemo() {
    const QDir beside(QApplication::applicationDirPath());
    const QString file = beside.filePath(QStringLiteral("../share/dynamet/demo.dynamet"));
    return QFileInfo(file).isFile() ? QDir::cleanPath(file) : QString();
}

/// The window, with what was in hand when it was last closed.
int openWindow(const QString& demoBook, const QStringList& books, const QString& line) {
    app::WindowMemory memory = app::readMemory();
    app::Document document(realNow);
    document.setUnits(memory.units);
    app::MainWindow window(document, demoBook);
    const app::CopyKeeper copies(document);
    connectLine(window, line);
    // A small screen, with room for what the window manager puts around.
    const QRect room = window.screen()->availableGeometry().adjusted(8, 16, -8, -32);
    window.resize(window.size().boundedTo(room.size()));
    if (!memory.geometry.isEmpty())
        window.restoreGeometry(memory.geometry);
    const QString book = books.isEmpty() ? memory.lastBook : books.front();
    if (!books.isEmpty() || QFileInfo(book).isFile())
        window.tryBook(book);
    const auto keep = [&] {
        memory.units = document.units();
        memory.theme = app::look::chosenTheme();
        memory.geometry = window.saveGeometry();
        if (document.isOpen() && document.isWritable())
            memory.lastBook = QFileInfo(app::toQt(document.book().path())).absoluteFilePath();
        app::keepMemory(memory);
    };
    QObject::connect(&document, &app::Document::unitsChanged, keep);
    QObject::connect(&document, &app::Document::opened, keep);
    window.show();
    const int code = QApplication::exec();
    keep();
    return code;
}

} // namespace

int main(int argc, char** argv) {
    QApplication application(argc, argv);
    QApplication::setApplicationName(QStringLiteral("dynamet"));
    QGuiApplication::setDesktopFileName(QStringLiteral("org.dynamet.Dynamet"));
    QApplication::setApplicationVersion(QStringLiteral(DYNAMET_VERSION));
    QCommandLineParser parser;
    parser.setApplicationDescription(
        QStringLiteral("Measures the heat of kitchen appliances and carries recipes between them"));
    parser.addHelpOption();
    parser.addVersionOption();
    parser.addPositionalArgument(QStringLiteral("book"), QStringLiteral("kitchen book to open"));
    const QCommandLineOption demo(QStringLiteral("demo-book"),
                                  QStringLiteral("The demo kitchen offered at the first start."),
                                  QStringLiteral("file"));
    const QCommandLineOption shot(QStringLiteral("screenshot"),
                                  QStringLiteral("Write a picture and end."),
                                  QStringLiteral("file"));
    const QCommandLineOption view(QStringLiteral("view"), QStringLiteral("Which view to picture."),
                                  QStringLiteral("name"), QStringLiteral("rate"));
    const QCommandLineOption views(QStringLiteral("list-views"),
                                   QStringLiteral("Print the names of the views."));
    const QCommandLineOption line(QStringLiteral("line"),
                                  QStringLiteral("An instrument's port, for this time."),
                                  QStringLiteral("path"));
    const QCommandLineOption theme(QStringLiteral("look"),
                                   QStringLiteral("Light or dark; else as was chosen."),
                                   QStringLiteral("light|dark"));
    parser.addOptions({demo, shot, view, views, line, theme});
    parser.process(application);
    const bool asked = parser.isSet(theme);
    app::look::applyLook(
        !asked ? (parser.isSet(shot) ? app::look::ThemeChoice::light : app::readMemory().theme)
        : parser.value(theme) == QLatin1String("dark") ? app::look::ThemeChoice::dark
                                                       : app::look::ThemeChoice::light);
    if (parser.isSet(views)) {
        std::printf("%s\n", qPrintable(app::viewNames().join(QLatin1Char('\n'))));
        return 0;
    }
    if (parser.isSet(shot)) {
        if (!app::viewNames().contains(parser.value(view)))
            return unknownView(parser.value(view));
        return pictures(parser.value(demo), parser.value(shot), parser.value(view),
                        parser.value(line));
    }
    return openWindow(parser.isSet(demo) ? parser.value(demo) : installedDemo(),
                      parser.positionalArguments(), parser.value(line));
}
