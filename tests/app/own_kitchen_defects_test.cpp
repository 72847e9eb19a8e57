// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What went wrong in a cook's own kitchen, each by its number, on the real window.
#include "app/screen_check.h"
#include "app/translate/piece_dialog.h"
#include "book/recipe_request.h"

#include <fcntl.h>
#include <fstream>
#include <sys/stat.h>

namespace {

using namespace hands;
using dynamet::recipe::Recipe;

dynamet::recipe::Recipe recipeOf(Bench& bench, const dynamet::food::Food& food) {
    dynamet::recipe::Recipe out = bench.document.recipes().front();
    out.id = "of-" + food.id;
    out.name = "Of " + food.id;
    out.piece = {};
    out.piece.food = food;
    out.piece.shape = *dynamet::heat::shapeOf(food.shape);
    out.piece.thicknessM = food.thicknessM;
    out.piece.widthM = food.widthM;
    out.piece.startK = food.usualStartK;
    return out;
}

// A what-if slider used to squeeze every recipe into 8 to 90 mm and 0 to 30 °C.
TEST(Defect104, WindowAndCommandLineAskTheSameBitForBitForEveryFood) {
    Bench bench(true, Bench::Kitchen::few);
    WrittenPane& written = bench.window->translatePage().written();
    for (const auto& food : dynamet::food::shippedFoods()) {
        dynamet::recipe::Recipe recipe = recipeOf(bench, food);
        recipe.piece.startK = 255.15123;
        ASSERT_TRUE(bench.document.addRecipe(recipe).has_value());
        written.chooseRecipe(recipe.id);
        const auto asked = written.request();
        ASSERT_TRUE(asked.has_value());
        const auto cli = requestOf(recipe, bench.document.kitchen(), bench.document.choices());
        EXPECT_EQ(asked->recipe, cli.recipe) << food.id;
    }
}

TEST(Defect104, AMovedSliderAsksForWhatItShowsAndTheRecipeStays) {
    Bench bench(true, Bench::Kitchen::few);
    bench.press(Qt::Key_2, Qt::ControlModifier);
    WrittenPane& written = bench.window->translatePage().written();
    const double own = written.recipe()->piece.thicknessM;
    click(bench.window.get(), "More thickness");
    EXPECT_NEAR(written.request()->recipe.piece.thicknessM, own + 0.001, 1e-12);
    EXPECT_EQ(written.recipe()->piece.thicknessM, own);
    click(bench.window.get(), "Less thickness");
    EXPECT_EQ(written.request()->recipe.piece.thicknessM, own);
    type(bench.window.get(), "Thickness", QStringLiteral("4 m"));
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
    EXPECT_TRUE(textOf(bench.window.get(), "Thickness, what is wrong")
                    .contains(QStringLiteral("Not between")));
    EXPECT_EQ(written.request()->recipe.piece.thicknessM, own);
}

// Bread kept the goal of the steak before it: "medium, 60 °C".
TEST(Defect105, AnotherFoodBringsItsOwnDonenessShapeAndStart) {
    Bench bench(true, Bench::Kitchen::few);
    const auto& foods = dynamet::food::shippedFoods();
    const auto scales = dynamet::food::scalesWith({});
    for (std::size_t i = 0; i < foods.size(); ++i) {
        dynamet::recipe::Recipe recipe = bench.document.recipes().front();
        PieceDialog dialog(bench.document, recipe, bench.window.get());
        dialog.show();
        auto* food = find<QComboBox>(&dialog, "Food");
        food->setFocus();
        food->setCurrentIndex(static_cast<int>(i));
        pressSave(&dialog);
        ASSERT_EQ(dialog.result(), QDialog::Accepted) << foods[i].id;
        const dynamet::recipe::Recipe& now = dialog.recipe();
        EXPECT_EQ(now.piece.food.id, foods[i].id);
        EXPECT_TRUE(checkDoneness(scales, foods[i], now.goal.coreK).has_value())
            << foods[i].id << " to " << now.goal.coreK - 273.15;
        if (foods[i].id == recipe.piece.food.id)
            continue;
        EXPECT_EQ(enumName(now.piece.shape), foods[i].shape);
        EXPECT_EQ(now.piece.thicknessM, foods[i].thicknessM);
        EXPECT_EQ(now.piece.startK, foods[i].usualStartK);
        EXPECT_EQ(now.piece.form, foods[i].usualForm);
    }
}

QTableView* sheetOf(Bench& bench) {
    return find<QTableView>(bench.window.get(), "Rate sheet");
}

// A test of one setting was saved under another, and the old result stayed with Save active.
TEST(Defect106, AResultBelongsToTheRowItWasMadeAt) {
    Bench bench(true, Bench::Kitchen::few);
    bench.choose("Yard");
    type(bench.window.get(), "Probe readings", QStringLiteral("140 150 145"));
    click(bench.window.get(), "Work it out");
    ASSERT_TRUE(isThere(bench.window.get(), "Save the rating"));
    auto* sheet = sheetOf(bench);
    sheet->setFocus();
    QTest::keyClick(sheet, Qt::Key_Down);
    EXPECT_FALSE(isThere(bench.window.get(), "Save the rating"));
    EXPECT_EQ(find<QLineEdit>(bench.window.get(), "Probe readings")->text(),
              QStringLiteral("140 150 145"))
        << "what was typed stays";
    const auto before = bench.document.kitchen().rated.at("yard-grill").size();
    bench.press(Qt::Key_Return, Qt::ControlModifier);
    EXPECT_EQ(bench.document.kitchen().rated.at("yard-grill").size(), before);
}

TEST(Defect106, AnAbsurdOffsetIsAskedAboutBeforeItIsSaved) {
    Bench bench(true, Bench::Kitchen::few);
    bench.choose("Deck");
    type(bench.window.get(), "Rate at, oven", QStringLiteral("90"));
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
    QApplication::processEvents();
    click(bench.window.get(), "Read each zone");
    type(bench.window.get(), "Probe readings", QStringLiteral("178 176 181"));
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
    click(bench.window.get(), "Save the rating");
    EXPECT_TRUE(textOf(bench.window.get(), "Why there is no result")
                    .contains(QStringLiteral("far from what the dial says")));
    EXPECT_TRUE(dynamet::book::listTests(bench.document.book(), "deck")->front().draft);
    click(bench.window.get(), "Save the rating");
    EXPECT_FALSE(dynamet::book::listTests(bench.document.book(), "deck")->front().draft);
}

TEST(Defect107, TheInstrumentBringsItsLimitAndItIsNotTypedAnew) {
    Bench bench(true, Bench::Kitchen::few);
    bench.choose("Yard");
    EXPECT_TRUE(isThere(bench.window.get(), "Probe's limit"));
    auto* thermometer = find<QComboBox>(bench.window.get(), "Thermometer");
    std::optional<dynamet::kitchen::Instrument> known;
    for (const auto& i : bench.document.kitchen().instruments)
        if (i.kind == dynamet::kitchen::InstrumentKind::probe && i.highLimit)
            known = i;
    ASSERT_TRUE(known.has_value());
    thermometer->setFocus();
    thermometer->setCurrentIndex(thermometer->findText(toQt(known->name)));
    EXPECT_FALSE(isThere(bench.window.get(), "Probe's limit"));
    type(bench.window.get(), "Probe readings", QStringLiteral("140 150 145"));
    click(bench.window.get(), "Work it out");
    const auto lines = dynamet::book::listTests(bench.document.book(), "yard-grill");
    const auto test = dynamet::book::loadTest(bench.document.book(), lines->front().id);
    EXPECT_NEAR(test->values.at("limit_C"), *known->highLimit - 273.15, 1e-9);
}

TEST(Defect108, ADialIsTypedInItsOwnUnitAndNeverRevertsSilently) {
    Bench bench(true, Bench::Kitchen::few);
    bench.choose("Deck");
    type(bench.window.get(), "Rate at, oven", QStringLiteral("425"));
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
    QApplication::processEvents();
    EXPECT_TRUE(textOf(bench.window.get(), "Rate at, what is wrong")
                    .contains(QStringLiteral("not on this dial")));
    EXPECT_EQ(find<QLineEdit>(bench.window.get(), "Rate at, oven")->text(), QStringLiteral("425"));
    type(bench.window.get(), "Rate at, oven", QStringLiteral("350 F"));
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
    QApplication::processEvents();
    EXPECT_EQ(find<QLineEdit>(bench.window.get(), "Rate at, oven")->text(),
              QStringLiteral("175 °C"));
}

TEST(Defect109, UndoingAnAddedApplianceLeavesItsPage) {
    Bench bench(true, Bench::Kitchen::few);
    inDialog([](QWidget* dialog) {
        type(dialog, "Name of the appliance", QStringLiteral("Old oven"));
        pressSave(dialog);
    });
    click(bench.window.get(), "Add an appliance");
    const auto titled = [&](const char* name) {
        for (auto* label : bench.window->findChildren<QLabel*>())
            if (label->isVisible() && label->text() == QString::fromUtf8(name))
                return true;
        return false;
    };
    ASSERT_TRUE(titled("Old oven"));
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    QApplication::processEvents();
    EXPECT_FALSE(titled("Old oven"));
    EXPECT_TRUE(textOf(bench.window.get(), "Notice")
                    .contains(QStringLiteral("Undone: addition of Old oven")));
    bench.press(Qt::Key_Y, Qt::ControlModifier);
    EXPECT_TRUE(textOf(bench.window.get(), "Notice").contains(QStringLiteral("Redone")));
}

TEST(Defect110, AnUndoThatFailsStaysOnTheStack) {
    Bench bench(true, Bench::Kitchen::few);
    dynamet::recipe::Recipe changed = bench.document.recipes().front();
    changed.name = "Another name";
    ASSERT_TRUE(bench.document.changeRecipe(changed).has_value());
    bench.document.book().database().exec("PRAGMA query_only = ON");
    const int index = bench.document.undoStack().index();
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(bench.document.undoStack().index(), index);
    EXPECT_TRUE(textOf(bench.window.get(), "Notice").contains(QStringLiteral("Could not undo")));
    bench.document.book().database().exec("PRAGMA query_only = OFF");
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(bench.document.undoStack().index(), index - 1);
    EXPECT_NE(bench.document.recipes().front().name, "Another name");
}

TEST(Defect111, ACheckAndItsCalibrationAreOneUndo) {
    Bench bench(true, Bench::Kitchen::few);
    bench.choose("Deck");
    click(bench.window.get(), "Page Thermometers");
    type(bench.window.get(), "In ice water", QStringLiteral("0.6 0.5 0.6"));
    type(bench.window.get(), "In boiling water", QStringLiteral("100.4 100.5 100.4"));
    click(bench.window.get(), "Work the check out");
    const int before = bench.document.undoStack().index();
    click(bench.window.get(), "Use the correction from today on");
    EXPECT_EQ(bench.document.undoStack().index(), before + 1);
    const auto calibrated = [&] {
        std::size_t out = 0;
        for (const auto& i : bench.document.kitchen().instruments)
            out += i.calibrations.size();
        return out;
    };
    const auto with = calibrated();
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(calibrated(), with - 1);
}

// Ctrl+Enter in Translate saved a rating that nobody saw.
TEST(Defect112, NoKeyActsInAHiddenPage) {
    Bench bench(true, Bench::Kitchen::few);
    bench.choose("Yard");
    type(bench.window.get(), "Probe readings", QStringLiteral("140 150 145"));
    click(bench.window.get(), "Work it out");
    bench.press(Qt::Key_2, Qt::ControlModifier);
    bench.press(Qt::Key_Return, Qt::ControlModifier);
    EXPECT_TRUE(dynamet::book::listTests(bench.document.book(), "yard-grill")->front().draft);
    bench.press(Qt::Key_1, Qt::ControlModifier);
    bench.press(Qt::Key_Return, Qt::ControlModifier);
    EXPECT_FALSE(dynamet::book::listTests(bench.document.book(), "yard-grill")->front().draft);
}

TEST(Defect113, APhotoIsKeptOnlyWithItsTest) {
    Bench bench(true, Bench::Kitchen::few);
    bench.choose("Deck");
    const QString photo = bench.folder.filePath(QStringLiteral("dial.jpg"));
    std::ofstream(photo.toStdString()) << "not really a picture";
    type(bench.window.get(), "Photo", photo);
    inDialog([](QWidget* dialog) { QTest::keyClick(dialog, Qt::Key_Escape); });
    bench.press(Qt::Key_I, Qt::ControlModifier);
    EXPECT_EQ(
        bench.document.book().database().execAndGet("SELECT COUNT(*) FROM attachment").getInt(), 0);
}

TEST(Defect114, ARecipeThatFailsLeavesNobodysRowsOnTheScreen) {
    Bench bench(true, Bench::Kitchen::few);
    bench.press(Qt::Key_2, Qt::ControlModifier);
    ASSERT_TRUE(waitFor([&] {
        return bench.window->isIdle() &&
               bench.window->translatePage().reach().rows().rowCount() > 0;
    }));
    dynamet::recipe::Recipe cold = bench.document.recipes().front();
    cold.id = "cold";
    cold.name = "Cannot be";
    cold.piece.startK = cold.goal.coreK + 8; // hotter than it should become
    ASSERT_TRUE(bench.document.addRecipe(cold).has_value());
    bench.window->translatePage().written().chooseRecipe("cold");
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }));
    EXPECT_EQ(bench.window->translatePage().reach().rows().rowCount(), 0);
    EXPECT_FALSE(isThere(bench.window.get(), "Pull"));
}

