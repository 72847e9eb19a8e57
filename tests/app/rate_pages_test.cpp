// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// The pages of Rate beside the bench, walked by keys and mouse: find, drift, heat plane,
// thermometers, conditions and the guide.
#include "app/hands.h"

#include <QTextBrowser>
#include <fstream>

namespace {

using namespace hands;

QTableView* table(Bench& bench, const char* name) {
    return find<QTableView>(bench.window.get(), name);
}

QString rowOf(QTableView* view, int row) {
    return view->model()->index(row, 0).data(Qt::AccessibleTextRole).toString();
}

TEST(Find, AWishGivesSetupsRankedByTheirChance) {
    Bench bench;
    bench.choose("Yard grill");
    click(bench.window.get(), "Page Find");
    type(bench.window.get(), "indirect at least", QStringLiteral("130"));
    type(bench.window.get(), "indirect at most", QStringLiteral("165"));
    type(bench.window.get(), "direct at least", QStringLiteral("200"));
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
    auto* found = table(bench, "Settings that give it");
    ASSERT_GT(found->model()->rowCount(), 3);
    EXPECT_TRUE(rowOf(found, 0).contains(QStringLiteral("high · off · off")))
        << rowOf(found, 0).toStdString();
    const auto chance = [&](int row) {
        return rowOf(found, row).section(QChar(u' '), 0, 0).toInt();
    };
    bool addedUp = false;
    for (int i = 1; i < found->model()->rowCount(); ++i) {
        EXPECT_GE(chance(i - 1), chance(i));
        addedUp = addedUp || rowOf(found, i).contains(QStringLiteral("burners added up"));
    }
    EXPECT_TRUE(addedUp) << "setups nobody tested are offered and say so";
    found->setFocus();
    QTest::keyClick(found, Qt::Key_Return);
    EXPECT_TRUE(textOf(bench.window.get(), "Setting to be rated")
                    .contains(QStringLiteral("high · off · off")));
}

TEST(Find, ATypingErrorNamesTheField) {
    Bench bench;
    bench.choose("Yard grill");
    click(bench.window.get(), "Page Find");
    type(bench.window.get(), "indirect at least", QStringLiteral("warm"));
    click(bench.window.get(), "Find setups");
    EXPECT_TRUE(textOf(bench.window.get(), "What was found for the wish")
                    .contains(QStringLiteral("indirect at least")));
}

TEST(Drift, RepeatsStandOnAChartWithAVerdictAndTheirTwin) {
    Bench bench;
    bench.choose("Yard grill");
    click(bench.window.get(), "Page Drift");
    EXPECT_TRUE(textOf(bench.window.get(), "Verdict of the chart")
                    .contains(QStringLiteral("down: the last repeats")))
        << textOf(bench.window.get(), "Verdict of the chart").toStdString();
    EXPECT_TRUE(
        textOf(bench.window.get(), "Verdict of the chart").contains(QStringLiteral("fitter")));
    EXPECT_TRUE(textOf(bench.window.get(), "Others of its kind")
                    .contains(QStringLiteral("Yard grill two, of the same kind, is")));
    EXPECT_EQ(table(bench, "Repeats, one a row")->model()->rowCount(), 7);
}

TEST(HeatPlane, EveryMarkIsReachedByKeyAndThePictureIsSaved) {
    Bench bench;
    bench.choose("Deck");
    click(bench.window.get(), "Page Heat plane");
    auto* plane = find(bench.window.get(), "Heat plane");
    ASSERT_NE(plane, nullptr);
    plane->setFocus();
    auto* marks = table(bench, "Marks of the heat plane");
    for (int i = 0; i < marks->model()->rowCount(); ++i)
        QTest::keyClick(plane, Qt::Key_Left);
    EXPECT_EQ(marks->currentIndex().row(), 0);
    const QString first = textOf(bench.window.get(), "Mark in hand");
    for (int i = 1; i < marks->model()->rowCount(); ++i) {
        QTest::keyClick(plane, Qt::Key_Right);
        EXPECT_EQ(marks->currentIndex().row(), i) << "the table twin follows";
    }
    EXPECT_NE(textOf(bench.window.get(), "Mark in hand"), first);
    QTest::keyClick(plane, Qt::Key_Return);
    QTest::keyClick(plane, Qt::Key_Left);
    EXPECT_TRUE(
        textOf(bench.window.get(), "Compared with").contains(QStringLiteral("Compared with: ")));
    const QString file = bench.folder.filePath(QStringLiteral("plane.svg"));
    inDialog([file](QWidget* dialog) {
        type(dialog, "File to write", file);
        QTest::keyClick(dialog, Qt::Key_Return);
    });
    click(bench.window.get(), "Save the heat plane");
    EXPECT_TRUE(textOf(bench.window.get(), "Notice").contains(file));
    std::ifstream in(file.toStdString());
    const std::string text((std::istreambuf_iterator<char>(in)), {});
    EXPECT_NE(text.find("<svg"), std::string::npos);
    EXPECT_NE(text.find("kW/m²"), std::string::npos);
}

TEST(HeatPlane, AnUndoIsSeenAtOnceOnThePageInView) {
    Bench bench;
    bench.choose("Shelf");
    auto* sheet = table(bench, "Rate sheet");
    sheet->setFocus();
    QTest::keyClick(sheet, Qt::Key_Home, Qt::ControlModifier);
    type(bench.window.get(), "Rate at, oven", QStringLiteral("180"));
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
    QApplication::processEvents();
    inDialog([](QWidget* dialog) {
        type(dialog, "File of the log", QStringLiteral(DEMO_LOGS "/deck-180-evening.csv"));
        QTest::keyClick(dialog, Qt::Key_Return);
    });
    bench.press(Qt::Key_I, Qt::ControlModifier);
    bench.press(Qt::Key_Return, Qt::ControlModifier);
    click(bench.window.get(), "Page Heat plane");
    auto* marks = table(bench, "Marks of the heat plane");
    const auto measured = [&] {
        int count = 0;
        for (int i = 0; i < marks->model()->rowCount(); ++i)
            count += rowOf(marks, i).startsWith(QStringLiteral("Shelf oven")) &&
                     rowOf(marks, i).endsWith(QStringLiteral("measured"));
        return count;
    };
    EXPECT_EQ(measured(), 1);
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(measured(), 0);
}

TEST(Find, WhatWasTypedStaysWhenTheBookChanges) {
    Bench bench;
    bench.choose("Yard grill");
    type(bench.window.get(), "Probe readings", QStringLiteral("140 150 145"));
    click(bench.window.get(), "Work it out");
    click(bench.window.get(), "Page Find");
    type(bench.window.get(), "indirect at least", QStringLiteral("130"));
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
    const int found = table(bench, "Settings that give it")->model()->rowCount();
    EXPECT_GT(found, 0);
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(find<QLineEdit>(bench.window.get(), "indirect at least")->text(),
              QStringLiteral("130"));
    EXPECT_GT(table(bench, "Settings that give it")->model()->rowCount(), 0);
}

TEST(Thermometers, ACheckHoldsFromItsDayOnAndIsUndone) {
    Bench bench;
    bench.choose("Deck");
    const auto before = dynamet::book::listTests(bench.document.book(), "yard-grill");
    click(bench.window.get(), "Page Thermometers");
    auto* list = table(bench, "Thermometers");
    list->setFocus();
    QTest::keyClick(list, Qt::Key_Down); // Air probe B
    type(bench.window.get(), "In ice water", QStringLiteral("0.8 0.9 0.8"));
    type(bench.window.get(), "In boiling water", QStringLiteral("101.2 101.1 101.2"));
    click(bench.window.get(), "Work the check out");
    EXPECT_TRUE(
        textOf(bench.window.get(), "What the check found").contains(QStringLiteral("Add −0.8")))
        << textOf(bench.window.get(), "What the check found").toStdString();
    click(bench.window.get(), "Use the correction from today on");
    EXPECT_TRUE(rowOf(list, 1).contains(QStringLiteral("since 2026-11-20")))
        << rowOf(list, 1).toStdString();
    const auto& instruments = bench.document.kitchen().instruments;
    const auto probe = std::find_if(instruments.begin(), instruments.end(),
                                    [](const auto& i) { return i.id == "probe-b"; });
    // What it read in ice is put right from now on, and stays as it was before.
    EXPECT_NEAR(corrected(&*probe, kNow.utcMs + 1, 273.15 + 0.83), 273.15, 0.05);
    EXPECT_EQ(corrected(&*probe, kNow.utcMs - 86400000, 273.98), 273.98);
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(rowOf(list, 1).contains(QStringLiteral("never")));
}

TEST(Thermometers, ASettingOverTheRangeIsWarnedOfBefore) {
    Bench bench;
    bench.choose("Brick");
    auto* sheet = table(bench, "Rate sheet");
    sheet->setFocus();
    QTest::keyClick(sheet, Qt::Key_End, Qt::ControlModifier);
    auto* chosen = find<QComboBox>(bench.window.get(), "Thermometer");
    chosen->setFocus();
    QTest::keyClick(chosen, Qt::Key_C); // Clip probe A, ruined above 360 °C
    EXPECT_TRUE(isThere(bench.window.get(), "Thermometer's range"));
    EXPECT_TRUE(
        textOf(bench.window.get(), "Thermometer's range").contains(QStringLiteral("damaged")))
        << textOf(bench.window.get(), "Thermometer's range").toStdString();
}

TEST(Conditions, WhatWasNotWrittenDownStaysUnknown) {
    Bench bench;
    bench.choose("Camp");
    type(bench.window.get(), "Coals under readings", QStringLiteral("8 6 12"));
    type(bench.window.get(), "Coals on the lid readings", QStringLiteral("16 12 10"));
    type(bench.window.get(), "Inside readings", QStringLiteral("148 112 141"));
    type(bench.window.get(), "Tested by", QStringLiteral("Mirre"));
    type(bench.window.get(), "Wind, m/s", QStringLiteral("2.5"));
    click(bench.window.get(), "Work it out");
    EXPECT_TRUE(textOf(bench.window.get(), "What was found")
                    .contains(QStringLiteral("A coal under it is worth")));
    EXPECT_TRUE(textOf(bench.window.get(), "Notice")
                    .contains(QStringLiteral("Missing: the thermometer, the air temperature")));
    const auto lines = dynamet::book::listTests(bench.document.book(), "camp-pot");
    auto reader = dynamet::book::Book::open(bench.book.toStdString());
    const auto kept = dynamet::book::loadTest(*reader, lines->front().id);
    EXPECT_EQ(kept->operatorName, "Mirre");
    EXPECT_DOUBLE_EQ(*kept->windMPerS, 2.5);
    EXPECT_FALSE(kept->ambientK.has_value()) << "unknown, not a default";
    EXPECT_TRUE(kept->instrumentId.empty());
    EXPECT_EQ(kept->keyed.at("under")[2].value, 12);
}

TEST(Conditions, APhotoIsKeptInTheBook) {
    Bench bench;
    bench.choose("Yard grill");
    const QString photo = bench.folder.filePath(QStringLiteral("grate.png"));
    QPixmap(4, 4).save(photo);
    type(bench.window.get(), "Photo", photo);
    type(bench.window.get(), "Probe readings", QStringLiteral("140 150 145"));
    click(bench.window.get(), "Work it out");
    const auto lines = dynamet::book::listTests(bench.document.book(), "yard-grill");
    EXPECT_EQ(dynamet::book::loadTest(bench.document.book(), lines->front().id)->photoSha256.size(),
              64u);
}

TEST(Sheet, ACellOpensItsTestsAndADayStandsBeside) {
    Bench bench;
    bench.choose("Yard grill");
    auto* sheet = table(bench, "Rate sheet");
    sheet->setFocus();
    QTest::keyClick(sheet, Qt::Key_Home, Qt::ControlModifier);
    QTest::keyClick(sheet, Qt::Key_Right);
    for (int i = 0; i < 3; ++i)
        QTest::keyClick(sheet, Qt::Key_Down);
    auto* tests = find<QComboBox>(bench.window.get(), "Tests of this cell");
    EXPECT_EQ(tests->count(), 8) << "seven tests and the line that counts them";
    tests->setFocus();
    QTest::keyClick(tests, Qt::Key_Down);
    EXPECT_TRUE(textOf(bench.window.get(), "What was found")
                    .contains(QStringLiteral("Food in this zone cooks as at")));
    auto* beside = find<QComboBox>(bench.window.get(), "Rate sheet to compare with");
    beside->setFocus();
    QTest::keyClick(beside, Qt::Key_Down);
    ASSERT_TRUE(isThere(bench.window.get(), "Rate sheet beside"));
    auto* old = table(bench, "Rate sheet beside");
    bool other = false;
    for (int r = 0; r < old->model()->rowCount(); ++r)
        other = other || old->model()
                             ->index(r, 1)
                             .data(Qt::AccessibleTextRole)
                             .toString()
                             .contains(QStringLiteral("measured 96 d"));
    EXPECT_TRUE(other)
        << "as it was rated on the first day: " << beside->currentText().toStdString() << ": "
        << old->model()->index(3, 1).data(Qt::AccessibleTextRole).toString().toStdString();
}

TEST(Sheet, AnInsertHasASheetOfItsOwn) {
    Bench bench;
    bench.choose("Pellet");
    auto* sheet = table(bench, "Rate sheet");
    sheet->setFocus();
    for (int i = 0; i < 20 && !sheet->currentIndex()
                                   .data(Qt::AccessibleTextRole)
                                   .toString()
                                   .startsWith(QStringLiteral("200 °C"));
         ++i)
        QTest::keyClick(sheet, Qt::Key_Down);
    EXPECT_TRUE(sheet->currentIndex()
                    .data(Qt::AccessibleTextRole)
                    .toString()
                    .contains(QStringLiteral("measured")));
    auto* with = find<QComboBox>(bench.window.get(), "Vessel or insert");
    with->setFocus();
    QTest::keyClick(with, Qt::Key_Down);
    EXPECT_EQ(with->currentText(), QStringLiteral("Flat plate"));
    EXPECT_TRUE(sheet->currentIndex()
                    .data(Qt::AccessibleTextRole)
                    .toString()
                    .contains(QStringLiteral("assumed")))
        << "the plate is another heat: nothing was measured with it yet";
    EXPECT_TRUE(
        textOf(bench.window.get(), "Setting to be rated").contains(QStringLiteral("Flat plate")));
    click(bench.window.get(), "Read each zone");
    type(bench.window.get(), "Probe readings", QStringLiteral("231 236 229"));
    click(bench.window.get(), "Work it out");
    click(bench.window.get(), "Save the rating");
    EXPECT_TRUE(sheet->currentIndex()
                    .data(Qt::AccessibleTextRole)
                    .toString()
                    .contains(QStringLiteral("measured")));
    with->setFocus();
    QTest::keyClick(with, Qt::Key_Up);
    EXPECT_FALSE(sheet->currentIndex()
                     .data(Qt::AccessibleTextRole)
                     .toString()
                     .contains(QStringLiteral("232")));
}

TEST(Coals, ASeriesOfGrateHeightsTellsTheBed) {
    Bench bench;
    bench.choose("Coal chimney");
    auto* sheet = table(bench, "Rate sheet");
    sheet->setFocus();
    QTest::keyClick(sheet, Qt::Key_Home, Qt::ControlModifier);
    for (int i = 0; i < 20 && !sheet->currentIndex()
                                   .data(Qt::AccessibleTextRole)
                                   .toString()
                                   .contains(QStringLiteral("measured"));
         ++i)
        QTest::keyClick(sheet, Qt::Key_Down);
    auto* tests = find<QComboBox>(bench.window.get(), "Tests of this cell");
    tests->setFocus();
    QTest::keyClick(tests, Qt::Key_Down);
    const QString found = textOf(bench.window.get(), "What was found");
    EXPECT_TRUE(found.contains(QStringLiteral("the bed acts"))) << found.toStdString();
}

TEST(Guide, F1OpensThePageOfWhatHasTheFocus) {
    Bench bench;
    bench.choose("Yard grill");
    find<QLineEdit>(bench.window.get(), "Probe readings")->setFocus();
    bench.press(Qt::Key_F1);
    auto* page = find<QTextBrowser>(bench.window.get(), "Guide page");
    ASSERT_NE(page, nullptr);
    EXPECT_TRUE(page->toPlainText().contains(QStringLiteral("Read each zone")));
    EXPECT_TRUE(page->toPlainText().contains(QStringLiteral("What can hurt you")));
    QTest::keyClick(page, Qt::Key_Escape);
    bench.press(Qt::Key_2, Qt::ControlModifier);
    find(bench.window.get(), "Rows of the translation")->setFocus();
    bench.press(Qt::Key_F1);
    EXPECT_TRUE(find<QTextBrowser>(bench.window.get(), "Guide page")
                    ->toPlainText()
                    .startsWith(QStringLiteral("Translate")));
}

TEST(Import, CancellingALongOneLeavesNothing) {
    Bench bench;
    bench.choose("Deck");
    const auto before = dynamet::book::listTests(bench.document.book(), "deck")->size();
    const QString file = bench.folder.filePath(QStringLiteral("long.csv"));
    std::ofstream out(file.toStdString());
    out << "time_s,air C\n";
    for (int i = 0; i < 200000; ++i)
        out << i << ',' << 150 + i % 40 << '\n';
    out.close();
    inDialog([file](QWidget* dialog) {
        type(dialog, "File of the log", file);
        EXPECT_TRUE(find(dialog, "Import the log")->isEnabled());
        QTest::keyClick(dialog, Qt::Key_Escape);
    });
    bench.press(Qt::Key_I, Qt::ControlModifier);
    EXPECT_EQ(dynamet::book::listTests(bench.document.book(), "deck")->size(), before);
    EXPECT_FALSE(bench.document.undoStack().canUndo());
}

} // namespace
