// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// The real window, walked by keyboard and mouse.
#include "app/hands.h"

#include <QDropEvent>
#include <QMimeData>
#include <fstream>

namespace {

using namespace hands;

QTableView* sheet(Bench& bench) {
    return find<QTableView>(bench.window.get(), "Rate sheet");
}

/// The cell text of a row label and zone column.
QString cell(Bench& bench, const QString& row, int column = 0) {
    auto* model = sheet(bench)->model();
    for (int i = 0; i < model->rowCount(); ++i)
        if (model->headerData(i, Qt::Vertical).toString() == row)
            return model->index(i, column).data(Qt::AccessibleTextRole).toString();
    return {};
}

void goToRow(Bench& bench, const QString& row) {
    auto* view = sheet(bench);
    view->setFocus();
    QTest::keyClick(view, Qt::Key_Home, Qt::ControlModifier);
    for (int i = 0; i < view->model()->rowCount(); ++i) {
        if (view->model()->headerData(view->currentIndex().row(), Qt::Vertical).toString() == row)
            return;
        QTest::keyClick(view, Qt::Key_Down);
    }
    ADD_FAILURE() << "no row " << row.toStdString();
}

// Import, confirm, save, translate, read the window from the screen: all by keyboard.
TEST(Walk, FromALogToATranslatedRecipeByKeyboard) {
    Bench bench(true, Bench::Kitchen::few);
    bench.choose("Shelf");
    // A setting that has no row gets one. The demo's unimported log stands for this oven.
    type(bench.window.get(), "Rate at, oven", QStringLiteral("165"));
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
    EXPECT_TRUE(cell(bench, QStringLiteral("165 °C")).contains(QStringLiteral("assumed")));
    inDialog([](QWidget* dialog) {
        type(dialog, "File of the log", QStringLiteral(DEMO_LOGS "/deck-180-evening.csv"));
        EXPECT_TRUE(
            textOf(dialog, "How the log is written").contains(QStringLiteral("clock time")));
        QTest::keyClick(dialog, Qt::Key_Return);
    });
    bench.press(Qt::Key_I, Qt::ControlModifier);
    EXPECT_TRUE(
        textOf(bench.window.get(), "What was found").contains(QStringLiteral("settles at")));
    EXPECT_TRUE(cell(bench, QStringLiteral("165 °C")).contains(QStringLiteral("assumed")))
        << "a draft is no rating";
    bench.press(Qt::Key_Return, Qt::ControlModifier);
    EXPECT_TRUE(cell(bench, QStringLiteral("165 °C")).contains(QStringLiteral("measured")))
        << cell(bench, QStringLiteral("165 °C")).toStdString();

    bench.press(Qt::Key_2, Qt::ControlModifier);
    auto* list = find<QListView>(bench.window.get(), "Rows of the translation");
    ASSERT_NE(list, nullptr);
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle() && list->model()->rowCount() > 5; }));
    list->setFocus();
    QTest::keyClick(list, Qt::Key_Home);
    const QString row = list->currentIndex().data(Qt::AccessibleTextRole).toString();
    EXPECT_TRUE(row.contains(QStringLiteral("pull at"))) << row.toStdString();
    EXPECT_TRUE(row.contains(QStringLiteral("look ")) && row.contains(QStringLiteral("latest")))
        << row.toStdString();
    QTest::keyClick(list, Qt::Key_Return);
    EXPECT_TRUE(textOf(bench.window.get(), "Pull").startsWith(QStringLiteral("pull at")));
    EXPECT_TRUE(textOf(bench.window.get(), "Reasons and times")
                    .contains(QStringLiteral("Time from food in: look")));
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Escape);
    EXPECT_TRUE(isThere(bench.window.get(), "Rows of the translation"));
}

TEST(Walk, KeyedReadingsOfAGrillChangeSheetAndLineUpAtOnce) {
    Bench bench;
    bench.choose("Yard");
    goToRow(bench, QStringLiteral("off · off · high"));
    QTest::keyClick(sheet(bench), Qt::Key_Right);
    type(bench.window.get(), "Probe readings", QStringLiteral("128 133 136"));
    type(bench.window.get(), "Lid dial readings", QStringLiteral("150 150 145"));
    click(bench.window.get(), "Work it out");
    EXPECT_TRUE(textOf(bench.window.get(), "What was found").contains(QStringLiteral("132")));
    click(bench.window.get(), "Save the rating");
    EXPECT_TRUE(
        cell(bench, QStringLiteral("off · off · high"), 1).contains(QStringLiteral("measured")));
    // A burner set nobody tested is now added up from single burners.
    EXPECT_TRUE(cell(bench, QStringLiteral("high · high · high"), 1)
                    .contains(QStringLiteral("interpolated")))
        << cell(bench, QStringLiteral("high · high · high"), 1).toStdString();
}

