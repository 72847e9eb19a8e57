// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Menu, buttons and keys give the same commands, and only where they mean something.
#include "app/hands.h"
#include "app/shell/commands.h"

namespace {

using namespace hands;

QAction& commandOf(Bench& bench, const char* name) {
    for (QAction* action : bench.window->actions())
        if (action->text().startsWith(QString::fromUtf8(name)))
            return *action;
    ADD_FAILURE() << "no command " << name;
    static QAction none;
    return none;
}

TEST(Commands, TheMenuHoldsEveryCommandWithItsKeys) {
    Bench bench;
    auto* button = find<QToolButton>(bench.window.get(), "Menu");
    ASSERT_NE(button, nullptr);
    QSet<QAction*> shown;
    for (QAction* action : button->menu()->actions())
        if (!action->isSeparator())
            shown.insert(action);
    const auto all = bench.window->actions();
    EXPECT_EQ(shown, (QSet<QAction*>(all.begin(), all.end())));
    QSet<QString> keys;
    for (QAction* action : shown) {
        EXPECT_FALSE(action->text().isEmpty());
        for (const QKeySequence& sequence : action->shortcuts()) {
            EXPECT_FALSE(keys.contains(sequence.toString())) << "one key, two commands";
            keys.insert(sequence.toString());
        }
    }
    EXPECT_GE(keys.size(), 10);
}

// Half of an old book's recipes are in gas marks; the oven's dial is not.
TEST(Commands, GasMarksStandBesideAnOvensDialWhereTheCookWantsThem) {
    Bench bench;
    bench.choose("Deck");
    auto* sheet = find<QTableView>(bench.window.get(), "Rate sheet");
    ASSERT_NE(sheet, nullptr);
    const auto rows = [&] {
        QStringList out;
        for (int row = 0; row < sheet->model()->rowCount(); ++row)
            out << sheet->model()->headerData(row, Qt::Vertical).toString();
        return out.join(QLatin1Char('|'));
    };
    EXPECT_FALSE(rows().contains(QStringLiteral("gas"))) << rows().toStdString();
    bench.press(Qt::Key_G, Qt::ControlModifier);
    EXPECT_TRUE(rows().contains(QStringLiteral("180 °C (gas 4)"))) << rows().toStdString();
    EXPECT_TRUE(commandOf(bench, "Gas marks").isChecked());
    bench.press(Qt::Key_U, Qt::ControlModifier);
    EXPECT_TRUE(rows().contains(QStringLiteral("(356 °F, gas 4)"))) << rows().toStdString();
    bench.press(Qt::Key_G, Qt::ControlModifier);
    EXPECT_FALSE(rows().contains(QStringLiteral("gas"))) << rows().toStdString();
}

TEST(Commands, NothingOfTheWorkCanBeDoneOnTheFirstPage) {
    Bench bench(false);
    for (const char* name : {"Rate", "Translate", "Kitchen", "Import", "Save", "Undo", "Redo",
                             "Find an appliance", "Work in a copy"})
        EXPECT_FALSE(commandOf(bench, name).isEnabled()) << name;
    EXPECT_TRUE(commandOf(bench, "Guide").isEnabled());
}

// A key of the bench used to act from the pages beside it.
TEST(Commands, Defect130AKeyDoesNotActInAHiddenPage) {
    Bench bench;
    bench.choose("Deck oven");
    EXPECT_TRUE(commandOf(bench, "Import").isEnabled());
    click(bench.window.get(), "Page Find");
    EXPECT_FALSE(commandOf(bench, "Import").isEnabled());
    EXPECT_FALSE(commandOf(bench, "Save").isEnabled());
    bench.press(Qt::Key_I, Qt::ControlModifier);
    EXPECT_EQ(QApplication::activeModalWidget(), nullptr);
    click(bench.window.get(), "Page Bench");
    EXPECT_TRUE(commandOf(bench, "Import").isEnabled());
    click(bench.window.get(), "Map a surface by infrared");
    EXPECT_FALSE(commandOf(bench, "Import").isEnabled()) << "its readings are typed";
    bench.press(Qt::Key_2, Qt::ControlModifier);
    EXPECT_FALSE(commandOf(bench, "Import").isEnabled());
}

TEST(Commands, KeysGoWhereTheButtonsGo) {
    Bench bench;
    bench.press(Qt::Key_K, Qt::ControlModifier);
    auto* kitchen = find<QPushButton>(bench.window.get(), "Workspace Kitchen");
    EXPECT_TRUE(kitchen->isChecked());
    EXPECT_TRUE(kitchen->toolTip().contains(QStringLiteral("Ctrl+K")));
    bench.press(Qt::Key_U, Qt::ControlModifier);
    EXPECT_TRUE(bench.document.units().fahrenheit);
    bench.press(Qt::Key_U, Qt::ControlModifier);
    EXPECT_FALSE(bench.document.units().fahrenheit);
    bench.press(Qt::Key_O, Qt::ControlModifier);
    EXPECT_FALSE(commandOf(bench, "Undo").isEnabled());
    EXPECT_TRUE(commandOf(bench, "Rate").isEnabled()) << "the book is still open";
    bench.press(Qt::Key_1, Qt::ControlModifier);
    EXPECT_TRUE(find<QPushButton>(bench.window.get(), "Workspace Rate")->isChecked());
}

TEST(Commands, UndoSaysWhatItWouldTakeBack) {
    Bench bench;
    EXPECT_FALSE(commandOf(bench, "Undo").isEnabled());
    auto site = bench.document.kitchen().sites.front();
    site.name = "Cellar";
    ASSERT_TRUE(bench.document.change(site).has_value());
    EXPECT_TRUE(commandOf(bench, "Undo change of Cellar").isEnabled());
    auto* button = find<QToolButton>(bench.window.get(), "Undo");
    EXPECT_TRUE(button->isEnabled());
    EXPECT_TRUE(button->toolTip().contains(QStringLiteral("Cellar")));
    click(bench.window.get(), "Undo");
    EXPECT_NE(bench.document.kitchen().sites.front().name, "Cellar");
    EXPECT_TRUE(commandOf(bench, "Redo change of Cellar").isEnabled());
}

// Walked by hand on X: Ctrl+U in a field rubbed out what was typed instead of switching the units.
TEST(Defect167, TheUnitsKeyIsNotAFieldsOwn) {
    Bench bench(false);
    auto* field = find<QLineEdit>(bench.window.get(), "Name of the kitchen");
    ASSERT_NE(field, nullptr);
    QKeyEvent own(QEvent::ShortcutOverride, Qt::Key_U, Qt::ControlModifier);
    own.accept();
    QApplication::sendEvent(field, &own);
    EXPECT_FALSE(own.isAccepted());
}

} // namespace
