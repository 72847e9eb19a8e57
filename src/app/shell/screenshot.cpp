// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/shell/screenshot.h"

#include "app/shell/test_day_dialog.h"
#include "app/translate/recipe_dialog.h"
#include "app/translate/words_dialog.h"

#include <QApplication>
#include <QElapsedTimer>
#include <QPixmap>

namespace dynamet::app {
namespace {

void settle(MainWindow& window) {
    QElapsedTimer timer;
    timer.start();
    do
        QApplication::processEvents(QEventLoop::AllEvents, 20);
    while ((timer.elapsed() < 150 || !window.isIdle()) && timer.elapsed() < 60000);
    QApplication::processEvents();
}

/// The pages of Rate beside the bench, and tests worth a picture of their own.
bool showRatePage(MainWindow& window, const QString& view) {
    struct Shown {
        const char* view;
        const char* appliance;
        RatePage::Page page;
        const char* protocol;
    };
    static constexpr Shown kShown[] = {
        {"rate-grill", "yard-grill", RatePage::bench, "zone-sweep"},
        {"rate-burner", "front-burner", RatePage::bench, "water-heat-up"},
        {"griddle-map", "griddle", RatePage::bench, "surface-map"},
        {"wood-oven", "vault", RatePage::bench, "burn-down"},
        {"find", "yard-grill", RatePage::find, ""},
        {"drift", "yard-grill", RatePage::drift, ""},
        {"heat-plane", "deck", RatePage::plane, ""},
        {"thermometers", "deck", RatePage::thermometers, ""},
        {"coals", "camp-pot", RatePage::coals, ""}};
    for (const Shown& shown : kShown) {
        if (view != QLatin1String(shown.view))
            continue;
        window.go(MainWindow::rate);
        window.lineUp().select(shown.appliance);
        window.ratePage().showPage(shown.page);
        if (*shown.protocol != '\0')
            window.ratePage().showTestOf(shown.protocol);
        if (shown.page == RatePage::find) {
            window.ratePage().findPane().wish("indirect", QStringLiteral("190"),
                                              QStringLiteral("235"));
            window.ratePage().findPane().wish("direct", QStringLiteral("230"), {});
            window.ratePage().findPane().find();
        }
        return true;
    }
    return false;
}

constexpr const char* kStaged = "venison-fennel"; // the demo's recipe of two stages

/// The dialog of the recipe that is in hand.
bool pictureRecipe(MainWindow& window, const QString& file) {
    settle(window);
    const recipe::Recipe* recipe = window.translatePage().written().recipe();
    if (!recipe)
        return false;
    RecipeDialog dialog(window.document(), *recipe, &window);
    dialog.show();
    settle(window);
    dialog.resize(1000, dialog.height()); // as on a screen of today
    return dialog.grab().save(file, "PNG");
}

/// A recipe in its own words, as they are read.
bool pictureWords(MainWindow& window, const QString& file) {
    WordsDialog dialog(window.document(), &window);
    dialog.begin(
        QStringLiteral("Trout on the yard grill"),
        QStringLiteral("Take 2 trout fillets, 22 mm thick, straight from the fridge, and oil "
                       "them.\nGrill over direct heat on the yard grill, lid closed, for 4 "
                       "minutes, turn once, then move them to the cool side until the "
                       "thickest part reads 52 °C and white albumin beads on the sides, "
                       "8–10 minutes.\nLet them rest 3 minutes under foil."));
    dialog.show();
    settle(window);
    return dialog.grab().save(file, "PNG");
}

/// A run that is on: the deck oven's preheat by whatever is on the line (`--line`).
void showRun(MainWindow& window) {
    constexpr int kConnectsMs = 5000, kRunsMs = 12000, kLongS = 3600;
    window.go(MainWindow::rate);
    window.lineUp().select("deck");
    RatePage& rate = window.ratePage();
    const auto wait = [](int ms, auto until) {
        QElapsedTimer timer;
        timer.start();
        while (timer.elapsed() < ms && !until())
            QApplication::processEvents(QEventLoop::AllEvents, 20);
    };
    for (QPushButton* method : rate.findChildren<QPushButton*>())
        if (method->accessibleName() == toQt(rating::findProtocol("preheat")->title))
            method->click();
    if (rate.desk().isEmpty())
        return;
    wait(kConnectsMs, [&] { return !rate.desk().channels().empty(); });
    rate.live();
    wait(kConnectsMs / 10, [] { return false; });
    rate.live();
    const LiveRun& run = rate.runPage().run();
    wait(kRunsMs, [&] { return run.reduction().has_value() && run.nowS() > kLongS; });
    wait(kRunsMs / 10, [] { return false; });
}

/// A day of tests, two steps of it done.
bool pictureDay(MainWindow& window, const QString& file) {
    TestDayDialog day(window.document(), &window);
    day.show();
    const auto press = [&day](const char* name) {
        for (QPushButton* button : day.findChildren<QPushButton*>())
            if (button->accessibleName() == QString::fromUtf8(name))
                button->click();
    };
    for (QCheckBox* box : day.findChildren<QCheckBox*>())
        for (const char* name : {"Rate Wall fan oven", "Rate Yard grill", "Rate Basket fryer"})
            if (box->accessibleName() == QString::fromUtf8(name))
                box->setChecked(true);
    press("Work out the day");
    QElapsedTimer timer;
    timer.start();
    while (!day.isIdle() && timer.elapsed() < 120000)
        QApplication::processEvents(QEventLoop::AllEvents, 20);
    press("Tick off the next step");
    settle(window);
    return day.grab().save(file, "PNG");
}

/// A cook half an hour old: the demo's loin, by what the simulated kitchen read of it.
void showCook(MainWindow& window) {
    Document& document = window.document();
    constexpr double kSinceS = 27 * 60;
    const auto cook = loadCook(document.book(), "cook-3", document.kitchen());
    const auto readings = loadReadings(document.book(), "cook-3");
    if (!cook || !readings)
        return;
    book::CookRun run;
    run.id = book::newId();
    run.name = cook->name;
    run.began = document.now();
    run.began.utcMs -= static_cast<std::int64_t>(1000 * kSinceS);
    run.cooks = {book::recordOf(cook->planned, cook->name)};
    run.cooks.front().id = book::newId();
    const std::string id = run.cooks.front().id;
    std::vector<run::CoreReading> soFar;
    for (const run::CoreReading& one : *readings)
        if (one.atS < kSinceS)
            soFar.push_back(one);
    if (!beginCooks(document.book(), run, document.kitchen()) ||
        !addReadings(document.book(), id, soFar))
        return;
    for (const run::Entry& entry : {run::Entry{0, 0, run::What::foodIn, 0, ""},
                                    {0, 720, run::What::opened, 40, ""},
                                    {0, 740, run::What::basted, 0, ""}})
        if (!addEntry(document.book(), id, entry))
            return;
    window.cookPage().desk().takeUp();
    window.go(MainWindow::cook);
    settle(window);
    window.cookPage().desk().look(0, run::Seen::pale);
}

} // namespace

QStringList viewNames() {
    return {QStringLiteral("first-start"),
            QStringLiteral("rate"),
            QStringLiteral("rate-grill"),
            QStringLiteral("rate-burner"),
            QStringLiteral("griddle-map"),
            QStringLiteral("wood-oven"),
            QStringLiteral("find"),
            QStringLiteral("drift"),
            QStringLiteral("heat-plane"),
            QStringLiteral("thermometers"),
            QStringLiteral("translate"),
            QStringLiteral("translate-row"),
            QStringLiteral("translate-stages"),
            QStringLiteral("recipe"),
            QStringLiteral("kitchen"),
            QStringLiteral("coals"),
            QStringLiteral("words"),
            QStringLiteral("live"),
            QStringLiteral("test-day"),
            QStringLiteral("plan"),
            QStringLiteral("cook"),
            QStringLiteral("compare"),
            QStringLiteral("judge"),
            QStringLiteral("logbook")};
}

bool writePicture(MainWindow& window, const QString& view, const QString& file) {
    if (!viewNames().contains(view))
        return false;
    if (view == QLatin1String("rate")) {
        window.go(MainWindow::rate);
        window.lineUp().select("deck");
        window.ratePage().showNewestTest();
    } else if (view == QLatin1String("kitchen")) {
        window.go(MainWindow::kitchen);
    } else if (view == QLatin1String("plan")) {
        window.go(MainWindow::plan);
    } else if (view == QLatin1String("cook")) {
        showCook(window);
    } else if (view == QLatin1String("compare")) {
        window.go(MainWindow::compare);
        window.comparePage().showTrial("trial-ovens");
    } else if (view == QLatin1String("judge")) {
        window.logbookPage().cookWanted("cook-1");
    } else if (view == QLatin1String("logbook")) {
        window.go(MainWindow::logbook);
    } else if (view == QLatin1String("live")) {
        showRun(window);
    } else if (view == QLatin1String("test-day")) {
        return pictureDay(window, file);
    } else if (showRatePage(window, view)) {
        settle(window);
    } else if (view != QLatin1String("first-start")) {
        window.lineUp().select("deck");
        window.go(MainWindow::translate);
        settle(window);
        WrittenPane& written = window.translatePage().written();
        if (view == QLatin1String("recipe") || view == QLatin1String("translate-stages"))
            written.chooseRecipe(kStaged);
        if (view == QLatin1String("words"))
            return pictureWords(window, file);
        if (view == QLatin1String("recipe"))
            return pictureRecipe(window, file);
        if (view == QLatin1String("translate-stages")) {
            written.move(1);
            settle(window);
            window.translatePage().chooseTarget("egg");
        } else if (view == QLatin1String("translate-row"))
            window.translatePage().chooseTarget("gale");
        else
            window.translatePage().reach().closeRow();
    }
    settle(window);
    return window.grab().save(file, "PNG");
}

} // namespace dynamet::app
