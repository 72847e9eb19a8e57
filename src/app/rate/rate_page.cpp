// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/rate_page.h"

#include <QDragEnterEvent>
#include <QMimeData>
#include <QTimer>

namespace dynamet::app {

RatePage::RatePage(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), title_(new ElidedLabel), about_(new ElidedLabel),
      draft_(new QPushButton), sheet_(new RateSheetView(document)),
      beside_(new ComparedSheet(document)),
      setting_(new SettingEdit(tr("Rate at"), SettingEdit::Preheat::left)), where_(new QLabel),
      cellTests_(new QComboBox), with_(new QComboBox), bench_(new TestBench(document)),
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
    connect(setting_, &SettingEdit::edited, this, &RatePage::settingTyped);
    connect(bench_, &TestBench::testChanged, this, &RatePage::showDraft);
    connect(&document_, &Document::changed, this, &RatePage::refresh);
    connect(&document_, &Document::unitsChanged, this, [this] {
        showSheet();
        showPage(pages_->currentIndex());
    });
}

QWidget* RatePage::buildBench() {
    auto* page = new QWidget;
    auto* box = new QVBoxLayout(page);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(8);
    auto* sheets = new QHBoxLayout;
    sheets->setSpacing(0);
    sheets->addWidget(sheet_, 1);
    sheets->addWidget(beside_, 1);
    box->addLayout(sheets);
    box->addLayout(buildSettingLine());
    box->addWidget(&bench_->methods());
    box->addWidget(bench_, 1);
    return page;
}

QLayout* RatePage::buildSettingLine() {
    auto* line = new QHBoxLayout;
    line->setSpacing(8);
    auto* words = new QLabel(tr("Rate at"));
    words->setObjectName(QStringLiteral("heading"));
    line->addWidget(words);
    line->addWidget(setting_);
    setting_->orderAfter(sheet_);
    where_->setObjectName(QStringLiteral("quiet"));
    where_->setAccessibleName(tr("Setting to be rated"));
    where_->setTextFormat(Qt::PlainText);
    line->addWidget(where_);
    line->addStretch();
    cellTests_->setAccessibleName(tr("Tests of this cell"));
    connect(cellTests_, &QComboBox::activated, this, [this](int item) {
        if (const QString id = cellTests_->itemData(item).toString(); !id.isEmpty())
            showTest(plain(id));
    });
    for (QComboBox* chooser : {cellTests_, beside_->choice()}) {
        chooser->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        chooser->setMinimumContentsLength(10);
        line->addWidget(chooser);
    }
    return line;
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
                const auto* appliance = findAppliance(document_.kitchen(), applianceId_);
                if (!appliance)
                    return;
                if (const auto found = parseSetting(appliance->controls, setting))
                    settingTyped(*found);
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
    line->addWidget(title_);
    line->addWidget(about_);
    draft_->setAccessibleName(tr("Go on with the unfinished test"));
    draft_->hide();
    connect(draft_, &QPushButton::clicked, this, [this] { showTest(draftId_); });
    line->addWidget(draft_);
    with_->setAccessibleName(tr("Vessel or insert"));
    with_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    with_->setMinimumContentsLength(12);
    connect(with_, &QComboBox::activated, this, &RatePage::showSheet);
    line->addWidget(with_);
    line->addStretch();
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

void RatePage::showAppliance(const std::string& id) {
    const auto* appliance = findAppliance(document_.kitchen(), id);
    setEnabled(appliance);
    if (!appliance) {
        applianceId_.clear();
        title_->setText(tr("No appliance yet"));
        about_->setText(tr("Add the first one: Kitchen (Ctrl+K), or Add on the left."));
        return;
    }
    const bool another = id != applianceId_;
    applianceId_ = id;
    const auto* site = findSite(document_.kitchen(), appliance->siteId);
    title_->setText(text(appliance->name));
    about_->setText(tr("%1 · %2").arg(QString::fromUtf8(kitchen::kindName(appliance->kind)),
                                      site ? text(site->name) : QString()));
    readLines();
    if (another) {
        typedSettings_.clear();
        sheet_->clearSelection();
    }
    listWith();
    showSheet();
    beside_->showAppliance(id);
    showDraft();
    showPage(pages_->currentIndex());
}

void RatePage::showSheet() {
    if (applianceId_.empty())
        return;
    sheet_->show(applianceId_, 0, with());
    sizeSheet();
    cellChosen();
}

/// The sheet shows all of its rows where there is room, and never more than half of the page.
void RatePage::sizeSheet() {
    constexpr int kLeast = 104, kFrame = 4;
    const int rows = sheet_->model()->rowCount();
    const int wanted = sheet_->horizontalHeader()->sizeHint().height() +
                       rows * sheet_->verticalHeader()->defaultSectionSize() + kFrame;
    sheet_->setFixedHeight(std::clamp(wanted, kLeast, std::max(kLeast, height() / 2 - 20)));
}

void RatePage::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    sizeSheet();
}