TEST(Defect115, RowsKeepTheirPlaceUnderThePointer) {
    Bench bench(true, Bench::Kitchen::few);
    bench.press(Qt::Key_2, Qt::ControlModifier);
    auto& rows = bench.window->translatePage().reach().rows();
    rows.setWatched(true);
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle() && rows.rowCount() > 3; }));
    ASSERT_TRUE(rows.prepared() != nullptr);
    for (int i = 0; i < rows.rowCount(); ++i)
        EXPECT_EQ(rows.item(i).row.target, rows.prepared()->targets[static_cast<std::size_t>(i)]);
    rows.setWatched(false);
    bool moved = false;
    for (int i = 0; i < rows.rowCount(); ++i)
        moved = moved ||
                !(rows.item(i).row.target == rows.prepared()->targets[static_cast<std::size_t>(i)]);
    EXPECT_TRUE(moved) << "ranked once the pointer has left";
}

TEST(Defect116, ASecondWindowSaysThatItOnlyReadsAndOffersACopy) {
    Bench bench(true, Bench::Kitchen::few);
    Document second([] { return kNow; });
    ASSERT_TRUE(second.open(bench.book).has_value());
    MainWindow window(second, QString());
    window.show();
    EXPECT_TRUE(textOf(&window, "Why the book can only be read")
                    .contains(QStringLiteral("open elsewhere")));
    const QString copy = bench.folder.filePath(QStringLiteral("mine.dynamet"));
    inDialog([copy](QWidget* dialog) {
        type(dialog, "File of the copy", copy);
        QTest::keyClick(dialog, Qt::Key_Return);
    });
    click(&window, "Work in a copy");
    EXPECT_TRUE(second.isWritable());
    EXPECT_FALSE(isThere(&window, "Why the book can only be read"));
    EXPECT_EQ(second.recipes().size(), bench.document.recipes().size());
}

