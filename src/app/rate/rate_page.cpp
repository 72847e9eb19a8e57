// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/rate_page.h"

#include "app/rate/import_dialog.h"
#include "rating/found_words.h"
#include "rating/reduce.h"

#include <QDragEnterEvent>
#include <QFrame>
#include <QMimeData>
#include <QSignalBlocker>
#include <QTimer>

namespace dynamet::app {
namespace {

/// The dial of a setting in °C for the field "Dial set to"; 0 = none.
double dialCelsius(const kitchen::Appliance& a, const kitchen::Setting& s) {
    std::size_t control = 0;
    const auto dial = alongDial(a.controls, s, control);
    if (!dial || a.controls[control].kind != kitchen::ControlKind::thermostat)
        return 0;
    return a.controls[control].unit == "F" ? Temperature::fahrenheit(*dial).celsius() : *dial;
}

QFrame* upright() {
    auto* rule = new QFrame;
    rule->setObjectName(QStringLiteral("uprightRule"));
    return rule;
}

} // namespace

RatePage::RatePage(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), title_(new QLabel), about_(new QLabel),
      methods_(new QWidget), cell_(new QLabel), draft_(new QPushButton),
      sheet_(new RateSheetView(document)), beside_(new SheetBeside(document)),
      cellTests_(new QComboBox), with_(new QComboBox), bench_(new QHBoxLayout),
      how_(new HowPane(document)), trace_(new TracePane(document)), found_(new FoundPane(document)),
      pages_(new QStackedWidget), tabs_(new QButtonGroup(this)), find_(new FindPane(document)),
      drift_(new DriftPane(document)), plane_(new HeatPlanePage(document)),
      thermometers_(new ThermometersPane(document)) {
    setProperty("guide", QStringLiteral("rate"));
    setAcceptDrops(true);
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(16, 10, 16, 12);
    box->setSpacing(8);
    buildHeader(box);
    buildPages(box);
    connect(sheet_, &RateSheetView::cellChosen, this, &RatePage::cellChosen);
    connect(how_, &HowPane::importWanted, this, [this] { importLog(); });
    connect(how_, &HowPane::keyedReady, this, &RatePage::takeKeyed);
    connect(found_, &FoundPane::saveWanted, this, &RatePage::save);
    connect(&document_, &Document::changed, this, &RatePage::refresh);
    connect(&document_, &Document::unitsChanged, this, [this] {
        if (protocol_)
            chooseProtocol(protocol_->id);
        showPage(pages_->currentIndex());
    });
}

QWidget* RatePage::buildBench() {
    auto* page = new QWidget;
    auto* box = new QVBoxLayout(page);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(8);
    sheet_->setMinimumHeight(150);
    auto* sheets = new QHBoxLayout;
    sheets->setSpacing(0);
    sheets->addWidget(sheet_, 1);
    sheets->addWidget(beside_, 1);
    box->addLayout(sheets, 5);
    box->addWidget(methods_);
    bench_->setSpacing(0);
    bench_->addWidget(how_);
    bench_->addWidget(upright());
    bench_->addWidget(trace_);
    bench_->addWidget(upright());
    bench_->addWidget(found_);
    box->addLayout(bench_, 9);
    return page;
}

void RatePage::buildPages(QVBoxLayout* box) {
    pages_->addWidget(buildBench());
    for (QWidget* page : {static_cast<QWidget*>(find_), static_cast<QWidget*>(drift_),
                          static_cast<QWidget*>(plane_), static_cast<QWidget*>(thermometers_)})
        pages_->addWidget(page);
    box->addWidget(pages_, 1);
    connect(tabs_, &QButtonGroup::idClicked, this, &RatePage::showPage);
    connect(find_, &FindPane::settingChosen, this,
            [this](const std::string& setting, const std::string& zone) {
                showPage(Page::bench);
                sheet_->selectCell(setting, zone);
            });
}

void RatePage::showPage(int page) {
    pages_->setCurrentIndex(page);
    if (auto* tab = tabs_->button(page))
        tab->setChecked(true);
    if (page == Page::find)
        find_->showAppliance(applianceId_);
    if (page == Page::drift)
        drift_->showAppliance(applianceId_);
    if (page == Page::plane)
        plane_->showAppliance(applianceId_);
    if (page == Page::thermometers)
        thermometers_->showAppliance(applianceId_);
}

void RatePage::buildHeader(QVBoxLayout* box) {
    auto* line = new QHBoxLayout;
    title_->setObjectName(QStringLiteral("heading"));
    title_->setStyleSheet(QStringLiteral("font-size: 20px"));
    about_->setObjectName(QStringLiteral("quiet"));
    cell_->setAccessibleName(tr("Setting to be rated"));
    line->addWidget(title_);
    line->addWidget(about_);
    draft_->setAccessibleName(tr("Go on with the unfinished test"));
    draft_->hide();
    connect(draft_, &QPushButton::clicked, this, [this] { showTest(draftId_); });
    line->addWidget(draft_);
    with_->setAccessibleName(tr("Vessel or insert"));
    connect(with_, &QComboBox::activated, this, [this] {
        sheet_->show(applianceId_, 0, with());
        cellChosen();
    });
    line->addWidget(with_);
    line->addStretch();
    cellTests_->setAccessibleName(tr("Tests of this cell"));
    connect(cellTests_, &QComboBox::activated, this, [this](int item) {
        if (const QString id = cellTests_->itemData(item).toString(); !id.isEmpty())
            showTest(plain(id));
    });
    int index = 0;
    for (const QString& name :
         {tr("Bench"), tr("Find"), tr("Drift"), tr("Heat plane"), tr("Thermometers")}) {
        auto* tab = new QPushButton(name);
        tab->setObjectName(QStringLiteral("method"));
        tab->setAccessibleName(tr("Page %1").arg(name));
        tab->setCheckable(true);
        tab->setChecked(index == 0);
        tabs_->addButton(tab, index++);
        line->addWidget(tab);
    }
    box->addLayout(line);
}

void RatePage::say(const QString& words) {
    document_.say(words);
}

void RatePage::showAppliance(const std::string& id) {
    const auto* appliance = findAppliance(document_.kitchen(), id);
    if (!appliance)
        return;
    const bool another = id != applianceId_;
    applianceId_ = id;
    const auto* site = findSite(document_.kitchen(), appliance->siteId);
    title_->setText(text(appliance->name));
    about_->setText(tr("%1 · %2").arg(QString::fromUtf8(kitchen::kindName(appliance->kind)),
                                      site ? text(site->name) : QString()));
    readLines();
    if (another)
        listWith();
    sheet_->show(id, 0, with());
    beside_->showAppliance(id);
    if (another) {
        test_.reset();
        reduction_.reset();
        showProtocols();
    }
    cellChosen();
    showDraft();
    showPage(pages_->currentIndex());
}

void RatePage::readLines() {
    lines_ = listTests(document_.book(), applianceId_).value_or(std::vector<book::TestLine>{});
}

/// A test that was imported and never saved, also one from before a crash, is offered again.
void RatePage::showDraft() {
    draftId_.clear();
    for (const auto& line : lines_)
        if (line.draft && draftId_.empty() && !(test_ && test_->id == line.id)) {
            draftId_ = line.id;
            draft_->setText(tr("Unfinished: %1, %2 ago. Go on")
                                .arg(text(rating::findProtocol(line.protocol)->title).toLower(),
                                     agoWords(line.startedMs, document_.now().utcMs)));
        }
    draft_->setVisible(!draftId_.empty());
}

void RatePage::showProtocols() {
    const auto* appliance = findAppliance(document_.kitchen(), applianceId_);
    for (QWidget* kept : {static_cast<QWidget*>(cell_), static_cast<QWidget*>(cellTests_),
                          static_cast<QWidget*>(beside_->choice())})
        kept->setParent(this);
    qDeleteAll(methods_->findChildren<QWidget*>(Qt::FindDirectChildrenOnly));
    delete methods_->layout();
    auto* line = new QHBoxLayout(methods_);
    line->setContentsMargins(0, 0, 0, 0);
    line->addWidget(cell_);
    cell_->show();
    line->addWidget(new QLabel(tr("by")));
    auto* group = new QButtonGroup(methods_);
    std::string first;
    for (const rating::Protocol* protocol : rating::protocolsFor(appliance->kind)) {
        auto* button = new QPushButton(text(protocol->shortName));
        button->setToolTip(text(protocol->title));
        button->setObjectName(QStringLiteral("method"));
        button->setAccessibleName(text(protocol->title));
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
    line->setSpacing(4);
    cellTests_->setMaximumWidth(112);
    beside_->choice()->setMaximumWidth(128);
    line->addWidget(cellTests_);
    line->addWidget(beside_->choice());
    chooseProtocol(first);
}

void RatePage::chooseProtocol(const std::string& id) {
    protocol_ = rating::findProtocol(id);
    const auto* appliance = findAppliance(document_.kitchen(), applianceId_);
    const auto setting = sheet_->setting();
    how_->show(*protocol_, appliance && setting ? dialCelsius(*appliance, *setting) : 0);
    if (test_ && test_->protocol == id) {
        work(*test_);
        return;
    }
    trace_->showNothing(protocol_->fromLog
                            ? tr("The readings will be drawn here, the fit over them.")
                            : tr("Type the readings at the left; they will be drawn here."));
    found_->showNothing();
    test_.reset();
    reduction_.reset();
    attend(Attention::how);
}

void RatePage::attend(Attention attention) {
    const auto wide = [&](Attention a) { return attention == a ? 5 : 3; };
    bench_->setStretch(0, wide(Attention::how));
    bench_->setStretch(2, attention == Attention::how ? 3 : 5);
    bench_->setStretch(4, wide(Attention::found));
}

void RatePage::cellChosen() {
    const auto* appliance = findAppliance(document_.kitchen(), applianceId_);
    const auto setting = sheet_->setting();
    if (!appliance || !setting)
        return;
    QString where = text(settingLabel(appliance->controls, *setting));
    if (appliance->zones.size() > 1)
        where += QStringLiteral(", ") + text(sheet_->zone());
    if (with_->currentIndex() > 0 || isHob(appliance->kind))
        where += QStringLiteral(", ") + with_->currentText();
    cell_->setText(tr("Rate %1").arg(where));
    listCellTests();
    how_->conditions().expect(sheet_->expected());
    if (protocol_ && !test_)
        how_->show(*protocol_, dialCelsius(*appliance, *setting));
}

void RatePage::refresh() {
    if (!findAppliance(document_.kitchen(), applianceId_))
        return;
    readLines();
    sheet_->show(applianceId_, 0, with());
    beside_->showAppliance(applianceId_);
    listCellTests();
    how_->conditions().refresh();
    showDraft();
    showPage(pages_->currentIndex());
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
        chooseProtocol((test_.reset(), protocol_->id));
    else if (reduction_)
        found_->show(*reduction_, saved_);
}

Result<book::TestRecord> RatePage::newTest() const {
    const auto* appliance = findAppliance(document_.kitchen(), applianceId_);
    const auto setting = sheet_->setting();
    if (!appliance || !setting)
        return fail(Errc::invalidArgument, "choose a setting in the rate sheet first");
    const auto values = how_->values();
    if (!values)
        return tl::unexpected(values.error());
    book::TestRecord test;
    test.id = book::newId();
    test.applianceId = applianceId_;
    test.protocol = protocol_->id;
    test.setting = settingText(appliance->controls, *setting);
    test.zone = sheet_->zone();
    test.siteId = appliance->siteId;
    test.vesselId = isHob(appliance->kind) ? with().vesselId : "";
    test.values = *values;
    test.values.merge(rating::valuesOfKind(protocol_->id, appliance->kind));
    test.typed = how_->typed();
    std::string photo;
    if (const auto ok = how_->conditions().fill(test, photo); !ok)
        return tl::unexpected(ok.error());
    test.insertId = with().insertId;
    if (!photo.empty()) {
        const auto kept = document_.keepPhoto(photo);
        if (!kept)
            return tl::unexpected(kept.error());
        test.photoSha256 = *kept;
    }
    test.fanOn = appliance->kind == kitchen::ApplianceKind::fanOven ||
                 appliance->kind == kitchen::ApplianceKind::airFryer ||
                 appliance->kind == kitchen::ApplianceKind::combiOven;
    if (const auto* site = findSite(document_.kitchen(), appliance->siteId);
        site && protocol_->needsAltitude)
        test.values["altitude_m"] = site->altitudeM;
    test.started = document_.now();
    return test;
}

void RatePage::importLog(const QString& path) {
    if (!protocol_)
        return;
    if (!protocol_->fromLog) {
        say(tr("These readings are keyed in: type them at the left."));
        return;
    }
    auto test = newTest();
    if (!test) {
        say(text(test.error().message));
        return;
    }
    const auto* appliance = findAppliance(document_.kitchen(), applianceId_);
    const auto roles = rating::rolesFor(*protocol_, appliance->kind);
    ImportDialog dialog(roles, path, this);
    if (dialog.exec() != QDialog::Accepted)
        return;
    dialog.fill(*test);
    if (const auto kept = document_.importTest(*test); !kept) {
        say(text(kept.error().message));
        return;
    }
    askOnce();
    work(*test);
}

void RatePage::takeKeyed() {
    auto test = newTest();
    const auto keyed = how_->keyed();
    if (!test || !keyed) {
        say(text((test ? keyed.error() : test.error()).message));
        return;
    }
    test->keyed = *keyed;
    if (const auto kept = document_.importTest(*test); !kept) {
        say(text(kept.error().message));
        return;
    }
    askOnce();
    work(*test);
}

void RatePage::work(const book::TestRecord& test) {
    test_ = test;
    showDraft();
    saved_ = false;
    const auto reduction = rating::reduce(inputOf(test, document_.kitchen().instruments));
    reduction_ = reduction ? std::optional(*reduction) : std::nullopt;
    trace_->show(test, reduction_ ? &*reduction_ : nullptr);
    if (!reduction) {
        found_->showRefusal(text(reduction.error().message));
        attend(Attention::found);
        return;
    }
    for (const auto& line : lines_)
        saved_ = saved_ || (line.id == test.id && !line.draft);
    addHeightSeries();
    found_->show(*reduction_, saved_);
    attend(Attention::found);
}

/// Missing conditions are asked for once a session; they stay unknown, never a default.
void RatePage::askOnce() {
    const QStringList missing = how_->conditions().missing();
    if (asked_ || missing.isEmpty())
        return;
    asked_ = true;
    say(tr("Not written down: %1. Type it under Conditions; what stays empty is kept as unknown.")
            .arg(missing.join(tr(", "))));
}

void RatePage::save() {
    if (!test_ || !reduction_ || saved_)
        return;
    const auto done = document_.saveRating(*test_, *reduction_);
    if (!done) {
        say(text(done.error().message));
        return;
    }
    saved_ = true;
    found_->show(*reduction_, true);
    say(tr("Saved. The line-up and the rate sheet show it now."));
}

void RatePage::showTest(const std::string& testId) {
    const auto test = loadTest(document_.book(), testId);
    if (!test)
        return;
    protocol_ = rating::findProtocol(test->protocol);
    const std::string& put = test->vesselId.empty() ? test->insertId : test->vesselId;
    if (const int item = with_->findData(text(put)); item >= 0 && item != with_->currentIndex()) {
        with_->setCurrentIndex(item);
        sheet_->show(applianceId_, 0, with());
    }
    sheet_->selectCell(test->setting, test->zone);
    for (QPushButton* button : methods_->findChildren<QPushButton*>())
        button->setChecked(button->accessibleName() == text(protocol_->title));
    const auto* appliance = findAppliance(document_.kitchen(), applianceId_);
    const auto setting = sheet_->setting();
    how_->show(*protocol_, appliance && setting ? dialCelsius(*appliance, *setting) : 0,
               test->typed);
    how_->conditions().show(*test);
    work(*test);
}

void RatePage::showNewestTest() {
    if (!lines_.empty())
        showTest(lines_.front().id);
}

void RatePage::showTestOf(const std::string& protocol) {
    for (const auto& line : lines_)
        if (line.protocol == protocol) {
            showTest(line.id);
            return;
        }
}

void RatePage::dragEnterEvent(QDragEnterEvent* event) {
    if (event->mimeData()->hasUrls())
        event->acceptProposedAction();
}

void RatePage::dropEvent(QDropEvent* event) {
    const QList<QUrl> urls = event->mimeData()->urls();
    if (urls.isEmpty())
        return;
    event->acceptProposedAction();
    // The dialog runs its own loop: leave the drop first.
    QTimer::singleShot(0, this, [this, path = urls.front().toLocalFile()] { importLog(path); });
}

} // namespace dynamet::app
