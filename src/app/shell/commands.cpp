// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/shell/commands.h"

#include "app/look/theme.h"
#include "app/widgets/type_to_choose.h"

#include <QApplication>
#include <QKeyEvent>

namespace dynamet::app {

Commands::Commands(QWidget& window) : QObject(&window), menu_(new QMenu(&window)) {
    const auto add = [&](Command command, const QString& name, const QList<QKeySequence>& keys) {
        auto* action = new QAction(name, this);
        action->setShortcuts(keys);
        window.addAction(action);
        menu_->addAction(action);
        actions_[command] = action;
    };
    menu_->setAccessibleName(QStringLiteral("Menu"));
    add(rate, QStringLiteral("Rate"), {Qt::CTRL | Qt::Key_1});
    add(translate, QStringLiteral("Translate"), {Qt::CTRL | Qt::Key_2});
    add(plan, QStringLiteral("Plan"), {Qt::CTRL | Qt::Key_3});
    add(cook, QStringLiteral("Cook"), {Qt::CTRL | Qt::Key_4});
    add(compare, QStringLiteral("Compare"), {Qt::CTRL | Qt::Key_5});
    add(kitchen, QStringLiteral("Kitchen"), {Qt::CTRL | Qt::Key_K});
    add(logbook, QStringLiteral("Logbook"), {Qt::CTRL | Qt::Key_L, Qt::CTRL | Qt::Key_F});
    add(findAppliance, QStringLiteral("Find an appliance"), {Qt::Key_Slash});
    menu_->addSeparator();
    add(importLog, QStringLiteral("Import a log…"), {Qt::CTRL | Qt::Key_I});
    add(saveRating, QStringLiteral("Save the rating"),
        {Qt::CTRL | Qt::Key_Return, Qt::CTRL | Qt::Key_Enter});
    add(measureLive, QStringLiteral("Measure live, start, stop"), {Qt::Key_F5});
    add(instruments, QStringLiteral("Instruments on the line…"), {});
    add(wallSheet, QStringLiteral("Sheet for the wall…"), {Qt::CTRL | Qt::Key_P});
    add(picture, QStringLiteral("Keep a picture…"), {Qt::CTRL | Qt::SHIFT | Qt::Key_P});
    add(nextTest, QStringLiteral("What to rate next…"), {});
    add(testDay, QStringLiteral("A test day…"), {});
    menu_->addSeparator();
    add(undo, QStringLiteral("Undo"), {Qt::CTRL | Qt::Key_Z});
    add(redo, QStringLiteral("Redo"), {Qt::CTRL | Qt::SHIFT | Qt::Key_Z, Qt::CTRL | Qt::Key_Y});
    menu_->addSeparator();
    add(switchUnits, QStringLiteral("Switch between °C, mm and °F, inches"),
        {Qt::CTRL | Qt::Key_U});
    add(gasMarks, QStringLiteral("Gas marks beside oven dials"), {Qt::CTRL | Qt::Key_G});
    actions_[gasMarks]->setCheckable(true);
    add(changeLook, look::themeWords(look::chosenTheme()), {Qt::CTRL | Qt::Key_D});
    add(openBook, QStringLiteral("Open or begin another book"), {Qt::CTRL | Qt::Key_O});
    add(workInCopy, QStringLiteral("Work in a copy…"), {});
    add(exportBook, QStringLiteral("Export changes…"), {Qt::CTRL | Qt::Key_E});
    add(takeIn, QStringLiteral("Take in changes…"), {Qt::CTRL | Qt::SHIFT | Qt::Key_E});
    add(share, QStringLiteral("Share one appliance or recipe…"), {});
    add(ratings, QStringLiteral("All ratings as a table…"), {});
    add(copies, QStringLiteral("Copies of the last days…"), {});
    menu_->addSeparator();
    add(guide, QStringLiteral("Guide"), {Qt::Key_F1});
    add(quit, QStringLiteral("Quit"), {Qt::CTRL | Qt::Key_Q});
    enable({});
    qApp->installEventFilter(this);
    qApp->installEventFilter(new TypeToChoose(this));
}

bool Commands::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::ShortcutOverride) {
        const auto* key = static_cast<QKeyEvent*>(event);
        const QKeySequence pressed(key->keyCombination());
        // A field would take these for moves in its text.
        for (const Command command : {switchUnits, exportBook, changeLook})
            if (actions_[command]->shortcuts().contains(pressed)) {
                event->ignore();
                return true;
            }
    }
    // A dialog keeps the window's own keys away; help is wanted there most.
    if (event->type() == QEvent::KeyPress && static_cast<QKeyEvent*>(event)->key() == Qt::Key_F1 &&
        watched == QApplication::focusWidget() && QApplication::activeModalWidget()) {
        emit helpWanted(QApplication::activeModalWidget());
        return true;
    }
    return QObject::eventFilter(watched, event);
}

void Commands::enable(const Situation& now) {
    using Place = Situation::Place;
    const auto can = [this](Command command, bool yes) { actions_[command]->setEnabled(yes); };
    const bool working = now.bookOpen && now.place != Place::books;
    for (const Command command : {rate, translate, plan, cook, compare, kitchen, logbook,
                                  workInCopy, findAppliance, exportBook, share, ratings, copies})
        can(command, now.bookOpen);
    can(findAppliance, working);
    can(takeIn, now.bookOpen && now.writable);
    can(importLog, now.place == Place::rate && now.atBench && now.canImport && now.writable);
    can(saveRating, now.place == Place::rate && now.atBench && now.canSave && now.writable);
    can(measureLive, now.place == Place::rate && now.hasAppliance && now.writable);
    can(instruments, working);
    can(picture, working);
    can(nextTest, working);
    can(testDay, working);
    can(wallSheet, now.place == Place::rate && now.hasAppliance);
    can(undo, working && !now.undo.isEmpty());
    can(redo, working && !now.redo.isEmpty());
    can(openBook, working);
    actions_[gasMarks]->setChecked(now.gasMarks);
    actions_[changeLook]->setText(look::themeWords(look::chosenTheme()));
    actions_[undo]->setText(now.undo.isEmpty() ? QStringLiteral("Undo")
                                               : QStringLiteral("Undo %1").arg(now.undo));
    actions_[redo]->setText(now.redo.isEmpty() ? QStringLiteral("Redo")
                                               : QStringLiteral("Redo %1").arg(now.redo));
}

} // namespace dynamet::app