TEST(Defect117, EveryFileNamedGivesASentenceAndNeverACrash) {
    Bench bench(false);
    const QString here = bench.folder.path();
    const QString binary = here + QStringLiteral("/noise.csv"),
                  latin = here + QStringLiteral("/latin.csv"),
                  empty = here + QStringLiteral("/empty.csv"),
                  pipe = here + QStringLiteral("/pipe"),
                  renamed = here + QStringLiteral("/renamed.dynamet");
    {
        std::ofstream out(binary.toStdString(), std::ios::binary);
        for (int i = 0; i < 4096; ++i)
            out.put(static_cast<char>(i * 73 % 256));
    }
    std::ofstream(latin.toStdString()) << "time_s,Luft \xb0"
                                          "C\n0,20\n10,21\n20,22\n30,23\n";
    std::ofstream(empty.toStdString()).flush();
    std::ofstream(renamed.toStdString()) << "SQLite format 3";
    ASSERT_EQ(::mkfifo(pipe.toStdString().c_str(), 0600), 0);
    for (const QString& file :
         {binary, latin, empty, pipe, renamed, here, QString(), here + QStringLiteral("/none")}) {
        type(bench.window.get(), "File of the book", file);
        if (file.isEmpty())
            find<QLineEdit>(bench.window.get(), "File of the book")->clear();
        click(bench.window.get(), "Open the book");
        EXPECT_FALSE(bench.document.isOpen());
        EXPECT_GT(textOf(bench.window.get(), "What is wrong").size(), 12) << file.toStdString();
    }
    click(bench.window.get(), "Open the demo kitchen");
    bench.choose("Deck");
    for (const QString& file : {binary, latin, empty, pipe, here, bench.book}) {
        inDialog([file](QWidget* dialog) {
            type(dialog, "File of the log", file);
            QApplication::processEvents();
            if (find(dialog, "Import the log")->isEnabled())
                QTest::keyClick(dialog, Qt::Key_Return);
            else
                QTest::keyClick(dialog, Qt::Key_Escape);
        });
        bench.press(Qt::Key_I, Qt::ControlModifier);
    }
}

