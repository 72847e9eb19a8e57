// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Two stations: changes out, changes in, one recipe shared, copies of the last days, a damaged
// book.
#include "app/exchange/copy_keeper.h"
#include "app/hands.h"
#include "app/look/theme.h"
#include "app/widgets/text_table.h"
#include "book/kitchen_store.h"
#include "book/safety/copies.h"

#include <QFile>
#include <QMenu>
#include <fstream>

namespace {

using namespace hands;
using namespace dynamet;

class ExchangeWalk : public ::testing::Test {
  protected:
    Bench bench{true, Bench::Kitchen::few};
    QWidget* window = bench.window.get();
    QString file(const char* name) { return bench.folder.filePath(QString::fromUtf8(name)); }
    /// A command of the menu, as picked there.
    void command(const char* name) {
        for (QAction* action : window->actions())
            if (action->text() == QString::fromUtf8(name) && action->isEnabled())
                return action->trigger();
        ADD_FAILURE() << "no command " << name;
    }
    void writeTo(const QString& path) {
        inDialog([path](QWidget* dialog) {
            type(dialog, "File to write", path);
            QTest::keyClick(dialog, Qt::Key_Return);
        });
    }
    std::string words(const char* label) {
        auto* found = find<QLabel>(window, label);
        return found ? found->text().toStdString() : "";
    }
};

TEST_F(ExchangeWalk, ChangesGoOutAndInByOneKeyEach) {
    writeTo(file("station.json"));
    bench.press(Qt::Key_E, Qt::ControlModifier);
    ASSERT_TRUE(QFile::exists(file("station.json")));
    // Both stations give an appliance another name.
    auto appliance = *findAppliance(bench.document.kitchen(), "deck");
    std::ifstream out(file("station.json").toStdString());
    std::string theirs((std::istreambuf_iterator<char>(out)), {});
    const std::string was = "\"name\":\"" + appliance.name + "\"", before = "Renamed there";
    ASSERT_NE(theirs.find(was), std::string::npos);
    theirs.replace(theirs.find(was), was.size(), "\"name\":\"" + before + "\"");
    std::ofstream(file("station.json").toStdString()) << theirs;
    appliance.name = "Renamed here";
    ASSERT_TRUE(changeAppliance(bench.document.book(), appliance));
    bench.document.reload();
    inDialog([&](QWidget* dialog) {
        type(dialog, "File to take in", file("station.json"));
        QTest::keyClick(find<QLineEdit>(dialog, "File to take in"), Qt::Key_Return);
        auto* says = find<QLabel>(dialog, "What it would change");
        EXPECT_TRUE(says->text().contains(QStringLiteral("adds nothing")))
            << says->text().toStdString();
        EXPECT_TRUE(says->text().contains(QStringLiteral("1 differ")));
        auto* table = find<TextTable>(dialog, "What both books have and not alike");
        ASSERT_EQ(table->model()->rowCount(), 1);
        EXPECT_EQ(table->model()->index(0, 5).data().toString(), QStringLiteral("ours"));
        for (auto* button : dialog->findChildren<QPushButton*>())
            if (button->text() == QStringLiteral("Take theirs"))
                QTest::mouseClick(button, Qt::LeftButton);
        EXPECT_EQ(table->model()->index(0, 5).data().toString(), QStringLiteral("theirs"));
        for (auto* button : dialog->findChildren<QPushButton*>())
            if (button->text() == QStringLiteral("Take in"))
                QTest::mouseClick(button, Qt::LeftButton);
    });
    bench.press(Qt::Key_E, Qt::ControlModifier | Qt::ShiftModifier);
    EXPECT_EQ(findAppliance(bench.document.kitchen(), "deck")->name, before);
    // The book from before lies beside it.
    auto old = book::Book::open(toStd(file("demo before.dynamet")));
    ASSERT_TRUE(old);
    EXPECT_EQ(findAppliance(loadKitchen(*old).value(), "deck")->name, "Renamed here");
}

// 197: a field that had the focus took Ctrl+E for "to the end of the line".
TEST_F(ExchangeWalk, Defect197TheKeysWorkFromAField) {
    auto* field = find<QLineEdit>(window, "Filter the line-up");
    field->setFocus();
    writeTo(file("field.json"));
    QTest::keyClick(field, Qt::Key_E, Qt::ControlModifier);
    EXPECT_TRUE(QFile::exists(file("field.json")));
    window->activateWindow();
    ASSERT_TRUE(QTest::qWaitForWindowActive(window));
    field->setFocus();
    look::chooseTheme(look::ThemeChoice::light);
    QTest::keyClick(field, Qt::Key_D, Qt::ControlModifier);
    EXPECT_TRUE(look::theme().dark);
    look::chooseTheme(look::ThemeChoice::light);
}

TEST_F(ExchangeWalk, AFileThatIsNoneIsSaidAndChangesNothing) {
    QFile bad(file("bad.json"));
    ASSERT_TRUE(bad.open(QIODevice::WriteOnly));
    bad.write("{\"format\": \"something else\"}");
    bad.close();
    inDialog([&](QWidget* dialog) {
        type(dialog, "File to take in", file("bad.json"));
        QTest::keyClick(find<QLineEdit>(dialog, "File to take in"), Qt::Key_Return);
        EXPECT_TRUE(find<QLabel>(dialog, "What it would change")
                        ->text()
                        .contains(QStringLiteral("no Dynamet bundle")));
        for (auto* button : dialog->findChildren<QPushButton*>())
            if (button->text() == QStringLiteral("Take in")) {
                EXPECT_FALSE(button->isEnabled());
            }
        QTest::keyClick(dialog, Qt::Key_Escape);
    });
    command("Take in changes…");
}

TEST_F(ExchangeWalk, OneRecipeIsSharedWithItsAppliance) {
    inDialog([&](QWidget* first) {
        inDialog(
            [this](QWidget* second) {
                type(second, "File to write", file("recipe.json"));
                QTest::keyClick(second, Qt::Key_Return);
            },
            400, first);
        pick(first, "What is shared", "Recipe");
        QTest::keyClick(first, Qt::Key_Return);
    });
    command("Share one appliance or recipe…");
    ASSERT_TRUE(QFile::exists(file("recipe.json")));
    // A new book takes it in: the recipe is there with what it was written for.
    kitchen::Site site;
    site.id = book::newId();
    site.name = "Other kitchen";
    ASSERT_TRUE(bench.document.createNew(file("other.dynamet"), site));
    inDialog([&](QWidget* dialog) {
        type(dialog, "File to take in", file("recipe.json"));
        QTest::keyClick(find<QLineEdit>(dialog, "File to take in"), Qt::Key_Return);
        for (auto* button : dialog->findChildren<QPushButton*>())
            if (button->text() == QStringLiteral("Take in"))
                QTest::mouseClick(button, Qt::LeftButton);
    });
    command("Take in changes…");
    EXPECT_EQ(bench.document.recipes().size(), 1u);
    EXPECT_FALSE(bench.document.kitchen().appliances.empty());
}

// A number that something else wrote into the file looks like any other: the window says so when it
// is opened, until a cook says that it is right.
TEST_F(ExchangeWalk, AFileThatSomethingElseChangedIsSaidUntilACookSaysItIsRight) {
    kitchen::Site site;
    site.id = book::newId();
    site.name = "Other kitchen";
    const auto elsewhere = [&](const char* name) {
        ASSERT_TRUE(bench.document.createNew(file(name), site)); // lets go of the book
    };
    const auto warned = [&] {
        EXPECT_TRUE(bench.document.open(bench.book));
        QTest::qWait(300); // it is looked through beside the work
        return isThere(window, "Changed from outside");
    };
    elsewhere("one.dynamet");
    EXPECT_FALSE(warned()) << "nobody but us";
    elsewhere("two.dynamet");
    {
        SQLite::Database db(toStd(bench.book), SQLite::OPEN_READWRITE);
        db.exec("UPDATE vessel SET mass_kg = mass_kg * 2");
    }
    EXPECT_TRUE(warned());
    elsewhere("three.dynamet");
    EXPECT_FALSE(isThere(window, "Changed from outside")) << "another book";
    EXPECT_TRUE(warned()) << "nobody has said yet that it is right";
    click(window, "It is right as it is");
    EXPECT_FALSE(isThere(window, "Changed from outside"));
    elsewhere("four.dynamet");
    EXPECT_FALSE(warned());
}

// Opened by another program's reader of spreadsheets in tests/cli; here as CSV (RFC 4180).
TEST_F(ExchangeWalk, AllRatingsGoIntoATable) {
    writeTo(file("ratings.csv"));
    command("All ratings as a table…");
    QFile made(file("ratings.csv"));
    ASSERT_TRUE(made.open(QIODevice::ReadOnly));
    const QStringList lines = QString::fromUtf8(made.readAll()).split(QStringLiteral("\r\n"));
    EXPECT_TRUE(lines[0].startsWith(QStringLiteral("Appliance,Setting,Place,Vessel,Quantity")));
    qsizetype numbers = 0;
    for (const auto& [appliance, rated] : bench.document.kitchen().rated)
        numbers += static_cast<qsizetype>(rated.size());
    EXPECT_EQ(lines.size(), numbers + 2) << "a header, and the end of the last line";
    EXPECT_TRUE(lines.join(QString()).contains(QStringLiteral("all.air_K")));
}

TEST_F(ExchangeWalk, CopiesMakeThemselvesAndOneIsOpened) {
    CopyKeeper keeper(bench.document);
    ASSERT_TRUE(waitFor([&] { return keeper.isIdle(); }));
    ASSERT_EQ(book::copiesOf(toStd(bench.book)).size(), 1u);
    inDialog([](QWidget* dialog) {
        EXPECT_EQ(find<TextTable>(dialog, "Copies of the book")->model()->rowCount(), 1);
        for (auto* button : dialog->findChildren<QPushButton*>())
            if (button->text() == QStringLiteral("Open it as a book"))
                QTest::mouseClick(button, Qt::LeftButton);
    });
    command("Copies of the last days…");
    EXPECT_TRUE(toQt(bench.document.book().path()).contains(QStringLiteral("demo of 2026-11-20")));
    EXPECT_TRUE(QFile::exists(bench.book));
}

TEST(DamagedBook, TheRestIsSavedFromTheFirstPage) {
    Bench bench(false);
    QFile file(bench.book);
    ASSERT_TRUE(file.open(QIODevice::ReadWrite));
    QByteArray bytes = file.readAll();
    bytes.truncate(bytes.size() / 2 / 4096 * 4096);
    file.seek(0);
    file.resize(0);
    file.write(bytes);
    file.close();
    QWidget* window = bench.window.get();
    bench.window->tryBook(bench.book);
    ASSERT_TRUE(isThere(window, "Save what can be read into a new book"));
    EXPECT_FALSE(isThere(window, "Copies of the last days…")) << "there are none";
    click(window, "Save what can be read into a new book");
    ASSERT_TRUE(bench.document.isOpen());
    EXPECT_TRUE(toQt(bench.document.book().path()).endsWith(QStringLiteral("demo saved.dynamet")));
    EXPECT_TRUE(find<QLabel>(window, "Notice")->text().contains(QStringLiteral("may be missing")));
    ASSERT_TRUE(file.open(QIODevice::ReadOnly));
    EXPECT_EQ(file.readAll(), bytes) << "the damaged one is as it was";
}

} // namespace
