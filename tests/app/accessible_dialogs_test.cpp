// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Every dialog as assistive technology and a keyboard meet it, and on the smallest screen there is:
// 1280 × 800 at 200 % leaves 640 × 400. WCAG 2.1: 4.1.2, 2.1.1, 1.4.4 (text resized to 200 %).
#include "app/cook/photo_rim_dialog.h"
#include "app/exchange/copies_dialog.h"
#include "app/exchange/take_in_dialog.h"
#include "app/kitchen/appliance_dialog.h"
#include "app/kitchen/kept_dialog.h"
#include "app/kitchen/thing_dialogs.h"
#include "app/live/instruments_dialog.h"
#include "app/plan/menu_dialogs.h"
#include "app/plan/on_already_dialog.h"
#include "app/rate/import_dialog.h"
#include "app/screen_check.h"
#include "app/shell/next_test_dialog.h"
#include "app/shell/test_day_dialog.h"
#include "app/translate/binding_dialog.h"
#include "app/translate/choices_dialog.h"
#include "app/translate/piece_dialog.h"
#include "app/translate/recipe_dialog.h"
#include "app/translate/weather_dialog.h"
#include "app/translate/words_dialog.h"
#include "app/tree_walk.h"
#include "app/widgets/save_path_dialog.h"
#include "recipe_text/binding.h"

