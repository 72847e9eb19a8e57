// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A recipe in its own words, by hand on the real window: pasted, understood, corrected, rewritten
// for a row, its author's time used; rows grouped, filtered and written as a sheet.
#include "hands.h"

#include <QCheckBox>
#include <QPlainTextEdit>

namespace {

using namespace hands;
using dynamet::recipe::Recipe;

constexpr const char* kWords =
    "Take the pork loin, 4 cm thick, straight from the refrigerator.\nRoast at 180 °C for 50 "
    "minutes, or until the middle reads 62 °C. Rest 10 minutes under foil.";

const Recipe* named(Bench& bench, const char* name) {
    for (const Recipe& one : bench.document.recipes())
        if (one.name == name)
            return &one;
    return nullptr;
}

/// Pastes a recipe as New… asks for it, and waits for its rows.
void paste(Bench& bench, const char* name, const char* words, const char* on, bool wait = true) {
    bench.press(Qt::Key_2, Qt::ControlModifier);
    inDialog([=](QWidget* dialog) {
        auto* text = find<QPlainTextEdit>(dialog, "Words of the recipe");
        text->setFocus();
        QApplication::clipboard()->setText(QString::fromUtf8(words));
        QTest::keyClick(text, Qt::Key_V, Qt::ControlModifier);
        pick(dialog, "Written for", on);
        type(dialog, "Name", QString::fromUtf8(name));
        pressSave(dialog);
    });
    click(bench.window.get(), "New…");
    if (wait) {
        ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }, 200000));
    }
}

