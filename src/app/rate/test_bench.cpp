// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/test_bench.h"

#include "app/rate/import_dialog.h"
#include "device/run_log.h"
#include "rating/inputs/given_values.h"
#include "rating/protocols/height_series.h"
#include "rating/reduce.h"
#include "rating/report/doubts.h"
#include "words/rating_words.h"

#include <QFrame>
#include <QVBoxLayout>

namespace dynamet::app {
namespace {

constexpr int kOnePaneBelow = 720;

QFrame* upright() {
    auto* rule = new QFrame;
    rule->setObjectName(QStringLiteral("uprightRule"));
    return rule;
}

bool movesAir(kitchen::ApplianceKind kind) {
    return kind == kitchen::ApplianceKind::fanOven || kind == kitchen::ApplianceKind::airFryer ||
           kind == kitchen::ApplianceKind::combiOven;
}

} // namespace

TestBench::TestBench(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), methods_(new QWidget), tabs_(new QWidget),
      tabGroup_(new QButtonGroup(this)), line_(new QHBoxLayout), how_(new HowPane(document)),
      trace_(new TracePane(document)), found_(new FoundPane(document)) {
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(4);
    auto* tabLine = new QHBoxLayout(tabs_);
    tabLine->setContentsMargins(0, 0, 0, 0);
    int at = 0;
    for (const QString& name :
         {QStringLiteral("How"), QStringLiteral("Trace"), QStringLiteral("Found")}) {
        auto* tab = new QPushButton(name);
        tab->setObjectName(QStringLiteral("method"));
        tab->setAccessibleName(QStringLiteral("Pane %1").arg(name));
        tab->setCheckable(true);
        tabGroup_->addButton(tab, at++);
        tabLine->addWidget(tab);
    }
    tabLine->addStretch();
    tabs_->hide();
    box->addWidget(tabs_);
    line_->setSpacing(0);
    line_->addWidget(how_);
    line_->addWidget(upright());
    line_->addWidget(trace_);
    line_->addWidget(upright());
    line_->addWidget(found_);
    box->addLayout(line_, 1);
    connect(tabGroup_, &QButtonGroup::idClicked, this,
            [this](int pane) { giveRoomTo(static_cast<Attention>(pane)); });
    connect(how_, &HowPane::importWanted, this, [this] { importLog(); });
    connect(how_, &HowPane::keyedReady, this, &TestBench::takeTyped);
    connect(how_, &HowPane::liveWanted, this, &TestBench::liveWanted);
    connect(&how_->conditions(), &ConditionsForm::instrumentChosen, this, &TestBench::showHow);
    connect(found_, &FoundPane::saveWanted, this, &TestBench::save);
    connect(&document_, &Document::unitsChanged, this, [this] {
        showHow();
        if (test_)
            reduceAndShow(*test_);
    });
}

const kitchen::Appliance* TestBench::appliance() const {
    return findAppliance(document_.kitchen(), place_.applianceId);
}

void TestBench::stand(const BenchPlace& place, const kitchen::Representative& expected) {
    const bool another = place.applianceId != place_.applianceId;
    const bool moved = !(place == place_);
    place_ = place;
    expected_ = expected;
    if (!appliance())
        return;
    if (moved && test_)
        clear();
    how_->conditions().expect(expected);
    if (another) {
        test_.reset();
        listProtocols();
    } else {
        showHow();
    }
}

void TestBench::clear() {
    test_.reset();
    reduction_.reset();
    saved_ = doubted_ = false;
    if (protocol_)
        trace_->showNothing(
            protocol_->fromLog
                ? QStringLiteral("The readings are drawn here, with the fit.")
                : QStringLiteral("Type the readings on the left; they are drawn here."));
    found_->showNothing();
    giveRoomTo(Attention::how);
    emit testChanged();
}

void TestBench::listProtocols() {
    qDeleteAll(methods_->findChildren<QWidget*>(Qt::FindDirectChildrenOnly));
    delete methods_->layout();
    auto* line = new QHBoxLayout(methods_);
    line->setContentsMargins(0, 0, 0, 0);
    line->setSpacing(4);
    auto* group = new QButtonGroup(methods_);
    std::string first;
    for (const rating::Protocol* protocol : rating::protocolsFor(appliance()->kind)) {
        auto* button = new QPushButton(toQt(protocol->shortName));
        button->setToolTip(toQt(protocol->title));
        button->setObjectName(QStringLiteral("method"));
        button->setAccessibleName(toQt(protocol->title));
        button->setCheckable(true);
        group->addButton(button);
        line->addWidget(button);
        if (first.empty()) {
            first = protocol->id;
            button->setChecked(true);
        }
        connect(button, &QPushButton::clicked, this,
                [this, id = protocol->id] { chooseProtocol(id); });
    }
    line->addStretch();
    chooseProtocol(first);
}

void TestBench::chooseProtocol(const std::string& id) {
    protocol_ = rating::findProtocol(id);
    for (QPushButton* button : methods_->findChildren<QPushButton*>())
        button->setChecked(button->accessibleName() == toQt(protocol_->title));
    showHow();
    if (test_ && test_->protocol == id)
        reduceAndShow(*test_);
    else
        clear();
}

void TestBench::showHow() {
    if (!protocol_ || !appliance())
        return;
    rating::TestPlace place{appliance(), &place_.setting,
                            findVessel(document_.kitchen(), place_.vesselId),
                            how_->conditions().instrument()};
    how_->showProtocol(*protocol_, rating::givenValues(protocol_->id, place));
}

void TestBench::giveRoomTo(Attention attention) {
    attention_ = attention;
    arrange();
}

/// The pane that matters now is wide; in a narrow window it is alone.
void TestBench::arrange() {
    const bool one = width() < kOnePaneBelow;
    tabs_->setVisible(one);
    tabGroup_->button(static_cast<int>(attention_))->setChecked(true);
    const auto shown = [&](Attention pane) { return !one || attention_ == pane; };
    how_->setVisible(shown(Attention::how));
    trace_->setVisible(shown(Attention::trace));
    found_->setVisible(shown(Attention::found));
    const auto wide = [&](Attention pane) { return attention_ == pane ? 5 : 3; };
    line_->setStretch(0, wide(Attention::how));
    line_->setStretch(2, attention_ == Attention::how ? 3 : 5);
    line_->setStretch(4, wide(Attention::found));
}

void TestBench::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    arrange();
}