TEST(Defect118, ASecondDryProbeIsNotAWetOneAndTheDayIsTheLogsOwn) {
    Bench bench(true, Bench::Kitchen::few);
    bench.choose("Deck");
    const QString log = bench.folder.filePath(QStringLiteral("two.csv"));
    std::ofstream out(log.toStdString());
    out << "time,Left (C),Right (C)\n";
    for (int i = 0; i < 400; ++i)
        out << "2026-10-0" << 3 << "T10:" << (i / 60 < 10 ? "0" : "") << i / 60 << ':'
            << (i % 60 < 10 ? "0" : "") << i % 60 << "Z," << 180 + i % 3 << ',' << 181 + i % 2
            << '\n';
    out.close();
    inDialog([log](QWidget* dialog) {
        type(dialog, "File of the log", log);
        EXPECT_EQ(find<QComboBox>(dialog, "Role of Right (C)")->currentText(),
                  QStringLiteral("not used"));
        EXPECT_FALSE(find(dialog, "Import the log")->isEnabled()) << "which one is the air?";
        find<QComboBox>(dialog, "Role of Left (C)")->setCurrentIndex(0);
        EXPECT_EQ(find<QLineEdit>(dialog, "Day of the log")->text(), QStringLiteral("2026-10-03"));
        EXPECT_FALSE(find<QLineEdit>(dialog, "Day of the log")->isEnabled());
        QTest::keyClick(dialog, Qt::Key_Return);
    });
    bench.press(Qt::Key_I, Qt::ControlModifier);
    const auto lines = dynamet::book::listTests(bench.document.book(), "deck");
    const auto newest =
        std::max_element(lines->begin(), lines->end(),
                         [](const auto& a, const auto& b) { return a.draft < b.draft; });
    ASSERT_TRUE(newest->draft);
    const auto test = dynamet::book::loadTest(bench.document.book(), newest->id);
    EXPECT_EQ(test->channels.size(), 1u);
    EXPECT_EQ(test->startedMs, 1791021600000) << "2026-10-03 10:00 UTC";
}

