// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A newcomer's first hour, from no book at all: a kitchen of one's own, rated, cooked in and found
// again after a restart. Keys and mouse only.
#include "app/screen_check.h"

#include <QPlainTextEdit>
#include <fstream>

namespace {

using namespace hands;

struct Newcomer {
    const char* name;
    bool fahrenheit;
    const char *height, *boils;
    QSize size; ///< 640 × 400 is a screen of 1280 × 800 at 200 %
};
void PrintTo(const Newcomer& n, std::ostream* out) {
    *out << n.name;
}

class NewcomerWalk : public ::testing::TestWithParam<Newcomer> {
  protected:
    QTemporaryDir folder;
    QString book = folder.filePath(QStringLiteral("own.dynamet"));
    std::unique_ptr<Document> document;
    std::unique_ptr<MainWindow> window;

    void TearDown() override { screen::foreignUnit().clear(); }
    void open() {
        document = std::make_unique<Document>([] { return kNow; });
        window = std::make_unique<MainWindow>(*document, QString());
        window->resize(GetParam().size);
        window->show();
        window->activateWindow();
        EXPECT_TRUE(QTest::qWaitForWindowActive(window.get()));
    }
    void press(Qt::Key key, Qt::KeyboardModifiers modifiers) {
        window->activateWindow();
        ASSERT_TRUE(QTest::qWaitForWindowActive(window.get()));
        QTest::keyClick(window.get(), key, modifiers);
        QApplication::processEvents();
    }
    /// A temperature as this cook types it: a bare number in their unit.
    QString degrees(double celsius) const {
        return QString::number(qRound(GetParam().fahrenheit ? celsius * 1.8 + 32 : celsius));
    }
    void pane(const char* name) { // narrow windows show one at a time
        if (isThere(window.get(), name))
            click(window.get(), name);
    }
    void begin() {
        QWidget* w = window.get();
        screen::look(w, "first page");
        type(w, "Name of the kitchen", QStringLiteral("Ridge house"));
        if (GetParam().fahrenheit)
            pick(w, "Units", "°F");
        type(w, "Height above the sea", QString::fromUtf8(GetParam().height));
        type(w, "File of the new book", book);
        EXPECT_TRUE(textOf(w, "Where water boils").contains(QString::fromUtf8(GetParam().boils)))
            << textOf(w, "Where water boils").toStdString();
        click(w, "Begin a new kitchen");
        ASSERT_TRUE(document->isOpen());
        screen::foreignUnit() = GetParam().fahrenheit ? QStringLiteral("C") : QStringLiteral("F");
        screen::look(w, "an empty book");
    }
    void section(const char* name) {
        press(Qt::Key_K, Qt::ControlModifier);
        click(window.get(), name);
    }
    void addAppliance(const char* name, const char* kind) {
        section("Show Appliances");
        inDialog([=](QWidget* dialog) {
            type(dialog, "Name of the appliance", QString::fromUtf8(name));
            pick(dialog, "Kind of appliance", kind);
            screen::look(dialog, name);
            pressSave(dialog);
        });
        click(window.get(), "Add a thing");
    }
    void enterKitchen() {
        section("Show Vessels");
        inDialog([](QWidget* dialog) {
            pick(dialog, "Begin with", "Iron pan 26");
            screen::look(dialog, "a pan");
            pressSave(dialog);
        });
        click(window.get(), "Add a thing");
        ASSERT_EQ(document->kitchen().vessels.size(), 1u);
        section("Show Instruments");
        inDialog([](QWidget* dialog) {
            pick(dialog, "Begin with", "Leave-in probe");
            screen::look(dialog, "a probe");
            pressSave(dialog);
        });
        click(window.get(), "Add a thing");
        addAppliance("Front burner", "Gas burner");
        addAppliance("Wall oven", "Still oven");
        addAppliance("Kettle", "Charcoal kettle");
        ASSERT_EQ(document->kitchen().appliances.size(), 3u);
        screen::look(window.get(), "the kitchen");
    }
    void choose(const char* name) {
        press(Qt::Key_1, Qt::ControlModifier);
        for (const auto& a : document->kitchen().appliances)
            if (a.name == name)
                window->lineUp().select(a.id);
        QApplication::processEvents();
    }
    bool isMeasured(const char* setting) {
        auto* sheet = find<QTableView>(window.get(), "Rate sheet");
        for (int i = 0; i < sheet->model()->rowCount(); ++i)
            if (sheet->model()
                    ->headerData(i, Qt::Vertical)
                    .toString()
                    .startsWith(QString::fromUtf8(setting)))
                return sheet->model()
                    ->index(i, 0)
                    .data(Qt::AccessibleTextRole)
                    .toString()
                    .contains(QStringLiteral("measured"));
        return false;
    }
    void rateBurner() {
        choose("Front burner");
        pick(window.get(), "Rate at, flame", "full");
        QApplication::processEvents();
        pane("Pane How");
        QStringList pairs; // 1.5 kg of water in the pan, about 1.2 kW
        for (int minute = 0; minute <= 6; ++minute)
            pairs << QStringLiteral("%1 %2").arg(minute).arg(degrees(18 + 9.2 * minute));
        type(window.get(), "Typed, water readings", pairs.join(QStringLiteral(", ")));
        QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return); // crashed here
        QApplication::processEvents();
        screen::look(window.get(), "a burner worked out");
        EXPECT_TRUE(textOf(window.get(), "What was found").contains(QStringLiteral("kW")))
            << textOf(window.get(), "What was found").toStdString();
        press(Qt::Key_Return, Qt::ControlModifier);
        EXPECT_TRUE(isMeasured("flame full"));
    }
    void rateOven() {
        choose("Wall oven");
        const QString dial = GetParam().fahrenheit ? QStringLiteral("425") : QStringLiteral("220");
        type(window.get(), "Rate at, oven", dial);
        QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
        QApplication::processEvents();
        pane("Pane How");
        click(window.get(), "Read each zone");
        const double is = 212;
        type(window.get(), "Probe readings",
             QStringLiteral("%1, %2, %3").arg(degrees(is), degrees(is + 3), degrees(is - 2)));
        QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
        QApplication::processEvents();
        screen::look(window.get(), "an oven worked out");
        press(Qt::Key_Return, Qt::ControlModifier);
        const QString row =
            dial + (GetParam().fahrenheit ? QStringLiteral(" °F") : QStringLiteral(" °C"));
        EXPECT_TRUE(isMeasured(toStd(row).c_str()));
        logOven();
    }
    /// The same oven at another setting, from a logger's file with the heating-up in it.
    void logOven() {
        const QString log = folder.filePath(QStringLiteral("oven.csv"));
        std::ofstream out(log.toStdString());
        out << (GetParam().fahrenheit ? "time_s,oven F\n" : "time_s,oven C\n");
        for (int t = 0; t <= 5400; t += 10) {
            const double c =
                20 + 150 * (1 - std::exp(-t / 420.0)) + (t > 2000 ? 4 * std::sin(t / 60.0) : 0);
            out << t << ',' << (GetParam().fahrenheit ? c * 1.8 + 32 : c) << '\n';
        }
        out.close();
        const QString dial = GetParam().fahrenheit ? QStringLiteral("350") : QStringLiteral("175");
        type(window.get(), "Rate at, oven", dial);
        QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
        QApplication::processEvents();
        EXPECT_FALSE(isThere(window.get(), "Save the rating")) << "a result outlived its setting";
        pane("Pane How");
        click(window.get(), "Preheat and wait");
        inDialog([log](QWidget* dialog) {
            type(dialog, "File of the log", log);
            screen::look(dialog, "an import");
            QTest::keyClick(dialog, Qt::Key_Return);
        });
        press(Qt::Key_I, Qt::ControlModifier);
        screen::look(window.get(), "a log worked out");
        press(Qt::Key_Return, Qt::ControlModifier);
        EXPECT_TRUE(isMeasured(toStd(dial).c_str()));
    }
    void rateKettle() {
        choose("Kettle");
        pane("Pane How");
        type(window.get(), "Probe readings",
             QStringLiteral("%1 %2 %3").arg(degrees(225), degrees(233), degrees(228)));
        click(window.get(), "Work it out");
        screen::look(window.get(), "a kettle worked out");
        press(Qt::Key_Return, Qt::ControlModifier);
        EXPECT_TRUE(isMeasured("vents quarter"));
    }
    struct Written {
        const char *name, *appliance, *time, *food;
        const char *firstAppliance = nullptr, *firstTime = nullptr;
    };
    void writeRecipe(const Written& recipe) {
        press(Qt::Key_2, Qt::ControlModifier);
        pane("Pane Recipe");
        inNewRecipe(window.get(), [=](QWidget* dialog) {
            type(dialog, "Name", QString::fromUtf8(recipe.name));
            if (recipe.firstAppliance) {
                click(dialog, "Add a stage before the last");
                QTest::qWait(20);
                pick(dialog, "Stage 1, appliance", recipe.firstAppliance);
                type(dialog, "Stage 1, time", QString::fromUtf8(recipe.firstTime));
            }
            const char* last = recipe.firstAppliance ? "Stage 2, " : "Stage 1, ";
            pick(dialog, (std::string(last) + "appliance").c_str(), recipe.appliance);
            if (recipe.time)
                type(dialog, (std::string(last) + "time").c_str(), QString::fromUtf8(recipe.time));
            screen::look(dialog, recipe.name);
            pressSave(dialog);
            inDialog([=](QWidget* piece) {
                pick(piece, "Food", recipe.food);
                screen::look(piece, recipe.food);
                pressSave(piece);
            });
        });
        ASSERT_TRUE(waitFor([&] { return window->isIdle(); }, 600000)) << recipe.name;
        pane("Pane Outcome");
        screen::look(window.get(), recipe.name);
        pane("Pane Appliances");
        screen::look(window.get(), recipe.name);
        expectRowsOrReasons(recipe);
    }
    /// Every row has a time with its unit, or says why not.
    void expectRowsOrReasons(const Written& recipe) {
        auto& rows = window->translatePage().reach().rows();
        for (int i = 0; i < rows.rowCount(); ++i) {
            const auto& row = rows.item(i).row;
            if (!row.reached) {
                EXPECT_FALSE(row.reason.message.empty()) << recipe.name;
                continue;
            }
            EXPECT_GT(row.outcome.pullS, 30) << recipe.name;
            EXPECT_LT(row.outcome.pullS, 72 * 3600) << recipe.name;
            EXPECT_GT(row.outcome.peakK, 273.15 + 25) << recipe.name;
            EXPECT_LT(row.outcome.peakK, 273.15 + 102) << recipe.name;
        }
    }
    void writeRecipes() {
        writeRecipe({"Sunday roast", "Wall oven", "1 h 10", "Beef rib roast"});
        writeRecipe({"Oat cookies", "Wall oven", "12", "Rich dough"});
        writeRecipe(
            {"Pepper steak", "Wall oven", nullptr, "Beef, lean steak", "Front burner", "3 min"});
        writeRecipe({"Baked potatoes", "Wall oven", "50", "Potato"});
        writeRecipe({"Coal braise", "Kettle", "2 1/2 h", "Beef chuck"});
        ASSERT_EQ(document->recipes().size(), 5u);
    }
    void restart() {
        window.reset();
        document.reset();
        open();
        document->setUnits({GetParam().fahrenheit, GetParam().fahrenheit});
        ASSERT_TRUE(document->open(book).has_value());
        screen::look(window.get(), "after a restart");
        EXPECT_EQ(document->recipes().size(), 5u);
        EXPECT_EQ(document->kitchen().appliances.size(), 3u);
        for (const auto& a : document->kitchen().appliances)
            EXPECT_FALSE(document->kitchen().rated.at(a.id).empty()) << a.name;
        EXPECT_EQ(document->kitchen().vessels.size(), 1u);
        EXPECT_EQ(document->kitchen().instruments.size(), 1u);
    }
};

