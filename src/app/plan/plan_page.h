// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/plan/menu_pane.h"
#include "app/plan/timeline_view.h"
#include "app/widgets/text_table.h"

#include <QScrollArea>
#include <QStackedWidget>

namespace dynamet::app {

/// Plan: the menu at the left; at the right what cannot be or how sure it is, the timeline or the
/// same as a list, and what can be printed.
class PlanPage : public QWidget {
    Q_OBJECT
  public:
    explicit PlanPage(Document& document, QWidget* parent = nullptr);
    /// The page is shown: what changed meanwhile is planned anew.
    void activate();
    bool isIdle() const { return worker_.isIdle(); }
    const PlanWorker& worker() const { return worker_; }
    MenuPane& menuPane() { return *menu_; }
    TimelineView& timeline() { return *timeline_; }
    const std::shared_ptr<const PlanAnswer>& answer() const { return answer_; }
    /// Adds a dish to the menu in hand, a new one where there is none.
    void addDish(const std::string& recipeId, const std::optional<translate::Target>& place);
    QString printPlan(const QString& path) const;

  signals:
    void cookWanted();

  protected:
    void resizeEvent(QResizeEvent* event) override;

  private:
    void build();
    void planAnew();
    /// What dishes are made of may no longer hold: all of it is worked out again.
    void forget();
    void showAnswer(const std::shared_ptr<const PlanAnswer>& answer);
    void showNoPlan();
    void fillSteps();
    void move(int menuDish, int minutes);
    void unpin(int menuDish);
    void keep(const plan::Menu& changed);
    void print();
    void writeCalendar();
    Document& document_;
    PlanWorker worker_;
    MenuPane* menu_;
    QLabel *says_, *clocks_;
    QWidget* buttons_;
    QStackedWidget* views_;
    TimelineView* timeline_;
    TextTable* steps_;
    QPushButton *asList_, *print_, *calendar_, *stop_, *cook_;
    std::shared_ptr<const PlanAnswer> answer_;
    std::optional<plan::Menu> planned_;
    std::vector<plan::Menu> seen_; ///< the book's menus as they were
    bool stale_ = true;
};

} // namespace dynamet::app
