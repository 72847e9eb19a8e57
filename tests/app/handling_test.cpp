// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What a cook does in a stage, in what the food lies, the ways on a target, coals and cautions: by
// hand on the real window.
#include "app/translate/card_page.h"
#include "hands.h"

namespace {

using namespace hands;
using namespace dynamet;

constexpr const char* kStaged = "Fennel venison, oven then pan";

const recipe::Recipe& staged(Bench& bench) {
    for (const auto& recipe : bench.document.recipes())
        if (recipe.name == kStaged)
            return recipe;
    ADD_FAILURE() << "no such recipe";
    return bench.document.recipes().front();
}

void openStaged(Bench& bench) {
    bench.press(Qt::Key_2, Qt::ControlModifier);
    auto* chooser = find<QComboBox>(bench.window.get(), "Recipe");
    chooser->setFocus();
    QTest::keyClick(chooser, Qt::Key_End);
    ASSERT_EQ(chooser->currentText(), QString::fromUtf8(kStaged));
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }, 200000));
}

TEST(StageSentence, IsUnderstoodSaidBackKeptAndUndone) {
    Bench bench(true, Bench::Kitchen::few);
    openStaged(bench);
    inDialog([&](QWidget* dialog) {
        type(dialog, "Stage 2, what you do", QStringLiteral("90 s, turn, flambe, 60 s"));
        EXPECT_TRUE(textOf(dialog, "Stage 2, understood").contains(QStringLiteral("flambe")));
        pressSave(dialog);
        EXPECT_TRUE(dialog->isVisible()) << "what is not understood is not saved";
        type(dialog, "Stage 2, what you do", QStringLiteral("90 s, turn, 60 s, set to low, 5 min"));
        EXPECT_TRUE(textOf(dialog, "Stage 2, understood")
                        .contains(QStringLiteral(
                            "turn at 1 min 30 s, set to low at 2 min 30 s; 7 min 30 s in all")))
            << toStd(textOf(dialog, "Stage 2, understood"));
        pressSave(dialog);
    });
    click(bench.window.get(), "Recipe…");
    {
        const recipe::Stage& stage = staged(bench).last();
        EXPECT_EQ(stage.end.afterS, 450);
        EXPECT_EQ(stage.handling.turning.seconds, 90);
        ASSERT_EQ(stage.handling.steps.size(), 1u);
        EXPECT_EQ(stage.handling.steps[0].move, recipe::Move::setTo);
    }
    EXPECT_TRUE(textOf(bench.window.get(), "Where it was written")
                    .contains(QStringLiteral("set to low at 2 min 30 s")));
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(staged(bench).last().handling == recipe::Handling{});
}

// A stage of 5 min 30 s was one of 6 min when its recipe had been opened and saved.
TEST(StageSentence, Defect184ATimeIsKeptToTheSecond) {
    Bench bench(true, Bench::Kitchen::few);
    openStaged(bench);
    const auto save = [&](const QString& time) {
        inDialog([&](QWidget* dialog) {
            if (!time.isEmpty()) {
                type(dialog, "Stage 2, time", time);
                type(dialog, "Stage 1, wait", time);
                type(dialog, "Rest at least", time);
            }
            pressSave(dialog);
        });
        click(bench.window.get(), "Recipe…");
    };
    save(QStringLiteral("5 min 30 s"));
    save({});
    EXPECT_EQ(staged(bench).last().end.afterS, 330);
    EXPECT_EQ(staged(bench).stages.front().waitS, 330);
    EXPECT_EQ(staged(bench).rest.shortestS, 330);
}

TEST(Vessel, ATrayGoesIntoAnOvenAndIsNamed) {
    Bench bench(true, Bench::Kitchen::few);
    openStaged(bench);
    const double bare = staged(bench).stages.front().waitS;
    QString vessel;
    inDialog([&](QWidget* dialog) {
        auto* box = find<QComboBox>(dialog, "Stage 1, vessel");
        ASSERT_NE(box, nullptr);
        EXPECT_EQ(box->currentText(), QStringLiteral("in no vessel"));
        box->setFocus();
        QTest::keyClick(box, Qt::Key_Down);
        vessel = box->currentText();
        pressSave(dialog);
    });
    click(bench.window.get(), "Recipe…");
    EXPECT_FALSE(staged(bench).stages.front().place.vesselId.empty());
    EXPECT_EQ(staged(bench).stages.front().waitS, bare);
    EXPECT_TRUE(textOf(bench.window.get(), "Where it was written").contains(vessel));
}

