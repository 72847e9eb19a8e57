// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/shell/test_day_dialog.h"

#include "app/widgets/scrolled.h"
#include "app/widgets/save_path_dialog.h"
#include "app/widgets/sheet_page.h"
#include "book/recipe_request.h"
#include "quantity/parse_duration.h"
#include "rating/report/test_day_state.h"
#include "words/test_day_words.h"

#include <QFormLayout>
#include <QHBoxLayout>
#include <QScrollArea>
#include <QTime>
#include <QVBoxLayout>
#include <algorithm>

namespace dynamet::app {
namespace {

constexpr int kBeatMs = 15000;
/// A day that began longer ago is another day.
constexpr std::int64_t kDayMs = 18LL * 3600 * 1000;
/// What a first test of an appliance is worth that no recipe asks for: less than any that one does.
constexpr double kNeverRated = 30;

std::string keyOf(const rating::Wanted& test) {
    return test.applianceId + "|" + test.protocol + "|" + test.setting + "|" + test.zone;
}

} // namespace

TestDayDialog::TestDayDialog(Document& document, QWidget* parent)
    : QDialog(parent), document_(document), list_(new QWidget),
      hours_(new QLineEdit(QStringLiteral("4 h"))), probes_(new QLineEdit(QStringLiteral("4"))),
      says_(new QLabel), table_(new TextTable(QStringLiteral("The day, step by step"))),
      tick_(new QPushButton(QStringLiteral("Done, go on"))),
      print_(new QPushButton(QStringLiteral("Print…"))) {
    setWindowTitle(QStringLiteral("A test day"));
    setProperty("guide", QStringLiteral("test-day"));
    resizeOnScreen(*this, {980, 600});
    build();
    takeUp();
    beat_.setInterval(kBeatMs);
    connect(&beat_, &QTimer::timeout, this, [this] { showDay(day_); });
    beat_.start();
    showDay(day_);
}

TestDayDialog::~TestDayDialog() {
    stop_.request_stop();
    beside_.finish();
}

void TestDayDialog::build() {
    auto* line = new QHBoxLayout(this);
    auto* left = new QVBoxLayout;
    auto* overline = new QLabel(QStringLiteral("WHAT TO RATE"));
    overline->setObjectName(QStringLiteral("overline"));
    left->addWidget(overline);
    auto* boxes = new QVBoxLayout(list_);
    boxes->setContentsMargins(0, 0, 0, 0);
    for (const kitchen::Appliance& one : document_.kitchen().appliances) {
        auto* box = new QCheckBox(toQt(one.name));
        box->setAccessibleName(QStringLiteral("Rate %1").arg(toQt(one.name)));
        box->setChecked(!document_.newestRatings().contains(one.id));
        boxes->addWidget(box);
        chosen_.emplace_back(box, one.id);
    }
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setWidget(list_);
    scroll->setMinimumWidth(210);
    left->addWidget(scroll, 1);
    auto* form = new QFormLayout;
    hours_->setAccessibleName(QStringLiteral("The day lasts"));
    probes_->setAccessibleName(QStringLiteral("Probes"));
    form->addRow(QStringLiteral("The day lasts"), hours_);
    form->addRow(QStringLiteral("Probes"), probes_);
    left->addLayout(form);
    auto* plan = new QPushButton(QStringLiteral("Work out the day"));
    plan->setObjectName(QStringLiteral("act"));
    plan->setAccessibleName(QStringLiteral("Work out the day"));
    connect(plan, &QPushButton::clicked, this, &TestDayDialog::work);
    left->addWidget(plan);
    line->addLayout(left);
    auto* right = new QVBoxLayout;
    says_->setObjectName(QStringLiteral("sentence"));
    says_->setWordWrap(true);
    says_->setTextFormat(Qt::PlainText);
    says_->setAccessibleName(QStringLiteral("What is next"));
    right->addWidget(says_);
    right->addWidget(table_, 1);
    auto* foot = new QHBoxLayout;
    tick_->setObjectName(QStringLiteral("act"));
    tick_->setAccessibleName(QStringLiteral("Tick off the next step"));
    connect(tick_, &QPushButton::clicked, this, &TestDayDialog::tick);
    print_->setAccessibleName(QStringLiteral("Print the day"));
    connect(print_, &QPushButton::clicked, this, &TestDayDialog::print);
    auto* close = new QPushButton(QStringLiteral("Close"));
    close->setAccessibleName(QStringLiteral("Close"));
    connect(close, &QPushButton::clicked, this, &QDialog::close);
    foot->addWidget(tick_);
    foot->addStretch();
    foot->addWidget(print_);
    foot->addWidget(close);
    right->addLayout(foot);
    line->addLayout(right, 1);
}

double TestDayDialog::nowS() const {
    return beganMs_ > 0 ? static_cast<double>(document_.now().utcMs - beganMs_) / 1000 : 0;
}

/// The wall clock when the day began, s after midnight.
double TestDayDialog::clockAtBeginS() const {
    const auto began = QDateTime::fromMSecsSinceEpoch(beganMs_);
    return QTime(0, 0).secsTo(began.toOffsetFromUtc(document_.now().offsetMin * 60).time());
}

/// What each test is worth is asked of the recipes once; then the order is a moment's work.
void TestDayDialog::work() {
    const auto hours = parseDuration(toStd(hours_->text()));
    bool ok = false;
    const int probes = probes_->text().trimmed().toInt(&ok);
    if (!hours || !ok || probes < 0) {
        says_->setText(QStringLiteral("! Say how long the day lasts (\"4 h\") and how many probes "
                                      "there are (\"4\")."));
        return;
    }
    means_ = {hours->highS, probes};
    if (std::exchange(known_, true))
        return plan();
    const auto requests =
        book::requestsOf(document_.recipes(), document_.kitchen(), document_.choices());
    if (requests.empty())
        return takeWorth({});
    working_ = true;
    const auto total = requests.size();
    says_->setText(QStringLiteral("Asking %1 recipes what they would gain…").arg(total));
    beside_.start([this, requests, stop = stop_.get_token(), total] {
        const auto tests = translate::nextTests(requests, stop, [this, total](int done) {
            beside_.hand([this, done, total] {
                says_->setText(QStringLiteral("%1 of %2 recipes asked what they would gain…")
                                   .arg(done)
                                   .arg(total));
            });
        });
        if (!stop.stop_requested())
            beside_.hand([this, tests] { takeWorth(tests); });
    });
}

void TestDayDialog::takeWorth(const std::vector<translate::NextTest>& tests) {
    working_ = false;
    worth_ = tests;
    plan();
}

void TestDayDialog::plan() {
    wanted_.clear();
    for (const auto& [box, chosen] : chosen_) {
        const std::string id = chosen;
        const auto* on = findAppliance(document_.kitchen(), id);
        if (!box->isChecked() || !on)
            continue;
        const auto next = std::find_if(worth_.begin(), worth_.end(),
                                       [&](const auto& one) { return one.applianceId == id; });
        const auto all = rating::protocolsFor(on->kind);
        if (next != worth_.end())
            wanted_.push_back({id, next->protocol, settingText(on->controls, next->setting),
                               next->zone, next->narrowerS});
        else if (!all.empty())
            wanted_.push_back({id, all.front()->id,
                               settingText(on->controls, kitchen::usualSetting(on->controls)),
                               on->zones.front().name, kNeverRated});
    }
    if (wanted_.empty()) {
        says_->setText(QStringLiteral("Choose on the left what is to be rated."));
        return;
    }
    if (beganMs_ == 0)
        beganMs_ = document_.now().utcMs;
    day_ = rating::planTestDay(wanted_, means_, done_, nowS());
    keep();
    showDay(day_);
}

void TestDayDialog::takeUp() {
    const auto kept = book::loadTestDay(document_.book());
    const auto state =
        kept && !kept->empty() ? rating::readDayState(*kept) : Result<rating::DayState>{};
    if (!state || state->beganMs <= 0 || document_.now().utcMs - state->beganMs > kDayMs)
        return;
    beganMs_ = state->beganMs;
    means_ = state->means;
    wanted_ = state->wanted;
    done_ = state->done;
    for (const rating::DayTest& test : done_)
        ticked_.insert({keyOf(test.test), false});
    for (const rating::Wanted& test : state->ended)
        ticked_.insert({keyOf(test), true});
    hours_->setText(toQt(printDuration(means_.lastsS)));
    probes_->setText(QString::number(means_.probes));
    for (const auto& [box, chosen] : chosen_)
        box->setChecked(std::any_of(wanted_.begin(), wanted_.end(), [id = chosen](const auto& one) {
            return one.applianceId == id;
        }));
    day_ = rating::planTestDay(wanted_, means_, done_, nowS());
}

void TestDayDialog::keep() {
    if (!document_.isWritable())
        return;
    rating::DayState state{beganMs_, means_, wanted_, done_, {}};
    for (const rating::DayTest& test : done_)
        if (ticked_.contains({keyOf(test.test), true}))
            state.ended.push_back(test.test);
    if (const auto done = book::keepTestDay(document_.book(), dayStateJson(state)); !done)
        document_.say(toQt(done.error(), document_.units()));
}

void TestDayDialog::showDay(const rating::TestDay& day) {
    const double began = clockAtBeginS();
    const auto& kitchen = document_.kitchen();
    const auto steps = stepsOf(day);
    QVector<QStringList> rows;
    std::optional<rating::DayStep> next;
    for (const rating::DayStep& step : steps) {
        const bool done = ticked_.contains({keyOf(day.tests[step.test].test), step.ends});
        if (!done && !next)
            next = step;
        rows.push_back({done ? QStringLiteral("done") : toQt(words::timeOfDay(began, step.atS)),
                        toQt(words::dayStepWords(day, step, kitchen, document_.units()))});
    }
    table_->showRows({QStringLiteral("When"), QStringLiteral("What")}, rows);
    table_->setColumnWidth(0, 70);
    tick_->setEnabled(next.has_value());
    print_->setEnabled(!rows.isEmpty());
    if (working_)
        return;
    const std::string left = words::leftWords(day, kitchen);
    if (next)
        says_->setText(QStringLiteral("%1  %2.%3")
                           .arg(toQt(words::timeOfDay(began, next->atS)),
                                toQt(words::dayStepWords(day, *next, kitchen, document_.units())),
                                left.empty() ? QString() : QStringLiteral("  ") + toQt(left)));
    else
        says_->setText(rows.isEmpty()
                           ? QStringLiteral("Choose what to rate, how long the day lasts and how "
                                            "many probes there are.")
                           : QStringLiteral("The day is done. %1").arg(toQt(left)));
}

/// The next step is done now; what is later than it was thought moves the rest.
void TestDayDialog::tick() {
    for (const rating::DayStep& step : stepsOf(day_)) {
        const rating::DayTest& test = day_.tests[step.test];
        if (ticked_.contains({keyOf(test.test), step.ends}))
            continue;
        ticked_.insert({keyOf(test.test), step.ends});
        const auto known = std::find_if(done_.begin(), done_.end(),
                                        [&](const auto& one) { return one.test == test.test; });
        if (step.ends && known != done_.end())
            *known = endedAt(*known, nowS());
        else
            done_.push_back(begunAt(test, nowS()));
        if (!step.ends)
            emit testWanted(test.test.applianceId);
        break;
    }
    day_ = rating::planTestDay(wanted_, means_, done_, nowS());
    keep();
    showDay(day_);
}

void TestDayDialog::print() {
    const double began = clockAtBeginS();
    const words::Sheet sheet =
        words::testDaySheet(day_, began, document_.kitchen(), document_.units());
    writeAsked(document_, this, QStringLiteral("A test day"), QStringLiteral("test-day.pdf"),
               QStringLiteral("PDF (*.pdf);;Page (*.html);;Spreadsheet (*.xlsx)"),
               [sheet](const QString& path) { return writeSheet(sheet, path); });
}

} // namespace dynamet::app
