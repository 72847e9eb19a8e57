// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/compare/compare_page.h"
#include "app/compare/logbook_page.h"
#include "app/cook/cook_page.h"
#include "app/cook/judge_page.h"
#include "app/kitchen/kitchen_page.h"
#include "app/plan/plan_page.h"
#include "app/rate/rate_page.h"
#include "app/shell/commands.h"
#include "app/shell/guide_window.h"
#include "app/shell/line_up.h"
#include "app/shell/start_page.h"
#include "app/shell/top_bar.h"
#include "app/translate/translate_page.h"
#include "app/widgets/warning_line.h"

#include <QAbstractButton>
#include <QDialog>
#include <QMainWindow>
#include <QPointer>
#include <QStackedWidget>

namespace dynamet::app {

/// Assembles the frame: top bar, line-up, workspaces, notice line. No more than that.
class MainWindow : public QMainWindow {
    Q_OBJECT
  public:
    MainWindow(Document& document, const QString& demoBook);
    Document& document() { return document_; }
    enum Workspace {
        rate = 0,
        translate = 1,
        plan = 2,
        cook = 3,
        compare = 4,
        kitchen = 5,
        logbook = 6
    };
    void go(int workspace);
    RatePage& ratePage() { return *rate_; }
    TranslatePage& translatePage() { return *translate_; }
    PlanPage& planPage() { return *plan_; }
    CookPage& cookPage() { return *cook_; }
    JudgePage& judgePage() { return *judge_; }
    ComparePage& comparePage() { return *compare_; }
    LogbookPage& logbookPage() { return *logbook_; }
    KitchenPage& kitchenPage() { return *kitchen_; }
    LineUp& lineUp() { return *lineUp_; }
    bool isIdle() const;
    /// Opens a book; the first page says why it could not be, and what can be done.
    void tryBook(const QString& path) { start_->tryOpen(path); }

  protected:
    void changeEvent(QEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

  private:
    void bookOpened();
    void applianceChosen(const std::string& id);
    QWidget* buildWork();
    void addPage(QWidget* page);
    void addAppliance();
    void connectCooks();
    void cookRow(const translate::Target& target);
    void cookMenu();
    void beginCooks(const std::string& name, std::vector<book::CookRecord> cooks,
                    const std::string& menuId = {}, const std::string& trialId = {});
    std::string askTrial(const std::string& recipeId);
    void judge(const std::string& runId, const std::string& cookId);
    void connectCommands();
    void enableCommands();
    void switchUnits();
    void fold();
    void showAccess();
    void openCopy();
    void showCutOff();
    void takeUpCutOff(bool goOn);
    void showBooks();
    void notice(const QString& words);
    void showGuide();
    Document& document_;
    Commands* commands_;
    TopBar* top_;
    QStackedWidget* outer_;
    StartPage* start_;
    QStackedWidget* pages_;
    LineUp* lineUp_ = nullptr;
    RatePage* rate_;
    TranslatePage* translate_;
    PlanPage* plan_;
    CookPage* cook_;
    JudgePage* judge_;
    QStackedWidget* cooking_; ///< the run, or what came out of one
    ComparePage* compare_;
    LogbookPage* logbook_;
    KitchenPage* kitchen_;
    WarningLine* access_;  ///< why the book can only be read, and a copy that can be written
    WarningLine* outside_; ///< the file is not as it was left
    WarningLine* cutOff_;  ///< a run that the book holds unfinished
    QLabel* notice_;
    GuideWindow* guide_ = nullptr;
    const look::Theme* drawnIn_ = &look::windowTheme();
    QPointer<QDialog> day_; ///< a day of tests, beside the window
    QPointer<QAbstractButton> keyOn_;
};

} // namespace dynamet::app