TEST(Defect119, LongNamesNeverWidenTheWindow) {
    Bench bench(true, Bench::Kitchen::few);
    auto appliance = bench.document.kitchen().appliances.front();
    appliance.name = std::string(160, 'W');
    ASSERT_TRUE(bench.document.change(appliance).has_value());
    auto site = bench.document.kitchen().sites.front();
    site.name = std::string(120, 'M');
    ASSERT_TRUE(bench.document.change(site).has_value());
    for (const auto key : {Qt::Key_1, Qt::Key_2, Qt::Key_K}) {
        bench.press(key, Qt::ControlModifier);
        QApplication::processEvents();
        EXPECT_LE(bench.window->minimumSizeHint().width(), 1000);
        bench.window->resize(1000, 700);
        QApplication::processEvents();
        EXPECT_EQ(bench.window->size(), QSize(1000, 700));
    }
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }));
}

TEST(Defect120, SlashWorksWhereTheFieldHasTheKeysAlready) {
    Bench bench(true, Bench::Kitchen::few);
    bench.press(Qt::Key_Slash);
    auto* filter = find<QLineEdit>(bench.window.get(), "Filter the line-up");
    QTest::keyClicks(filter, QStringLiteral("deck"));
    QTest::keyClick(filter, Qt::Key_Slash);
    EXPECT_EQ(filter->text(), QStringLiteral("deck"));
    EXPECT_EQ(filter->selectedText(), QStringLiteral("deck"));
}

TEST(Defect121, FindSaysNoneAndHowNearTheKitchenComes) {
    Bench bench(true, Bench::Kitchen::few);
    bench.choose("Yard grill");
    click(bench.window.get(), "Page Find");
    type(bench.window.get(), "direct at least", QStringLiteral("900"));
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
    const QString words = textOf(bench.window.get(), "What was found for the wish");
    EXPECT_TRUE(words.startsWith(QStringLiteral("None")) &&
                words.contains(QStringLiteral("nearest measured")))
        << words.toStdString();
}