TEST(Words, ArePastedUnderstoodAndBecomeStages) {
    Bench bench(true, Bench::Kitchen::few);
    bench.press(Qt::Key_2, Qt::ControlModifier);
    const std::size_t before = bench.document.recipes().size();
    inDialog([&](QWidget* dialog) {
        pressSave(dialog); // nothing is there yet
        EXPECT_TRUE(dialog->isVisible());
        auto* text = find<QPlainTextEdit>(dialog, "Words of the recipe");
        text->setFocus();
        QTest::keyClicks(text, QStringLiteral("Put it in"));
        QTest::qWait(400);
        EXPECT_TRUE(textOf(dialog, "What the words leave open")
                        .contains(QStringLiteral("How thick is a piece?")));
        text->setPlainText(QString::fromUtf8(kWords));
        QTest::qWait(400);
        EXPECT_FALSE(
            textOf(dialog, "What the words leave open").contains(QStringLiteral("How thick")));
        EXPECT_GE(find<QTableView>(dialog, "What is understood")->model()->rowCount(), 6);
        pressSave(dialog); // it has no name yet
        EXPECT_TRUE(dialog->isVisible());
        pick(dialog, "Written for", "Deck oven");
        type(dialog, "Name", QStringLiteral("Words of a loin"));
        pressSave(dialog);
    });
    click(bench.window.get(), "New…");
    ASSERT_EQ(bench.document.recipes().size(), before + 1);
    const Recipe* made = named(bench, "Words of a loin");
    ASSERT_TRUE(made);
    EXPECT_EQ(made->last().place.applianceId, "deck");
    EXPECT_TRUE(made->last().end.byGoal());
    EXPECT_EQ(made->time.lowS, 3000);
    EXPECT_NEAR(made->goal.coreK, 335.15, 1e-9);
    EXPECT_EQ(made->piece.food.id, "pork-loin");
    EXPECT_NEAR(made->piece.thicknessM, 0.04, 1e-9);
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(bench.document.recipes().size(), before);
    bench.press(Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
    EXPECT_TRUE(named(bench, "Words of a loin"));
}

TEST(Words, AreRewrittenForTheOpenedRowAndStayForTheirOwn) {
    Bench bench(true, Bench::Kitchen::few);
    paste(bench, "Loin", kWords, "Deck oven");
    ReachPane& reach = bench.window->translatePage().reach();
    QWidget* window = bench.window.get();
    EXPECT_TRUE(isThere(window, "The author's time"));
    bool own = false, other = false;
    for (int i = 0; i < reach.rows().rowCount(); ++i) {
        const auto row = reach.rows().item(i).row;
        if (!row.reached)
            continue;
        reach.openRow(i);
        const QString text = textOf(window, "Text for the opened row");
        if (row.target.applianceId == "basket") {
            other = true;
            EXPECT_FALSE(text.contains(QStringLiteral("180 °C"))) << toStd(text);
            EXPECT_TRUE(text.contains(QStringLiteral("Rest 10 minutes under foil"))) << toStd(text);
        }
        own |= row.target.applianceId == "deck" && text == QStringLiteral("As it is written.");
        QTest::keyClick(&reach, Qt::Key_Escape);
    }
    EXPECT_TRUE(own);
    EXPECT_TRUE(other);
    EXPECT_FALSE(isThere(window, "Text for the opened row"));
}

TEST(Words, AMarkIsCorrectedAndItsStageFollows) {
    Bench bench(true, Bench::Kitchen::few);
    paste(bench, "Loin", kWords, "Deck oven", false);
    auto* text = find<QLabel>(bench.window.get(), "Text of the recipe");
    inDialog([&](QWidget* dialog) {
        type(dialog, "That is", QStringLiteral("hot"));
        pressSave(dialog);
        EXPECT_TRUE(dialog->isVisible()) << "hot is no temperature";
        type(dialog, "That is", QStringLiteral("190 C"));
        pressSave(dialog);
    });
    emit text->linkActivated(QStringLiteral("2")); // the heat
    const Recipe* made = named(bench, "Loin");
    ASSERT_TRUE(made);
    ASSERT_EQ(made->corrections.size(), 1u);
    EXPECT_EQ(made->corrections[0].text, "180 °C");
    EXPECT_EQ(std::get<double>(made->last().place.setting.values[0]), 190);
    EXPECT_EQ(made->text.find("190"), std::string::npos) << "the words stay its author's";
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(named(bench, "Loin")->corrections.empty());
}

TEST(Words, TheAuthorsTimeIsTypedSetAsideAndRefused) {
    Bench bench(true, Bench::Kitchen::few);
    paste(bench, "Loin", kWords, "Deck oven", false);
    inDialog([&](QWidget* dialog) {
        EXPECT_EQ(find<QLineEdit>(dialog, "The author's time to the goal")->text(),
                  QStringLiteral("50 min"));
        type(dialog, "The author's time to the goal", QStringLiteral("a good while"));
        pressSave(dialog);
        EXPECT_TRUE(dialog->isVisible());
        type(dialog, "The author's time to the goal", QStringLiteral("45-55 min"));
        click(dialog, "Set the author's time aside");
        pressSave(dialog);
    });
    click(bench.window.get(), "Recipe…");
    EXPECT_EQ(named(bench, "Loin")->time.lowS, 2700);
    EXPECT_EQ(named(bench, "Loin")->time.highS, 3300);
    EXPECT_TRUE(named(bench, "Loin")->time.setAside);
    EXPECT_TRUE(waitFor([&] {
        return isThere(bench.window.get(), "The author's time") &&
               textOf(bench.window.get(), "The author's time")
                   .contains(QStringLiteral("set aside"));
    }));
}

TEST(Words, HowAPieceIsKnownNarrowsItsRows) {
    Bench bench(true, Bench::Kitchen::few);
    paste(bench, "Loin", kWords, "Deck oven", false);
    const auto width = [&] {
        const auto& rows = bench.window->translatePage().reach().rows();
        for (int i = 0; i < rows.rowCount(); ++i)
            if (rows.item(i).row.target.applianceId == "gale" && rows.item(i).row.window)
                return rows.item(i).windowPending ? 0.0 : rows.item(i).row.window->lnSd;
        return 0.0;
    };
    ASSERT_TRUE(waitFor([&] { return width() > 0; }));
    const double byEye = width();
    inDialog([&](QWidget* dialog) {
        pick(dialog, "Thickness known by", "calipers");
        pick(dialog, "Start known by", "a probe");
        pressSave(dialog);
    });
    click(bench.window.get(), "Piece…");
    ASSERT_TRUE(waitFor([&] { return width() > 0 && width() != byEye; }));
    EXPECT_EQ(named(bench, "Loin")->piece.thicknessBy, dynamet::recipe::KnownBy::calipers);
    EXPECT_TRUE(named(bench, "Loin")->piece.startProbed);
    EXPECT_LT(width(), 0.9 * byEye);
}

TEST(Rows, AreGroupedFilteredAndWrittenAsASheet) {
    Bench bench(true, Bench::Kitchen::few);
    paste(bench, "Loin", kWords, "Deck oven");
    QWidget* window = bench.window.get();
    auto& rows = bench.window->translatePage().reach().rows();
    for (int i = 1; i < rows.rowCount(); ++i)
        EXPECT_LE(rows.group(i - 1), rows.group(i));
    const int all = rows.rowCount();
    RowsModel::Filter busy;
    busy.inUse.insert("deck");
    rows.setFilter(busy);
    EXPECT_LT(rows.rowCount(), all);
    for (int i = 0; i < rows.rowCount(); ++i)
        EXPECT_NE(rows.item(i).row.target.applianceId, "deck");
    rows.setFilter({});
    EXPECT_EQ(rows.rowCount(), all);
    click(window, "Only rated appliances");
    for (int i = 0; i < rows.rowCount(); ++i)
        EXPECT_TRUE(bench.document.kitchen().rated.contains(rows.item(i).row.target.applianceId));
    click(window, "Only rated appliances");
    EXPECT_EQ(rows.rowCount(), all);
    for (const char* name : {"fleet.pdf", "fleet.html", "fleet.xlsx"}) {
        const QString path = bench.folder.filePath(QString::fromUtf8(name));
        inDialog([&](QWidget* dialog) {
            type(dialog, "File to write", path);
            QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
        });
        click(window, "Write all rows as a sheet");
        QFile file(path);
        ASSERT_TRUE(file.open(QIODevice::ReadOnly)) << name;
        const QByteArray bytes = file.readAll();
        EXPECT_TRUE(bytes.startsWith("%PDF") || bytes.startsWith("<!DOCTYPE") ||
                    bytes.startsWith("PK"))
            << name;
        if (bytes.startsWith("%PDF")) {
            EXPECT_EQ(bytes.count("/Type /Page\n"), 1);
        }
    }
}

TEST(Rows, WhatToRateNextIsWorkedOutAndMayBeLeft) {
    Bench bench(true, Bench::Kitchen::few);
    QAction* ask = nullptr;
    for (QAction* action : bench.window->actions())
        if (action->text().startsWith(QStringLiteral("What to rate next")))
            ask = action;
    ASSERT_NE(ask, nullptr);
    inDialog([&](QWidget* dialog) {
        EXPECT_TRUE(waitFor(
            [&] {
                return textOf(dialog, "What to rate next")
                    .startsWith(QStringLiteral("Next best: "));
            },
            200000));
        EXPECT_GE(find<QTableView>(dialog, "Tests that would narrow windows")->model()->rowCount(),
                  1);
        QTest::keyClick(dialog, Qt::Key_Escape);
    });
    ask->trigger();
    inDialog([](QWidget* dialog) { QTest::keyClick(dialog, Qt::Key_Escape); });
    ask->trigger(); // left while it works
}

TEST(Rows, TheWallHasASheetOfItsOwn) {
    Bench bench(true, Bench::Kitchen::few);
    bench.press(Qt::Key_1, Qt::ControlModifier);
    const QString path = bench.folder.filePath(QStringLiteral("wall.pdf"));
    inDialog([&](QWidget* dialog) {
        type(dialog, "File to write", path);
        QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
    });
    bench.press(Qt::Key_P, Qt::ControlModifier);
    QFile file(path);
    ASSERT_TRUE(file.open(QIODevice::ReadOnly));
    EXPECT_TRUE(file.readAll().startsWith("%PDF"));
}

} // namespace