TEST(OpenedRow, SaysOtherWaysAndWhatToMind) {
    Bench bench(true, Bench::Kitchen::few);
    bench.press(Qt::Key_2, Qt::ControlModifier);
    ReachPane& reach = bench.window->translatePage().reach();
    ASSERT_TRUE(
        waitFor([&] { return bench.window->isIdle() && reach.rows().rowCount() > 0; }, 200000));
    reach.openRow(0);
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }, 200000));
    EXPECT_TRUE(textOf(bench.window.get(), "Other ways here").contains(QLatin1Char(':')))
        << toStd(textOf(bench.window.get(), "Other ways here"));
    EXPECT_TRUE(
        textOf(bench.window.get(), "Before you begin").contains(QStringLiteral("Raw and cooked")));
}

TEST(Coals, AreCountedDrawnAndFollowWhatIsTyped) {
    Bench bench;
    QWidget* window = bench.window.get();
    bench.window->lineUp().select("deck");
    EXPECT_FALSE(isThere(window, "Page Coals")) << "an electric oven has none";
    bench.window->lineUp().select("camp-pot");
    click(window, "Page Coals");
    const QString lay = textOf(window, "How to lay the coals");
    EXPECT_TRUE(lay.startsWith(QStringLiteral("Lay "))) << toStd(lay);
    EXPECT_TRUE(find<QWidget>(window, "Where the coals lie")
                    ->accessibleDescription()
                    .contains(QStringLiteral("on the lid")));
    type(window, "Inside", QStringLiteral("150"));
    QApplication::processEvents();
    EXPECT_NE(textOf(window, "How to lay the coals"), lay);
    pick(window, "What for", "to fry on its floor");
    EXPECT_TRUE(textOf(window, "How to lay the coals").contains(QStringLiteral("none on the lid")));
    type(window, "Inside", QStringLiteral("hot"));
    EXPECT_TRUE(textOf(window, "How to feed and turn them").isEmpty())
        << "no number outlives what it was made from";
    EXPECT_TRUE(textOf(window, "Before you begin").contains(QStringLiteral("carbon monoxide")));
}

// Many pieces: what the book keeps is what was typed, a wrong area is refused at its field, and the
// opened row says batches and waits.
TEST(ManyPieces, AreTypedKeptAndSaidInTheRow) {
    Bench bench(true, Bench::Kitchen::few);
    openStaged(bench);
    inDialog([&](QWidget* dialog) {
        auto* pieces = find<QSpinBox>(dialog, "How many pieces");
        pieces->setFocus();
        pieces->selectAll();
        QTest::keyClicks(pieces, QStringLiteral("12"));
        type(dialog, "Each takes up", QStringLiteral("a lot"));
        pressSave(dialog);
        EXPECT_TRUE(dialog->isVisible()) << "no area";
        type(dialog, "Each takes up", QStringLiteral("150"));
        pressSave(dialog);
    });
    click(bench.window.get(), "Piece…");
    EXPECT_EQ(staged(bench).piece.pieces, 12);
    EXPECT_NEAR(staged(bench).piece.coversM2, 0.015, 1e-9);
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }, 200000));
    auto& rows = bench.window->translatePage().reach().rows();
    bool batches = false;
    for (int i = 0; i < rows.rowCount(); ++i)
        for (const Finding& finding : rows.item(i).row.warnings)
            batches = batches || finding.code == "batches";
    EXPECT_TRUE(batches);
    bench.press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(staged(bench).piece.pieces, 1);
}