Result<book::TestRecord> TestBench::newTest(const std::set<std::string>& later) const {
    const kitchen::Appliance* on = appliance();
    if (!on || !protocol_)
        return fail(Errc::invalidArgument, "choose a setting in the rate sheet first");
    if (isHob(on->kind) && !findVessel(document_.kitchen(), place_.vesselId))
        return fail(Errc::invalidArgument,
                    "a burner is rated with a pan or pot: choose one for it in Kitchen first");
    auto values = how_->values(later);
    if (!values)
        return tl::unexpected(values.error());
    book::TestRecord test;
    test.id = book::newId();
    test.applianceId = place_.applianceId;
    test.protocol = protocol_->id;
    test.setting = settingText(on->controls, place_.setting);
    test.zone = place_.zone;
    test.siteId = on->siteId;
    test.vesselId = isHob(on->kind) ? place_.vesselId : "";
    test.insertId = place_.insertId;
    test.values = std::move(values->values);
    test.choices = std::move(values->choices);
    test.choices.merge(rating::choicesOfKind(protocol_->id, on->kind));
    test.typed = how_->typed();
    test.fanOn = movesAir(on->kind);
    const auto* site = findSite(document_.kitchen(), on->siteId);
    if (site && protocol_->needsAltitude)
        test.values["altitude_m"] = site->altitudeM;
    const auto made = how_->conditions().madeAt();
    if (!made)
        return tl::unexpected(made.error());
    test.setStarted(*made);
    return test;
}

std::vector<std::string> TestBench::roles() const {
    const kitchen::Appliance* on = appliance();
    return on && protocol_ ? rating::rolesFor(*protocol_, on->kind) : std::vector<std::string>{};
}

std::optional<book::TestRecord> TestBench::liveTest() {
    if (!protocol_ || (!protocol_->takesLog() && protocol_->keyed.empty())) {
        say(QStringLiteral("This test is typed on the left."));
        return std::nullopt;
    }
    std::set<std::string> later;
    for (const auto& [name, mark] : device::markedValues())
        later.insert(name);
    for (const rating::ValueSpec& value : protocol_->values)
        if (value.logTells)
            later.insert(value.name);
    auto test = newTest(later);
    if (!test) {
        say(toQt(test.error(), document_.units()));
        return std::nullopt;
    }
    for (const std::string& name : later) {
        test->values.erase(name);
        test->typed.erase(name);
    }
    if (!keepPhoto(*test))
        return std::nullopt;
    return std::move(*test);
}

/// The photo goes into the book only with its test.
bool TestBench::keepPhoto(book::TestRecord& test) {
    std::string photo;
    if (const auto ok = how_->conditions().fill(test, photo); !ok) {
        say(toQt(ok.error(), document_.units()));
        return false;
    }
    if (photo.empty())
        return true;
    const auto kept = document_.keepPhoto(photo);
    if (!kept) {
        say(toQt(kept.error(), document_.units()));
        return false;
    }
    test.photoSha256 = *kept;
    return true;
}

void TestBench::importLog(const QString& path) {
    if (!protocol_)
        return;
    if (!protocol_->takesLog())
        return say(QStringLiteral("These readings were typed in, on the left."));
    auto test = newTest();
    if (!test)
        return say(toQt(test.error(), document_.units()));
    const auto roles = rating::rolesFor(*protocol_, appliance()->kind);
    ImportDialog dialog(*protocol_, roles, path, test->started(), this);
    if (dialog.exec() != QDialog::Accepted)
        return;
    dialog.fill(*test);
    for (const rating::ValueSpec& value : protocol_->values)
        if (value.logTells) { // what stood in the form was another test's
            test->values.erase(value.name);
            test->typed.erase(value.name);
        }
    keepAndReduce(std::move(*test));
}

