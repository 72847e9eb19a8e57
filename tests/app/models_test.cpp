// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/hands.h"
#include "app/translate/rows_model.h"

#include <QAbstractItemModelTester>

namespace {

using namespace hands;

TEST(Models, KeepTheRulesOfItemModels) {
    Bench bench;
    LineUpModel lineUp(bench.document);
    QAbstractItemModelTester lineUpTester(&lineUp,
                                          QAbstractItemModelTester::FailureReportingMode::Fatal);
    RateSheetModel sheet(bench.document);
    QAbstractItemModelTester sheetTester(&sheet,
                                         QAbstractItemModelTester::FailureReportingMode::Fatal);
    for (const auto& appliance : bench.document.kitchen().appliances) {
        sheet.setSheet(appliance.id);
        EXPECT_GT(sheet.rowCount(), 0) << appliance.name;
        EXPECT_EQ(sheet.columnCount(), static_cast<int>(appliance.zones.size()));
    }
    RowsModel rows(bench.document);
    QAbstractItemModelTester rowsTester(&rows,
                                        QAbstractItemModelTester::FailureReportingMode::Fatal);
    EXPECT_EQ(lineUp.rowCount(), 20);
}

TEST(Worker, TheSameRequestGivesTheSameRowsAndAnOldOneIsDropped) {
    Bench bench(true, Bench::Kitchen::few);
    bench.press(Qt::Key_2, Qt::ControlModifier);
    ASSERT_TRUE(waitFor([&] { return bench.window->isIdle(); }));
    const auto first = bench.window->translatePage().reach().rows().rows();
    const auto alone = dynamet::translate::translateAll(
        *dynamet::translate::prepare(*bench.window->translatePage().written().request()));
    ASSERT_EQ(first.size(), alone.size());
    for (std::size_t i = 0; i < first.size(); ++i) {
        EXPECT_EQ(first[i].target, alone[i].target) << i;
        EXPECT_EQ(first[i].outcome.pullS, alone[i].outcome.pullS) << i;
        EXPECT_EQ(first[i].window->expectS, alone[i].window->expectS) << i;
    }
    TranslationWorker worker;
    int prepared = 0, finished = 0;
    QObject::connect(&worker, &TranslationWorker::preparedReady, [&] { ++prepared; });
    QObject::connect(&worker, &TranslationWorker::finished, [&] { ++finished; });
    auto request = *bench.window->translatePage().written().request();
    for (int i = 0; i < 5; ++i) {
        request.recipe.piece.thicknessM = 0.02 + 0.001 * i;
        worker.start(request, {});
    }
    ASSERT_TRUE(waitFor([&] { return finished > 0; }));
    EXPECT_EQ(prepared, 1) << "the newest wins";
    EXPECT_NEAR(worker.prepared()->request.recipe.piece.thicknessM, 0.024, 1e-9);
}

} // namespace