TEST(Weather, OnTheDayStandsOnItsButtonAndGoesAway) {
    Bench bench(true, Bench::Kitchen::few);
    openStaged(bench);
    const auto& sites = bench.document.kitchen().sites;
    ASSERT_FALSE(sites.empty());
    const QString name = toQt(sites.front().name);
    inDialog([&](QWidget* dialog) {
        pick(dialog, "Where", toStd(name).c_str());
        type(dialog, "Air temperature", QStringLiteral("3"));
        type(dialog, "Wind", QStringLiteral("2,5"));
        pressSave(dialog);
    });
    click(bench.window.get(), "Weather…");
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }, 200000));
    QPushButton* weather = nullptr;
    for (auto* one : bench.window->findChildren<QPushButton*>())
        if (one->text().contains(QStringLiteral("m/s")))
            weather = one;
    ASSERT_NE(weather, nullptr);
    EXPECT_TRUE(weather->text().contains(QStringLiteral("2.5 m/s"))) << toStd(weather->text());
    EXPECT_TRUE(weather->toolTip().contains(name));
    // Defect 187: the button went on in °C for a reader of °F.
    const Units before = bench.document.units();
    bench.document.setUnits({true, true});
    EXPECT_TRUE(weather->text().contains(QStringLiteral("37 °F"))) << toStd(weather->text());
    bench.document.setUnits(before);
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }, 200000));
    inDialog([&](QWidget* dialog) {
        pick(dialog, "Where", "as Kitchen says");
        pressSave(dialog);
    });
    weather->click();
    EXPECT_EQ(weather->text(), QStringLiteral("Weather…"));
}

TEST(OpenCoals, StandOnTheKettlesOwnPage) {
    Bench bench(true, Bench::Kitchen::few);
    auto& rate = bench.window->ratePage();
    std::string kettle;
    for (const auto& one : bench.document.kitchen().appliances)
        if (one.kind == kitchen::ApplianceKind::charcoalKettle)
            kettle = one.id;
    if (kettle.empty()) {
        kitchen::Appliance fresh =
            *kitchen::typicalAppliance(kitchen::ApplianceKind::charcoalKettle);
        fresh.name = "Round kettle";
        fresh.siteId = bench.document.kitchen().sites.front().id;
        ASSERT_TRUE(bench.document.add(fresh));
        for (const auto& one : bench.document.kitchen().appliances)
            if (one.kind == kitchen::ApplianceKind::charcoalKettle)
                kettle = one.id;
    }
    rate.showAppliance(kettle);
    rate.showPage(RatePage::Page::coals);
    const QString one = textOf(bench.window.get(), "How to lay the open coals");
    EXPECT_TRUE(one.contains(QStringLiteral(" coals, spread one layer deep"))) << toStd(one);
    type(bench.window.get(), "Chimneys lit", QStringLiteral("0.5"));
    const QString half = textOf(bench.window.get(), "How to lay the open coals");
    EXPECT_NE(half, one);
    type(bench.window.get(), "Chimneys lit", QStringLiteral("a sack"));
    EXPECT_EQ(textOf(bench.window.get(), "How long they last"), QString());
    pick(bench.window.get(), "How they lie", "banked on one side");
    type(bench.window.get(), "Chimneys lit", QStringLiteral("1"));
    EXPECT_TRUE(textOf(bench.window.get(), "How to lay the open coals")
                    .contains(QStringLiteral("banked two layers deep")));
}

