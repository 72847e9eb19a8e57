// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/rate_page.h"

#include "app/live/instruments_dialog.h"
#include "app/widgets/save_path_dialog.h"
#include "app/widgets/sheet_page.h"

#include <QDragEnterEvent>
#include <QMimeData>
#include <QScrollArea>
#include <QTimer>

namespace dynamet::app {

RatePage::RatePage(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), rating_(document),
      header_(new RateHeader(document, rating_)), cells_(new CellChooser(document, rating_)),
      bench_(new TestBench(document)), pages_(new QStackedWidget), find_(new FindPane(document)),
      drift_(new DriftPane(document)), plane_(new HeatPlanePage(document)),
      thermometers_(new ThermometersPane(document)), coals_(new CoalsPane(document)),
      openCoals_(new OpenCoalsPane(document)), run_(new RunPage(document, desk_)),
      whole_(new QStackedWidget) {
    setProperty("guide", QStringLiteral("rate"));
    setAcceptDrops(true);
    auto* outer = new QVBoxLayout(this);
    outer->setContentsMargins(16, 10, 16, 12);
    auto* usual = new QWidget;
    auto* box = new QVBoxLayout(usual);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(8);
    outer->addWidget(whole_);
    whole_->addWidget(usual);
    auto* area = new QScrollArea; // while it is hidden it asks for no room
    area->setWidgetResizable(true);
    area->setFrameShape(QFrame::NoFrame);
    area->setFocusPolicy(Qt::NoFocus);
    area->setWidget(run_);
    whole_->addWidget(area);
    connect(bench_, &TestBench::liveWanted, this, &RatePage::beginLive);
    connect(run_, &RunPage::instrumentsWanted, this, &RatePage::showInstruments);
    connect(run_, &RunPage::closeWanted, this, [this] {
        whole_->setCurrentIndex(0);
        emit situationChanged();
    });
    connect(run_, &RunPage::finished, this, [this](const std::string& testId) {
        whole_->setCurrentIndex(0);
        document_.reload();
        showTest(testId);
        emit situationChanged();
    });
    box->addWidget(header_);
    pages_->addWidget(buildBench());
    for (QWidget* page : {static_cast<QWidget*>(find_), static_cast<QWidget*>(drift_),
                          static_cast<QWidget*>(plane_), static_cast<QWidget*>(thermometers_),
                          static_cast<QWidget*>(coals_), static_cast<QWidget*>(openCoals_)})
        pages_->addWidget(page);
    box->addWidget(pages_, 1);
    box->addStretch(0);
    connect(header_, &RateHeader::pageChosen, this, &RatePage::showPage);
    connect(header_, &RateHeader::withChosen, cells_, &CellChooser::showSheet);
    connect(header_, &RateHeader::testWanted, this, &RatePage::showTest);
    connect(cells_, &CellChooser::cellChosen, this, &RatePage::standAtCell);
    connect(cells_, &CellChooser::testWanted, this, &RatePage::showTest);
    connect(bench_, &TestBench::testChanged, this, [this] {
        refreshHeader();
        emit situationChanged();
    });
    connect(find_, &FindPane::settingChosen, this,
            [this](const std::string& setting, const std::string& zone) {
                showPage(Page::bench);
                if (const kitchen::Appliance* appliance = rating_.appliance())
                    if (const auto found = parseSetting(appliance->controls, setting))
                        cells_->choose(*found, zone);
            });
    connect(&document_, &Document::changed, this, &RatePage::refresh);
    connect(&document_, &Document::unitsChanged, this, [this] {
        cells_->showSheet();
        showPage(page());
    });
}

void RatePage::writeWallSheet() {
    const kitchen::Appliance* appliance = rating_.appliance();
    if (!appliance)
        return;
    const words::Sheet sheet = words::wallSheet(document_.kitchen(), *appliance, document_.units());
    writeAsked(document_, this, QStringLiteral("Sheet for the wall"),
               QStringLiteral("%1.pdf").arg(toQt(appliance->name)),
               QStringLiteral("PDF (*.pdf);;Page (*.html);;Spreadsheet (*.xlsx);;Table (*.csv)"),
               [sheet](const QString& path) { return writeSheet(sheet, path); });
}

QWidget* RatePage::buildBench() {
    auto* page = new QWidget;
    auto* box = new QVBoxLayout(page);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(8);
    box->addWidget(cells_);
    box->addWidget(&bench_->methods());
    box->addWidget(bench_, 1);
    return page;
}

void RatePage::showPage(int page) {
    if (page == Page::coals && !header_->hasCoals())
        page = Page::bench;
    const kitchen::Appliance* on = rating_.appliance();
    const bool open = page == Page::coals && on && on->kind != kitchen::ApplianceKind::ironOven;
    pages_->setCurrentIndex(open ? Page::coals + 1 : page);
    header_->showPage(page);
    const std::string& id = rating_.applianceId();
    if (page == Page::find)
        find_->showAppliance(id);
    if (page == Page::drift)
        drift_->showAppliance(id);
    if (page == Page::plane)
        plane_->showAppliance(id);
    if (page == Page::thermometers)
        thermometers_->showAppliance(id);
    if (open)
        openCoals_->showAppliance(id);
    else if (page == Page::coals)
        coals_->showAppliance(id);
    emit situationChanged();
}

void RatePage::live() {
    if (whole_->currentIndex() == 1)
        run_->startOrStop();
    else
        beginLive();
}

/// A run that is on is shown again; else the test at hand is made ready.
void RatePage::beginLive() {
    desk_.openKnown();
    if (!run_->isRunning()) {
        const auto test = bench_->liveTest();
        if (!test)
            return;
        run_->prepare(*bench_->protocol(), *test, bench_->roles());
    }
    whole_->setCurrentIndex(1);
    run_->setFocus();
    if (desk_.isEmpty() && run_->run().protocol()->fromLog)
        showInstruments();
    emit situationChanged();
}

void RatePage::showInstruments() {
    InstrumentsDialog(document_, desk_, this).exec();
}

void RatePage::goOnWith(const book::CutOffRun& run) {
    desk_.openKnown();
    const kitchen::Appliance* on = findAppliance(document_.kitchen(), run.applianceId);
    const rating::Protocol* protocol = rating::findProtocol(run.protocol);
    whole_->setCurrentIndex(1);
    run_->goOn(run.testId,
               on && protocol ? rating::rolesFor(*protocol, on->kind) : std::vector<std::string>{});
    emit situationChanged();
}

void RatePage::endCutOff(const book::CutOffRun& run) {
    if (const auto done = book::endRun(document_.book(), run.testId, document_.now()); !done)
        return document_.say(toQt(done.error(), document_.units()));
    document_.reload();
    showTest(run.testId);
}

void RatePage::showAppliance(const std::string& id) {
    const bool another = id != rating_.applianceId();
    const bool there = rating_.choose(id);
    setEnabled(there);
    pages_->setVisible(there); // a scale of nothing would be a number without a meaning
    refreshHeader();
    if (there) {
        cells_->showAppliance(another);
        showPage(page());
    }
}

void RatePage::refreshHeader() {
    const auto& test = bench_->test();
    header_->refresh(test ? test->id : "");
}

void RatePage::standAtCell() {
    const auto setting = cells_->sheet().setting();
    if (!setting)
        return;
    const kitchen::SheetWith with = rating_.sheetWith();
    bench_->stand(
        {rating_.applianceId(), *setting, cells_->sheet().zone(), with.vesselId, with.insertId},
        cells_->sheet().expected());
}

void RatePage::refresh() {
    const std::string id = rating_.applianceId();
    if (!rating_.appliance()) { // undone, or retired
        bench_->clear();
        return showAppliance({});
    }
    showAppliance(id);
    bench_->refresh(rating_.tests());
}

void RatePage::importLog(const QString& path) {
    showPage(Page::bench);
    bench_->importLog(path);
}

void RatePage::save() {
    bench_->save();
}

void RatePage::showTest(const std::string& testId) {
    const kitchen::Appliance* appliance = rating_.appliance();
    if (!appliance)
        return;
    const auto test = loadTest(document_.book(), testId);
    if (!test)
        return document_.say(toQt(test.error(), document_.units()));
    showPage(Page::bench);
    rating_.chooseWith(test->vesselId.empty() ? test->insertId : test->vesselId);
    rating_.choose(rating_.applianceId()); // what is gone since falls back to what is there
    refreshHeader();
    if (const auto at = parseSetting(appliance->controls, test->setting))
        cells_->choose(*at, test->zone);
    bench_->refresh(rating_.tests());
    bench_->showTest(*test);
}

void RatePage::showNewestTest() {
    if (!rating_.tests().empty())
        showTest(std::string(rating_.tests().front().id));
}

void RatePage::showTestOf(const std::string& protocol) {
    for (const auto& line : rating_.tests())
        if (line.protocol == protocol)
            return showTest(std::string(line.id));
}

void RatePage::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    cells_->sizeSheet(height());
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
