// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// The cut, the piece and the book's choices, by hand on the real window.
#include "app/look/cut_palette.h"
#include "app/look/palette.h"
#include "hands.h"

#include <QPlainTextEdit>
#include <QSlider>

namespace {

using namespace hands;

ReachPane& reach(Bench& bench) {
    return bench.window->translatePage().reach();
}

/// Opens Translate and waits for its rows.
void translated(Bench& bench) {
    bench.press(Qt::Key_2, Qt::ControlModifier);
    ASSERT_TRUE(waitFor(
        [&] { return bench.window->isIdle() && reach(bench).rows().rowCount() > 0; }, 100000));
}

/// Opens the first row and waits for its curves.
void openFirst(Bench& bench) {
    reach(bench).openRow(0);
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }, 100000));
}

TEST(Cut, StandsBesideTheRecipesAndGoesBackInTimeAndOntoDisk) {
    Bench bench(true, Bench::Kitchen::few);
    translated(bench);
    openFirst(bench);
    QWidget* window = bench.window.get();
    auto* slider = find<QSlider>(window, "Moment of the cut");
    ASSERT_NE(slider, nullptr);
    CutView* cut = nullptr;
    for (CutView* view : window->findChildren<CutView*>())
        if (view->accessibleDescription().contains(QStringLiteral("in the recipe")))
            cut = view;
    ASSERT_NE(cut, nullptr);
    EXPECT_TRUE(cut->accessibleDescription().contains(QStringLiteral("grey rim")));
    const QImage done = cut->grab().toImage();
    QTest::keyClick(slider, Qt::Key_Home);
    const QImage raw = cut->grab().toImage();
    EXPECT_NE(done, raw);
    const QPoint middle(cut->width() / 4, cut->height() / 2);
    EXPECT_LT(qGray(raw.pixel(middle)), qGray(done.pixel(middle)) - 20) << "raw is darker in grey";
    QTest::keyClick(slider, Qt::Key_End);
    EXPECT_EQ(cut->grab().toImage(), done);
    for (const char* name : {"cut.svg", "cut.png"}) {
        const QString path = bench.folder.filePath(QString::fromUtf8(name));
        inDialog([&](QWidget* dialog) {
            type(dialog, "File to write", path);
            QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
        });
        click(window, "Save the cut as a picture");
        ASSERT_TRUE(QFile::exists(path)) << name;
        EXPECT_GT(QFileInfo(path).size(), 2000) << name;
    }
    EXPECT_EQ(QImage(bench.folder.filePath(QStringLiteral("cut.png"))).width(), 1920);
}

TEST(Cut, SaysWhereAPictureCouldNotBeWritten) {
    CutView view;
    EXPECT_FALSE(writeView(view, QStringLiteral("/no/such/folder/cut.png")).isEmpty());
}

TEST(CutColours, AreDarkToLightInsideAndLightToDarkOnTheCrust) {
    for (bool meat : {true, false})
        for (double d = 0; d < 0.9; d += 0.1)
            EXPECT_LT(qGray(look::cutColour(d, meat).rgb()),
                      qGray(look::cutColour(d + 0.1, meat).rgb()) + 1)
                << d;
    for (double b = 0; b < 5; b += 0.5)
        EXPECT_GT(qGray(look::crustColour(b).rgb()), qGray(look::crustColour(b + 0.5).rgb())) << b;
    EXPECT_GT(look::contrast(look::cutColour(0, true), look::cutColour(1.05, true)), 3);
}