void TestBench::takeTyped() {
    auto test = newTest();
    if (!test)
        return say(toQt(test.error(), document_.units()));
    if (protocol_->fromLog) {
        auto channels = how_->timed();
        if (!channels)
            return say(toQt(channels.error(), document_.units()));
        test->channels = std::move(*channels);
    } else {
        auto keyed = how_->keyed();
        if (!keyed)
            return say(toQt(keyed.error(), document_.units()));
        test->keyed = std::move(*keyed);
    }
    keepAndReduce(std::move(*test));
}

void TestBench::keepAndReduce(book::TestRecord test) {
    if (!keepPhoto(test))
        return;
    test_ = test;
    if (const auto kept = document_.importTest(test); !kept) {
        clear();
        return say(toQt(kept.error(), document_.units()));
    }
    askForMissingConditions();
    reduceAndShow(test);
}

void TestBench::reduceAndShow(const book::TestRecord& test) {
    test_ = test;
    saved_ = doubted_ = false;
    const auto input = rating::inputOf(test, document_.kitchen().instruments);
    const auto reduction = rating::reduce(input);
    reduction_ = reduction ? std::optional(*reduction) : std::nullopt;
    trace_->showTrace(input, reduction_ ? &*reduction_ : nullptr);
    for (const auto& line : lines_)
        saved_ = saved_ || (line.id == test.id && !line.draft);
    if (!reduction) {
        found_->showRefusal(toQt(reduction.error(), document_.units()));
    } else {
        addHeightSeries();
        showFound();
    }
    giveRoomTo(Attention::found);
    emit testChanged();
}

/// Missing conditions are asked for once a session; they stay unknown, never a default.
void TestBench::askForMissingConditions() {
    const QStringList missing = how_->conditions().missing();
    if (asked_ || missing.isEmpty())
        return;
    asked_ = true;
    say(QStringLiteral(
            "Missing: %1. Type it under Conditions; what is left empty is kept as unknown.")
            .arg(missing.join(QStringLiteral(", "))));
}

/// Once it counts, the sheet's number stands beside it.
void TestBench::showFound() {
    found_->showFound(
        *reduction_, saved_,
        saved_ ? toQt(words::sheetWords(*reduction_, expected_, document_.units().temperature()))
               : QString());
}

std::vector<QString> TestBench::doubts() const {
    std::vector<QString> out;
    for (const auto& doubt :
         rating::doubtsAbout(*reduction_, document_.kitchen(), *appliance(), place_.setting,
                             place_.zone, place_.vesselId, place_.insertId))
        out.push_back(
            toQt(words::doubtWords(doubt, *appliance(), place_.setting, document_.units())));
    return out;
}

void TestBench::save() {
    if (!test_ || !reduction_ || saved_ || !appliance())
        return;
    if (test_->setting != settingText(appliance()->controls, place_.setting) ||
        test_->zone != place_.zone)
        return clear(); // cannot be: a moved bench is cleared
    if (!doubted_)
        if (const auto questions = doubts(); !questions.empty()) {
            doubted_ = true;
            return found_->ask(questions);
        }
    const auto done = document_.saveRating(*test_, *reduction_);
    if (!done)
        return say(toQt(done.error(), document_.units()));
    saved_ = true;
    showFound();
    say(QStringLiteral("Saved. The line-up and the rate sheet show it now."));
}

void TestBench::showTest(const book::TestRecord& test) {
    protocol_ = rating::findProtocol(test.protocol);
    for (QPushButton* button : methods_->findChildren<QPushButton*>())
        button->setChecked(button->accessibleName() == toQt(protocol_->title));
    showHow();
    how_->fill(test);
    reduceAndShow(test);
}

void TestBench::refresh(const std::vector<book::TestLine>& lines) {
    lines_ = lines;
    how_->conditions().refresh();
    showHow();
    // Undo may have taken back what is on the bench.
    if (!test_)
        return;
    bool there = false;
    saved_ = false;
    for (const auto& line : lines_)
        if (line.id == test_->id) {
            there = true;
            saved_ = !line.draft;
        }
    if (!there)
        clear();
    else if (reduction_)
        showFound();
}

/// A test over coals says what its series of grate heights makes of the bed.
void TestBench::addHeightSeries() {
    const auto* falls = rating::find(*reduction_, "irradiation_W_m2");
    const auto here = parseSetting(appliance()->controls, test_->setting);
    if (!falls || !here)
        return;
    std::vector<rating::HeightTest> tests;
    const auto history = loadHistory(document_.book(), place_.applianceId);
    for (const auto& line : history.value_or(std::vector<book::RatedLine>{}))
        if (line.name == falls->name && line.testId != test_->id && line.zone == test_->zone)
            if (const auto setting = parseSetting(appliance()->controls, line.setting))
                tests.push_back({*setting, line.value, line.u});
    tests.push_back({*here, falls->value, falls->u});
    if (const auto bed = rating::bedOf(appliance()->controls, *here, tests))
        reduction_->found.push_back(
            rating::bedFinding(*bed, *rating::grateHeightM(appliance()->controls, *here)));
}

} // namespace dynamet::app