TEST(Defect122, AUnitSwitchKeepsWhatWasTypedAndWhatItMeant) {
    Bench bench(true, Bench::Kitchen::few);
    bench.choose("Yard");
    type(bench.window.get(), "Probe readings", QStringLiteral("140 150 145"));
    click(bench.window.get(), "Switch units");
    EXPECT_EQ(find<QLineEdit>(bench.window.get(), "Probe readings")->text(),
              QStringLiteral("140 150 145 °C"));
    click(bench.window.get(), "Work it out");
    EXPECT_TRUE(textOf(bench.window.get(), "What was found").contains(QStringLiteral("293")))
        << textOf(bench.window.get(), "What was found").toStdString(); // 145 °C
}

// A cobbler's facts were wider than their pane: "1 % charred" and the official minimum were cut.
TEST(Defect179, NoFactOfTheOutcomeIsWiderThanItsPane) {
    Bench bench(true, Bench::Kitchen::few);
    bench.press(Qt::Key_2, Qt::ControlModifier);
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }, 200000));
    dynamet::recipe::Recipe bake = bench.document.recipes().front();
    bake.id = "bake";
    bake.name = "Dark bake";
    bake.piece = {};
    bake.piece.food = *dynamet::food::findFood("fruit-cobbler");
    bake.piece.shape = dynamet::heat::Shape::finiteCylinder;
    bake.piece.thicknessM = 0.02;
    bake.piece.widthM = 0.2;
    bake.goal = {};
    bake.stages = {bake.stages.back()};
    bake.last().end = {};
    bake.last().end.afterS = 2 * 3600; // charred at its edges
    ASSERT_TRUE(bench.document.addRecipe(bake).has_value());
    bench.window->translatePage().written().chooseRecipe("bake");
    const auto shown = [&] {
        for (const auto* label : bench.window->findChildren<QLabel*>())
            if (label->isVisible() && label->accessibleName() == QStringLiteral("Over the face"))
                return label->text().contains(QStringLiteral("charred"));
        return false;
    };
    ASSERT_TRUE(waitFor(shown, 100000)) << "the outcome comes before the rows";
    QTest::qWait(50);
    for (const char* name : {"Over the face", "Safety", "House methods"}) {
        const auto* label = find<QLabel>(bench.window.get(), name);
        const QWidget* pane = label->parentWidget();
        while (pane && pane->objectName() != QStringLiteral("pane"))
            pane = pane->parentWidget();
        ASSERT_TRUE(pane) << name;
        const auto* seen = pane->parentWidget(); // what the scroll area shows of it
        EXPECT_LE(label->mapTo(seen, QPoint(label->width(), 0)).x(), seen->width()) << name;
    }
}

// "Gas b" had chosen a gas grill: the space opened the list.
TEST(Defect180, AListIsChosenFromByTypingWithSpaces) {
    Bench bench(true, Bench::Kitchen::few);
    QComboBox kinds;
    for (const char* kind :
         {"Gas grill", "Gas burner", "Induction", "Pork, minced", "Pork shoulder", "Ham, raw pork"})
        kinds.addItem(QString::fromUtf8(kind));
    int activated = -1;
    QObject::connect(&kinds, &QComboBox::activated, [&](int i) { activated = i; });
    kinds.show();
    kinds.setFocus();
    QTest::keyClicks(&kinds, QStringLiteral("gas b"));
    EXPECT_EQ(kinds.currentText(), QStringLiteral("Gas burner"));
    EXPECT_EQ(activated, 1);
    EXPECT_FALSE(kinds.view()->isVisible());
    QTest::qWait(1600);
    QTest::keyClicks(&kinds, QStringLiteral("pork sh"));
    EXPECT_EQ(kinds.currentText(), QStringLiteral("Pork shoulder"));
    QTest::qWait(1600);
    QTest::keyClicks(&kinds, QStringLiteral("raw"));
    EXPECT_EQ(kinds.currentText(), QStringLiteral("Ham, raw pork"));
    QTest::qWait(1600);
    QTest::keyClick(&kinds, Qt::Key_Space);
    EXPECT_TRUE(kinds.view()->isVisible()) << "alone it still opens the list";
    kinds.hidePopup();
}

} // namespace