// One line is answered without a recipe, kept when asked to, and left by emptying it.
TEST(Quick, IsAnsweredKeptAndLeft) {
    Bench bench(true, Bench::Kitchen::few);
    openStaged(bench);
    const std::size_t before = bench.document.recipes().size();
    std::string oven;
    for (const auto& one : bench.document.kitchen().appliances)
        if (groupOf(one.kind) == kitchen::HeatGroup::air && oven.empty())
            oven = one.name;
    ASSERT_FALSE(oven.empty());
    auto* window = bench.window.get();
    const auto ask = [&](const QString& line) {
        type(window, "Quick", line);
        QTest::keyClick(find<QLineEdit>(window, "Quick"), Qt::Key_Return);
    };
    ask(QStringLiteral("salmon 200 C"));
    EXPECT_TRUE(textOf(window, "Quick, understood").contains(QStringLiteral("on what?")));
    EXPECT_TRUE(textOf(window, "Where it was written").contains(QStringLiteral("then wait")) ||
                bench.window->translatePage().reach().rows().rowCount() > 0)
        << "what was open stays open";
    ask(QStringLiteral("salmon 25 mm, 12 min, ") + toQt(oven));
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }, 200000));
    EXPECT_TRUE(textOf(window, "Quick, understood").contains(QStringLiteral("Salmon fillet")));
    EXPECT_TRUE(textOf(window, "Where it was written").contains(toQt(oven)));
    EXPECT_TRUE(textOf(window, "Where it was written").contains(QStringLiteral("12 min")));
    EXPECT_GT(bench.window->translatePage().reach().rows().rowCount(), 1);
    EXPECT_EQ(bench.document.recipes().size(), before) << "a question is no recipe";
    click(window, "Keep it as a recipe");
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }, 200000));
    ASSERT_EQ(bench.document.recipes().size(), before + 1);
    EXPECT_EQ(find<QLineEdit>(window, "Quick")->text(), QString());
    EXPECT_TRUE(find<QComboBox>(window, "Recipe")
                    ->currentText()
                    .startsWith(QStringLiteral("salmon 25 mm")));
    ask(QStringLiteral("cod 15 mm, 9 min, ") + toQt(oven));
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }, 200000));
    find<QLineEdit>(window, "Quick")->clear();
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }, 200000));
    EXPECT_TRUE(textOf(window, "Where it was written").contains(QStringLiteral("12 min")));
}

TEST(Card, IsOnePageOnDiskAndSaysWhereItCouldNotBe) {
    Bench bench(true, Bench::Kitchen::few);
    openStaged(bench);
    auto& reach = bench.window->translatePage().reach();
    reach.openRow(0);
    const QString path = bench.folder.filePath(QStringLiteral("card.pdf"));
    inDialog([&](QWidget* dialog) {
        type(dialog, "File to write", path);
        QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
    });
    click(bench.window.get(), "Write the row as a card");
    QFile file(path);
    ASSERT_TRUE(file.open(QIODevice::ReadOnly));
    const QByteArray pdf = file.readAll();
    EXPECT_TRUE(pdf.startsWith("%PDF"));
    EXPECT_EQ(pdf.count("/Type /Page\n"), 1);
    EXPECT_FALSE(writeCard({}, QStringLiteral("/no/such/folder/card.pdf")).isEmpty());
}

// However much it has to say, it stays one page, and what is set and when stands in it.
TEST(Card, SaysWhatToSetWhenAndHowOldTheRatingIs) {
    Bench bench(true, Bench::Kitchen::few);
    openStaged(bench);
    auto& reach = bench.window->translatePage().reach();
    const auto& row = reach.rows().item(0).row;
    const auto card = words::cardOf(row, *reach.rows().prepared(), nullptr, {});
    EXPECT_EQ(card.recipe, kStaged);
    EXPECT_NE(card.pull.find("pull at "), std::string::npos);
    ASSERT_FALSE(card.provenance.empty());
    const std::string& known = card.provenance.front();
    EXPECT_TRUE(known.find("rated here, last on 20") != std::string::npos ||
                known.find("is not rated") != std::string::npos)
        << known;
    const QString html = cardHtml(card);
    for (const std::string* part : {&card.target, &card.pull})
        EXPECT_TRUE(html.contains(toQt(*part).toHtmlEscaped())) << *part;
    words::ConversionCard bold = card;
    bold.recipe = "<b>R&D</b>";
    EXPECT_TRUE(cardHtml(bold).contains(QStringLiteral("&lt;b&gt;R&amp;D")));
    for (int i = 0; i < 60; ++i)
        bold.notes.push_back("A note that is long enough to take more than one line of a card.");
    const QString path = bench.folder.filePath(QStringLiteral("long.pdf"));
    EXPECT_EQ(writeCard(bold, path), QString());
    QFile file(path);
    ASSERT_TRUE(file.open(QIODevice::ReadOnly));
    EXPECT_EQ(file.readAll().count("/Type /Page\n"), 1);
}

} // namespace
