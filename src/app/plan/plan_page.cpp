// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/plan/plan_page.h"

#include "app/plan/menu_dialogs.h"
#include "app/widgets/save_path_dialog.h"
#include "app/widgets/sheet_page.h"
#include "formats/plan_calendar.h"
#include "plan/plan_steps.h"
#include "words/plan_words.h"

#include <QDateTime>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QSaveFile>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>

namespace dynamet::app {
namespace {

constexpr int kListBelow = 740; ///< a narrow page shows the list
constexpr double kMinute = 60;

} // namespace

PlanPage::PlanPage(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), menu_(new MenuPane(document)), says_(new QLabel),
      clocks_(new QLabel), buttons_(new QWidget), views_(new QStackedWidget),
      timeline_(new TimelineView(document)),
      steps_(new TextTable(QStringLiteral("The plan, step by step"))),
      asList_(new QPushButton(QStringLiteral("As a list"))),
      print_(new QPushButton(QStringLiteral("Print…"))),
      calendar_(new QPushButton(QStringLiteral("Calendar…"))),
      stop_(new QPushButton(QStringLiteral("Stop looking"))),
      cook_(new QPushButton(QStringLiteral("Cook the menu"))) {
    setProperty("guide", QStringLiteral("plan"));
    build();
    seen_ = document_.menus();
    connect(&document_, &Document::opened, this, [this] {
        answer_.reset();
        planned_.reset();
        forget();
    });
    connect(&document_, &Document::changed, this, [this] {
        if (!document_.isOpen())
            return;
        stale_ = true;
        const bool menusStay = seen_ == document_.menus();
        seen_ = document_.menus();
        if (menusStay) // a recipe, a rating, an appliance changed
            forget();
        else if (isVisible())
            activate();
    });
    // Pull temperatures are rounded in the reader's units.
    connect(&document_, &Document::unitsChanged, this, &PlanPage::forget);
    connect(menu_, &MenuPane::menuChosen, this, &PlanPage::planAnew);
    connect(menu_, &MenuPane::dishChosen, timeline_, &TimelineView::choose);
    connect(timeline_, &TimelineView::dishChosen, menu_, &MenuPane::chooseDish);
    connect(timeline_, &TimelineView::moveWanted, this, &PlanPage::move);
    connect(timeline_, &TimelineView::unpinWanted, this, &PlanPage::unpin);
    connect(&worker_, &PlanWorker::dishDone, this, [this](int done, int total) {
        says_->setText(
            QStringLiteral("%1 of %2 dishes worked out on every appliance…").arg(done).arg(total));
    });
    connect(&worker_, &PlanWorker::answered, this, &PlanPage::showAnswer);
}

void PlanPage::build() {
    auto* line = new QHBoxLayout(this);
    line->setContentsMargins(0, 0, 0, 0);
    line->setSpacing(1);
    line->addWidget(menu_);
    auto* right = new QWidget;
    right->setObjectName(QStringLiteral("sheetPane"));
    right->setAttribute(Qt::WA_StyledBackground);
    auto* box = new QVBoxLayout(right);
    box->setContentsMargins(14, 10, 14, 10);
    says_->setObjectName(QStringLiteral("sentence"));
    says_->setWordWrap(true);
    says_->setTextFormat(Qt::PlainText);
    says_->setAccessibleName(QStringLiteral("How the plan stands"));
    box->addWidget(says_);
    new QHBoxLayout(buttons_);
    buttons_->layout()->setContentsMargins(0, 0, 0, 0);
    box->addWidget(buttons_);
    clocks_->setObjectName(QStringLiteral("caution"));
    clocks_->setWordWrap(true);
    clocks_->setTextFormat(Qt::PlainText);
    clocks_->setAccessibleName(QStringLiteral("Between cold and hot"));
    clocks_->hide();
    box->addWidget(clocks_);
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setWidget(timeline_);
    scroll->viewport()->setAutoFillBackground(false);
    timeline_->setAutoFillBackground(false);
    views_->addWidget(scroll);
    views_->addWidget(steps_);
    box->addWidget(views_, 1);
    auto* foot = new QHBoxLayout;
    asList_->setCheckable(true);
    asList_->setAccessibleName(QStringLiteral("Show the plan as a list"));
    connect(asList_, &QPushButton::toggled, this,
            [this](bool list) { views_->setCurrentIndex(list ? 1 : 0); });
    print_->setAccessibleName(QStringLiteral("Print the plan"));
    connect(print_, &QPushButton::clicked, this, &PlanPage::print);
    calendar_->setAccessibleName(QStringLiteral("Write the plan as a calendar"));
    connect(calendar_, &QPushButton::clicked, this, &PlanPage::writeCalendar);
    stop_->setAccessibleName(QStringLiteral("Stop looking for a better plan"));
    connect(stop_, &QPushButton::clicked, this, [this] {
        worker_.cancel();
        stop_->hide();
        if (!answer_)
            says_->setText(QStringLiteral("Stopped before there was a plan."));
    });
    stop_->hide();
    foot->addWidget(asList_);
    foot->addWidget(stop_);
    foot->addStretch();
    foot->addWidget(calendar_);
    foot->addWidget(print_);
    cook_->setObjectName(QStringLiteral("act"));
    cook_->setAccessibleName(QStringLiteral("Cook the menu by this plan"));
    connect(cook_, &QPushButton::clicked, this, &PlanPage::cookWanted);
    foot->addWidget(cook_);
    box->addLayout(foot);
    line->addWidget(right, 1);
}

void PlanPage::forget() {
    worker_.forget();
    stale_ = true;
    if (isVisible() && document_.isOpen())
        activate();
}

void PlanPage::activate() {
    menu_->refresh();
    const plan::Menu* now = menu_->menu();
    const bool same = now && planned_ && *planned_ == *now;
    if (std::exchange(stale_, false) || !same)
        planAnew();
}

void PlanPage::planAnew() {
    const plan::Menu* now = menu_->menu();
    if (!now || now->dishes.empty()) {
        worker_.cancel();
        answer_.reset();
        planned_.reset();
        says_->setText(now ? QStringLiteral("Add the dishes that are to be on the table together.")
                           : QStringLiteral("A menu says what is to be on the table at once, and "
                                            "when."));
        clocks_->hide();
        showNoPlan();
        timeline_->show(nullptr);
        steps_->showRows({}, {});
        stop_->hide();
        for (QPushButton* button : {asList_, print_, calendar_, cook_})
            button->setEnabled(false);
        return;
    }
    if (!planned_ || planned_->id != now->id)
        answer_.reset();
    planned_ = *now;
    auto rated = book::ratedTimes(document_.book(), document_.kitchen());
    if (!rated)
        document_.say(toQt(rated.error(), document_.units()));
    says_->setText(QStringLiteral("Working out what each dish takes…"));
    stop_->show();
    worker_.start({*now, document_.kitchen(), rated.value_or(plan::RatedTimes{}),
                   book::requestsOf(*now, document_.recipes(), document_.kitchen(),
                                    document_.choices(), document_.units())});
}

void PlanPage::showAnswer(const std::shared_ptr<const PlanAnswer>& answer) {
    answer_ = answer;
    const bool has = answer_->made.found.plan.has_value();
    stop_->setVisible(!answer_->last);
    menu_->showAnswer(answer_);
    timeline_->show(answer_);
    fillSteps();
    showNoPlan();
    for (QPushButton* button : {asList_, print_, calendar_})
        button->setEnabled(has);
    cook_->setEnabled(has && document_.isWritable());
    QStringList lines;
    for (const plan::DishWays& dish : answer_->menu.impossible) {
        const auto& dishes = answer_->menu.menu.dishes;
        const auto at = std::find_if(dishes.begin(), dishes.end(),
                                     [&](const auto& one) { return one.id == dish.dishId; });
        const auto recipe = std::find_if(
            document_.recipes().begin(), document_.recipes().end(),
            [&](const auto& one) { return at != dishes.end() && one.id == at->recipeId; });
        lines << QStringLiteral("! ") +
                     toQt(words::impossibleWords(dish, recipe == document_.recipes().end()
                                                           ? std::string("A dish")
                                                           : recipe->name));
    }
    if (has) {
        says_->setText(toQt(words::chanceWords(answer_->menu, answer_->made)) +
                       (answer_->last ? QString() : QStringLiteral(" Looking for a better plan…")));
        for (const std::string& line :
             words::clockLines(answer_->menu, answer_->made, document_.units()))
            lines << toQt(line);
        for (const std::string& line :
             words::panLines(answer_->menu, answer_->made, document_.kitchen()))
            lines << toQt(line);
    }
    clocks_->setText(lines.join(QLatin1Char('\n')));
    clocks_->setVisible(!lines.isEmpty());
}

/// What cannot be as one sentence, and a button for each thing that may be given up.
void PlanPage::showNoPlan() {
    while (QLayoutItem* item = buttons_->layout()->takeAt(0)) {
        delete item->widget();
        delete item;
    }
    const bool none = answer_ && answer_->last && !answer_->made.found.plan;
    buttons_->setVisible(none && !answer_->concessions.empty());
    if (!none)
        return;
    std::vector<std::string> names;
    for (const plan::MenuDish& dish : answer_->menu.menu.dishes) {
        const auto recipe = std::find_if(document_.recipes().begin(), document_.recipes().end(),
                                         [&](const auto& one) { return one.id == dish.recipeId; });
        names.push_back(recipe == document_.recipes().end() ? "a dish" : recipe->name);
    }
    says_->setText(QStringLiteral("! ") +
                   toQt(words::conflictWords(answer_->menu.menu, answer_->conflict, names,
                                             document_.kitchen(), document_.units())));
    for (const plan::Concession& one : answer_->concessions) {
        const QString words = toQt(words::concessionWords(one, names, document_.kitchen()));
        auto* button = new QPushButton(words);
        button->setAccessibleName(words);
        button->setEnabled(document_.isWritable());
        connect(button, &QPushButton::clicked, this, [this, menu = one.menu] { keep(menu); });
        buttons_->layout()->addWidget(button);
    }
    static_cast<QHBoxLayout*>(buttons_->layout())->addStretch();
}

void PlanPage::fillSteps() {
    if (!answer_->made.found.plan)
        return steps_->showRows({}, {});
    const words::Sheet sheet =
        words::planSheet(answer_->menu, answer_->made, document_.kitchen(), document_.units());
    QStringList headers;
    for (std::size_t i = 0; i + 1 < sheet.headers.size(); ++i) // the box to tick is for paper
        headers << toQt(sheet.headers[i]);
    QVector<QStringList> rows;
    for (const auto& row : sheet.rows) {
        QStringList cells;
        for (std::size_t i = 0; i + 1 < row.size(); ++i)
            cells << toQt(row[i]);
        rows.push_back(cells);
    }
    steps_->showRows(headers, rows);
    steps_->horizontalHeader()->setSectionResizeMode(static_cast<int>(headers.size()) - 1,
                                                     QHeaderView::Stretch);
    steps_->setColumnWidth(0, 70);
    if (headers.size() > 2)
        steps_->setColumnWidth(1, 90);
}

void PlanPage::keep(const plan::Menu& changed) {
    if (const auto done = document_.changeMenu(changed); !done)
        document_.say(toQt(done.error(), document_.units()));
}

/// Pins a dish where the hand left it.
void PlanPage::move(int menuDish, int minutes) {
    const plan::Menu* now = menu_->menu();
    if (!now || !answer_ || !answer_->made.found.plan || !document_.isWritable())
        return;
    const auto& of = answer_->menu.ofMenu;
    const auto at = std::find(of.begin(), of.end(), static_cast<std::size_t>(menuDish));
    if (at == of.end() || menuDish >= static_cast<int>(now->dishes.size()))
        return;
    const plan::Placed& placed =
        answer_->made.found.plan->dishes[static_cast<std::size_t>(at - of.begin())];
    plan::Menu changed = *now;
    changed.dishes[static_cast<std::size_t>(menuDish)].beginsS =
        kMinute * (answer_->menu.serveAt() - placed.start - minutes);
    keep(changed);
}

void PlanPage::unpin(int menuDish) {
    const plan::Menu* now = menu_->menu();
    if (!now || menuDish >= static_cast<int>(now->dishes.size()) || !document_.isWritable())
        return;
    plan::Menu changed = *now;
    changed.dishes[static_cast<std::size_t>(menuDish)].beginsS.reset();
    keep(changed);
}

void PlanPage::addDish(const std::string& recipeId, const std::optional<translate::Target>& place) {
    menu_->refresh();
    plan::MenuDish dish;
    dish.id = book::newId();
    dish.recipeId = recipeId;
    dish.place = place;
    const plan::Menu* now = menu_->menu();
    plan::Menu changed = now ? *now : beginMenu(document_);
    changed.dishes.push_back(dish);
    const auto done = now ? document_.changeMenu(changed) : document_.addMenu(changed);
    document_.say(done ? QStringLiteral("It is on the menu “%1”.").arg(toQt(changed.name))
                       : toQt(done.error(), document_.units()));
}

QString PlanPage::printPlan(const QString& path) const {
    if (!answer_ || !answer_->made.found.plan)
        return QStringLiteral("There is no plan to print.");
    return writeSheet(
        words::planSheet(answer_->menu, answer_->made, document_.kitchen(), document_.units()),
        path);
}

void PlanPage::print() {
    writeAsked(document_, this, QStringLiteral("The plan"), QStringLiteral("plan.pdf"),
               QStringLiteral("PDF (*.pdf);;Page (*.html);;Spreadsheet (*.xlsx)"),
               [this](const QString& path) { return printPlan(path); });
}

/// Of the next day on which it is still to come.
void PlanPage::writeCalendar() {
    const book::When when = document_.now();
    QDateTime now = QDateTime::fromMSecsSinceEpoch(when.utcMs).toOffsetFromUtc(when.offsetMin * 60);
    const int minute = now.time().hour() * 60 + now.time().minute();
    if (minute >= answer_->menu.menu.serveMin)
        now = now.addDays(1);
    const formats::Day day{now.date().year(), now.date().month(), now.date().day()};
    writeAsked(document_, this, QStringLiteral("The plan as a calendar"),
               QStringLiteral("plan.ics"), QStringLiteral("iCalendar (*.ics)"),
               [this, day](const QString& path) {
                   QSaveFile file(path);
                   const std::string text = formats::planCalendar(
                       answer_->menu, answer_->made, day, document_.kitchen(), document_.units());
                   if (!file.open(QIODevice::WriteOnly) ||
                       file.write(QByteArray::fromStdString(text)) < 0 || !file.commit())
                       return file.errorString();
                   return QString();
               });
}

void PlanPage::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    const bool narrow = width() < kListBelow;
    asList_->setVisible(!narrow);
    views_->setCurrentIndex(narrow || asList_->isChecked() ? 1 : 0);
}

} // namespace dynamet::app