TEST_P(NewcomerWalk, AKitchenOfOnesOwn) {
    open();
    begin();
    enterKitchen();
    rateBurner();
    rateOven();
    rateKettle();
    writeRecipes();
    restart();
}

// 1650 m: 83,039 Pa, where water boils at 94.5 °C (IAPWS-IF97 on the ICAO atmosphere).
INSTANTIATE_TEST_SUITE_P(
    Kitchens, NewcomerWalk,
    ::testing::Values(Newcomer{"FahrenheitInTheHills", true, "1,650 m", "202 °F", {1280, 760}},
                      Newcomer{"FahrenheitOnASmallScreen", true, "1,650 m", "202 °F", {984, 650}},
                      Newcomer{"CelsiusAtTheSeaAt200Percent", false, "0 m", "100 °C", {640, 400}}),
    [](const auto& at) { return std::string(at.param.name); });

/// Hands that count: a field filled, a choice made, a click, a key.
class FirstHour : public ::testing::Test {
  protected:
    QTemporaryDir folder;
    Document document{[] { return kNow; }};
    MainWindow window{document, QString()};
    int actions = 0;
    void fill(QWidget* in, const char* field, const QString& words) {
        type(in, field, words);
        ++actions;
    }
    void choose(QWidget* in, const char* field, const char* words) {
        pick(in, field, words);
        ++actions;
    }
    void press(QWidget* in, const char* button) {
        click(in, button);
        ++actions;
    }
    void key(QWidget* at, Qt::Key key, Qt::KeyboardModifiers with = Qt::NoModifier) {
        if (at == &window) {
            window.activateWindow();
            EXPECT_TRUE(QTest::qWaitForWindowActive(&window));
        }
        QTest::keyClick(at, key, with);
        QApplication::processEvents();
        ++actions;
    }
    /// What stands on the window where there is nothing yet says what to do.
    std::string standing() {
        std::string out;
        for (const auto& [where, words] : screen::writings(&window))
            out += words.toStdString() + "\n";
        return out;
    }
};

