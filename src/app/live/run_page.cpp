// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/live/run_page.h"

#include "app/look/palette.h"
#include "quantity/parse_duration.h"
#include "rating/inputs/guide_text.h"
#include "words/rating_words.h"
#include "words/run_words.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QVBoxLayout>
#include <algorithm>
#include <set>

namespace dynamet::app {
namespace {

constexpr int kFrameMs = 50;

struct MarkKey {
    Qt::Key key;
    device::Mark mark;
    const char* words;
};
constexpr MarkKey kMarks[]{{Qt::Key_D, device::Mark::doorOpened, "D  door opened"},
                           {Qt::Key_L, device::Mark::loadIn, "L  load in"},
                           {Qt::Key_O, device::Mark::loadOut, "O  load out"},
                           {Qt::Key_T, device::Mark::turned, "T  turned"},
                           {Qt::Key_W, device::Mark::weighed, "W  weighed"},
                           {Qt::Key_H, device::Mark::set, "H  heat changed"}};

QColor lineColour(int at) {
    const QColor all[]{look::accent(), look::ink(), look::reference(), QColor(0x4c, 0x7a, 0x5a)};
    return all[static_cast<std::size_t>(at) % std::size(all)];
}

} // namespace

RunPage::RunPage(Document& document, LineDesk& desk, QWidget* parent)
    : QWidget(parent), document_(document), desk_(desk), run_(document, desk),
      course_(new CourseLine), place_(new QLabel), step_(new QLabel), clock_(new QLabel),
      found_(new QLabel), when_(new QLabel), cautions_(new QLabel), marks_(new QLabel),
      problem_(new QLabel), start_(new QPushButton),
      next_(new QPushButton(QStringLiteral("Next step  (Space)"))), grid_(nullptr),
      keyed_(new KeyedPane(document, run_)), plot_(new Plot) {
    setProperty("guide", QStringLiteral("live"));
    setFocusPolicy(Qt::StrongFocus);
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(8);
    place_->setObjectName(QStringLiteral("overline"));
    place_->setAccessibleName(QStringLiteral("What is measured"));
    box->addWidget(place_);
    box->addWidget(course_);
    box->addWidget(buildHead());
    channels_ = new QWidget;
    grid_ = new QGridLayout(channels_);
    grid_->setContentsMargins(0, 0, 0, 0);
    grid_->setHorizontalSpacing(24);
    box->addWidget(channels_);
    plot_->setMinimumHeight(150);
    plot_->setAccessibleName(QStringLiteral("Readings so far"));
    box->addWidget(keyed_);
    keyed_->hide();
    box->addWidget(plot_, 3);
    box->addStretch(1);
    for (QLabel* label : {when_, found_, marks_, cautions_, problem_}) {
        label->setWordWrap(true);
        label->setTextFormat(Qt::PlainText);
    }
    found_->setObjectName(QStringLiteral("sentence"));
    found_->setAccessibleName(QStringLiteral("Found so far"));
    when_->setAccessibleName(QStringLiteral("When it will have settled"));
    marks_->setObjectName(QStringLiteral("quiet"));
    marks_->setAccessibleName(QStringLiteral("Marks"));
    cautions_->setObjectName(QStringLiteral("caution"));
    cautions_->setAccessibleName(QStringLiteral("Cautions"));
    problem_->setObjectName(QStringLiteral("caution"));
    problem_->setAccessibleName(QStringLiteral("What is wrong"));
    box->addWidget(found_);
    box->addWidget(when_);
    box->addWidget(marks_);
    box->addWidget(problem_);
    box->addWidget(cautions_);
    box->addWidget(buildKeys());
    frame_.setInterval(kFrameMs);
    frame_.start();
    connect(&frame_, &QTimer::timeout, this, [this] {
        if (isVisible())
            refresh();
    });
    connect(&run_, &LiveRun::advanced, this, [this] { due_ = true; });
    connect(&run_, &LiveRun::reduced, this, &RunPage::showFound);
    connect(&run_, &LiveRun::stepDue, this, [this] {
        chime_.ring();
        due_ = true;
    });
    connect(&desk_, &LineDesk::changed, this, [this] {
        if (rows_.size() != desk_.channels().size())
            fillChannels();
        due_ = true;
    });
    connect(&document_, &Document::unitsChanged, this, [this] {
        showFound();
        due_ = true;
    });
}

QWidget* RunPage::buildHead() {
    auto* head = new QWidget;
    auto* line = new QHBoxLayout(head);
    line->setContentsMargins(0, 0, 0, 0);
    step_->setObjectName(QStringLiteral("readout"));
    step_->setWordWrap(true);
    step_->setTextFormat(Qt::PlainText);
    step_->setAccessibleName(QStringLiteral("What to do now"));
    clock_->setObjectName(QStringLiteral("readout"));
    clock_->setAccessibleName(QStringLiteral("Time since the start"));
    clock_->setMinimumWidth(120);
    clock_->setAlignment(Qt::AlignRight | Qt::AlignTop);
    line->addWidget(step_, 1);
    line->addWidget(clock_);
    return head;
}

QWidget* RunPage::buildKeys() {
    constexpr int kHigh = 48;
    auto* keys = new QWidget;
    auto* both = new QVBoxLayout(keys);
    both->setContentsMargins(0, 0, 0, 0);
    both->setSpacing(4);
    auto* marks = new QGridLayout;
    auto* course = new QHBoxLayout;
    marks->setSpacing(4);
    course->setSpacing(4);
    const auto ready = [&](QPushButton* out, const QString& name, auto does) {
        out->setMinimumHeight(kHigh);
        out->setAccessibleName(name);
        out->setFocusPolicy(Qt::TabFocus);
        connect(out, &QPushButton::clicked, this, does);
        return out;
    };
    const auto add = [&](QHBoxLayout* line, QPushButton* out, const QString& name, auto does) {
        line->addWidget(ready(out, name, does));
    };
    constexpr int kAcross = 4;
    int at = 0;
    const auto mark = [&](QPushButton* out, const QString& name, auto does) {
        marks->addWidget(ready(out, name, does), at / kAcross, at % kAcross);
        ++at;
    };
    for (const MarkKey& one : kMarks)
        mark(new QPushButton(QString::fromUtf8(one.words)), QString::fromUtf8(one.words).mid(3),
             [this, made = one.mark] { run_.mark(made); });
    mark(new QPushButton(QStringLiteral("U  take back")), QStringLiteral("take the last mark back"),
         [this] { run_.unmark(); });
    start_->setObjectName(QStringLiteral("act"));
    add(course, start_, QStringLiteral("Start or stop"), [this] { startOrStop(); });
    add(course, next_, QStringLiteral("Next step"), [this] { run_.nextStep(); });
    course->addStretch();
    add(course, new QPushButton(QStringLiteral("Instruments…")), QStringLiteral("Instruments"),
        [this] { emit instrumentsWanted(); });
    add(course, new QPushButton(QStringLiteral("Leave  (Esc)")), QStringLiteral("Leave the run"),
        [this] { emit closeWanted(); });
    both->addLayout(marks);
    both->addLayout(course);
    return keys;
}

void RunPage::prepare(const rating::Protocol& protocol, const book::TestRecord& test,
                      const std::vector<std::string>& roles) {
    possible_ = roles;
    run_.prepare(protocol, test);
    graphs_.clear();
    plot_->clearGraphs();
    problem_->clear();
    fillChannels();
    showFound();
    refresh();
    setFocus();
}

void RunPage::goOn(const std::string& testId, const std::vector<std::string>& roles) {
    possible_ = roles;
    fillChannels();
    if (const auto done = run_.resume(testId, this->roles()); !done)
        problem_->setText(QStringLiteral("! %1.").arg(toQt(done.error(), document_.units())));
    graphs_.clear();
    plot_->clearGraphs();
    due_ = true;
    setFocus();
    refresh();
    if (run_.isKeyed())
        keyed_->begin();
}

/// Every channel on the line, and what it measures in this test: what it measured last, where that
/// is one of the test's; else the first that is free, in order.
void RunPage::fillChannels() {
    for (const Row& row : rows_) {
        delete row.value;
        delete row.role;
    }
    rows_.clear();
    constexpr int kAcross = 4;
    int at = 0;
    for (const LineDesk::Channel& channel : desk_.channels()) {
        Row row{channel.id, new QLabel, new QComboBox};
        row.value->setObjectName(QStringLiteral("readout"));
        row.value->setAccessibleName(
            toQt(channel.lineName + ", " + channel.spec.name + ", reading"));
        row.role->addItem(QStringLiteral("%1: not used").arg(toQt(channel.spec.name)), QString());
        for (const std::string& role : possible_)
            row.role->addItem(QStringLiteral("%1: %2").arg(toQt(channel.spec.name), toQt(role)),
                              toQt(role));
        row.role->setAccessibleName(toQt(channel.lineName + ", " + channel.spec.name));
        row.role->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        row.role->setMinimumContentsLength(9);
        row.value->setWordWrap(true);
        row.role->setCurrentIndex(std::max(0, row.role->findData(toQt(channel.role))));
        connect(row.role, &QComboBox::activated, this, [this, id = channel.id, box = row.role] {
            desk_.remember(id, toStd(box->currentData().toString()));
        });
        row.role->setEnabled(!run_.isRunning());
        grid_->addWidget(row.value, 2 * (at / kAcross), at % kAcross);
        grid_->addWidget(row.role, 2 * (at / kAcross) + 1, at % kAcross);
        rows_.push_back(row);
        ++at;
    }
    giveFreeRoles();
}

/// Channels that read and that nobody gave a role take the free ones, in order.
void RunPage::giveFreeRoles() {
    const auto channels = desk_.channels();
    const bool firstOnly = run_.protocol() && run_.protocol()->firstColumnOnly;
    std::set<std::string> taken;
    for (const Row& row : rows_)
        taken.insert(toStd(row.role->currentData().toString()));
    for (std::size_t i = 0; i < std::min(rows_.size(), channels.size()); ++i) {
        const LineDesk::Channel& channel = channels[i];
        if (rows_[i].role->currentIndex() > 0 || channel.chosen ||
            channel.state != device::ChannelState::live || !rating::isLogUnit(channel.spec.unit))
            continue;
        for (const std::string& role : possible_)
            if ((!firstOnly || role == possible_.front()) && taken.insert(role).second) {
                rows_[i].role->setCurrentIndex(rows_[i].role->findData(toQt(role)));
                break;
            }
    }
}

std::map<device::ChannelId, std::string> RunPage::roles() const {
    std::map<device::ChannelId, std::string> out;
    std::set<std::string> taken;
    for (const Row& row : rows_)
        if (const std::string role = toStd(row.role->currentData().toString());
            !role.empty() && taken.insert(role).second)
            out[row.id] = role;
    return out;
}

void RunPage::startOrStop() {
    problem_->clear();
    if (run_.isRunning()) {
        const auto test = run_.stop();
        if (!test)
            problem_->setText(QStringLiteral("! %1.").arg(toQt(test.error(), document_.units())));
        else
            emit finished(test->id);
    } else {
        for (const auto& [id, role] : roles())
            desk_.remember(id, role);
        const bool byHand = run_.protocol() && !run_.protocol()->fromLog && roles().empty();
        if (const auto begun = byHand ? run_.beginKeyed() : run_.begin(roles()); !begun)
            problem_->setText(QStringLiteral("! %1.").arg(toQt(begun.error(), document_.units())));
    }
    for (const Row& row : rows_)
        row.role->setEnabled(!run_.isRunning());
    due_ = true;
    refresh();
    if (run_.isKeyed())
        keyed_->begin();
}

void RunPage::refresh() {
    if (!run_.protocol())
        return;
    const rating::Protocol& protocol = *run_.protocol();
    const auto step = run_.step();
    const auto channels = desk_.channels();
    for (std::size_t i = 0; i < std::min(rows_.size(), channels.size()); ++i)
        rows_[i].value->setText(channels[i].state == device::ChannelState::open &&
                                        rows_[i].role->currentIndex() == 0
                                    ? QStringLiteral("–")
                                    : LineDesk::valueWords(channels[i], document_.units()));
    if (!run_.isRunning())
        giveFreeRoles();
    plot_->setVisible(run_.isRunning() && !run_.isKeyed());
    channels_->setVisible(!run_.isKeyed());
    keyed_->setVisible(run_.isKeyed());
    if (run_.isRunning())
        clock_->setText(toQt(words::clockWords(run_.nowS())));
    else
        clock_->setText(QStringLiteral("0:00"));
    if (!std::exchange(due_, false) && !run_.isRunning())
        return;
    place_->setText(
        toQt(words::measuredWords(protocol, run_.test().applianceId, run_.test().setting,
                                  run_.test().zone, document_.kitchen(), document_.units())));
    course_->showCourse(static_cast<int>(protocol.steps.size()), static_cast<int>(step));
    if (step < protocol.steps.size())
        step_->setText(toQt(words::stepWords(protocol, step, run_.isRunning(), run_.isStepOver(),
                                             document_.units())));
    start_->setText(run_.isRunning()                       ? QStringLiteral("Stop  (F5)")
                    : protocol.fromLog || !roles().empty() ? QStringLiteral("Start the log  (F5)")
                                                           : QStringLiteral("Begin  (F5)"));
    QStringList cautions;
    for (std::size_t i = 0; i < std::min(rows_.size(), channels.size()); ++i)
        if (channels[i].state == device::ChannelState::live)
            if (const std::string close =
                    words::limitWords(channels[i].spec, channels[i].value,
                                      findInstrument(document_.kitchen().instruments,
                                                     desk_.instrumentOf(channels[i].id.instrument)),
                                      document_.units());
                !close.empty())
                cautions << QStringLiteral("! ") + toQt(close);
    for (const std::string& caution : protocol.cautions)
        cautions << QStringLiteral("! ") + toQt(rating::inReaderUnits(caution, document_.units()));
    cautions_->setText(cautions.join(QLatin1Char('\n')));
    QStringList marks;
    for (const device::Marked& one : run_.marks())
        marks << toQt(words::markWords(one.mark, one.atS));
    marks_->setText(marks.join(QStringLiteral(",  ")));
    marks_->setVisible(!marks.isEmpty());
    if (rows_.empty() && run_.protocol()->fromLog)
        problem_->setText(QStringLiteral("No instrument is on the line: press Instruments."));
    problem_->setVisible(!problem_->text().isEmpty());
    draw();
}

void RunPage::showFound() {
    if (!run_.isRunning()) {
        found_->clear();
        when_->clear();
        return;
    }
    const auto& units = document_.units();
    found_->setText(run_.reduction() ? toQt(words::soFarWords(*run_.reduction(), units))
                    : run_.refusal()
                        ? QStringLiteral("Not yet: %1.").arg(toQt(*run_.refusal(), units))
                        : QString());
    when_->setText(toQt(words::whenWords(run_.settles(), run_.hasSettled(), run_.isEnough(),
                                         run_.reduction() ? words::soFarOf(*run_.reduction())
                                                          : words::SoFar::known)));
}

void RunPage::draw() {
    int at = 0;
    for (const auto& [role, drawn] : run_.drawn())
        drawLine(drawn, at++);
    plot_->xAxis->setRange(0, std::max(60.0, run_.nowS()) / 60);
    plot_->yAxis->rescale();
    plot_->xAxis->setLabel(QStringLiteral("minutes"));
    plot_->yAxis->setLabel(QString::fromUtf8(unitSign(document_.units().temperature())));
    plot_->replot(QCustomPlot::rpQueuedReplot);
}

double RunPage::drawNow() {
    QElapsedTimer took;
    took.start();
    due_ = true;
    refresh();
    plot_->replot(QCustomPlot::rpImmediateRefresh);
    return static_cast<double>(took.nsecsElapsed()) / 1e6;
}

void RunPage::drawLine(const LiveRun::Drawn& drawn, int at) {
    auto& graph = graphs_[drawn.role];
    if (!graph) {
        graph = plot_->addGraph();
        graph->setPen(QPen(lineColour(at), 1));
        graph->setName(toQt(drawn.role));
    }
    QVector<double> minutes, values;
    for (const auto& point : words::drawnIn(drawn.thinned, drawn.unit, document_.units())) {
        minutes << point.minutes;
        values << point.value;
    }
    graph->setData(minutes, values, true);
}

void RunPage::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Space)
        return run_.nextStep();
    if (event->key() == Qt::Key_Backspace)
        return run_.stepBack();
    if (event->key() == Qt::Key_U)
        return run_.unmark();
    if (event->key() == Qt::Key_Escape)
        return emit closeWanted();
    for (const MarkKey& one : kMarks)
        if (event->key() == one.key)
            return run_.mark(one.mark);
    QWidget::keyPressEvent(event);
}

} // namespace dynamet::app