namespace {

using namespace hands;
using namespace tree;
using namespace dynamet;

using Make = std::function<std::unique_ptr<QDialog>(Document&, MainWindow&)>;
struct OneDialog {
    const char* name;
    Make make;
};

template <class Dialog, class... Words>
std::unique_ptr<QDialog> made(Words&&... words) {
    return std::make_unique<Dialog>(std::forward<Words>(words)...);
}

std::vector<OneDialog> allDialogs() {
    return {
        {"appliance",
         [](Document& d, MainWindow& w) {
             return made<ApplianceDialog>(d, d.kitchen().appliances.front(), &w);
         }},
        {"place", [](Document& d,
                     MainWindow& w) { return made<SiteDialog>(d, d.kitchen().sites.front(), &w); }},
        {"vessel",
         [](Document& d, MainWindow& w) {
             return made<VesselDialog>(d, d.kitchen().vessels.front(), &w);
         }},
        {"insert",
         [](Document& d, MainWindow& w) { return made<InsertDialog>(d, kitchen::Insert{}, &w); }},
        {"instrument",
         [](Document& d, MainWindow& w) {
             return made<InstrumentDialog>(d, d.kitchen().instruments.front(), &w);
         }},
        {"import",
         [](Document&, MainWindow& w) {
             const auto* protocol = rating::findProtocol("preheat");
             const auto roles = rating::rolesFor(*protocol, kitchen::ApplianceKind::stillOven);
             return made<ImportDialog>(*protocol, roles,
                                       QStringLiteral(DEMO_LOGS "/deck-180-evening.csv"), kNow, &w);
         }},
        {"menu",
         [](Document& d, MainWindow& w) { return made<MenuDialog>(d, d.menus().front(), &w); }},
        {"dish",
         [](Document& d, MainWindow& w) {
             const auto& menu = d.menus().front();
             return made<DishDialog>(d, menu, menu.dishes.front(), &w);
         }},
        {"on already",
         [](Document& d, MainWindow& w) {
             return made<OnAlreadyDialog>(d, d.menus().front(), &w);
         }},
        {"piece",
         [](Document& d, MainWindow& w) { return made<PieceDialog>(d, d.recipes().front(), &w); }},
        {"recipe",
         [](Document& d, MainWindow& w) { return made<RecipeDialog>(d, d.recipes().front(), &w); }},
        {"words", [](Document& d, MainWindow& w) { return made<WordsDialog>(d, &w); }},
        {"binding",
         [](Document& d, MainWindow& w) {
             const auto bound = recipe_text::bindingsIn("Bake at 180 °C for 40 minutes.");
             return made<BindingDialog>(d, bound.front(), &w);
         }},
        {"weather",
         [](Document& d, MainWindow& w) { return made<WeatherDialog>(d, std::nullopt, &w); }},
        {"choices", [](Document& d, MainWindow& w) { return made<ChoicesDialog>(d, "beef", &w); }},
        {"next test", [](Document& d, MainWindow& w) { return made<NextTestDialog>(d, &w); }},
        {"test day", [](Document& d, MainWindow& w) { return made<TestDayDialog>(d, &w); }},
        {"take in", [](Document& d, MainWindow& w) { return made<TakeInDialog>(d, &w); }},
        {"copies", [](Document& d,
                      MainWindow& w) { return made<CopiesDialog>(d, toQt(d.book().path()), &w); }},
        {"photo",
         [](Document& d, MainWindow& w) {
             QPixmap photo(1200, 900);
             photo.fill(Qt::gray);
             return made<PhotoRimDialog>(photo, d.units(), &w);
         }},
        {"instruments on the line",
         [](Document& d, MainWindow& w) {
             return made<InstrumentsDialog>(d, w.ratePage().desk(), &w);
         }},
        {"save", [](Document&, MainWindow& w) {
             return made<SavePathDialog>(QStringLiteral("Where to"),
                                         QStringLiteral("File to write"),
                                         QStringLiteral("/home/cook/a/rather/long/name.pdf"),
                                         QStringLiteral("Pages (*.pdf)"), &w);
         }}};
}

class AccessibleDialogs : public ::testing::Test {
  protected:
    Bench bench;
    void eachShown(const std::function<void(QDialog&, const char*)>& look) {
        for (const OneDialog& one : allDialogs()) {
            const auto dialog = one.make(bench.document, *bench.window);
            dialog->show();
            dialog->activateWindow();
            ASSERT_TRUE(QTest::qWaitForWindowActive(dialog.get())) << one.name;
            QApplication::processEvents();
            look(*dialog, one.name);
        }
    }
};

TEST_F(AccessibleDialogs, EveryControlHasANameAndARole) {
    eachShown([](QDialog& dialog, const char* name) { expectNames(&dialog, name, 1); });
}

// Opened by a click, a dialog took the keys and had nothing that they went to (202).
TEST_F(AccessibleDialogs, Defect202WhatIsTypedFirstGoesIntoAControl) {
    eachShown([](QDialog& dialog, const char* which) {
        const QWidget* on = dialog.focusWidget();
        const auto* area = qobject_cast<const QScrollArea*>(on);
        EXPECT_FALSE(area && area->findChild<QLineEdit*>()) << which;
        EXPECT_NE(on, nullptr) << which;
    });
}

TEST_F(AccessibleDialogs, EveryButtonIsReachedByTabAndEscLeaves) {
    eachShown([](QDialog& dialog, const char* name) {
        const auto round = tabRound(&dialog);
        for (auto* button : dialog.findChildren<QAbstractButton*>())
            if (button->isVisible() && button->isEnabled() && !button->group() &&
                button->focusPolicy() != Qt::NoFocus &&
                !button->objectName().startsWith(QLatin1String("qt_"))) {
                EXPECT_TRUE(std::find(round.begin(), round.end(), button) != round.end())
                    << name << ": " << button->text().toStdString();
            }
        QTest::keyClick(&dialog, Qt::Key_Escape);
        EXPECT_FALSE(dialog.isVisible()) << name;
    });
}

// 200: a recipe, the house methods and a photo's rim were larger than the screen, their buttons
// below its edge.
TEST_F(AccessibleDialogs, Defect200NothingIsCutAtTheirOwnSizeNorAt200Percent) {
    eachShown([](QDialog& dialog, const char* name) {
        screen::expectNothingCutOrOutside(&dialog, name);
        dialog.resize(624, 360); // 640 × 400 less what the frame takes
        QApplication::processEvents();
        EXPECT_LE(dialog.width(), 640) << name << ": wider than the screen";
        EXPECT_LE(dialog.height(), 400) << name << ": higher than the screen";
        screen::expectNothingCutOrOutside(&dialog, (std::string(name) + " at 200 %").c_str());
    });
}

} // namespace