TEST(Piece, IsChangedInTheBookAndBackAgain) {
    Bench bench(true, Bench::Kitchen::few);
    translated(bench);
    inDialog([&](QWidget* dialog) {
        find<QComboBox>(dialog, "Surface")->setFocus();
        QTest::keyClick(QApplication::focusWidget(), Qt::Key_Down);
        type(dialog, "Thickness or diameter", QStringLiteral("36 mm"));
        type(dialog, "Other pieces (thickness)", QStringLiteral("44 mm, 28 mm"));
        auto* level = find<QComboBox>(dialog, "Doneness");
        level->setFocus();
        QTest::keyClick(level, Qt::Key_End);
        pressSave(dialog);
    });
    click(bench.window.get(), "Piece…");
    const auto& recipe = bench.document.recipes().front();
    EXPECT_NEAR(recipe.piece.thicknessM, 0.036, 1e-9);
    EXPECT_EQ(recipe.piece.surface, dynamet::recipe::SurfaceState::wet);
    EXPECT_NE(recipe.goal.words.find("House scale"), std::string::npos) << recipe.goal.words;
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }, 100000));
    openFirst(bench);
    const QString lines = textOf(bench.window.get(), "Reasons and times");
    EXPECT_LT(lines.indexOf(QStringLiteral("The piece of 28 mm: pull at")),
              lines.indexOf(QStringLiteral("The piece of 44 mm: pull at")));
    EXPECT_GT(lines.indexOf(QStringLiteral("The piece of 28 mm")), 0) << toStd(lines);
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_NEAR(bench.document.recipes().front().piece.thicknessM, 0.042, 1e-9);
    bench.press(Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
    EXPECT_NEAR(bench.document.recipes().front().piece.thicknessM, 0.036, 1e-9);
}

TEST(Piece, RefusesMeasuresThatCannotBeCookedAndKeepsTheDialog) {
    Bench bench(true, Bench::Kitchen::few);
    bench.press(Qt::Key_2, Qt::ControlModifier);
    inDialog([&](QWidget* dialog) {
        type(dialog, "Fat cap", QStringLiteral("40 mm"));
        pressSave(dialog);
        bool said = false;
        for (auto* label : dialog->findChildren<QLabel*>())
            said = said || label->text().contains(QStringLiteral("fat cap should be less"));
        EXPECT_TRUE(said);
        QTest::keyClick(dialog, Qt::Key_Escape);
    });
    click(bench.window.get(), "Piece…");
    EXPECT_EQ(bench.document.recipes().front().piece.fatCapM, 0);
}

TEST(Piece, AnotherFoodComesInItsUsualShape) {
    Bench bench(true, Bench::Kitchen::few);
    bench.press(Qt::Key_2, Qt::ControlModifier);
    inDialog([&](QWidget* dialog) {
        auto* food = find<QComboBox>(dialog, "Food");
        food->setFocus();
        QTest::keyClick(food, Qt::Key_Home); // lean beef, a slab
        QTest::keyClick(food, Qt::Key_Down); // marbled beef
        QTest::keyClick(food, Qt::Key_Down); // minced: a round with flat ends
        EXPECT_EQ(find<QComboBox>(dialog, "Shape")->currentText(),
                  QStringLiteral("short cylinder"));
        EXPECT_EQ(find<QLineEdit>(dialog, "Thickness or diameter")->text(),
                  QStringLiteral("22 mm"));
        EXPECT_EQ(find<QLineEdit>(dialog, "Width")->text(), QStringLiteral("110 mm"));
        pressSave(dialog);
    });
    click(bench.window.get(), "Piece…");
    const auto& piece = bench.document.recipes().front().piece;
    EXPECT_EQ(piece.food.id, "beef-minced");
    EXPECT_EQ(piece.shape, dynamet::heat::Shape::finiteCylinder);
}

TEST(Choices, OfABookAreNamedInTheResultAndEditTheScales) {
    Bench bench(true, Bench::Kitchen::few);
    translated(bench);
    inDialog([&](QWidget* dialog) {
        auto* rest = find<QComboBox>(dialog, "How meat rests");
        rest->setFocus();
        QTest::keyClick(rest, Qt::Key_Down);
        auto* tabs = dialog->findChild<QTabWidget*>();
        tabs->setFocus();
        tabs->setCurrentIndex(1);
        auto* levels = find<QPlainTextEdit>(dialog, "Levels, one a line");
        levels->setFocus();
        QTest::keyClick(levels, Qt::Key_A, Qt::ControlModifier);
        QTest::keyClicks(levels, QStringLiteral("rosy 58-62"));
        pressSave(dialog);
    });
    click(bench.window.get(), "House methods…");
    const auto& choices = bench.document.choices();
    EXPECT_EQ(choices.schools.at("rest"), "tented");
    ASSERT_EQ(choices.scales.size(), 1u);
    EXPECT_EQ(levelsOf(choices.scales[0], "pork")[0].name, "rosy");
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }, 100000));
    bool named = false;
    for (auto* label : bench.window->findChildren<QLabel*>())
        named = named || label->text().contains(QStringLiteral("rest under foil"));
    EXPECT_TRUE(named);
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(bench.document.choices().schools.empty());
}

} // namespace
