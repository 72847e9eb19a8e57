// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// From a row or a menu to its cook, from a cook to what came of it.
#include "app/shell/main_window.h"

#include "run/from_plan.h"

#include <QInputDialog>
#include <algorithm>

namespace dynamet::app {

void MainWindow::connectCooks() {
    connect(&translate_->reach().row(), &RowPane::cookWanted, this, &MainWindow::cookRow);
    connect(plan_, &PlanPage::cookWanted, this, &MainWindow::cookMenu);
    connect(cook_, &CookPage::translateWanted, this, [this] { go(translate); });
    connect(cook_, &CookPage::judgeWanted, this,
            [this](const std::string& runId) { judge(runId, {}); });
    connect(judge_, &JudgePage::closeWanted, this, [this] { cooking_->setCurrentWidget(cook_); });
    connect(judge_, &JudgePage::compareWanted, this, [this](const std::string& id) {
        go(compare);
        compare_->beside(id);
    });
    connect(compare_, &ComparePage::judgeWanted, this,
            [this](const std::string& id) { judge({}, id); });
    connect(compare_, &ComparePage::logbookWanted, this, [this] { go(logbook); });
    connect(logbook_, &LogbookPage::cookWanted, this,
            [this](const std::string& id) { judge({}, id); });
    connect(logbook_, &LogbookPage::testWanted, this, [this](const std::string& id) {
        go(rate);
        lineUp_->select(id);
        applianceChosen(id);
    });
}

void MainWindow::judge(const std::string& runId, const std::string& cookId) {
    go(cook);
    cooking_->setCurrentWidget(judge_);
    if (!runId.empty())
        judge_->showRun(runId);
    else
        judge_->showCook(cookId);
}

void MainWindow::beginCooks(const std::string& name, std::vector<book::CookRecord> cooks,
                            const std::string& menuId, const std::string& trialId) {
    if (const auto begun = cook_->desk().begin(name, std::move(cooks), menuId, trialId); !begun)
        return notice(toQt(begun.error(), document_.units()));
    cooking_->setCurrentWidget(cook_);
    go(cook);
}

/// A dish that has a trial without a verdict may be cooked for it.
std::string MainWindow::askTrial(const std::string& recipeId) {
    QStringList names{QStringLiteral("No, it is a cook of its own")};
    std::vector<std::string> ids{""};
    for (const book::Trial& one : listTrials(document_.book()).value_or(std::vector<book::Trial>{}))
        if (one.recipeId == recipeId && one.verdict.empty()) {
            names << toQt(one.name);
            ids.push_back(one.id);
        }
    if (ids.size() < 2 || cook_->desk().isOn())
        return {};
    bool ok = false;
    const QString chosen =
        QInputDialog::getItem(this, QStringLiteral("Part of a trial?"),
                              QStringLiteral("Cook it for"), names, 1, false, &ok);
    const auto at = names.indexOf(chosen);
    return ok && at > 0 ? ids[static_cast<std::size_t>(at)] : std::string();
}

void MainWindow::cookRow(const translate::Target& target) {
    const auto planned = translate_->reach().row().planned(target);
    if (!planned)
        return notice(QStringLiteral("This row is not worked out yet."));
    // A line that is not kept as a recipe has its words for a name: the food's is shorter.
    const auto& kept = document_.recipes();
    const bool named = std::any_of(kept.begin(), kept.end(),
                                   [&](const auto& one) { return one.id == planned->recipe.id; });
    const std::string name = named ? planned->recipe.name : planned->recipe.piece.food.name;
    beginCooks(name, {book::recordOf(*planned, name)}, {}, askTrial(planned->recipe.id));
}

void MainWindow::cookMenu() {
    const auto& answer = plan_->answer();
    if (!answer || !answer->made.found.plan)
        return;
    const auto now = document_.now();
    std::vector<book::CookRecord> cooks;
    for (const run::PlannedDish& dish :
         run::dishesOf(answer->menu, answer->made, book::minuteOfDay(now))) {
        cooks.push_back(book::recordOf(dish.planned, dish.name));
        cooks.back().person = dish.person;
        cooks.back().startsS = dish.startsS;
        cooks.back().serveS = dish.serveS;
    }
    cook_->desk().learnFrom(plan_->worker());
    beginCooks(answer->menu.menu.name, std::move(cooks), answer->menu.menu.id);
}

} // namespace dynamet::app