TEST(Walk, UndoAndRedoAreOnDiskAtOnce) {
    Bench bench;
    bench.choose("Yard");
    goToRow(bench, QStringLiteral("off · off · low"));
    type(bench.window.get(), "Probe readings", QStringLiteral("140 150 145"));
    click(bench.window.get(), "Work it out");
    click(bench.window.get(), "Save the rating");
    const auto ratedNow = [&] {
        auto reader =
            dynamet::book::Book::open(bench.book.toStdString()); // a second opener reads only
        return loadKitchen(*reader)->rated["yard-grill"].size();
    };
    const auto with = ratedNow();
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(ratedNow(), with - 2);
    EXPECT_TRUE(cell(bench, QStringLiteral("off · off · low")).contains(QStringLiteral("assumed")));
    bench.press(Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
    EXPECT_EQ(ratedNow(), with);
    EXPECT_TRUE(
        cell(bench, QStringLiteral("off · off · low")).contains(QStringLiteral("measured")));
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(textOf(bench.window.get(), "Setting to be rated")
                    .contains(QStringLiteral("off · off · low")));
    EXPECT_FALSE(isThere(bench.window.get(), "Save the rating")) << "the draft was taken back too";
}

TEST(Walk, ADroppedFileOpensTheImport) {
    Bench bench;
    bench.choose("Deck");
    bool asked = false;
    QTimer::singleShot(200, qApp, [&] {
        QWidget* dialog = QApplication::activeModalWidget();
        ASSERT_NE(dialog, nullptr);
        asked = true;
        EXPECT_TRUE(find<QLineEdit>(dialog, "File of the log")
                        ->text()
                        .endsWith(QStringLiteral("deck-180-evening.csv")));
        QTest::keyClick(dialog, Qt::Key_Escape);
    });
    QMimeData mime;
    mime.setUrls({QUrl::fromLocalFile(QStringLiteral(DEMO_LOGS "/deck-180-evening.csv"))});
    auto* target = bench.window->findChild<RatePage*>();
    QDragEnterEvent enter(QPoint(40, 40), Qt::CopyAction, &mime, Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(target, &enter);
    EXPECT_TRUE(enter.isAccepted());
    QDropEvent drop(QPointF(40, 40), Qt::CopyAction, &mime, Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(target, &drop);
    EXPECT_TRUE(waitFor([&] { return asked && !QApplication::activeModalWidget(); }));
    EXPECT_TRUE(
        textOf(bench.window.get(), "What was found").contains(QStringLiteral("will stand here")));
}

TEST(Walk, ABadFileNamesItsLineAndImportsNothing) {
    Bench bench;
    bench.choose("Deck");
    const QString bad = bench.folder.filePath(QStringLiteral("bad.csv"));
    std::ofstream(bad.toStdString()) << "time_s,oven C\n0,20\n1,21\n2,2l.5\n3,22\n";
    inDialog([bad](QWidget* dialog) {
        type(dialog, "File of the log", bad);
        EXPECT_TRUE(
            textOf(dialog, "What is wrong with the file").contains(QStringLiteral("Line 4")));
        EXPECT_FALSE(find(dialog, "Import the log")->isEnabled());
        QTest::keyClick(dialog, Qt::Key_Escape);
    });
    bench.press(Qt::Key_I, Qt::ControlModifier);
    EXPECT_FALSE(bench.document.undoStack().canUndo());
}

TEST(Walk, ARefusalSaysWhyAndKeepsTheDraft) {
    Bench bench;
    bench.choose("Gale");
    bench.choose("Wall");
    const QString shortLog = bench.folder.filePath(QStringLiteral("short.csv"));
    std::ofstream out(shortLog.toStdString());
    out << "time_s,air C\n";
    for (int i = 0; i < 60; ++i)
        out << i * 5 << ',' << 20 + i * 2 << '\n';
    out.close();
    inDialog([shortLog](QWidget* dialog) {
        type(dialog, "File of the log", shortLog);
        QTest::keyClick(dialog, Qt::Key_Return);
    });
    bench.press(Qt::Key_I, Qt::ControlModifier);
    EXPECT_TRUE(textOf(bench.window.get(), "Why there is no result")
                    .contains(QStringLiteral("never settled")));
    EXPECT_TRUE(textOf(bench.window.get(), "What was found")
                    .contains(QStringLiteral("kept as an unfinished test")));
    EXPECT_TRUE(dynamet::book::listTests(bench.document.book(), "gale")->front().draft);
}

TEST(Walk, AnUnfinishedTestIsOfferedAgainAfterAnEndInBetween) {
    Bench bench;
    bench.choose("Yard");
    goToRow(bench, QStringLiteral("off · off · low"));
    type(bench.window.get(), "Probe readings", QStringLiteral("140 150 145"));
    click(bench.window.get(), "Work it out");
    // The program ends without saving; the book is opened again by a new window.
    bench.window.reset();
    ASSERT_TRUE(bench.document.open(bench.book).has_value());
    bench.window = std::make_unique<MainWindow>(bench.document, bench.book);
    bench.window->show();
    bench.choose("Yard");
    click(bench.window.get(), "Go on with the unfinished test");
    EXPECT_TRUE(textOf(bench.window.get(), "What was found").contains(QStringLiteral("145")));
    click(bench.window.get(), "Save the rating");
    EXPECT_TRUE(
        cell(bench, QStringLiteral("off · off · low")).contains(QStringLiteral("measured")));
}

TEST(Walk, UnitsSwitchEverywhere) {
    Bench bench(true, Bench::Kitchen::few);
    bench.choose("Deck");
    click(bench.window.get(), "Switch units");
    EXPECT_TRUE(cell(bench, QStringLiteral("180 °C (356 °F)")).contains(QStringLiteral("°F")));
    EXPECT_TRUE(textOf(bench.window.get(), "Site").contains(QStringLiteral("212.0 °F")) ||
                textOf(bench.window.get(), "Site").contains(QStringLiteral("211.9 °F")));
    bench.press(Qt::Key_2, Qt::ControlModifier);
    ASSERT_TRUE(waitFor(
        [&] { return bench.window->isIdle() && isThere(bench.window.get(), "Core peak"); }));
    EXPECT_EQ(textOf(bench.window.get(), "Core peak"), QStringLiteral("149 °F"));
    EXPECT_TRUE(
        find<QLineEdit>(bench.window.get(), "Thickness")->text().endsWith(QStringLiteral(" in")));
}

TEST(Walk, AThickerPieceTakesLonger) {
    Bench bench(true, Bench::Kitchen::few);
    bench.press(Qt::Key_2, Qt::ControlModifier);
    auto* list = find<QListView>(bench.window.get(), "Rows of the translation");
    ASSERT_NE(list, nullptr);
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle() && list->model()->rowCount() > 0; }));
    const auto expected = [&] {
        return bench.window->translatePage().reach().rows().item(0).row.window->expectS;
    };
    const double before = expected();
    for (int i = 0; i < 5; ++i)
        click(bench.window.get(), "More thickness");
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }));
    EXPECT_GT(expected(), before * 1.08);
    type(bench.window.get(), "Thickness", QStringLiteral("1 1/4 in"));
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }));
    EXPECT_LT(expected(), before);
}