// From an empty book to a saved rating and a recipe of one's own on every appliance.
TEST_F(FirstHour, ARatingAndATranslationInFortyActions) {
    window.resize(1280, 800);
    window.show();
    window.activateWindow();
    ASSERT_TRUE(QTest::qWaitForWindowActive(&window));
    fill(&window, "Name of the kitchen", QStringLiteral("Mill lane"));
    fill(&window, "Height above the sea", QStringLiteral("310 m"));
    fill(&window, "File of the new book", folder.filePath(QStringLiteral("own.dynamet")));
    press(&window, "Begin a new kitchen");
    ASSERT_TRUE(document.isOpen());
    EXPECT_NE(standing().find("appliance"), std::string::npos)
        << "an empty kitchen says what to do";
    for (const auto& [name, kind] :
         {std::pair{"Wall oven", "Still oven"}, {"Grill", "Gas grill"}}) {
        key(&window, Qt::Key_K, Qt::ControlModifier);
        press(&window, "Show Appliances");
        inDialog([&, name = name, kind = kind](QWidget* dialog) {
            fill(dialog, "Name of the appliance", QString::fromUtf8(name));
            choose(dialog, "Kind of appliance", kind);
            pressSave(dialog);
            ++actions;
        });
        press(&window, "Add a thing");
    }
    ASSERT_EQ(document.kitchen().appliances.size(), 2u);
    key(&window, Qt::Key_1, Qt::ControlModifier);
    const auto& all = document.kitchen().appliances;
    const auto oven = std::find_if(all.begin(), all.end(), [](const auto& one) {
                          return one.name == "Wall oven";
                      })->id;
    window.lineUp().select(oven); // a click on it
    ++actions;
    QApplication::processEvents();
    fill(&window, "Rate at, oven", QStringLiteral("180"));
    key(QApplication::focusWidget(), Qt::Key_Return);
    press(&window, "Read each zone");
    fill(&window, "Probe readings", QStringLiteral("171 174 169"));
    key(QApplication::focusWidget(), Qt::Key_Return);
    key(&window, Qt::Key_Return, Qt::ControlModifier);
    const auto& rated = document.kitchen().rated.at(oven);
    ASSERT_FALSE(rated.empty()) << "the rating is kept";
    key(&window, Qt::Key_2, Qt::ControlModifier);
    EXPECT_NE(standing().find("recipe"), std::string::npos) << "an empty list says what to do";
    fill(&window, "Quick", QStringLiteral("pork loin 4 cm, 180 C 50 min, wall oven"));
    key(QApplication::focusWidget(), Qt::Key_Return);
    ASSERT_TRUE(waitFor([&] { return window.isIdle(); }, 600000));
    auto& rows = window.translatePage().reach().rows();
    ASSERT_GE(rows.rowCount(), 2);
    int reached = 0;
    for (int i = 0; i < rows.rowCount(); ++i)
        reached += rows.item(i).row.reached;
    EXPECT_GE(reached, 1);
    std::printf("%d actions\n", actions);
    EXPECT_LE(actions, 40);
}

} // namespace