void RatePage::readLines() {
    lines_ = listTests(document_.book(), applianceId_).value_or(std::vector<book::TestLine>{});
}

/// A test that was imported and never saved, also one from before a crash, is offered again.
void RatePage::showDraft() {
    draftId_.clear();
    const auto& here = bench_->test();
    for (const auto& line : lines_)
        if (line.draft && draftId_.empty() && !(here && here->id == line.id))
            if (const rating::Protocol* protocol = rating::findProtocol(line.protocol)) {
                draftId_ = line.id;
                draft_->setText(tr("Unfinished: %1").arg(text(protocol->shortName)));
                draft_->setToolTip(tr("%1, %2 ago")
                                       .arg(text(protocol->title),
                                            agoWords(line.startedMs, document_.now().utcMs)));
            }
    draft_->setVisible(!draftId_.empty());
}

void RatePage::cellChosen() {
    const auto* appliance = findAppliance(document_.kitchen(), applianceId_);
    const auto setting = sheet_->setting();
    if (!appliance || !setting)
        return;
    setting_->show(*appliance, *setting);
    QStringList where{text(sheetLabel(*appliance, *setting, document_.units().temperature()))};
    if (appliance->zones.size() > 1)
        where << text(sheet_->zone());
    if (with_->count() > 1 && with_->currentIndex() >= 0)
        where << with_->currentText();
    where_->setText(where.join(QStringLiteral(", ")));
    where_->setToolTip(where_->text());
    listCellTests();
    const kitchen::SheetWith put = with();
    bench_->stand({applianceId_, *setting, sheet_->zone(), put.vesselId, put.insertId},
                  sheet_->expected());
}

/// A setting that has no row gets one; its row is chosen.
void RatePage::settingTyped(const kitchen::Setting& setting) {
    const auto* appliance = findAppliance(document_.kitchen(), applianceId_);
    if (!appliance)
        return;
    const kitchen::Setting row = sheetRowOf(*appliance, setting);
    const std::string zone = sheet_->zone();
    typedSettings_.push_back(row);
    sheet_->show(applianceId_, 0, with());
    sizeSheet();
    sheet_->selectCell(settingText(appliance->controls, row), zone);
    cellChosen();
}

void RatePage::refresh() {
    if (!findAppliance(document_.kitchen(), applianceId_)) { // undone, or retired
        bench_->clear();
        return showAppliance({});
    }
    showAppliance(applianceId_);
    bench_->refresh(lines_);
}

void RatePage::importLog(const QString& path) {
    showPage(Page::bench);
    bench_->importLog(path);
}

void RatePage::save() {
    if (pages_->currentIndex() == Page::bench)
        bench_->save();
}

void RatePage::showTest(const std::string& testId) {
    const auto test = loadTest(document_.book(), testId);
    const auto* appliance = findAppliance(document_.kitchen(), applianceId_);
    if (!test || !appliance)
        return;
    showPage(Page::bench);
    const std::string& put = test->vesselId.empty() ? test->insertId : test->vesselId;
    if (const int item = with_->findData(text(put)); item >= 0)
        with_->setCurrentIndex(item);
    if (const auto at = parseSetting(appliance->controls, test->setting))
        settingTyped(*at);
    sheet_->selectCell(test->setting, test->zone);
    cellChosen();
    bench_->refresh(lines_);
    bench_->showTest(*test);
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
