// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/shell/main_window.h"

#include "app/exchange/exchange.h"
#include "app/look/theme.h"
#include "app/widgets/kept_picture.h"
#include "app/widgets/sheet_page.h"

#include "app/shell/next_test_dialog.h"
#include "app/shell/test_day_dialog.h"

#include "app/kitchen/appliance_dialog.h"
#include "app/widgets/save_path_dialog.h"

#include <QAbstractButton>
#include <QApplication>
#include <QDir>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QScrollArea>
#include <QTimer>
#include <algorithm>

namespace dynamet::app {
namespace {

constexpr int kFoldBelow = 1000, kFoldTranslateBelow = 1160, kNoticeMs = 12000;

} // namespace

MainWindow::MainWindow(Document& document, const QString& demoBook)
    : document_(document), commands_(new Commands(*this)), top_(new TopBar(document, *commands_)),
      outer_(new QStackedWidget), start_(new StartPage(document, demoBook)),
      pages_(new QStackedWidget), lineUp_(new LineUp(document)), rate_(new RatePage(document)),
      translate_(new TranslatePage(document)), plan_(new PlanPage(document)),
      cook_(new CookPage(document, rate_->desk())), judge_(new JudgePage(document)),
      cooking_(new QStackedWidget), compare_(new ComparePage(document)),
      logbook_(new LogbookPage(document)), kitchen_(new KitchenPage(document)),
      access_(new WarningLine(QStringLiteral("Why the book can only be read"),
                              {{QStringLiteral("Work in a copy…"),
                                [this] { commands_->action(Commands::workInCopy).trigger(); }}})),
      outside_(new WarningLine(
          QStringLiteral("Changed from outside"),
          {{QStringLiteral("Copies of the last days…"),
            [this] { commands_->action(Commands::copies).trigger(); }},
           {QStringLiteral("It is right as it is"), [this] { document_.acceptAsItIs(); }}})),
      cutOff_(new WarningLine(
          QStringLiteral("A run was cut off"),
          {{QStringLiteral("Go on with the run"), [this] { takeUpCutOff(true); }},
           {QStringLiteral("Keep what is there"), [this] { takeUpCutOff(false); }}})),
      notice_(new QLabel) {
    setWindowTitle(QStringLiteral("Dynamet"));
    qApp->installEventFilter(this);
    resize(1280, 800);
    auto* centre = new QWidget;
    auto* box = new QVBoxLayout(centre);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(1);
    box->addWidget(top_);
    for (WarningLine* line : {access_, outside_, cutOff_})
        box->addWidget(line);
    outer_->addWidget(start_);
    outer_->addWidget(buildWork());
    box->addWidget(outer_, 1);
    notice_->setObjectName(QStringLiteral("quiet"));
    notice_->setAccessibleName(QStringLiteral("Notice"));
    notice_->setContentsMargins(14, 4, 14, 4);
    notice_->setTextFormat(Qt::PlainText);
    notice_->setWordWrap(true);
    notice_->hide();
    box->addWidget(notice_);
    setCentralWidget(centre);
    connect(&document_, &Document::opened, this, &MainWindow::bookOpened);
    connect(&document_, &Document::changed, this, [this] {
        showAccess(); // damage may have been found
        if (document_.isOpen() && lineUp_->currentId().empty())
            rate_->showAppliance({});
    });
    connect(&document_, &Document::noticed, this, &MainWindow::notice);
    connect(lineUp_, &LineUp::applianceChosen, this, &MainWindow::applianceChosen);
    connect(lineUp_, &LineUp::addWanted, this, &MainWindow::addAppliance);
    connect(&translate_->reach().row(), &RowPane::menuWanted, this,
            [this](const translate::Target& target) {
                if (const auto* recipe = translate_->written().recipe())
                    plan_->addDish(recipe->id, target);
            });
    connectCooks();
    connect(kitchen_, &KitchenPage::applianceAdded, lineUp_, &LineUp::select);
    connect(kitchen_, &KitchenPage::recipeWanted, this, [this](const std::string& id) {
        go(translate);
        translate_->written().chooseRecipe(id);
    });
    connectCommands();
    start_->setFocus();
    if (document_.isOpen())
        bookOpened();
}

QWidget* MainWindow::buildWork() {
    cooking_->addWidget(cook_);
    cooking_->addWidget(judge_);
    auto* work = new QWidget;
    auto* line = new QHBoxLayout(work);
    line->setContentsMargins(0, 0, 0, 0);
    line->setSpacing(1);
    line->addWidget(lineUp_);
    for (QWidget* page : {static_cast<QWidget*>(rate_), static_cast<QWidget*>(translate_),
                          static_cast<QWidget*>(plan_), static_cast<QWidget*>(cooking_),
                          static_cast<QWidget*>(compare_), static_cast<QWidget*>(kitchen_),
                          static_cast<QWidget*>(logbook_)})
        addPage(page);
    line->addWidget(pages_, 1);
    return work;
}

/// A page that is larger than a small screen is scrolled; it never widens the window.
void MainWindow::addPage(QWidget* page) {
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setWidget(page);
    pages_->addWidget(scroll);
}

void MainWindow::connectCommands() {
    const auto on = [this](Commands::Command command, auto does) {
        connect(&commands_->action(command), &QAction::triggered, this, does);
    };
    on(Commands::rate, [this] { go(rate); });
    on(Commands::translate, [this] { go(translate); });
    on(Commands::plan, [this] { go(plan); });
    on(Commands::cook, [this] {
        cooking_->setCurrentWidget(cook_);
        go(cook);
    });
    on(Commands::compare, [this] { go(compare); });
    on(Commands::logbook, [this] {
        go(logbook);
        logbook_->focusSearch();
    });
    on(Commands::kitchen, [this] { go(kitchen); });
    on(Commands::findAppliance, [this] { lineUp_->focusFilter(); });
    on(Commands::importLog, [this] { rate_->importLog(); });
    on(Commands::saveRating, [this] { rate_->save(); });
    on(Commands::measureLive, [this] { rate_->live(); });
    on(Commands::instruments, [this] {
        rate_->desk().openKnown();
        rate_->showInstruments();
    });
    on(Commands::wallSheet, [this] { rate_->writeWallSheet(); });
    on(Commands::testDay, [this] {
        if (!day_) {
            auto* day = new TestDayDialog(document_, this);
            connect(day, &TestDayDialog::testWanted, lineUp_, &LineUp::select);
            day_ = day;
        }
        day_->show();
        day_->raise();
    });
    on(Commands::nextTest, [this] { NextTestDialog(document_, this).exec(); });
    on(Commands::undo, [this] { document_.undo(); });
    on(Commands::redo, [this] { document_.redo(); });
    on(Commands::switchUnits, [this] { switchUnits(); });
    on(Commands::gasMarks, [this] {
        Units units = document_.units();
        units.gasMarks = !units.gasMarks;
        document_.setUnits(units);
    });
    on(Commands::changeLook, [this] {
        look::chooseTheme(look::after(look::chosenTheme()));
        enableCommands();
    });
    on(Commands::openBook, [this] { showBooks(); });
    on(Commands::workInCopy, [this] { openCopy(); });
    on(Commands::exportBook, [this] { exportChanges(document_, this); });
    on(Commands::takeIn, [this] { takeInChanges(document_, this); });
    on(Commands::share, [this] { shareThing(document_, this); });
    on(Commands::ratings, [this] {
        const auto sheet = words::ratingsSheet(document_.kitchen(), document_.units());
        writeAsked(document_, this, QStringLiteral("All ratings as a table"),
                   QStringLiteral("ratings.xlsx"),
                   QStringLiteral("Spreadsheet (*.xlsx);;Table (*.csv);;Page (*.html)"),
                   [sheet](const QString& path) { return writeSheet(sheet, path); });
    });
    on(Commands::copies, [this] { showCopies(document_, toQt(document_.book().path()), this); });
    on(Commands::picture, [this] { keepPicture(document_, this); });
    new PictureMenu(document_, this);
    on(Commands::guide, [this] { showGuide(); });
    connect(commands_, &Commands::helpWanted, this, [](QWidget* dialog) {
        auto* guide = new GuideWindow(dialog);
        guide->setAttribute(Qt::WA_DeleteOnClose);
        guide->showPage(GuideWindow::pageOf(QApplication::focusWidget()));
        guide->show();
    });
    on(Commands::quit, [this] { close(); });
    connect(&document_.undoStack(), &QUndoStack::indexChanged, this, &MainWindow::enableCommands);
    connect(&document_, &Document::changed, this, &MainWindow::enableCommands);
    connect(&document_, &Document::unitsChanged, this, &MainWindow::enableCommands);
    connect(rate_, &RatePage::situationChanged, this, &MainWindow::enableCommands);
    connect(outer_, &QStackedWidget::currentChanged, this, &MainWindow::enableCommands);
    connect(pages_, &QStackedWidget::currentChanged, this, &MainWindow::enableCommands);
    enableCommands();
}

void MainWindow::enableCommands() {
    using Place = Situation::Place;
    constexpr Place kPlaces[] = {Place::rate,    Place::translate, Place::plan,   Place::cook,
                                 Place::compare, Place::kitchen,   Place::logbook};
    const QUndoStack& stack = document_.undoStack();
    Situation now;
    now.place = outer_->currentIndex() == 0 ? Place::books : kPlaces[pages_->currentIndex()];
    now.bookOpen = document_.isOpen();
    now.writable = document_.isWritable();
    now.atBench = rate_->page() == RatePage::bench;
    now.canSave = rate_->testBench().canSave();
    now.canImport = rate_->testBench().canImport();
    now.hasAppliance = rate_->hasAppliance();
    now.undo = stack.canUndo() ? stack.undoText() : QString();
    now.redo = stack.canRedo() ? stack.redoText() : QString();
    now.gasMarks = document_.units().gasMarks;
    commands_->enable(now);
}

void MainWindow::switchUnits() {
    const bool imperial = !document_.units().fahrenheit;
    document_.setUnits({imperial, imperial, document_.units().gasMarks});
}

void MainWindow::bookOpened() {
    delete day_; // another kitchen's
    outer_->setCurrentIndex(1);
    showAccess();
    if (!cook_->desk().isOn())
        cook_->desk().takeUp();
    go(cook_->desk().isOn() ? int{cook} : pages_->currentIndex()); // what cooks comes first
    applianceChosen(lineUp_->currentId());
    if (document_.kitchen().appliances.empty())
        rate_->showAppliance({});
    showCutOff();
}

/// A run that was cut off is offered again: gone on with, or kept as far as it went.
void MainWindow::showCutOff() {
    const auto runs = book::cutOffRuns(document_.book());
    if (!document_.isWritable() || !runs || runs->empty())
        return cutOff_->say({});
    const book::CutOffRun& run = runs->front();
    const auto* on = findAppliance(document_.kitchen(), run.applianceId);
    const auto* protocol = rating::findProtocol(run.protocol);
    cutOff_->say(QStringLiteral("A run was cut off: %1, %2. Its %3 readings are in the book.")
                     .arg(on ? toQt(on->name) : QStringLiteral("an appliance that is gone"),
                          protocol ? toQt(protocol->title) : toQt(run.protocol))
                     .arg(run.readings));
}

void MainWindow::takeUpCutOff(bool goOn) {
    const auto runs = book::cutOffRuns(document_.book());
    if (!runs || runs->empty())
        return;
    const book::CutOffRun run = runs->front();
    go(rate);
    lineUp_->select(run.applianceId);
    applianceChosen(run.applianceId);
    if (goOn)
        rate_->goOnWith(run);
    else
        rate_->endCutOff(run);
    goOn ? cutOff_->hide() : showCutOff();
}

void MainWindow::showBooks() {
    start_->forgetProblem();
    outer_->setCurrentIndex(0);
}

void MainWindow::showAccess() {
    const bool open = document_.isOpen();
    access_->say(open && !document_.isWritable()
                     ? QStringLiteral("%1. What is done here is not kept.")
                           .arg(toQt(document_.book().accessWords()))
                     : QString());
    outside_->say(open && document_.changedOutside()
                      ? QStringLiteral("This file is not as Dynamet left it when it closed the "
                                       "book: another program, a bad copy or a failing disk "
                                       "changed something. Look at a copy of the last days before "
                                       "you trust its numbers.")
                      : QString());
}

void MainWindow::openCopy() {
    const QFileInfo book(toQt(document_.book().path()));
    const QString proposed = book.dir().filePath(book.completeBaseName() + QStringLiteral(" copy") +
                                                 QStringLiteral(".dynamet"));
    SavePathDialog dialog(QStringLiteral("Work in a copy"), QStringLiteral("File of the copy"),
                          proposed, QStringLiteral("Kitchen books (*.dynamet)"), this);
    if (dialog.exec() != QDialog::Accepted)
        return;
    if (const auto opened = document_.openCopy(dialog.path()); !opened)
        notice(toQt(opened.error(), document_.units()));
}

void MainWindow::go(int workspace) {
    if (!document_.isOpen())
        return;
    outer_->setCurrentIndex(1);
    pages_->setCurrentIndex(workspace);
    top_->setWorkspace(workspace);
    fold();
    if (workspace == translate)
        translate_->activate();
    if (workspace == plan)
        plan_->activate();
    if (workspace == cook)
        cook_->activate();
    if (workspace == compare)
        compare_->activate();
    if (workspace == logbook)
        logbook_->activate();
    if (workspace == kitchen)
        kitchen_->refresh();
    if (workspace == rate)
        rate_->showAppliance(lineUp_->currentId());
}

void MainWindow::applianceChosen(const std::string& id) {
    const auto* appliance = findAppliance(document_.kitchen(), id);
    if (!appliance)
        return;
    top_->setSite(appliance->siteId);
    if (pages_->currentIndex() == rate)
        rate_->showAppliance(id);
    if (pages_->currentIndex() == translate)
        translate_->chooseTarget(id);
}

void MainWindow::addAppliance() {
    ApplianceDialog dialog(
        document_, beginAppliance(document_, dynamet::kitchen::ApplianceKind::stillOven), this);
    if (dialog.exec() != QDialog::Accepted)
        return;
    dynamet::kitchen::Appliance appliance = dialog.appliance();
    appliance.id = book::newId();
    if (const auto added = document_.add(appliance); !added) {
        notice(toQt(added.error(), document_.units()));
        return;
    }
    lineUp_->select(appliance.id);
    applianceChosen(appliance.id);
    notice(QStringLiteral(
               "%1 is in the line-up with values typical of its kind. Rate it to know better.")
               .arg(toQt(appliance.name)));
}

void MainWindow::showGuide() {
    QString page = GuideWindow::pageOf(QApplication::focusWidget());
    if (page == QLatin1String("index") && outer_->currentIndex() == 1) // nothing has the focus
        page = GuideWindow::pageIn(pages_->currentWidget());
    if (!guide_)
        guide_ = new GuideWindow(this);
    guide_->showPage(page);
    guide_->show();
    guide_->raise();
}

void MainWindow::notice(const QString& words) {
    notice_->setText(words);
    notice_->show();
    QTimer::singleShot(kNoticeMs, notice_, [this, words] {
        if (notice_->text() == words)
            notice_->hide();
    });
}

bool MainWindow::isIdle() const {
    return translate_->isIdle() && plan_->isIdle() && cook_->isIdle() && judge_->isIdle() &&
           compare_->isIdle();
}

/// A narrow window leaves the room to the page: the line-up becomes a rail.
void MainWindow::fold() {
    const bool wide = pages_->currentIndex() == translate || pages_->currentIndex() == cook;
    const int least = wide ? kFoldTranslateBelow : kFoldBelow;
    lineUp_->setFolded(width() < least);
}

/// Another look, by the key or by the desktop: everything is drawn anew.
void MainWindow::changeEvent(QEvent* event) {
    QMainWindow::changeEvent(event);
    if (event->type() != QEvent::PaletteChange || drawnIn_ == &look::windowTheme())
        return;
    drawnIn_ = &look::windowTheme();
    QTimer::singleShot(0, this, [this] { document_.sayUnits(); });
}

void MainWindow::resizeEvent(QResizeEvent* event) {
    QMainWindow::resizeEvent(event);
    fold();
}

/// Which button a key came to first: a page may move the focus before the key comes to the window.
bool MainWindow::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::KeyPress && watched == QApplication::focusWidget())
        keyOn_ = qobject_cast<QAbstractButton*>(watched);
    return QMainWindow::eventFilter(watched, event);
}

/// Enter presses the button that has the focus, where the page has no other use for it.
void MainWindow::keyPressEvent(QKeyEvent* event) {
    const bool enter = event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter;
    if (!enter || !keyOn_ || keyOn_->window() != this || keyOn_ != QApplication::focusWidget())
        return QMainWindow::keyPressEvent(event);
    keyOn_->click();
}

} // namespace dynamet::app
