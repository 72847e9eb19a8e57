// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Every kind of appliance, vessel and instrument, entered in an empty book in °F at 1,650 m: each
// can be saved as it is offered, its page opens, and nothing on it is cut or absurd.
#include "app/document/window_memory.h"
#include "app/screen_check.h"
#include "kitchen/catalogue.h"

namespace {

using namespace hands;

class OwnBook : public ::testing::TestWithParam<dynamet::kitchen::ApplianceKind> {
  protected:
    QTemporaryDir folder;
    Document document{[] { return kNow; }};
    std::unique_ptr<MainWindow> window;

    void SetUp() override {
        window = std::make_unique<MainWindow>(document, QString());
        window->resize(1280, 760);
        window->show();
        window->activateWindow();
        ASSERT_TRUE(QTest::qWaitForWindowActive(window.get()));
        pick(window.get(), "Units", "°F");
        type(window.get(), "Name of the kitchen", QStringLiteral("Attic"));
        type(window.get(), "Height above the sea", QStringLiteral("5,413 ft"));
        type(window.get(), "File of the new book", folder.filePath(QStringLiteral("own.dynamet")));
        click(window.get(), "Begin a new kitchen");
        ASSERT_TRUE(document.isOpen());
    }
    void press(Qt::Key key) {
        window->activateWindow();
        ASSERT_TRUE(QTest::qWaitForWindowActive(window.get()));
        QTest::keyClick(window.get(), key, Qt::ControlModifier);
        QApplication::processEvents();
    }
    void section(const char* name) {
        press(Qt::Key_K);
        click(window.get(), name);
    }
    void add(const std::function<void(QWidget*)>& fill) {
        inDialog([=](QWidget* dialog) {
            fill(dialog);
            screen::look(dialog, "the dialog");
            pressSave(dialog);
            if (dialog->isVisible()) {
                ADD_FAILURE() << "as it is offered it cannot be saved";
                QTest::keyClick(dialog, Qt::Key_Escape);
            }
        });
        click(window.get(), "Add a thing");
    }
};

class EveryAppliance : public OwnBook {};
TEST_P(EveryAppliance, IsAddedAsItIsOfferedAndItsPageIsSensible) {
    const char* kind = dynamet::kitchen::kindName(GetParam());
    section("Show Appliances");
    add([=](QWidget* dialog) {
        type(dialog, "Name of the appliance", QStringLiteral("Mine"));
        pick(dialog, "Kind of appliance", kind);
    });
    ASSERT_EQ(document.kitchen().appliances.size(), 1u);
    EXPECT_EQ(document.kitchen().appliances.front().kind, GetParam());
    screen::look(window.get(), "the kitchen");
    press(Qt::Key_1);
    screen::look(window.get(), "its sheet");
    press(Qt::Key_Z);
    EXPECT_TRUE(document.kitchen().appliances.empty());
    screen::look(window.get(), "after the undo");
}
INSTANTIATE_TEST_SUITE_P(Kinds, EveryAppliance, ::testing::ValuesIn(dynamet::kitchen::allKinds()),
                         [](const auto& kind) {
                             std::string out;
                             for (const char c :
                                  std::string(dynamet::kitchen::kindName(kind.param)))
                                 if (std::isalnum(static_cast<unsigned char>(c)))
                                     out += c;
                             return out;
                         });

// A stockpot of the catalogue was saved with a saucepan's mass: its form was the first of its kind.
using Defect123 = OwnBook;
TEST_F(Defect123, EveryCommonVesselAndInstrumentIsSavedAsItIsOffered) {
    section("Show Vessels");
    for (const auto& vessel : dynamet::kitchen::commonVessels())
        add([&](QWidget* dialog) { pick(dialog, "Begin with", vessel.name.c_str()); });
    ASSERT_EQ(document.kitchen().vessels.size(), dynamet::kitchen::commonVessels().size());
    for (std::size_t i = 0; i < document.kitchen().vessels.size(); ++i) {
        const auto &saved = document.kitchen().vessels[i],
                   &common = dynamet::kitchen::commonVessels()[i];
        EXPECT_EQ(saved.name, common.name);
        // Grams are shown in ounces and pounds here: what is saved is what is read off the field.
        EXPECT_NEAR(saved.massKg, common.massKg, 0.015 * common.massKg + 0.005) << common.name;
        EXPECT_NEAR(saved.baseDiameterM, common.baseDiameterM, 0.001) << common.name;
    }
    section("Show Instruments");
    for (const auto& instrument : dynamet::kitchen::commonInstruments())
        add([&](QWidget* dialog) { pick(dialog, "Begin with", instrument.name.c_str()); });
    ASSERT_EQ(document.kitchen().instruments.size(), dynamet::kitchen::commonInstruments().size());
    for (std::size_t i = 0; i < document.kitchen().instruments.size(); ++i)
        EXPECT_NEAR(document.kitchen().instruments[i].accuracy,
                    dynamet::kitchen::commonInstruments()[i].accuracy, 0.05);
    screen::look(window.get(), "all of them");
}

// Folded beside Translate the line-up showed ".d" for Add and one letter of its headings; without a
// recipe there was still a translation to keep.
using Defect127 = OwnBook;
TEST_F(Defect127, ANarrowWindowCutsNothingAndOffersNothingEmpty) {
    window->resize(1000, 700);
    section("Show Appliances");
    add([](QWidget* dialog) { type(dialog, "Name of the appliance", QStringLiteral("Big oven")); });
    for (const Qt::Key page : {Qt::Key_1, Qt::Key_2, Qt::Key_K}) {
        press(page);
        screen::look(window.get(), "a page at 1000 x 700");
    }
    press(Qt::Key_2);
    EXPECT_FALSE(find<QPushButton>(window.get(), "Keep this translation")->isEnabled());
}

// Chosen after another kind, a hob's fields were cut at the right of a window that had been made
// for fewer (182), and it had no pan though the book has one (183).
using Defect182 = OwnBook;
TEST_F(Defect182, AHobChosenLateHasItsRoomAndDefect183ItsPan) {
    section("Show Vessels");
    add([](QWidget* dialog) { pick(dialog, "Begin with", "Iron pan 26 cm"); });
    section("Show Appliances");
    add([](QWidget* dialog) {
        pick(dialog, "Kind of appliance", "Water bath");
        type(dialog, "Name of the appliance", QStringLiteral("Mine"));
        pick(dialog, "Kind of appliance", "Induction hob");
        QApplication::processEvents();
        auto* more = find<QPushButton>(dialog, "Add a pan");
        ASSERT_NE(more, nullptr);
        EXPECT_FALSE(more->visibleRegion().isEmpty());
        EXPECT_EQ(more->visibleRegion().boundingRect().width(), more->width()) << "cut";
    });
    ASSERT_EQ(document.kitchen().appliances.size(), 1u);
    EXPECT_EQ(document.kitchen().appliances.front().standardVesselId,
              document.kitchen().vessels.front().id);
}

using HobLimits = OwnBook;
TEST_F(HobLimits, AreTypedKeptAndCanBeTakenBack) {
    section("Show Appliances");
    add([](QWidget* dialog) {
        type(dialog, "Name of the appliance", QStringLiteral("Mine"));
        pick(dialog, "Kind of appliance", "Induction hob");
        type(dialog, "Highest mark lasts", QStringLiteral("10 min"));
        type(dialog, "Pan limiter stops at", QStringLiteral("460"));
        type(dialog, "Shared power", QStringLiteral("3.7 kW"));
    });
    ASSERT_EQ(document.kitchen().appliances.size(), 1u);
    const auto limits = [&] { return document.kitchen().appliances.front().hob; };
    EXPECT_EQ(limits().boostS, 600);
    EXPECT_NEAR(limits().panLimitK, 511.15 - 0.22, 0.1);
    EXPECT_EQ(limits().sharedInputW, 3700);
    inDialog([](QWidget* dialog) {
        EXPECT_EQ(find<QLineEdit>(dialog, "Highest mark lasts")->text(), QStringLiteral("10 min"));
        auto* lasts = find<QLineEdit>(dialog, "Highest mark lasts");
        lasts->setFocus();
        lasts->selectAll();
        QTest::keyClick(lasts, Qt::Key_Delete);
        pressSave(dialog);
    });
    click(window.get(), "Change the chosen one");
    EXPECT_EQ(limits().boostS, 0) << "nothing typed is no boost";
    EXPECT_EQ(limits().sharedInputW, 3700);
    press(Qt::Key_Z);
    EXPECT_EQ(limits().boostS, 600);
}

TEST(WindowMemory, IsFoundAgainAndKnowsNothingAtFirst) {
    QTemporaryDir home;
    QSettings::setPath(QSettings::IniFormat, QSettings::UserScope, home.path());
    const WindowMemory first = readMemory();
    EXPECT_FALSE(first.units.fahrenheit);
    EXPECT_TRUE(first.lastBook.isEmpty());
    WindowMemory kept;
    kept.units.fahrenheit = true;
    kept.units.inches = true;
    kept.lastBook = QString::fromUtf8("/tmp/Küche, zwei.dynamet");
    kept.geometry = QByteArray("\0\1\2", 3);
    keepMemory(kept);
    const WindowMemory again = readMemory();
    EXPECT_TRUE(again.units.fahrenheit && again.units.inches);
    EXPECT_EQ(again.lastBook, kept.lastBook);
    EXPECT_EQ(again.geometry, kept.geometry);
}

} // namespace