TEST(Walk, AKeptTranslationIsASnapshotInTheBook) {
    Bench bench(true, Bench::Kitchen::few);
    bench.press(Qt::Key_2, Qt::ControlModifier);
    auto* list = find<QListView>(bench.window.get(), "Rows of the translation");
    ASSERT_NE(list, nullptr);
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle() && list->model()->rowCount() > 0; }));
    click(bench.window.get(), "Keep this translation");
    const auto kept = dynamet::book::listTranslations(bench.document.book(), "pork-caraway");
    ASSERT_EQ(kept->size(), 1u);
    for (const char* word :
         {"\"stages\"", "all.air_K", "pressure_Pa", "\"seed\"", "look_s", "composition"})
        EXPECT_NE(kept->front().snapshotJson.find(word), std::string::npos) << word;
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(dynamet::book::listTranslations(bench.document.book(), "pork-caraway")->empty());
}

TEST(Walk, TheDuckSaysThatItIsBelowTheOfficialMinimum) {
    Bench bench(true, Bench::Kitchen::few);
    bench.press(Qt::Key_2, Qt::ControlModifier);
    auto* chooser = find<QComboBox>(bench.window.get(), "Recipe");
    chooser->setFocus();
    QTest::keyClick(chooser, Qt::Key_Down);
    ASSERT_TRUE(
        waitFor([&] { return bench.window->isIdle() && isThere(bench.window.get(), "Safety"); }));
    EXPECT_TRUE(waitFor(
        [&] {
            return textOf(bench.window.get(), "Safety")
                .startsWith(QStringLiteral("! 60.0 °C is below"));
        },
        3000))
        << textOf(bench.window.get(), "Safety").toStdString();
}

} // namespace
